package nexa.imaging.probe;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JpegSearchTest {
    private static final byte[] MOSTLY = {(byte) 0xFF, (byte) 0xD8, 0};

    @TempDir
    Path folder;

    /** Of bytes that often make a beginning, overlapping ones among them. */
    @Test
    void places_areThoseOfAPlainSearch() {
        Random random = new Random(5);
        for (int length = 0; length < 400; length++) {
            byte[] bytes = new byte[length + 3];
            for (int i = 0; i < bytes.length; i++) {
                bytes[i] = MOSTLY[random.nextInt(3)];
            }
            assertEquals(plain(bytes, length), JpegSearch.places(bytes, length));
        }
    }

    private static List<Integer> plain(byte[] bytes, int length) {
        return IntStream.range(0, Math.max(0, length - 2))
                .filter(i -> bytes[i] == MOSTLY[0] && bytes[i + 1] == MOSTLY[1] && bytes[i + 2] == MOSTLY[0])
                .boxed()
                .toList();
    }

    /** It is read in pieces of a mebibyte; a beginning may lie across two. */
    @Test
    void jpeg_isFoundWhereverItBegins() throws IOException {
        byte[] jpeg = Files.readAllBytes(TestPhotos.jpeg(folder.resolve("a.jpg"), 120, 80, 1));
        for (int at : new int[] {0, 1, (1 << 20) - 3, (1 << 20) - 2, (1 << 20) - 1, 1 << 20}) {
            byte[] file = new byte[at + jpeg.length];
            System.arraycopy(jpeg, 0, file, at, jpeg.length);
            try (SeekableByteChannel channel = Files.newByteChannel(Files.write(folder.resolve("b.raw"), file))) {
                assertEquals(
                        List.of(new EmbeddedJpeg(at, jpeg.length, new PixelSize(120, 80))), JpegSearch.in(channel));
            }
        }
    }
}
