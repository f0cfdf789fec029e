package nexa.imaging.probe;

import static java.nio.file.StandardOpenOption.APPEND;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_EXIF;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwriteWithMetadata;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CarefulExifTest {
    private static final int ORIENTATION = 0x0112;
    private static final int EXIF = 0x8769;
    private static final int MAKER_NOTES = 0x927C;
    private static final int RUN_TIME = 3;
    private static final short SHORT = 3;
    private static final short LONG = 4;
    private static final short BYTES = 7;

    @TempDir
    Path base;

    private static void tag(ByteBuffer into, int tag, short type, int count, int value) {
        into.putShort((short) tag).putShort(type).putInt(count).putInt(value);
    }

    /** A photo of a phone that is to be turned by a quarter, and whose maker's notes hold a list of so many things. */
    private static byte[] exif(int bytesOfAPlace, long things) {
        byte[] list = ByteBuffer.allocate(40)
                .put("bplist00".getBytes(StandardCharsets.US_ASCII))
                .put(14, (byte) bytesOfAPlace)
                .putLong(16, things)
                .array();
        ByteBuffer notes = ByteBuffer.allocate(14 + 18 + list.length);
        notes.put("Apple iOS\0".getBytes(StandardCharsets.US_ASCII))
                .putShort((short) 1)
                .putShort((short) 0x4D4D);
        notes.putShort((short) 1);
        tag(notes, RUN_TIME, BYTES, list.length, 32);
        notes.putInt(0).put(list);
        ByteBuffer exif = ByteBuffer.allocate(8 + 30 + 18 + notes.capacity());
        exif.putInt(0x4D4D002A).putInt(8);
        exif.putShort((short) 2);
        tag(exif, ORIENTATION, SHORT, 1, 6 << 16);
        tag(exif, EXIF, LONG, 1, 38);
        exif.putInt(0);
        exif.putShort((short) 1);
        tag(exif, MAKER_NOTES, BYTES, notes.capacity(), 56);
        exif.putInt(0).put(notes.array());
        return exif.array();
    }

    private static byte[] with(byte[] jpeg, byte[] exif) {
        ByteArrayOutputStream joined = new ByteArrayOutputStream();
        joined.write(jpeg, 0, 2);
        joined.writeBytes(ByteBuffer.allocate(10)
                .putShort((short) 0xFFE1)
                .putShort((short) (8 + exif.length))
                .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII))
                .array());
        joined.writeBytes(exif);
        joined.write(jpeg, 2, jpeg.length - 2);
        return joined.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({"1, 2147483647", "4, 1152921504606846976"})
    @Timeout(60)
    void makersNotesThatTellOfMoreThanThereIs_leaveThePhotoWhatItIs(int bytesOfAPlace, long things) throws IOException {
        byte[] exif = exif(bytesOfAPlace, things);
        Path plain = TestPhotos.jpeg(base.resolve("plain.jpg"), 30, 20, 1);
        assertTurned(Files.write(base.resolve("photo.jpg"), with(Files.readAllBytes(plain), exif)));
        assertTurned(encoded("photo.png", exif));
        assertTurned(encoded("photo.webp", exif));
    }

    /** Some programs keep things of their own there. */
    @Test
    void pngWithBytesBehindItsEnd_isWhatItIs() throws IOException {
        Path file = encoded("photo.png", exif(1, 0));
        Files.write(file, "\u00ff\u00ff\u00ff\u00ffnothing of PNG".getBytes(StandardCharsets.ISO_8859_1), APPEND);
        assertTurned(file);
    }

    /** What is delivered from such a photo has the same notes. */
    private Path encoded(String name, byte[] exif) {
        Path file = base.resolve(name);
        try (Mat pixels = new Mat(20, 30, CV_8UC3, Scalar.all(90));
                Mat block = new Mat(exif);
                MatVector blocks = new MatVector(block);
                IntPointer kinds = new IntPointer(new int[] {IMAGE_METADATA_EXIF})) {
            assertTrue(imwriteWithMetadata(file.toString(), pixels, kinds, blocks));
        }
        return file;
    }

    private static void assertTurned(Path file) {
        PhotoFacts facts = assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file))
                .facts();
        assertEquals(6, facts.exifOrientation());
        assertEquals(new PixelSize(20, 30), facts.asShot());
    }
}
