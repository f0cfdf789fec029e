package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeFalse;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import nexa.core.geometry.PixelSize;
import nexa.core.told.Told;
import nexa.imaging.TestPhotos;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PhotoCodecsTest {
    @TempDir
    Path folder;

    private static PhotoFacts readable(Path file) {
        return assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file))
                .facts();
    }

    private static Trouble trouble(Path file) {
        return assertInstanceOf(Probe.Unreadable.class, PhotoCodecs.STANDARD.probe(file))
                .trouble();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void probe_orientation_isAppliedToTheSize(int orientation) throws IOException {
        PhotoFacts facts = readable(TestPhotos.jpeg(folder.resolve("a.jpg"), 300, 200, orientation));
        assertEquals(new PixelSize(300, 200), facts.asShot());
        assertEquals(orientation, facts.exifOrientation());
        assertEquals(LocalDateTime.of(2026, 9, 21, 9, 12, 8), facts.taken());
    }

    @Test
    void probe_pngNamedJpg_isReadByContent() throws IOException {
        Path file = folder.resolve("wrong.jpg");
        ImageIO.write(new java.awt.image.BufferedImage(40, 30, 1), "png", file.toFile());
        assertEquals(
                new PhotoFacts(FileKind.PNG, new PixelSize(40, 30), 1, null, null, Set.of(Remark.NO_PROFILE)),
                readable(file));
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "bmp", "tiff", "jpg"})
    void probe_smallestAndStrangestSizes(String kind) throws IOException {
        for (PixelSize size : new PixelSize[] {new PixelSize(1, 1), new PixelSize(20_000, 50)}) {
            Path file = folder.resolve(size.width() + "." + kind);
            assertTrue(ImageIO.write(
                    new java.awt.image.BufferedImage(size.width(), size.height(), 1), kind, file.toFile()));
            assertEquals(size, readable(file).asShot());
        }
    }

    @Test
    void probe_emptyFile_saysSo() throws IOException {
        assertEquals(
                Trouble.Kind.EMPTY,
                trouble(Files.createFile(folder.resolve("e.jpg"))).kind());
    }

    @Test
    void probe_text_isNotAnImage() throws IOException {
        Path file = Files.writeString(folder.resolve("t.jpg"), "notes about glazes");
        assertEquals(Told.of("trouble.not-an-image"), trouble(file).told());
    }

    @Test
    void probe_missing_saysSo() {
        assertEquals(Trouble.Kind.MISSING, trouble(folder.resolve("gone.jpg")).kind());
    }

    @Test
    void probe_noPermission_saysSo() throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("p.jpg"), 30, 20, 1);
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("---------"));
        assumeFalse(Files.isReadable(file), "the user who runs the tests may read everything");
        assertEquals(Trouble.Kind.NO_PERMISSION, trouble(file).kind());
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.3, 0.5, 0.8})
    void probe_truncatedJpeg_saysHowMuchIsThere(double share) throws IOException {
        byte[] whole = Files.readAllBytes(TestPhotos.jpeg(folder.resolve("w.jpg"), 1200, 900, 1));
        Path cut = folder.resolve("cut.jpg");
        TestPhotos.write(cut, Arrays.copyOf(whole, (int) (whole.length * share)));
        Trouble trouble = trouble(cut);
        assertEquals(Trouble.Kind.TRUNCATED, trouble.kind());
        assertEquals(100 * share, trouble.percent(), 15);
        assertEquals(Told.of("trouble.truncated", trouble.percent()), trouble.told());
    }

    @Test
    void probe_truncatedInItsHeaders_isTruncatedToo() throws IOException {
        byte[] whole = Files.readAllBytes(TestPhotos.jpeg(folder.resolve("w.jpg"), 120, 90, 1));
        Path cut = TestPhotos.write(folder.resolve("cut.jpg"), Arrays.copyOf(whole, 40));
        assertEquals(new Trouble(Trouble.Kind.TRUNCATED, 0), trouble(cut));
    }

    /** As of a program that gave one of its blocks a wrong length. */
    @ParameterizedTest
    @ValueSource(ints = {1, 5, 2000})
    void jpegWithStrayBytesBetweenItsSegments_isWhole(int stray) throws IOException {
        byte[] whole = Files.readAllBytes(TestPhotos.jpeg(folder.resolve("w.jpg"), 120, 90, 1));
        int tables = place(whole, 0xDB);
        byte[] spoiled = new byte[whole.length + stray];
        System.arraycopy(whole, 0, spoiled, 0, tables);
        System.arraycopy(whole, tables, spoiled, tables + stray, whole.length - tables);
        Path file = TestPhotos.write(folder.resolve("stray.jpg"), spoiled);
        PhotoFacts facts = readable(file);
        assertEquals(Set.of(Remark.NO_PROFILE), facts.remarks());
        try (Source expected = PhotoCodecs.STANDARD.open(folder.resolve("w.jpg"), readable(folder.resolve("w.jpg")));
                Source shown = PhotoCodecs.STANDARD.open(file, facts)) {
            assertTrue(TestPhotos.psnr(expected.picture(), shown.picture()) > 90);
            assertArrayEquals(expected.metadata().exif(), shown.metadata().exif());
        }
    }

    @Test
    void probe_jpegOfTwelveBits_isNotCalledDamaged() throws IOException {
        byte[] deep = Files.readAllBytes(TestPhotos.jpeg(folder.resolve("w.jpg"), 120, 90, 1));
        deep[place(deep, 0xC0) + 4] = 12;
        Path file = TestPhotos.write(folder.resolve("deep.jpg"), deep);
        assertEquals(Trouble.Kind.UNSUPPORTED, trouble(file).kind());
    }

    private static int place(byte[] jpeg, int marker) {
        return IntStream.range(0, jpeg.length)
                .filter(i -> (jpeg[i] & 0xFF) == 0xFF && (jpeg[i + 1] & 0xFF) == marker)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void probe_jpegWithTrailingBytes_isWhole() throws IOException {
        byte[] whole = Files.readAllBytes(TestPhotos.jpeg(folder.resolve("w.jpg"), 120, 90, 1));
        Path padded = TestPhotos.write(folder.resolve("padded.jpg"), Arrays.copyOf(whole, whole.length + 5000));
        assertEquals(new PixelSize(120, 90), readable(padded).asShot());
    }

    @Test
    void probe_morePixelsThanTheLimit_areRefusedFromTheHeader() throws IOException {
        Path file = TestPhotos.write(folder.resolve("bomb.png"), pngHeader(30_000, 30_000));
        assertEquals(Trouble.Kind.TOO_LARGE, trouble(file).kind());
    }

    /** Of kinds whose only reader is the decoder, and of a cut JPEG, which is decoded to see how far it goes. */
    @ParameterizedTest
    @ValueSource(strings = {"P6\n# a note\n30000 30000\n255\n", "P5 30000 30000 255 ", "GIF89a"})
    void probe_tooManyPixels_areNeverDecoded(String beginning) throws IOException {
        byte[] start = beginning.getBytes(StandardCharsets.ISO_8859_1);
        ByteBuffer file = ByteBuffer.allocate(4000).order(java.nio.ByteOrder.LITTLE_ENDIAN);
        file.put(start);
        if (beginning.startsWith("GIF")) {
            file.putShort((short) 30_000).putShort((short) 30_000).put((byte) 0x80);
        }
        assertEquals(
                Trouble.Kind.TOO_LARGE,
                trouble(TestPhotos.write(folder.resolve("bomb"), file.array())).kind());
    }

    @Test
    void probe_cutJpegWithTooManyPixels_isNeverDecoded() throws IOException {
        byte[] small = Files.readAllBytes(TestPhotos.jpeg(folder.resolve("w.jpg"), 120, 90, 1));
        byte[] large = Arrays.copyOf(small, 2_000_000); // enough bytes for so many pixels, and no end
        ByteBuffer bytes = ByteBuffer.wrap(large);
        for (int i = 0; i < small.length - 9; i++) {
            if (bytes.getShort(i) == (short) 0xFFC0) {
                bytes.putShort(i + 5, (short) 30_000).putShort(i + 7, (short) 30_000);
            }
            if (bytes.getShort(i) == (short) 0xFFD9) {
                bytes.putShort(i, (short) 0);
            }
        }
        Arrays.fill(large, small.length - 2, small.length, (byte) 0);
        assertEquals(
                Trouble.Kind.TOO_LARGE,
                trouble(TestPhotos.write(folder.resolve("cut.jpg"), large)).kind());
    }

    @Test
    void probe_portableMapsOfAllKinds_sayTheirSize() throws IOException {
        assertSized("P4\n16 9\n", 2 * 9);
        assertSized("P5\n16 9\n255\n", 16 * 9);
        assertSized("P6 # one\n16\n# another\n9 255\n", 3 * 16 * 9);
        assertSized("P7\nWIDTH 16\nHEIGHT 9\nDEPTH 3\nMAXVAL 255\nTUPLTYPE RGB\nENDHDR\n", 3 * 16 * 9);
    }

    private void assertSized(String header, int bytes) throws IOException {
        byte[] start = header.getBytes(StandardCharsets.US_ASCII);
        Path file = TestPhotos.write(folder.resolve("map"), Arrays.copyOf(start, start.length + bytes));
        PhotoFacts facts = readable(file);
        assertEquals(new PixelSize(16, 9), facts.asShot(), header);
        assertEquals(FileKind.OTHER, facts.kind());
    }

    /** The list decides: what no codec of it takes is no photo. */
    @Test
    void probe_asksTheListInItsOrder() throws IOException {
        Path jpeg = TestPhotos.jpeg(folder.resolve("w.jpg"), 120, 90, 1);
        PhotoCodecs bitmapsOnly = new PhotoCodecs(List.of(new BmpCodec()));
        assertEquals(Probe.unreadable(Trouble.Kind.NOT_AN_IMAGE), bitmapsOnly.probe(jpeg));
        PhotoFacts facts = readable(jpeg);
        assertThrows(UnreadablePhotoException.class, () -> bitmapsOnly.open(jpeg, facts));
        PhotoCodecs otherFirst = new PhotoCodecs(List.of(new OtherCodec(), new JpegCodec()));
        assertEquals(
                FileKind.OTHER,
                ((Probe.Readable) otherFirst.probe(gif())).facts().kind());
    }

    private Path gif() throws IOException {
        Path file = folder.resolve("a.gif");
        ImageIO.write(new java.awt.image.BufferedImage(40, 30, 1), "gif", file.toFile());
        return file;
    }

    @Test
    void openedPhoto_isDecodedOnce_andNotForItsMetadata() throws IOException {
        Path jpeg = TestPhotos.jpeg(folder.resolve("w.jpg"), 120, 90, 1);
        PhotoFacts facts = readable(jpeg);
        try (OpenedPhoto photo = PhotoCodecs.STANDARD.opened(jpeg, facts, Reduced.NOT)) {
            assertNotNull(photo.metadata().exif());
            assertSame(photo.source(), photo.source());
        }
        byte[] whole = Files.readAllBytes(jpeg);
        Path headers = TestPhotos.write(folder.resolve("headers.jpg"), Arrays.copyOf(whole, whole.length / 10));
        try (OpenedPhoto photo = PhotoCodecs.STANDARD.opened(headers, facts, Reduced.NOT)) {
            assertNotNull(photo.metadata().exif(), "its pixels are not needed for that");
        }
        Path text = Files.writeString(folder.resolve("text.jpg"), "notes");
        try (OpenedPhoto photo = PhotoCodecs.STANDARD.opened(text, facts, Reduced.NOT)) {
            UnreadablePhotoException refusal = assertThrows(UnreadablePhotoException.class, photo::source);
            assertSame(refusal, assertThrows(UnreadablePhotoException.class, photo::source), "asked once");
        }
    }

    private static byte[] pngHeader(int width, int height) {
        ByteBuffer chunk = ByteBuffer.allocate(17).put("IHDR".getBytes(StandardCharsets.US_ASCII));
        chunk.putInt(width).putInt(height).put((byte) 8).put((byte) 2).put(new byte[3]);
        CRC32 crc = new CRC32();
        crc.update(chunk.array());
        ByteBuffer file = ByteBuffer.allocate(8 + 4 + 17 + 4 + 12);
        file.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        file.putInt(13).put(chunk.array()).putInt((int) crc.getValue());
        return file.putInt(0)
                .put("IEND".getBytes(StandardCharsets.US_ASCII))
                .putInt(0xAE426082)
                .array();
    }

    @Test
    void probe_randomBytesBehindASignature_neverThrows() throws IOException {
        java.util.Random random = new java.util.Random(5);
        byte[][] beginnings = {
            {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, (byte) 0xE1},
            {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10},
            {'I', 'I', 42, 0},
            {'M', 'M', 0, 42},
            {'B', 'M'}
        };
        for (int i = 0; i < 300; i++) {
            byte[] bytes = new byte[200 + random.nextInt(2000)];
            random.nextBytes(bytes);
            byte[] beginning = beginnings[i % beginnings.length];
            System.arraycopy(beginning, 0, bytes, 0, beginning.length);
            PhotoCodecs.STANDARD.probe(TestPhotos.write(folder.resolve("r.jpg"), bytes));
        }
    }
}
