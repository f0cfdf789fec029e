package nexa.imaging.border;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.geometry.Gaps.Gap;
import nexa.core.geometry.Tilt;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Bands of one colour between pictures. */
class BandFinderTest {
    private static final int WIDTH = 1400;
    private static final int HEIGHT = 900;
    private static final double EXACT = 1e-9;

    private interface Light {
        /** Empty colour 255; else what a picture has there. */
        boolean isBand(int x, int y);
    }

    private static Bands found(Light light, int band, Trim trim) {
        Mat pixels = new Mat(HEIGHT, WIDTH, CV_8UC3);
        try (UByteIndexer cells = pixels.createIndexer();
                Picture picture = new Picture(pixels)) {
            for (int y = 0; y < HEIGHT; y++) {
                for (int x = 0; x < WIDTH; x++) {
                    for (int c = 0; c < 3; c++) {
                        double value = light.isBand(x, y)
                                ? band + (x * 7 + y * 13) % 5
                                : 120 + 45 * Math.sin(x / 19.0 + c) + 45 * Math.sin(y / 17.0);
                        cells.put(y, x, c, (int) value);
                    }
                }
            }
            return BandFinder.find(picture, trim);
        }
    }

    private static void assertGap(int from, int to, int side, Gap gap) {
        assertEquals((from - side / 2.0) / WIDTH, gap.from(), EXACT);
        assertEquals((to - side / 2.0) / WIDTH, gap.to(), EXACT);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 128, 248})
    void bandsBothWays_areFoundToThePixel_whateverTheirColour(int colour) {
        Bands bands = found((x, y) -> x >= 500 && x < 533 || y >= 610 && y < 631, colour, Trim.NONE);
        assertEquals(2, bands.count());
        assertGap(500, 533, WIDTH, bands.across().all().getFirst());
        assertGap(610, 631, HEIGHT, bands.down().all().getFirst());
    }

    @Test
    void insideATrim_theBorderAroundIsNoBand() {
        Trim trim = new Trim(
                (40 - 700) / 1400.0, (50 - 450) / 1400.0, (1360 - 700) / 1400.0, (860 - 450) / 1400.0, Tilt.NONE, 0);
        Light scan = (x, y) -> x < 40 || x >= 1360 || y < 50 || y >= 860 || x >= 690 && x < 716;
        Bands bands = found(scan, 245, trim);
        assertEquals(1, bands.count());
        assertGap(690, 716, WIDTH, bands.across().all().getFirst());
        assertEquals(Bands.NONE, found(scan, 245, trim.leaning(new Tilt(1))));
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "2, 300", "3000, 4", "20, 9", "400, 100"})
    void narrowPhotos_alsoTrimmedToWhatTheyHaveNot_haveNone(int width, int height) {
        try (Scalar grey = new Scalar(90, 90, 90, 0);
                Picture narrow = new Picture(new Mat(height, width, CV_8UC3, grey))) {
            assertEquals(Bands.NONE, BandFinder.find(narrow, Trim.NONE));
            assertEquals(Bands.NONE, BandFinder.find(narrow, new Trim(0.3, 0.3, 0.4, 0.4, Tilt.NONE, 0)));
        }
    }

    @Test
    void bordersAndThingsOnABackdrop_haveNone() {
        for (Light none : List.<Light>of(
                (x, y) -> x < 60,
                (x, y) -> false,
                (x, y) -> true,
                (x, y) -> Math.hypot(x - 350, y - 450) > 260 && Math.hypot(x - 1050, y - 450) > 260,
                (x, y) -> x >= 500 && x < 533 && y < 700,
                (x, y) -> x >= 300 && x < 900)) {
            assertTrue(found(none, 240, Trim.NONE).isNone());
        }
    }
}
