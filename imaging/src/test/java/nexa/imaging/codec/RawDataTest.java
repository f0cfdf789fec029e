package nexa.imaging.codec;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.neutral.Neutral;
import nexa.imaging.RawMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneTable;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.neutral.GreySpot;
import nexa.imaging.neutral.Neutralizer;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Brightness;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.source.Source;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Sensor data of a camera whose colours are known shows those colours. */
class RawDataTest {
    private static final int WIDTH = 320;
    private static final int HEIGHT = 240;

    /** Four fields: a quarter of full red, green and blue with some of the others, and grey. */
    private static final RawMaker.Light FIELDS = (x, y) -> x < 0.5
            ? y < 0.5 ? new double[] {0.25, 0.05, 0.05} : new double[] {0.05, 0.25, 0.05}
            : y < 0.5 ? new double[] {0.05, 0.05, 0.25} : new double[] {0.2, 0.2, 0.2};

    @TempDir
    Path folder;

    @BeforeEach
    void needLibrary() {
        assumeTrue(RawDataCodec.isThere(), "LibRaw is not installed");
    }

    private Path write(byte[] raw) throws IOException {
        return Files.write(folder.resolve("a.dng"), raw);
    }

    private static PhotoFacts developed(Path file) {
        return assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.developed(file))
                .facts();
    }

    /** In sRGB, 8 bits, and as shot. */
    private static Picture shown(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        try (Source source = PhotoCodecs.STANDARD.open(file, facts, reduction);
                Picture turned = source.picture().turned(facts.decodedToAsShot())) {
            assertEquals(16, turned.bits());
            ColourTransform toScreen = ColourTransform.between(source.profile().orElseThrow(), Profile.SRGB);
            try (Picture converted = toScreen.apply(turned)) {
                return converted.to8Bits();
            }
        }
    }

    /** Red, green, blue of sRGB at a place, 0 to 1 each way. */
    private static int[] colour(Picture picture, double x, double y) {
        try (UByteIndexer pixels = picture.mat().createIndexer()) {
            long column = (long) (x * picture.size().width());
            long row = (long) (y * picture.size().height());
            return new int[] {pixels.get(row, column, 2), pixels.get(row, column, 1), pixels.get(row, column, 0)};
        }
    }

    private static int encoded(double light) {
        return (int) Math.round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055));
    }

    private static void assertField(Picture shown, double x, double y, double... light) {
        int[] colour = colour(shown, x, y);
        for (int channel = 0; channel < 3; channel++) {
            assertEquals(encoded(light[channel]), colour[channel], 3, "channel " + channel + " at " + x + ", " + y);
        }
    }

    @ParameterizedTest
    @CsvSource({"RGGB,16", "BGGR,16", "GRBG,16", "GBRG,16", "RGGB,12", "RGGB,14"})
    void knownLight_showsItsColours_inEveryPatternAndDepth(String pattern, int bits) throws IOException {
        Path file = write(RawMaker.of(WIDTH, HEIGHT)
                .pattern(pattern)
                .bits(bits)
                .black(bits == 16 ? 1000 : 60)
                .bytes(FIELDS));
        PhotoFacts facts = developed(file);
        assertEquals(FileKind.RAW_DATA, facts.kind());
        assertEquals(Set.of(Remark.SENSOR_DATA), facts.remarks());
        for (Reduction reduction : new Reduction[] {Reduction.NONE, Reduction.HALF}) {
            try (Picture shown = shown(file, facts, reduction)) {
                assertField(shown, 0.25, 0.25, 0.25, 0.05, 0.05);
                assertField(shown, 0.25, 0.75, 0.05, 0.25, 0.05);
                assertField(shown, 0.75, 0.25, 0.05, 0.05, 0.25);
                assertField(shown, 0.75, 0.75, 0.2, 0.2, 0.2);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 6, 8})
    void turnedRaw_isAsShot(int orientation) throws IOException {
        Path file = write(RawMaker.of(WIDTH, HEIGHT).orientation(orientation).bytes(FIELDS));
        PhotoFacts facts = developed(file);
        try (Picture shown = shown(file, facts, Reduction.NONE)) {
            assertEquals(facts.asShot(), shown.size());
            boolean isUpright = orientation == 6 || orientation == 8;
            assertEquals(isUpright, facts.asShot().height() > facts.asShot().width());
            double[] red =
                    switch (orientation) {
                        case 3 -> new double[] {0.75, 0.75};
                        case 6 -> new double[] {0.75, 0.25};
                        case 8 -> new double[] {0.25, 0.75};
                        default -> new double[] {0.25, 0.25};
                    };
            assertField(shown, red[0], red[1], 0.25, 0.05, 0.05);
        }
    }

    /** The camera took daylight for white, but the light was a lamp's: its own multipliers give back what was there. */
    @Test
    void neutralOfAGreyField_isMadeByTheSensorsOwnMultipliers() throws IOException {
        RawMaker.Light underLamp = (x, y) -> {
            double[] light = FIELDS.at(x, y);
            return new double[] {light[0], 0.7 * light[1], 0.4 * light[2]};
        };
        Path file = write(RawMaker.of(WIDTH, HEIGHT).bytes(underLamp));
        PhotoFacts facts = developed(file);
        try (Source source = PhotoCodecs.STANDARD.open(file, facts, Reduction.NONE)) {
            GreySpot grey = GreySpot.at(source.picture(), source.profile(), 240, 180, 5);
            Neutral neutral = Neutral.AS_FILED.picked(grey.white(), Point.ORIGIN);
            PictureLight light =
                    new PictureLight(source.profile(), facts.camera().receptors());
            assertArrayEquals(
                    new double[] {0.7, 1, 0.7 / 0.4}, LinearRgb.multipliers(grey.white(), light.receptors()), 0.01);
            new Neutralizer(neutral, light).apply(source.picture());
            double[] red = ratios(source, 0.25, 0.25);
            double[] green = ratios(source, 0.25, 0.75);
            double[] blue = ratios(source, 0.75, 0.25);
            assertArrayEquals(new double[] {1.25, 0.25, 0.25}, red, 0.01);
            assertArrayEquals(new double[] {0.25, 1.25, 0.25}, green, 0.01);
            assertArrayEquals(new double[] {0.25, 0.25, 1.25}, blue, 0.01);
        }
    }

    /** Light of a place in linear sRGB, by that of the grey field. */
    private static double[] ratios(Source source, double x, double y) {
        LinearRgb developed = LinearRgb.of(source.profile());
        double[] grey = light(source, 0.75, 0.75);
        double[] light = light(source, x, y);
        double[] xyz = developed.toXyz(light[0], light[1], light[2]);
        double luminance = developed.toXyz(grey[0], grey[1], grey[2])[1];
        return Arrays.stream(LinearRgb.of(Optional.empty()).ofXyz(xyz))
                .map(part -> part / luminance)
                .toArray();
    }

    private static double[] light(Source source, double x, double y) {
        ToneTable tones = new ToneTable(16, source.profile());
        try (UShortIndexer pixels = source.picture().mat().createIndexer()) {
            int[] bgr = new int[3];
            pixels.get((long) (y * HEIGHT), (long) (x * WIDTH), bgr);
            return new double[] {tones.toLight(bgr[2]), tones.toLight(bgr[1]), tones.toLight(bgr[0])};
        }
    }

    @Test
    void cameraWhite_isTakenOut() throws IOException {
        Path file = write(RawMaker.of(WIDTH, HEIGHT).white(0.5, 1, 0.7).bytes(FIELDS));
        try (Picture shown = shown(file, developed(file), Reduction.NONE)) {
            int[] grey = colour(shown, 0.75, 0.75);
            assertEquals(grey[1], grey[0], 3);
            assertEquals(grey[1], grey[2], 3);
        }
    }

    @Test
    void lights_areWhiteAndNotMagenta() throws IOException {
        Path file = write(RawMaker.of(WIDTH, HEIGHT)
                .white(0.5, 1, 0.7)
                .bytes((x, y) -> x < 0.5 ? new double[] {0.2, 0.2, 0.2} : new double[] {3, 3, 3}));
        try (Picture shown = shown(file, developed(file), Reduction.NONE)) {
            int[] light = colour(shown, 0.75, 0.5);
            assertEquals(255, light[1], 2);
            assertEquals(light[1], light[0], 2);
            assertEquals(light[1], light[2], 2);
        }
    }

    @Test
    void picture_isAsLightAsTheCameraShowedIt() throws IOException {
        try (Picture camera = TestPhotos.scene(1200, 900)) {
            byte[] jpeg = Encoder.plainJpeg(camera, 92);
            Path file = write(RawMaker.of(WIDTH, HEIGHT).preview(jpeg).bytes(FIELDS));
            PhotoFacts facts = developed(file);
            try (Source source = PhotoCodecs.STANDARD.open(file, facts);
                    Picture eight = source.picture().to8Bits()) {
                assertEquals(Brightness.of(camera), Brightness.of(eight), 0.01);
            }
            assertEquals(
                    new PixelSize(1200, 900),
                    ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts().asShot(),
                    "otherwise it is the camera's picture");
        }
    }

    /** Of 3:2 in a small picture of 4:3, as many cameras have it. */
    @Test
    void howLight_isSeenInTheSmallestPicture_withoutItsBars() throws IOException {
        try (Picture scene = TestPhotos.scene(1200, 800);
                Picture bars = new Picture(new Mat(120, 160, CV_8UC3, new Scalar(0)));
                Picture lit = scene.reducedTo(160);
                Mat middle = bars.mat().rowRange(6, 113)) {
            lit.mat().copyTo(middle);
            Path file = write(RawMaker.of(WIDTH, WIDTH * 2 / 3)
                    .preview(Encoder.plainJpeg(scene, 92))
                    .preview(Encoder.plainJpeg(bars, 92))
                    .bytes(FIELDS));
            PhotoFacts facts = developed(file);
            try (Source source = PhotoCodecs.STANDARD.open(file, facts);
                    Picture eight = source.picture().to8Bits()) {
                assertEquals(Brightness.of(scene), Brightness.of(eight), 0.01);
            }
        }
    }

    /** Of waves as fine as the smaller picture holds them. */
    @Test
    void whatIsMadeSmaller_isDevelopedInFull_andLooksAsDevelopedWithMoreCare() throws IOException {
        Path file = write(RawMaker.of(WIDTH, HEIGHT).bytes((x, y) -> {
            double wave = 0.25 + 0.2 * Math.sin(60 * Math.PI * x) * Math.sin(40 * Math.PI * y);
            return new double[] {wave, wave, 0.8 * wave};
        }));
        PhotoFacts facts = developed(file);
        try (Picture careful = toReduce(file, facts, Reduced.NOT);
                Picture quick = toReduce(file, facts, new Reduced(2, Reduction.NONE));
                Picture cells = shown(file, facts, Reduction.HALF);
                Picture smallCareful = careful.reducedTo(WIDTH / 2);
                Picture smallQuick = quick.reducedTo(WIDTH / 2)) {
            assertEquals(new PixelSize(WIDTH, HEIGHT), quick.size());
            double difference = TestPhotos.psnr(smallCareful, smallQuick);
            assertTrue(difference > 40, difference + " dB");
            assertTrue(
                    TestPhotos.psnr(smallCareful, cells) < difference - 6, "a pixel for each cell does not do as well");
            assertTrue(Double.isFinite(TestPhotos.psnr(careful, quick)), "the quicker way is another");
        }
    }

    private static Picture toReduce(Path file, PhotoFacts facts, Reduced reduced) throws UnreadablePhotoException {
        try (OpenedPhoto photo = PhotoCodecs.STANDARD.opened(file, facts, reduced)) {
            ColourTransform toScreen =
                    ColourTransform.between(photo.source().profile().orElseThrow(), Profile.SRGB);
            try (Picture converted = toScreen.apply(photo.source().picture())) {
                return converted.to8Bits();
            }
        }
    }

    @Test
    void rawWithoutPreview_isDeveloped() throws IOException {
        Path file = write(RawMaker.of(WIDTH, HEIGHT).bytes(FIELDS));
        Probe probe = PhotoCodecs.STANDARD.probe(file);
        assertEquals(
                FileKind.RAW_DATA,
                assertInstanceOf(Probe.Readable.class, probe).facts().kind());
    }

    @Test
    void cutRaw_isRefused_andNeverBlack() throws IOException {
        byte[] whole = RawMaker.of(WIDTH, HEIGHT).bytes(FIELDS);
        Path file = write(Arrays.copyOf(whole, whole.length / 2));
        if (PhotoCodecs.STANDARD.developed(file) instanceof Probe.Readable readable) {
            try (Source source = PhotoCodecs.STANDARD.open(file, readable.facts())) {
                throw new AssertionError("it shows " + source.picture().size());
            } catch (UnreadablePhotoException refused) {
                assertEquals(Trouble.Kind.DAMAGED, refused.trouble().kind());
            }
        }
    }

    @Test
    void blackRaw_isRefused() throws IOException {
        Path file = write(RawMaker.of(WIDTH, HEIGHT).bytes((x, y) -> new double[3]));
        PhotoFacts facts = developed(file);
        UnreadablePhotoException refused =
                assertThrows(UnreadablePhotoException.class, () -> PhotoCodecs.STANDARD.open(file, facts));
        assertEquals(Trouble.Kind.DAMAGED, refused.trouble().kind());
    }

    @Test
    void otherFiles_areWhatTheyAre() throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("a.jpg"), 120, 80, 1);
        assertEquals(PhotoCodecs.STANDARD.probe(file), PhotoCodecs.STANDARD.developed(file));
    }
}
