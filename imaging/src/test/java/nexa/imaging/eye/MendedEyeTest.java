package nexa.imaging.eye;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.bytedeco.opencv.global.opencv_imgproc.FILLED;
import static org.bytedeco.opencv.global.opencv_imgproc.LINE_AA;
import static org.bytedeco.opencv.global.opencv_imgproc.circle;
import static org.bytedeco.opencv.global.opencv_imgproc.rectangle;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Point;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.Indexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MendedEyeTest {
    private static final int EDGE = 400;
    private static final Affine TO_PICTURE = Affine.scale(EDGE, EDGE).then(Affine.translation(EDGE / 2.0, 150));

    /** Skin, white of the eye, a blue iris, a pupil of some colour and a highlight, about the middle. */
    private static Picture eye(int type, Scalar pupil) {
        double unit = type == CV_16UC3 ? 257 : 1;
        Mat mat = new Mat(300, EDGE, type, times(new Scalar(120, 150, 200, 90), unit));
        disc(mat, 70, times(new Scalar(220, 225, 230, 90), unit));
        disc(mat, 40, times(new Scalar(130, 90, 60, 90), unit));
        disc(mat, 20, times(pupil, unit));
        try (var centre = new org.bytedeco.opencv.opencv_core.Point(206, 144)) {
            circle(mat, centre, 5, times(new Scalar(250, 250, 250, 90), unit), FILLED, LINE_AA, 0);
        }
        return new Picture(mat);
    }

    private static Scalar times(Scalar colour, double unit) {
        return new Scalar(colour.get(0) * unit, colour.get(1) * unit, colour.get(2) * unit, colour.get(3) * unit);
    }

    private static void disc(Mat mat, int radius, Scalar colour) {
        try (var centre = new org.bytedeco.opencv.opencv_core.Point(200, 150)) {
            circle(mat, centre, radius, colour, FILLED, LINE_AA, 0);
        }
    }

    private static double[] at(Picture picture, int x, int y) {
        double unit = picture.bits() == 16 ? 257 : 1;
        try (Indexer values = picture.mat().createIndexer()) {
            return new double[] {
                values.getDouble(y, x, 0) / unit, values.getDouble(y, x, 1) / unit, values.getDouble(y, x, 2) / unit
            };
        }
    }

    private static GlowingEyes around(Point centre, double pixels, Glow glow, double strength) {
        return new GlowingEyes(List.of(new GlowingEye(centre.times(1.0 / EDGE), pixels / EDGE, glow, strength)));
    }

    static int[] kinds() {
        return new int[] {CV_8UC3, CV_16UC3, CV_8UC4};
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void redPupil_isDrained_itsHighlightAndTheIrisStay(int type) {
        try (Picture picture = eye(type, new Scalar(50, 40, 210, 90));
                Picture before = new Picture(picture.mat().clone())) {
            MendedEye.mend(picture, around(new Point(4, -3), 55, Glow.RED, 1), TO_PICTURE);
            double[] pupil = at(picture, 194, 158);
            assertEquals(pupil[0], pupil[2], 2);
            assertTrue(pupil[2] < 60, "dark: " + pupil[2]);
            assertTrue(at(picture, 206, 144)[1] > 235, "the highlight stays");
            for (int[] place : new int[][] {{232, 150}, {200, 118}, {145, 150}, {20, 20}}) {
                assertEquals(
                        at(before, place[0], place[1])[2], at(picture, place[0], place[1])[2], "iris, white, skin");
            }
        }
    }

    /** As a corner of the lids that is nearly as red as the glow, and touches it. */
    @Test
    void redSkinBesideThePupil_stays() {
        try (Picture picture = eye(CV_8UC3, new Scalar(40, 40, 210, 0));
                var from = new org.bytedeco.opencv.opencv_core.Point(218, 148);
                var to = new org.bytedeco.opencv.opencv_core.Point(248, 152);
                Scalar skin = new Scalar(90, 90, 190, 0)) {
            rectangle(picture.mat(), from, to, skin, FILLED, LINE_AA, 0);
            MendedEye.mend(picture, around(Point.ORIGIN, 55, Glow.RED, 1), TO_PICTURE);
            assertTrue(at(picture, 194, 158)[2] < 60, "dark: " + at(picture, 194, 158)[2]);
            assertEquals(190, at(picture, 235, 150)[2]);
        }
    }

    @Test
    void nothingOutsideTheCircle_changes() {
        try (Picture picture = eye(CV_8UC3, new Scalar(50, 40, 210, 0));
                Picture before = new Picture(picture.mat().clone())) {
            MendedEye.mend(picture, around(new Point(8, 0), 16, Glow.RED, 1), TO_PICTURE);
            for (int y = 0; y < 300; y++) {
                for (int x = 0; x < EDGE; x++) {
                    if (Math.hypot(x + 0.5 - 208, y + 0.5 - 150) > 16) {
                        assertEquals(at(before, x, y)[2], at(picture, x, y)[2]);
                    }
                }
            }
        }
    }

    @Test
    void strength_isHowMuchOfItGoes() {
        try (Picture half = eye(CV_8UC3, new Scalar(50, 40, 210, 0));
                Picture none = eye(CV_8UC3, new Scalar(50, 40, 210, 0))) {
            MendedEye.mend(half, around(Point.ORIGIN, 55, Glow.RED, 0.5), TO_PICTURE);
            MendedEye.mend(none, around(Point.ORIGIN, 55, Glow.RED, 0), TO_PICTURE);
            assertTrue(at(half, 194, 158)[2] > 80 && at(half, 194, 158)[2] < 170);
            assertEquals(210, at(none, 194, 158)[2]);
        }
    }

    /** A cat's: yellow and brighter than its iris. */
    @Test
    void brightPupil_ofAnAnimal_isDarkened() {
        try (Picture picture = eye(CV_8UC3, new Scalar(110, 240, 235, 0))) {
            disc(picture.mat(), 70, new Scalar(60, 70, 80, 0));
            disc(picture.mat(), 40, new Scalar(60, 90, 90, 0));
            disc(picture.mat(), 20, new Scalar(110, 240, 235, 0));
            MendedEye.mend(picture, around(Point.ORIGIN, 55, Glow.BRIGHT, 1), TO_PICTURE);
            assertTrue(at(picture, 200, 150)[1] < 60, "dark: " + at(picture, 200, 150)[1]);
            assertEquals(90, at(picture, 232, 150)[1], "the iris stays");
        }
    }

    @Test
    void whatDoesNotGlow_stays() {
        try (Picture dark = eye(CV_8UC3, new Scalar(30, 30, 30, 0));
                Picture grey = new Picture(new Mat(300, EDGE, CV_8UC1, Scalar.all(90)))) {
            assertTrue(MendedEye.of(dark, around(Point.ORIGIN, 55, Glow.RED, 1), TO_PICTURE)
                    .isEmpty());
            assertTrue(MendedEye.of(grey, around(Point.ORIGIN, 55, Glow.RED, 1), TO_PICTURE)
                    .isEmpty());
            assertTrue(MendedEye.of(dark, around(new Point(4000, 0), 55, Glow.RED, 1), TO_PICTURE)
                    .isEmpty());
        }
    }
}
