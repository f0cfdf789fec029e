package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Point;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.pixel.CornerLight;
import nexa.core.pixel.FinishStep;
import nexa.core.pixel.LightStep;
import nexa.core.pixel.PixelSteps;
import nexa.core.pixel.Sharpened;
import nexa.core.trim.Bands;
import nexa.imaging.TestPhotos;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneCurve;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LightStepsTest {
    private static final CornerLight DARK = new CornerLight(-0.3, -0.1, 0.02);

    private static double light(Picture picture, int x, int y) {
        if (picture.bits() == 16) {
            try (UShortIndexer values = picture.mat().createIndexer()) {
                return ToneCurve.SRGB.toLight(values.get(y, x, 1) / 65535.0);
            }
        }
        try (UByteIndexer values = picture.mat().createIndexer()) {
            return ToneCurve.SRGB.toLight(values.get(y, x, 1) / 255.0);
        }
    }

    /** An even grey gets lighter by the formula's gain, in light and not in stored values. */
    @ParameterizedTest
    @ValueSource(ints = {8, 16})
    void evenGrey_getsTheGainInLight(int bits) {
        int type = bits == 8 ? CV_8UC3 : CV_16UC3;
        int grey = bits == 8 ? 90 : 90 * 257;
        try (Picture even = new Picture(new Mat(200, 300, type, Scalar.all(grey)));
                Picture lit = LightSteps.apply(even, Optional.empty(), List.of(DARK))) {
            double before = light(even, 0, 0);
            for (int[] place : new int[][] {{150, 100}, {0, 0}, {299, 0}, {40, 170}, {299, 199}}) {
                double right = place[0] + 0.5 - 150;
                double down = place[1] + 0.5 - 100;
                double squared = (right * right + down * down) / (150 * 150 + 100 * 100);
                double expected = before
                        / (1
                                + DARK.k1() * squared
                                + DARK.k2() * squared * squared
                                + DARK.k3() * squared * squared * squared);
                assertEquals(expected, light(lit, place[0], place[1]), bits == 8 ? 0.003 : 2e-5);
            }
        }
    }

    /** A lens that darkens and the step that gives it back leave what was there. */
    @Test
    void darkening_andItsInverse_cancelOut() {
        CornerLight lighter = new CornerLight(0.5, 0, 0);
        CornerLight darker = new CornerLight(-1 / 3.0, 0, 0);
        assertEquals(1, lighter.gain(1) * darker.gain(1), 1e-12);
        try (Picture even = new Picture(new Mat(100, 100, CV_16UC3, Scalar.all(30_000)));
                Picture both = LightSteps.apply(even, Optional.empty(), List.of(lighter, darker))) {
            assertEquals(light(even, 0, 0), light(both, 0, 0), 2e-3);
        }
    }

    @Test
    void transparency_staysAsItIs_andWhiteIsTheMost() {
        try (Picture clear = new Picture(new Mat(20, 20, CV_8UC4, new Scalar(250, 250, 250, 77)));
                Picture lit = LightSteps.apply(clear, Optional.empty(), List.of(new CornerLight(-0.9, 0, 0)));
                UByteIndexer values = lit.mat().createIndexer()) {
            assertEquals(77, values.get(0, 0, 3));
            assertEquals(255, values.get(0, 0, 0));
        }
    }

    @Test
    void withoutSteps_pixelsAreTheSame() {
        try (Picture scene = TestPhotos.scene(64, 48);
                Picture same = LightSteps.apply(scene, Optional.of(Profile.WIDE), List.of())) {
            assertEquals(scene.mat().data().address(), same.mat().data().address());
        }
    }

    /** The curve that a profile says is the one its maker meant. */
    @Test
    void curvesOfProfiles_areRead() {
        for (double value : new double[] {0, 0.02, 0.2, 0.5, 0.9, 1}) {
            assertEquals(
                    ToneCurve.SRGB.toLight(value),
                    ToneCurve.of(Optional.of(Profile.SRGB)).toLight(value),
                    1e-4);
        }
    }

    private static PixelSteps steps(List<LightStep> light, List<FinishStep> finish) {
        return new PixelSteps(light, GlowingEyes.NONE, Bands.NONE, Neutral.AS_FILED, finish);
    }

    @Test
    void keys_differExactlyWhereStepsDo() {
        assertTrue(PixelSteps.NONE.isNone() && PixelSteps.NONE.key().isEmpty());
        PixelSteps lit = steps(List.of(DARK), List.of());
        PixelSteps sharp = steps(List.of(), List.of(new Sharpened(0.6, 0.5)));
        assertEquals(
                lit.key(),
                steps(List.of(new CornerLight(-0.3, -0.1, 0.02)), List.of()).key());
        assertNotEquals(lit.key(), sharp.key());
        GlowingEyes eyes = new GlowingEyes(List.of(new GlowingEye(Point.ORIGIN, 0.01, GlowingEye.Glow.RED)));
        PixelSteps seeing = new PixelSteps(List.of(), eyes, Bands.NONE, Neutral.AS_FILED, List.of());
        PixelSteps warm = new PixelSteps(
                List.of(), GlowingEyes.NONE, Bands.NONE, Neutral.AS_FILED.withWhite(White.of(3200, 0)), List.of());
        assertTrue(!seeing.isNone() && !warm.isNone() && !seeing.key().equals(warm.key()));
        assertNotEquals(
                lit.key(),
                steps(List.of(new CornerLight(-0.3, -0.1, 0.03)), List.of()).key());
    }
}
