package nexa.imaging.colour;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_16UC4;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.bytedeco.opencv.global.opencv_core.NORM_INF;
import static org.bytedeco.opencv.global.opencv_core.norm;
import static org.bytedeco.opencv.global.opencv_core.randu;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import nexa.imaging.Cielab;
import nexa.imaging.InkMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whole photos, converted fast, against pieces of them, converted by the engine. */
class FastColoursTest {
    private static final int WIDTH = 1100;
    private static final int HEIGHT = 1000;
    private static final int PIECE = 50;

    /** From linear sRGB to XYZ (IEC 61966-2-1). */
    private static final double[][] TO_XYZ = {
        {0.4124564, 0.3575761, 0.1804375}, {0.2126729, 0.7151522, 0.0721750}, {0.0193339, 0.1191920, 0.9503041}
    };

    static Stream<Profile> profiles() {
        return Stream.of(Profile.WIDE, Profile.TELEVISION, Profile.DEVELOPED, Profile.OPTION);
    }

    private static Picture anything() {
        short[] values = new short[WIDTH * HEIGHT * 3];
        Random random = new Random(8);
        for (int i = 0; i < values.length; i++) {
            values[i] = (short) random.nextInt(i % 7 == 0 ? 4000 : 65_536);
        }
        Mat mat = new Mat(HEIGHT, WIDTH, CV_16UC3);
        try (ShortPointer data = new ShortPointer(mat.data())) {
            data.put(values, 0, values.length);
        }
        return new Picture(mat);
    }

    private static double[] lab(short[] bgr, int at) {
        double[] xyz = new double[3];
        for (int channel = 0; channel < 3; channel++) {
            double value = (bgr[at + 2 - channel] & 0xFFFF) / 65535.0;
            double light = value <= 0.04045 ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
            for (int row = 0; row < 3; row++) {
                xyz[row] += TO_XYZ[row][channel] * light;
            }
        }
        return Cielab.of(xyz);
    }

    private static short[] values(Mat mat) {
        short[] values = new short[(int) mat.total() * 3];
        try (Mat packed = mat.clone();
                ShortPointer data = new ShortPointer(packed.data())) {
            data.get(values);
        }
        return values;
    }

    /** In CIEDE2000. */
    @ParameterizedTest
    @MethodSource("profiles")
    void wholePhotos_differFromTheEngine_byLessThanAnyEyeSees(Profile from) {
        ColourTransform transform = ColourTransform.between(from, Profile.SRGB);
        double sum = 0;
        double largest = 0;
        int count = 0;
        try (Picture whole = anything();
                Picture tabled = transform.apply(whole)) {
            for (int y = 0; y < HEIGHT; y += PIECE) {
                try (Picture piece = new Picture(whole.mat().rowRange(y, y + PIECE));
                        Picture exact = transform.apply(piece)) {
                    short[] ours = values(tabled.mat().rowRange(y, y + PIECE));
                    short[] theirs = values(exact.mat());
                    for (int i = 0; i < ours.length; i += 3 * 11) {
                        double difference = Cielab.difference(lab(ours, i), lab(theirs, i));
                        sum += difference;
                        largest = Math.max(largest, difference);
                        count++;
                    }
                }
            }
        }
        assertTrue(sum / count < 0.01, "mean " + sum / count);
        assertTrue(largest < 0.5, "largest " + largest);
    }

    @Test
    void eightBits_differByOneLevelAtMost() {
        ColourTransform transform = ColourTransform.between(Profile.WIDE, Profile.SRGB);
        byte[] values = new byte[WIDTH * HEIGHT * 3];
        new Random(4).nextBytes(values);
        try (Mat mat = new Mat(HEIGHT, WIDTH, CV_8UC3);
                BytePointer data = mat.data()) {
            data.put(values, 0, values.length);
            try (Picture whole = new Picture(mat.clone());
                    Picture tabled = transform.apply(whole)) {
                for (int y = 0; y < HEIGHT; y += PIECE) {
                    try (Picture piece = new Picture(whole.mat().rowRange(y, y + PIECE));
                            Picture exact = transform.apply(piece)) {
                        double most = norm(tabled.mat().rowRange(y, y + PIECE), exact.mat(), NORM_INF, new Mat());
                        assertTrue(most <= 1, "row " + y + ": " + most);
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void inks_areShownAsTheEngineShowsThem(boolean isDeep) {
        ColourTransform transform =
                ColourTransform.between(Profile.of(InkMaker.profile()).orElseThrow(), Profile.SRGB);
        try (InkPicture whole = new InkPicture(new Mat(HEIGHT, WIDTH, isDeep ? CV_16UC4 : CV_8UC4));
                Mat samples = whole.mat().reshape(1);
                Mat none = new Mat(new int[] {0});
                Mat beyondFull = new Mat(new int[] {isDeep ? 65_536 : 256})) {
            randu(samples, none, beyondFull);
            try (Picture tabled = transform.shown(whole)) {
                for (int y = 0; y < HEIGHT; y += 10 * PIECE) {
                    try (InkPicture piece = new InkPicture(whole.mat().rowRange(y, y + PIECE));
                            Picture exact = transform.shown(piece);
                            Picture shown = new Picture(tabled.mat().rowRange(y, y + PIECE))) {
                        assertEquals(3, shown.channels());
                        assertEquals(exact.bits(), shown.bits());
                        assertTrue(TestPhotos.psnr(exact.to8Bits(), shown.to8Bits()) > 52, "rows from " + y);
                    }
                }
            }
        }
    }

    @Test
    void linearLight_isConvertedAsExactly() {
        Profile linear = Profile.of(
                        ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData())
                .orElseThrow();
        ColourTransform transform = ColourTransform.between(linear, Profile.SRGB);
        try (Picture whole = anything();
                Picture converted = transform.apply(whole);
                Picture piece = new Picture(whole.mat().rowRange(0, PIECE));
                Picture exact = transform.apply(piece)) {
            assertTrue(norm(converted.mat().rowRange(0, PIECE), exact.mat(), NORM_INF, new Mat()) <= 8);
        }
    }

    /** For profiles made of tables; here read off a matrix, whose result is known. */
    @Test
    void table_differsByLessThanAnyEyeSees_andIsNotTakenForLinearLight() {
        ColourTable table = new ColourTable(FastColoursTest::exactly, 3, ColourTable.STEPS);
        assertTrue(table.isCloseTo(FastColoursTest::exactly, UnaryOperator.identity()));
        short[] colours = new short[300_000];
        Random random = new Random(2);
        for (int i = 0; i < colours.length; i++) {
            colours[i] = (short) random.nextInt(65_536);
        }
        short[] exact = exactly(colours);
        table.convert(colours, colours);
        double sum = 0;
        for (int i = 0; i < exact.length; i += 3) {
            double difference = Cielab.difference(lab(colours, i), lab(exact, i));
            sum += difference;
            assertTrue(difference < 0.5, "differs by " + difference);
        }
        assertTrue(sum / (exact.length / 3) < 0.01);
        UnaryOperator<short[]> fromLight = values -> converted(values, ColorSpace.CS_LINEAR_RGB);
        assertFalse(new ColourTable(fromLight, 3, ColourTable.STEPS).isCloseTo(fromLight, UnaryOperator.identity()));
    }

    private static short[] exactly(short[] colours) {
        short[] copy = colours.clone();
        ColourMatrix.between(Profile.WIDE, Profile.SRGB).orElseThrow().convert(copy, copy);
        return copy;
    }

    private static short[] converted(short[] colours, int space) {
        Profile from = Profile.of(ICC_Profile.getInstance(space).getData()).orElseThrow();
        short[] copy = colours.clone();
        ColourMatrix.between(from, Profile.SRGB).orElseThrow().convert(copy, copy);
        return copy;
    }
}
