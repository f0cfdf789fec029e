package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import nexa.imaging.TestPhotos;
import nexa.imaging.Tools;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import nexa.imaging.system.SystemLibrary;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Photos made for HDR screens, as cameras write them: their light on sRGB's curve where other screens can show it. */
class HdrPhotosTest {
    private static final int WIDTH = 320;
    private static final int HEIGHT = 240;

    /** Light of the scene's white, in cd/m²: what other screens show as it is, relative to their white of 203. */
    private static final double SCENE_WHITE = 80;

    @TempDir
    Path folder;

    private static double linear(double value) {
        return value <= 0.04045 ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
    }

    private static double curved(double light) {
        return light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    }

    /** SMPTE ST 2084, of cd/m². */
    private static double pq(double light) {
        double power = Math.pow(light / 10_000, 0.1593017578125);
        return Math.pow((0.8359375 + 18.8515625 * power) / (1 + 18.6875 * power), 78.84375);
    }

    private static Picture scene(DoubleUnaryOperator value) {
        Picture scene = TestPhotos.deepScene(WIDTH, HEIGHT);
        try (UShortIndexer pixels = scene.mat().createIndexer()) {
            for (long y = 0; y < HEIGHT; y++) {
                for (long x = 0; x < WIDTH; x++) {
                    for (long c = 0; c < 3; c++) {
                        double turned = value.applyAsDouble(pixels.get(y, x, c) / 65535.0);
                        pixels.put(y, x, c, (int) Math.round(turned * 65535));
                    }
                }
            }
        }
        return scene;
    }

    private Path png(String name, DoubleUnaryOperator value) {
        Path file = folder.resolve(name);
        try (Picture scene = scene(value)) {
            assertTrue(opencv_imgcodecs.imwrite(file.toString(), scene.mat()));
        }
        return file;
    }

    /** Coded by AV1, twelve bits without loss. */
    private Path avif(int transfer, Path png) throws IOException {
        Tools.need("avifenc");
        Path file = folder.resolve("a.avif");
        Tools.run("avifenc", "--min", 0, "--max", 0, "-d", 12, "-y", 444, "--cicp", "9/" + transfer + "/9", png, file);
        return file;
    }

    /**
     * Coded by HEVC, ten bits with halved chroma, and a small picture.
     *
     * @param said the pictures of which the file says that they are for HDR screens: 1 the photo, 2 the small one
     */
    private Path hif(Path png, Set<Integer> said) throws IOException {
        Tools.need("heif-enc");
        Path plain = folder.resolve("a.heic");
        Tools.run(
                "heif-enc",
                "-q",
                98,
                "-b",
                10,
                "-p",
                "chroma=444",
                "-t",
                64,
                "--matrix_coefficients",
                9,
                png,
                "-o",
                plain);
        return Files.write(folder.resolve("a.hif"), HeifColours.with(Files.readAllBytes(plain), 9, 16, 6, said));
    }

    private Path pq() {
        return png("pq.png", value -> pq(SCENE_WHITE * linear(value)));
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void pq_showsItsLight(boolean isHevc) throws IOException {
        assertShowsItsLight(isHevc ? hif(pq(), Set.of(1)) : avif(16, pq()), Set.of(Remark.HDR));
    }

    private static void assertShowsItsLight(Path file, Set<Remark> remarks) throws IOException {
        PhotoFacts facts = facts(file);
        assertEquals(remarks, facts.remarks());
        assertEquals(Profile.TELEVISION.name(), facts.profile());
        try (Picture expected = scene(value -> curved(SCENE_WHITE / 203 * linear(value)));
                Source source = PhotoCodecs.STANDARD.open(file, facts)) {
            assertEquals(16, source.picture().bits());
            double decibels = TestPhotos.psnr(expected, source.picture());
            assertTrue(decibels >= 45, decibels + " dB");
        }
    }

    /** @param distance how much may be lost; 0 = nothing */
    private Path jxl(String colours, double distance, Path png) throws IOException {
        assumeTrue(SystemLibrary.jxl().isPresent(), "libjxl is not installed");
        Tools.need("cjxl");
        Path file = folder.resolve("a.jxl");
        Tools.run("cjxl", png, file, "-d", distance, "-e", 3, "-x", "color_space=" + colours);
        return file;
    }

    @ParameterizedTest
    @CsvSource({"0,false", "0.1,false", "0.1,true"})
    void jpegXl_showsItsLight(double distance, boolean hasAlpha) throws IOException {
        Path png = pq();
        if (hasAlpha) {
            addAlpha(png);
        }
        Set<Remark> remarks = hasAlpha ? Set.of(Remark.HDR, Remark.NO_ALPHA) : Set.of(Remark.HDR);
        assertShowsItsLight(jxl("RGB_D65_202_Rel_PeQ", distance, png), remarks);
    }

    private static void addAlpha(Path png) {
        try (Mat three = opencv_imgcodecs.imread(png.toString(), opencv_imgcodecs.IMREAD_UNCHANGED);
                Mat four = new Mat()) {
            opencv_imgproc.cvtColor(three, four, opencv_imgproc.COLOR_BGR2BGRA);
            assertTrue(opencv_imgcodecs.imwrite(png.toString(), four));
        }
    }

    @ParameterizedTest
    @CsvSource({"RGB_D65_DCI_Rel_HLG, Wide RGB (P3 primaries)", "RGB_D65_202_Rel_HLG, Wide RGB (BT.2020 primaries)"})
    void jpegXl_namesItsColours(String colours, String profile) throws IOException {
        PhotoFacts facts = facts(jxl(colours, 1, pq()));
        assertEquals(Set.of(Remark.HDR), facts.remarks());
        assertEquals(profile, facts.profile());
    }

    @ParameterizedTest
    @ValueSource(strings = {"RGB_D65_SRG_Rel_SRG", "RGB_D65_202_Rel_SRG", "RGB_D65_SRG_Rel_Lin"})
    void jpegXlForAnyScreen_isNone(String colours) throws IOException {
        assertEquals(Set.of(), facts(jxl(colours, 1, pq())).remarks());
    }

    /** Light before the camera, and a power of how light all three are, give light on a screen (BT.2100, table 5). */
    @Test
    void hlg_showsItsLightOnAScreenOf1000() throws IOException {
        double darkened = 0.4; // HLG's values up to there are square roots of light
        Path file = avif(18, png("hlg.png", value -> darkened * value));
        PhotoFacts facts = facts(file);
        assertEquals(Set.of(Remark.HDR), facts.remarks());
        try (Picture expected = scene(value -> Math.pow(darkened * value, 2) / 3);
                Source source = PhotoCodecs.STANDARD.open(file, facts)) {
            show(expected);
            double decibels = TestPhotos.psnr(expected, source.picture());
            assertTrue(decibels >= 45, decibels + " dB");
        }
    }

    private static void show(Picture light) {
        try (UShortIndexer pixels = light.mat().createIndexer()) {
            for (long y = 0; y < HEIGHT; y++) {
                for (long x = 0; x < WIDTH; x++) {
                    double blue = pixels.get(y, x, 0) / 65535.0;
                    double green = pixels.get(y, x, 1) / 65535.0;
                    double red = pixels.get(y, x, 2) / 65535.0;
                    double gain = 1000 / 203.0 * Math.pow(0.2627 * red + 0.678 * green + 0.0593 * blue, 0.2);
                    pixels.put(y, x, value(gain * blue), value(gain * green), value(gain * red));
                }
            }
        }
    }

    private static int value(double light) {
        return (int) Math.round(65535 * curved(light));
    }

    /** One that the file does not speak of is not taken: its values may mean other light. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void smallPicture_showsWhatThePhotoShows(boolean isSaidOfBoth) throws IOException {
        Path file = hif(pq(), isSaidOfBoth ? Set.of(1, 2) : Set.of(1));
        PhotoFacts facts = facts(file);
        PreviewMaker previews = new PreviewMaker(PhotoCodecs.STANDARD);
        try (Picture whole = previews.picture(file, facts, WIDTH);
                Picture expected = whole.reducedTo(60);
                Picture small = previews.picture(file, facts, 60)) {
            assertEquals(expected.size(), small.size());
            double decibels = TestPhotos.psnr(expected, small);
            assertTrue(decibels >= 30, decibels + " dB");
        }
    }
}
