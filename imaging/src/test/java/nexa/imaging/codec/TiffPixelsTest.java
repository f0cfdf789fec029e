package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.zip.DeflaterOutputStream;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Packing;
import nexa.core.geometry.Turn;
import nexa.imaging.InkMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.TiffWriter;
import nexa.imaging.TiffWriter.Directory;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.javacpp.indexer.Indexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TiffPixelsTest {
    @TempDir
    Path folder;

    private static Picture transparent() {
        Mat mat = new Mat(8, 16, CV_8UC4);
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (long y = 0; y < 8; y++) {
                for (long x = 0; x < 16; x++) {
                    pixels.put(y, x, 200, (int) (10 * x), 255, (int) (16 * x));
                }
            }
        }
        return new Picture(mat);
    }

    @ParameterizedTest
    @ValueSource(strings = {"tiff", "tiff; lzw compression", "tiff; no compression"})
    void straightAlpha_staysStraight_thereAndBack(String settings) throws IOException {
        Path file = folder.resolve("a.tif");
        try (Picture before = transparent();
                Source made = new Source(before, SourceMetadata.NONE)) {
            Files.write(file, Encoder.encode(before, made, FileSettings.parse(settings)));
            try (Source read = PhotoCodecs.STANDARD.open(file, facts(file));
                    UByteIndexer was = before.mat().createIndexer();
                    UByteIndexer is = read.picture().mat().createIndexer()) {
                assertEquals(4, read.picture().channels());
                for (long x = 0; x < 16; x++) {
                    for (long channel = 0; channel < 4; channel++) {
                        assertEquals(was.get(3, x, channel), is.get(3, x, channel), "at " + x + ", " + channel);
                    }
                }
            }
        }
    }

    @Test
    void inkValues_gainNoAlpha_andAreTold() throws IOException {
        byte[] ink = new byte[8 * 8 * 4];
        Arrays.fill(ink, (byte) 40);
        Directory first = new Directory()
                .tag(256, 8)
                .tag(257, 8)
                .tag(258, 8, 8, 8, 8)
                .tag(259, 1)
                .tag(262, 5)
                .tag(277, 4)
                .tag(278, 8)
                .data(273, 279, ink);
        Path file = Files.write(folder.resolve("ink.tif"), TiffWriter.bytes(first));
        PhotoFacts facts = facts(file);
        assertTrue(facts.remarks().contains(Remark.INK), facts::toString);
        try (Source read = PhotoCodecs.STANDARD.open(file, facts)) {
            assertEquals(3, read.picture().channels());
        }
    }

    private static final int INK_WIDTH = 60;
    private static final int INK_HEIGHT = 20;

    /** Four inks of 16 bits that rise along a row, at different speeds. */
    private static short ink(int x, int y, int ink) {
        return (short) (Math.sin(0.05 * x * (ink + 1) + 0.2 * y) * 12_000 + 14_000);
    }

    /**
     * @param differences whether each value but a row's first is told by how it differs from its neighbour, packed (predictor 2)
     * @param channels four inks, and perhaps an alpha
     */
    private Path inkTiff(boolean differences, boolean hasProfile, int channels, int orientation) throws IOException {
        ByteBuffer samples = ByteBuffer.allocate(INK_WIDTH * INK_HEIGHT * channels * Short.BYTES)
                .order(ByteOrder.LITTLE_ENDIAN);
        for (int y = 0; y < INK_HEIGHT; y++) {
            for (int x = 0; x < INK_WIDTH; x++) {
                for (int ink = 0; ink < channels; ink++) {
                    int before = differences && x > 0 ? ink(x - 1, y, ink) : 0;
                    samples.putShort((short) (ink(x, y, ink) - before));
                }
            }
        }
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (OutputStream out = differences ? new DeflaterOutputStream(packed) : packed) {
            out.write(samples.array());
        }
        Directory directory = new Directory()
                .tag(256, INK_WIDTH)
                .tag(257, INK_HEIGHT)
                .channels(channels, 16)
                .tag(259, differences ? 8 : 1)
                .tag(262, 5)
                .tag(274, orientation)
                .tag(278, INK_HEIGHT)
                .tag(317, differences ? 2 : 1)
                .data(273, 279, packed.toByteArray());
        if (channels > 4) {
            directory.tag(338, 2);
        }
        if (hasProfile) {
            directory.block(34675, InkMaker.profile());
        }
        return Files.write(folder.resolve("inks.tif"), TiffWriter.bytes(directory));
    }

    private static Picture shown(Path file) throws IOException {
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
            return source.picture().shared();
        }
    }

    /** As most programs write them. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void inksToldAsDifferences_areTheSameInks(boolean hasProfile) throws IOException {
        try (Picture expected = shown(inkTiff(false, hasProfile, 4, 1));
                Picture shown = shown(inkTiff(true, hasProfile, 4, 1))) {
            assertTrue(TestPhotos.psnr(expected, shown) > 90);
        }
    }

    @Test
    void alphaBesideInks_isLeftOut() throws IOException {
        try (Picture expected = shown(inkTiff(true, true, 4, 1));
                Picture shown = shown(inkTiff(true, true, 5, 1))) {
            assertTrue(TestPhotos.psnr(expected, shown) > 90);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {3, 5, 6})
    void inks_lieAsTheFileSays(int orientation) throws IOException {
        try (Picture stored = shown(inkTiff(false, true, 4, 1));
                Picture expected = stored.turned(Turn.ofExif(orientation));
                Picture shown = shown(inkTiff(false, true, 4, orientation))) {
            assertEquals(expected.size(), shown.size());
            assertTrue(TestPhotos.psnr(expected, shown) > 90);
        }
    }

    private static final int SIDE = 8;

    /** Red, green and blue of 16 bits that rise in different directions, and an alpha. */
    private static int sample(int x, int y, int channel) {
        return new int[] {8000 * x, 8000 * y, 4000 * (x + y), 65535}[channel];
    }

    /** @param apart whether all of one channel comes first (PlanarConfiguration 2) */
    private Path deepTiff(int channels, boolean apart, int orientation) throws IOException {
        ByteBuffer samples =
                ByteBuffer.allocate(SIDE * SIDE * channels * Short.BYTES).order(ByteOrder.LITTLE_ENDIAN);
        int plane = SIDE * SIDE;
        for (int i = 0; i < plane * channels; i++) {
            int pixel = apart ? i % plane : i / channels;
            int channel = apart ? i / plane : i % channels;
            samples.putShort((short) sample(pixel % SIDE, pixel / SIDE, channel));
        }
        Directory directory = new Directory()
                .tag(256, SIDE)
                .tag(257, SIDE)
                .channels(channels, 16)
                .tag(259, 1)
                .tag(262, 2)
                .tag(274, orientation)
                .tag(278, SIDE)
                .tag(284, apart ? 2 : 1)
                .parts(273, 279, samples.array(), apart ? channels : 1);
        if (channels == 4) {
            directory.tag(338, 2);
        }
        return Files.write(folder.resolve("deep-" + apart + ".tif"), TiffWriter.bytes(directory));
    }

    /** OpenCV gives other colours for them. */
    @ParameterizedTest
    @CsvSource({"3,1", "4,1", "3,6", "3,4"})
    void deepChannelsThatLieApart_areTheSamePicture(int channels, int orientation) throws IOException {
        Path together = deepTiff(channels, false, orientation);
        Path apart = deepTiff(channels, true, orientation);
        try (Source expected = PhotoCodecs.STANDARD.open(together, facts(together));
                Source shown = PhotoCodecs.STANDARD.open(apart, facts(apart))) {
            assertEquals(channels, shown.picture().channels());
            assertTrue(TestPhotos.psnr(expected.picture(), shown.picture()) > 90);
        }
    }

    /** As scanners' programs wrote them: a whole JPEG, told of by tags that were given up later. */
    @Test
    void jpegPackedInTheOldWay_isShown() throws IOException {
        Path jpeg = TestPhotos.jpeg(folder.resolve("in.jpg"), 64, 48, 1);
        byte[] bytes = Files.readAllBytes(jpeg);
        Directory directory = new Directory()
                .tag(256, 64)
                .tag(257, 48)
                .channels(3, 8)
                .tag(259, 6)
                .tag(262, 6)
                .tag(278, 48)
                .tag(512, 1)
                .data(273, 279, bytes)
                .data(513, 514, bytes);
        Path file = Files.write(folder.resolve("old.tif"), TiffWriter.bytes(directory));
        try (Picture expected = shown(jpeg);
                Picture shown = shown(file)) {
            assertEquals(expected.size(), shown.size());
            assertTrue(TestPhotos.psnr(expected, shown) > 35, () -> TestPhotos.psnr(expected, shown) + " dB");
        }
    }

    /** Orange, half of it to be seen. @param means what the channel beside the colours means, -1 if that is not said */
    private Picture beside(int means, int bits) throws IOException {
        double[] samples = means == 1 ? new double[] {0.5, 0.25, 0, 0.5} : new double[] {1, 0.5, 0, 0.5};
        ByteBuffer data =
                ByteBuffer.allocate(SIDE * SIDE * 4 * bits / Byte.SIZE).order(ByteOrder.LITTLE_ENDIAN);
        for (int i = 0; i < SIDE * SIDE * 4; i++) {
            long value = Math.round(samples[i % 4] * ((1 << bits) - 1));
            if (bits == 16) {
                data.putShort((short) value);
            } else {
                data.put((byte) value);
            }
        }
        Directory directory = new Directory()
                .tag(256, SIDE)
                .tag(257, SIDE)
                .channels(4, bits)
                .tag(259, 1)
                .tag(262, 2)
                .tag(278, SIDE)
                .data(273, 279, data.array());
        if (means >= 0) {
            directory.tag(338, means);
        }
        return shown(Files.write(folder.resolve("beside.tif"), TiffWriter.bytes(directory)));
    }

    private static void assertOrange(Picture shown, int channels) {
        double most = shown.bits() == 16 ? 65535 : 255;
        assertEquals(channels, shown.channels());
        try (Indexer pixels = shown.mat().createIndexer()) {
            assertEquals(0, pixels.getDouble(3, 5, 0) / most, 0.006);
            assertEquals(0.5, pixels.getDouble(3, 5, 1) / most, 0.006);
            assertEquals(1, pixels.getDouble(3, 5, 2) / most, 0.006);
            if (channels == 4) {
                assertEquals(0.5, pixels.getDouble(3, 5, 3) / most, 0.006);
            }
        }
    }

    /** Otherwise what is half to be seen would be darkened twice. */
    @ParameterizedTest
    @CsvSource({"1, 8", "1, 16", "2, 8", "2, 16"})
    void coloursMixedWithTheirAlphaOrNot_areTheSame(int means, int bits) throws IOException {
        try (Picture shown = beside(means, bits)) {
            assertOrange(shown, 4);
        }
    }

    /** A selection that somebody kept with the photo makes nothing of it transparent. */
    @ParameterizedTest
    @ValueSource(ints = {8, 16})
    void aChannelThatIsNoAlpha_isLeftOut(int bits) throws IOException {
        try (Picture shown = beside(0, bits)) {
            assertOrange(shown, 3);
        }
    }

    /** What was delivered in inks and comes back as a photo shows the colours that the press makes. */
    @ParameterizedTest
    @EnumSource(Packing.Depth.class)
    void inksWithAProfile_areShownByIt(Packing.Depth depth) throws IOException {
        Path press = Files.write(folder.resolve("press.icc"), InkMaker.profile());
        Profile inks = Profile.of(InkMaker.profile()).orElseThrow();
        FileSettings settings = new FileSettings(FileType.TIFF, 92, DeliveredColour.profile(press.toString()))
                .packed(Packing.DEFAULT.with(depth));
        try (Picture scene = TestPhotos.deepScene(120, 90);
                Source photo = new Source(scene.shared(), SourceMetadata.NONE)) {
            Path file = Files.write(folder.resolve("inks.tif"), Encoder.encode(scene, photo, settings));
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            try (InkPicture ink = ColourTransform.between(Profile.SRGB, inks).inks(scene);
                    Picture printed =
                            ColourTransform.between(inks, Profile.SRGB).shown(ink);
                    Picture meant = printed.to8Bits();
                    Source back = PhotoCodecs.STANDARD.open(file, facts);
                    Picture shown = back.picture().to8Bits()) {
                assertEquals(3, back.picture().channels());
                assertTrue(TestPhotos.psnr(meant, shown) > 40, "it shows what is printed");
                assertTrue(back.profile().isEmpty(), "which is in sRGB now");
            }
        }
    }
}
