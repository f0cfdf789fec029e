package nexa.cli.base;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.stream.LongStream;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;

class PhotoWorkTest {
    private static final List<Photo> PHOTOS =
            LongStream.range(0, 20).mapToObj(PhotoWorkTest::photo).toList();

    private static Photo photo(long id) {
        PhotoFacts facts = new PhotoFacts(FileKind.JPEG, new PixelSize(600, 400), 1, null, null, Set.of());
        return new Photo(id, id + ".jpg", "", new Probe.Readable(facts));
    }

    @Test
    void whatComesOfEachPhoto_isGivenForIt() throws IOException {
        try (PhotoWork<Long> work = PhotoWork.begin(PHOTOS, Photo::id)) {
            for (Photo photo : PHOTOS.reversed()) {
                assertEquals(photo.id(), work.of(photo));
            }
        }
    }

    @Test
    void troubleOfOnePhoto_isTheSameAsWithoutThreads() throws IOException {
        try (PhotoWork<Long> work = PhotoWork.begin(PHOTOS, photo -> {
            if (photo.id() == 3) {
                throw new FileNotFoundException(photo.file());
            }
            if (photo.id() == 4) {
                throw new IllegalStateException("a mistake");
            }
            return photo.id();
        })) {
            assertThrows(FileNotFoundException.class, () -> work.of(PHOTOS.get(3)));
            assertThrows(IllegalStateException.class, () -> work.of(PHOTOS.get(4)));
            assertEquals(5, work.of(PHOTOS.get(5)));
        }
    }

    @Test
    void threadThatIsToEnd_waitsNoLonger() {
        CountDownLatch never = new CountDownLatch(1);
        try (PhotoWork<Long> work = PhotoWork.begin(PHOTOS, photo -> {
            await(never);
            return photo.id();
        })) {
            Thread.currentThread().interrupt();
            assertThrows(IOException.class, () -> work.of(PHOTOS.getFirst()));
            assertEquals(true, Thread.interrupted());
        } finally {
            never.countDown();
        }
    }

    private static void await(CountDownLatch latch) throws IOException {
        try {
            latch.await();
        } catch (InterruptedException ended) {
            throw new IOException(ended);
        }
    }
}
