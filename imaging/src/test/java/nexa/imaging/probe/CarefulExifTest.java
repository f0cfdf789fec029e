package nexa.imaging.probe;

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
import org.junit.jupiter.api.io.TempDir;

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

    /** A photo of a phone that is to be turned by a quarter, and whose maker's notes hold a list of two billion things. */
    private static byte[] exif() {
        byte[] list = ByteBuffer.allocate(40)
                .put("bplist00".getBytes(StandardCharsets.US_ASCII))
                .put(14, (byte) 1)
                .putLong(16, Integer.MAX_VALUE)
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

    private static PhotoFacts facts(Path file) {
        return assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file))
                .facts();
    }

    @Test
    void makersNotesThatTellOfMoreThanThereIs_leaveThePhotoWhatItIs() throws IOException {
        Path plain = TestPhotos.jpeg(base.resolve("plain.jpg"), 30, 20, 1);
        Path photo = Files.write(base.resolve("photo.jpg"), with(Files.readAllBytes(plain), exif()));
        assertEquals(6, facts(photo).exifOrientation());
        assertEquals(new PixelSize(20, 30), facts(photo).asShot());
    }

    /** What is delivered from such a photo has the same notes. */
    @Test
    void webpWithSuchNotes_isWhatItIsToo() throws IOException {
        Path file = base.resolve("photo.webp");
        try (Mat pixels = new Mat(20, 30, CV_8UC3, Scalar.all(90));
                Mat exif = new Mat(exif());
                MatVector blocks = new MatVector(exif);
                IntPointer kinds = new IntPointer(new int[] {IMAGE_METADATA_EXIF})) {
            assertTrue(imwriteWithMetadata(file.toString(), pixels, kinds, blocks));
        }
        assertEquals(6, facts(file).exifOrientation());
        assertEquals(new PixelSize(20, 30), facts(file).asShot());
    }
}
