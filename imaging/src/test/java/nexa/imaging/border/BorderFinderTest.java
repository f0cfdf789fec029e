package nexa.imaging.border;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Random;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.trim.FoundSide;
import nexa.core.trim.Side;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.core.trim.TrimRefusal;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;

/** What a border is, on pictures of known make. How many are found on photographs is measured in the benchmarks. */
class BorderFinderTest {
    private static final int WIDTH = 600;
    private static final int HEIGHT = 400;

    /** Colour at a place from the picture's centre, in pixels: of the border where the picture is not. */
    private interface Drawn {
        double[] at(double x, double y, Random random);
    }

    @Test
    void blackBars_areFoundToTheTenthOfAPixel_andNothingAtTheOtherSides() {
        TrimFinding found = find(drawn((x, y, random) -> Math.abs(y - 5) < 150 ? scene(x, y) : grey(0)));

        assertTrue(found.accepted(), found.toString());
        assertPlaces(found.trim(), -1, -145.0 / WIDTH, 1, 155.0 / WIDTH, 0.1);
        FoundSide top = found.sides().get(Side.TOP);
        assertEquals(55, top.depth(), 0.6);
        assertEquals(0, top.red());
        assertTrue(top.unevenness() < 0.5 && !top.soft());
    }

    @Test
    void noisyBorder_ofAPictureLaidCrooked_isFoundWithItsLean() {
        Tilt lean = new Tilt(1.8);
        TrimFinding found = find(drawn((x, y, random) -> {
            Point own = lean.negated().rotate(new Point(x, y));
            boolean inside = Math.abs(own.x() + 10) < 240 && Math.abs(own.y()) < 150;
            return inside ? scene(x, y) : grey(225 + 4 * random.nextGaussian());
        }));

        assertTrue(found.accepted(), found.toString());
        assertEquals(1.8, found.trim().lean().degrees(), 0.1);
        assertPlaces(found.trim(), -250.0 / WIDTH, -150.0 / WIDTH, 230.0 / WIDTH, 150.0 / WIDTH, 0.8);
    }

    @Test
    void softEdge_isFoundInItsMiddle_andSaidToBeSoft() {
        TrimFinding found = find(drawn((x, y, random) -> {
            double out = Math.max(Math.abs(x) - 240, Math.abs(y) - 150);
            return mixed(scene(x, y), grey(250), 1 / (1 + Math.exp(out / 2.4)));
        }));

        assertPlaces(found.trim(), -240.0 / WIDTH, -150.0 / WIDTH, 240.0 / WIDTH, 150.0 / WIDTH, 3);
        assertTrue(found.sides().get(Side.LEFT).soft());
    }

    @Test
    void roundCorners_areFoundWithTheirRadius() {
        double radius = 30;
        TrimFinding found = find(drawn((x, y, random) -> {
            double dx = Math.max(0, Math.abs(x) - 250 + radius);
            double dy = Math.max(0, Math.abs(y) - 160 + radius);
            return Math.hypot(dx, dy) < radius ? scene(x, y) : grey(10);
        }));

        assertTrue(found.accepted(), found.toString());
        assertEquals(radius / WIDTH, found.trim().round(), 8.0 / WIDTH);
    }

    @Test
    void transparentEdge_isABorder_alsoAtOneSide() {
        try (Mat pixels = new Mat(HEIGHT, WIDTH, CV_8UC4);
                UByteIndexer cells = pixels.createIndexer()) {
            for (int y = 0; y < HEIGHT; y++) {
                for (int x = 0; x < WIDTH; x++) {
                    double[] colour = scene(x - 300, y - 200);
                    cells.put(y, x, 0, (int) colour[0]);
                    cells.put(y, x, 1, (int) colour[1]);
                    cells.put(y, x, 2, (int) colour[2]);
                    cells.put(y, x, 3, x < 40 ? 0 : 255);
                }
            }
            TrimFinding found = BorderFinder.find(new Picture(pixels), WIDTH);
            assertTrue(found.accepted(), found.toString());
            assertEquals(40, found.sides().get(Side.LEFT).depth(), 0.6);
            assertTrue(found.sides().get(Side.LEFT).isTransparent());
        }
    }

    @Test
    void onlyOneSide_isShownButRefused() {
        TrimFinding found = find(drawn((x, y, random) -> y > -120 ? scene(x, y) : grey(250)));

        assertEquals(Optional.of(TrimRefusal.ONE_SIDE), found.refusal());
        assertTrue(found.isProposed());
    }

    @Test
    void backdropAroundAnObject_isNoBorder() {
        TrimFinding found = find(drawn((x, y, random) -> Math.hypot(x, 1.4 * y) < 180 ? scene(x, y) : grey(240)));

        assertFalse(found.accepted());
        assertFalse(found.isProposed());
        assertEquals(Optional.of(TrimRefusal.NOT_STRAIGHT), found.refusal());
    }

    @Test
    void pictureWithoutABorder_hasNone() {
        TrimFinding found = find(drawn((x, y, random) -> scene(x, y)));

        assertFalse(found.isProposed());
    }

    @Test
    void pictureOfOneColour_isLeftAlone() {
        TrimFinding found = find(drawn((x, y, random) -> grey(80)));

        assertFalse(found.isProposed());
    }

    @Test
    void tinyPictures_areLeftAlone() {
        for (int side = 1; side < 12; side++) {
            try (Picture tiny = new Picture(new Mat(side, 13 - side, CV_8UC3))) {
                assertFalse(BorderFinder.find(tiny, 12).accepted());
            }
        }
    }

    private static void assertPlaces(Trim trim, double left, double top, double right, double bottom, double pixels) {
        assertEquals(left, trim.left(), pixels / WIDTH, trim.text());
        assertEquals(top, trim.top(), pixels / WIDTH, trim.text());
        assertEquals(right, trim.right(), pixels / WIDTH, trim.text());
        assertEquals(bottom, trim.bottom(), pixels / WIDTH, trim.text());
    }

    private static TrimFinding find(Picture picture) {
        try (picture) {
            return BorderFinder.find(picture, WIDTH);
        }
    }

    private static Picture drawn(Drawn drawn) {
        Random random = new Random(7);
        Mat pixels = new Mat(HEIGHT, WIDTH, CV_8UC3);
        try (UByteIndexer cells = pixels.createIndexer()) {
            for (int y = 0; y < HEIGHT; y++) {
                for (int x = 0; x < WIDTH; x++) {
                    double[] colour = drawn.at(x + 0.5 - WIDTH / 2.0, y + 0.5 - HEIGHT / 2.0, random);
                    for (int c = 0; c < 3; c++) {
                        cells.put(y, x, c, (int) Math.clamp(Math.round(colour[c]), 0, 255));
                    }
                }
            }
        }
        return new Picture(pixels);
    }

    /** Something with texture everywhere. */
    private static double[] scene(double x, double y) {
        double wave = 40 * Math.sin(x / 9 + Math.sin(y / 23)) + 40 * Math.sin(y / 7 + x / 31);
        return new double[] {110 + wave, 120 + wave / 2 + 20 * Math.sin(x / 50), 140 - wave / 2};
    }

    private static double[] grey(double value) {
        return new double[] {value, value, value};
    }

    private static double[] mixed(double[] one, double[] other, double part) {
        return new double[] {
            one[0] * part + other[0] * (1 - part),
            one[1] * part + other[1] * (1 - part),
            one[2] * part + other[2] * (1 - part)
        };
    }
}
