package nexa.imaging.colour;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import nexa.imaging.TestPhotos;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ColourTransformTest {
    private static final ColourTransform NARROWER = ColourTransform.between(Profile.WIDE, Profile.SRGB);
    private static final ColourTransform WIDER = ColourTransform.between(Profile.SRGB, Profile.WIDE);

    private static Profile ofTheJdk(int space) {
        return Profile.of(ICC_Profile.getInstance(space).getData()).orElseThrow();
    }

    /** Against the matrices of both spaces, which share white and curve, worked out by hand from their primaries. */
    @ParameterizedTest
    @CsvSource({"255,255,255", "0,0,0", "128,128,128", "200,100,50", "30,180,90", "60,60,200", "250,240,20"})
    void sRgbToWide_isTheMatrixOfThePrimaries(int red, int green, int blue) {
        double[][] toWide = {{0.8225, 0.1774, 0.0000}, {0.0332, 0.9669, 0.0000}, {0.0171, 0.0724, 0.9108}};
        assertIsMatrix(WIDER, toWide, red, green, blue, ColourTransformTest::linear);
    }

    /** The same of opRGB (IEC 61966-2-5), which has a curve of its own. */
    @ParameterizedTest
    @CsvSource({"255,255,255", "0,0,0", "128,128,128", "180,150,120", "120,140,170", "60,60,70", "200,190,120"})
    void optionToSrgb_isTheMatrixOfThePrimaries(int red, int green, int blue) {
        double[][] toSrgb = {{1.39836, -0.39836, 0}, {0, 1, 0}, {0, -0.04293, 1.04293}};
        ColourTransform toScreen = ColourTransform.between(Profile.OPTION, Profile.SRGB);
        assertIsMatrix(toScreen, toSrgb, red, green, blue, value -> Math.pow(value / 255.0, 563 / 256.0));
    }

    /** @param toLight from a stored value to linear light */
    private static void assertIsMatrix(
            ColourTransform transform, double[][] matrix, int red, int green, int blue, IntToDoubleFunction toLight) {
        double[] light = IntStream.of(red, green, blue).mapToDouble(toLight).toArray();
        try (Picture before = new Picture(new Mat(1, 1, CV_8UC3, new Scalar(blue, green, red, 0)));
                Picture after = transform.apply(before);
                UByteIndexer pixel = after.mat().createIndexer()) {
            for (int channel = 0; channel < 3; channel++) {
                double sum = 0;
                for (int i = 0; i < 3; i++) {
                    sum += matrix[channel][i] * light[i];
                }
                assertEquals(encoded(sum), pixel.get(0, 0, 2 - channel), 1.5);
            }
        }
    }

    private static double linear(int value) {
        double v = value / 255.0;
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private static double encoded(double value) {
        return 255 * (value <= 0.0031308 ? 12.92 * value : 1.055 * Math.pow(value, 1 / 2.4) - 0.055);
    }

    @Test
    void deepPicture_thereAndBack_isTheSame() {
        try (Picture scene = TestPhotos.deepScene(80, 60);
                Picture wide = WIDER.apply(scene);
                Picture back = NARROWER.apply(wide)) {
            assertEquals(16, back.bits());
            assertTrue(TestPhotos.psnr(scene, wide) < 45, "the numbers are others");
            assertTrue(TestPhotos.psnr(scene, back) > 75, "the colours are the same");
        }
    }

    @Test
    void alpha_staysAsItIs() {
        try (Picture scene = TestPhotos.scene(40, 30);
                Mat mat = new Mat()) {
            cvtColor(scene.mat(), mat, COLOR_BGR2BGRA);
            try (Picture withAlpha = new Picture(mat.clone());
                    UByteIndexer before = withAlpha.mat().createIndexer()) {
                before.put(5, 5, 3, 77);
                try (Picture converted = NARROWER.apply(withAlpha);
                        UByteIndexer after = converted.mat().createIndexer()) {
                    assertEquals(77, after.get(5, 5, 3));
                    assertEquals(255, after.get(6, 6, 3));
                }
            }
        }
    }

    @Test
    void sRgbOfAnyMaker_changesNothing() {
        assertFalse(ColourTransform.between(ofTheJdk(ColorSpace.CS_sRGB), Profile.SRGB)
                .changes());
        assertFalse(ColourTransform.between(Profile.SRGB, Profile.SRGB).changes());
        assertTrue(NARROWER.changes());
    }

    @Test
    void greyPicture_getsColourChannels() {
        try (Picture grey =
                        new Picture(new Mat(2, 2, org.bytedeco.opencv.global.opencv_core.CV_8UC1, new Scalar(120)));
                Picture shown = ColourTransform.between(ofTheJdk(ColorSpace.CS_GRAY), Profile.SRGB)
                        .apply(grey);
                UByteIndexer pixel = shown.mat().createIndexer()) {
            assertEquals(3, shown.channels());
            assertEquals(pixel.get(0, 0, 0), pixel.get(0, 0, 2), 1);
        }
    }

    @Test
    void profile_saysWhatItIs() {
        assertEquals("sRGB", Profile.SRGB.name());
        assertEquals("Wide RGB (P3 primaries)", Profile.WIDE.name());
        assertEquals(Profile.Space.GREY, ofTheJdk(ColorSpace.CS_GRAY).space());
        assertTrue(Profile.SRGB.fits(4));
        assertFalse(Profile.SRGB.fits(1));
    }

    @Test
    void damagedProfile_isNone() {
        assertEquals(Optional.empty(), Profile.of(null));
        assertEquals(Optional.empty(), Profile.of(new byte[20]));
        assertEquals(Optional.empty(), Profile.of(new byte[5000]));
        byte[] cut = java.util.Arrays.copyOf(Profile.WIDE.bytes(), 200);
        assertEquals(Optional.empty(), Profile.of(cut));
    }
}
