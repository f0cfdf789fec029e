package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.incoming.FolderWatch;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A shoot in subfolders on a slow disk, and on a card that is pulled out. */
class SlowDiskTest {
    private static final int PHOTOS = 30;

    @TempDir
    Path base;

    private TestShoot test;
    private final SlowDisk disk = new SlowDisk(2, 20_000_000);

    @BeforeEach
    void fill() throws IOException {
        test = new TestShoot(base);
        for (int i = 0; i < PHOTOS; i++) {
            Path day = Files.createDirectories(test.folder().resolve("day " + (i / 10 + 1)));
            TestPhotos.jpeg(day.resolve("p%02d.jpg".formatted(i)), 300, 200, 1);
        }
    }

    @Test
    void firstPhotos_areThereBeforeTheOthersAreRead_andTheOthersFollow() throws Exception {
        try (Shoot shoot = Shoot.open(disk.over(test.folder()), test.locations(), Opening.WHOLE.withFirst(5))) {
            assertEquals(5, shoot.photos().size());
            assertTrue(shoot.photos().stream().allMatch(Photo::isReadable));
            assertTrue(disk.opened() < 5 * 5 + 10, "only those were read: " + disk.opened());
            BlockingQueue<Arrivals> arrivals = new LinkedBlockingQueue<>();
            try (FolderWatch watch = FolderWatch.of(shoot, arrivals::add)) {
                while (shoot.photos().size() < PHOTOS) {
                    Arrivals next = arrivals.poll(30, TimeUnit.SECONDS);
                    assertTrue(next != null, "the others come");
                    shoot.take(next);
                }
            }
            assertEquals("day 1/p00.jpg", shoot.photos().getFirst().file());
            assertEquals("day 3/p29.jpg", shoot.photos().getLast().file());
        }
    }

    @Test
    void cardPulledOut_endsTheReadingWithAReason_andLosesNothing() throws Exception {
        try (Shoot shoot = Shoot.open(disk.over(test.folder()), test.locations())) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo photo = shoot.photos().getFirst();
            disk.pullOut();
            UnreadablePhotoException gone =
                    assertThrows(UnreadablePhotoException.class, () -> new PreviewMaker(PhotoCodecs.STANDARD)
                            .make(shoot.fileOf(photo), photo.facts().orElseThrow(), 512));
            assertEquals(Trouble.Kind.READ_FAILED, gone.trouble().kind());
            assertThrows(IOException.class, () -> shoot.look(found -> true, 10));
            TestShoot.place(shoot, photo, print, TestShoot.WISH);
            Framing placed = shoot.framing(photo);
            disk.putBack();
            assertEquals(Arrivals.NONE, shoot.look(found -> true, 10));
            new PreviewMaker(PhotoCodecs.STANDARD)
                    .make(shoot.fileOf(photo), photo.facts().orElseThrow(), 512)
                    .close();
            assertEquals(PHOTOS, shoot.photos().size());
            assertEquals(placed, shoot.framing(photo));
        }
    }
}
