package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.flip;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.getRotationMatrix2D;
import static org.bytedeco.opencv.global.opencv_imgproc.warpAffine;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is level though no edge says so; how often it is found on photographs is measured in the bench. */
class FaintLevelTest {
    private static final int WIDTH = 960;
    private static final int HEIGHT = 640;

    /** Two greys with grain, the first one above a boundary. */
    private static Picture boundary(DoubleUnaryOperator height, double above, double below) {
        Random random = new Random(3);
        Mat mat = new Mat(HEIGHT, WIDTH, CV_8UC1);
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (int y = 0; y < HEIGHT; y++) {
                for (int x = 0; x < WIDTH; x++) {
                    double grey = y + 0.5 < height.applyAsDouble(x + 0.5) ? above : below;
                    pixels.put(y, x, (int) Math.round(grey + 2 * random.nextGaussian()));
                }
            }
        }
        return new Picture(mat);
    }

    @ParameterizedTest
    @CsvSource({"0, 300", "2.3, 200", "-7, 420", "4, 330"})
    void horizonOfAHazySea_isFound(double lean, double middle) {
        double slope = Math.tan(Math.toRadians(lean));
        try (Picture sea = boundary(x -> middle + slope * (x - WIDTH / 2.0), 150, 145)) {
            LevelLine line = HorizonFinder.find(sea).orElseThrow();
            assertEquals(lean, line.lean(), 0.15);
            Point on = line.from().plus(line.to()).times(0.5);
            assertEquals(middle, on.y(), 3);
        }
    }

    @Test
    void hills_areNoHorizon() {
        try (Picture hills = boundary(x -> 300 + 40 * Math.sin(x / 90), 150, 120)) {
            assertEquals(Optional.empty(), HorizonFinder.find(hills));
        }
    }

    @Test
    void grainAlone_isNeither() {
        try (Picture plain = boundary(x -> 0, 150, 150)) {
            assertEquals(Optional.empty(), HorizonFinder.find(plain));
            assertEquals(Optional.empty(), MirrorFinder.find(plain));
        }
    }

    /** Soft spots of any grey. */
    private static Mat spots(int height) {
        Random random = new Random(5);
        Mat mat = new Mat(height, WIDTH, CV_8UC1);
        try (UByteIndexer pixels = mat.createIndexer();
                Size any = new Size(0, 0)) {
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < WIDTH; x++) {
                    pixels.put(y, x, random.nextInt(256));
                }
            }
            GaussianBlur(mat, mat, any, 14);
        }
        mat.convertTo(mat, -1, 8, -128 * 7);
        return mat;
    }

    /** The spots above their duller mirror image, turned clockwise. */
    private static Picture mirrored(double degrees) {
        try (Mat above = spots(HEIGHT / 2);
                Mat below = new Mat();
                Mat both = new Mat(HEIGHT, WIDTH, CV_8UC1);
                Rect upper = new Rect(0, 0, WIDTH, HEIGHT / 2);
                Rect lower = new Rect(0, HEIGHT / 2, WIDTH, HEIGHT / 2);
                Mat top = new Mat(both, upper);
                Mat foot = new Mat(both, lower);
                Point2f middle = new Point2f(WIDTH / 2f, HEIGHT / 2f);
                Mat way = getRotationMatrix2D(middle, -degrees, 1);
                Scalar none = new Scalar()) {
            flip(above, below, 0);
            below.convertTo(below, -1, 0.7, 30);
            above.copyTo(top);
            below.copyTo(foot);
            Mat turned = new Mat();
            warpAffine(both, turned, way, both.size(), INTER_CUBIC, BORDER_REPLICATE, none);
            return new Picture(turned);
        }
    }

    @ParameterizedTest
    @CsvSource({"0", "2.5", "-6.2"})
    void mirrorOfWater_isFound(double lean) {
        try (Picture lake = mirrored(lean)) {
            LevelLine line = MirrorFinder.find(lake).orElseThrow();
            assertEquals(lean, line.lean(), 0.2);
            assertTrue(line.length() >= 0.95 * WIDTH);
            assertTrue(LineDetector.segments(lake, 2).contains(line.times(2)));
        }
    }

    @Test
    void spotsThatAreNotMirrored_haveNoAxis() {
        try (Picture spots = new Picture(spots(HEIGHT))) {
            assertEquals(Optional.empty(), MirrorFinder.find(spots));
        }
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "3, 700", "700, 3", "17, 16", "5, 4"})
    void pictureOfAnySize_isLookedAt(int width, int height) {
        try (Picture plain = new Picture(new Mat(height, width, CV_8UC1, Scalar.all(90)))) {
            assertEquals(Optional.empty(), HorizonFinder.find(plain));
            assertEquals(Optional.empty(), MirrorFinder.find(plain));
        }
    }
}
