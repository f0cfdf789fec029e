package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.TestPhotos;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SinglePassTest {
    private static final double IDENTICAL = 300;

    private static Mapping whole(PixelSize size, Pose pose, Turn exif, PixelSize output) {
        PhotoSpace space = new PhotoSpace(size, pose);
        double longEdge = size.longEdge();
        PixelSize upright = space.upright();
        Frame frame = new Frame(0, 0, upright.width() / longEdge, upright.height() / longEdge);
        return space.outputToStored(exif, frame, output);
    }

    @Test
    void render_wholeUntouchedPhoto_copiesEveryPixel() {
        try (Picture scene = TestPhotos.scene(301, 200)) {
            Mapping map = whole(scene.size(), Pose.AS_SHOT, Turn.NONE, scene.size());
            try (Picture rendered = SinglePass.render(scene, map, scene.size())) {
                assertTrue(TestPhotos.psnr(scene, rendered) > IDENTICAL);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void render_turns_moveWholePixels(int orientation) {
        Turn exif = Turn.ofExif(orientation);
        try (Picture scene = TestPhotos.scene(120, 81);
                Picture stored = scene.turned(exif.inverse())) {
            Mapping map = whole(scene.size(), Pose.AS_SHOT, exif, scene.size());
            try (Picture rendered = SinglePass.render(stored, map, scene.size())) {
                assertTrue(TestPhotos.psnr(scene, rendered) > IDENTICAL);
            }
        }
    }

    /** A smooth scene at any size is the same scene, so a tilted crop can be compared with its formula. */
    @ParameterizedTest
    @CsvSource({"0,1", "2.3,1", "-6,1", "2.3,0.37", "-12,0.2", "1,0.9"})
    void render_tiltedAndReduced_showsTheRightPlaces(double degrees, double scale) {
        PixelSize size = new PixelSize(900, 600);
        PhotoSpace space = new PhotoSpace(size, new Pose(Turn.NONE, new Tilt(degrees)));
        Frame frame = new Frame(0.05, -0.03, 0.5, 0.4);
        PixelSize output = new PixelSize((int) Math.round(450 * scale), (int) Math.round(360 * scale));
        Mapping map = space.outputToStored(Turn.NONE, frame, output);
        try (Picture scene = TestPhotos.scene(900, 600);
                Picture rendered = SinglePass.render(scene, map, output);
                UByteIndexer pixels = rendered.mat().createIndexer()) {
            for (int y = 0; y < output.height(); y += 7) {
                for (int x = 0; x < output.width(); x += 7) {
                    var at = map.apply(new nexa.core.geometry.Point(x + 0.5, y + 0.5));
                    assertEquals(255 * (0.1 + 0.8 * at.x() / 900), pixels.get(y, x, 2), 1.6);
                    assertEquals(255 * (0.1 + 0.8 * at.y() / 600), pixels.get(y, x, 1), 1.6);
                }
            }
        }
    }

    /** Noise averages out when every source pixel is counted; picking single pixels would keep all of it. */
    @ParameterizedTest
    @CsvSource({"0,4", "2.3,4", "5,7.5"})
    void render_reducing_averagesWhatAPixelCovers(double degrees, double factor) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(84);
        Mat noise = new Mat(1200, 1200, CV_8UC1);
        try (UByteIndexer pixels = noise.createIndexer()) {
            for (long i = 0; i < 1200 * 1200; i++) {
                pixels.put(i / 1200, i % 1200, random.nextInt(256));
            }
        }
        PixelSize output = new PixelSize((int) (800 / factor), (int) (800 / factor));
        PhotoSpace space = new PhotoSpace(new PixelSize(1200, 1200), new Pose(Turn.NONE, new Tilt(degrees)));
        Mapping map = space.outputToStored(Turn.NONE, new Frame(0, 0, 800 / 1200.0, 800 / 1200.0), output);
        try (Picture source = new Picture(noise);
                Picture rendered = SinglePass.render(source, map, output)) {
            double expected = 256 / Math.sqrt(12) / factor;
            assertEquals(expected, deviation(rendered), expected * 0.1);
        }
    }

    private static double deviation(Picture grey) {
        try (UByteIndexer pixels = grey.mat().createIndexer()) {
            double sum = 0;
            double squares = 0;
            long count = grey.size().area();
            for (long i = 0; i < count; i++) {
                double value =
                        pixels.get(i / grey.size().width(), i % grey.size().width());
                sum += value;
                squares += value * value;
            }
            return Math.sqrt(squares / count - sum / count * sum / count);
        }
    }

    @Test
    void render_inTiles_leavesNoSeams() {
        PixelSize size = new PixelSize(3000, 2000);
        PhotoSpace space = new PhotoSpace(size, new Pose(Turn.NONE, new Tilt(1.7)));
        PixelSize output = new PixelSize(1000, 640);
        Mapping map = space.outputToStored(Turn.NONE, new Frame(0, 0, 0.9, 0.576), output);
        try (Picture scene = TestPhotos.scene(3000, 2000);
                Picture rendered = SinglePass.render(scene, map, output);
                UByteIndexer pixels = rendered.mat().createIndexer()) {
            for (int y = 1; y < output.height(); y++) {
                int step = pixels.get(y, 500, 1) - pixels.get(y - 1, 500, 1);
                assertTrue(step >= 0 && step <= 2, "green grows evenly downwards, row " + y + ": " + step);
            }
        }
    }

    @Test
    void render_widerThanSixteenBitsOfPixels_works() {
        PixelSize size = new PixelSize(40_000, 20);
        try (Picture scene = TestPhotos.scene(40_000, 20)) {
            PixelSize output = new PixelSize(2000, 1);
            Mapping map = whole(size, Pose.AS_SHOT, Turn.NONE, output);
            try (Picture rendered = SinglePass.render(scene, map, output);
                    UByteIndexer pixels = rendered.mat().createIndexer()) {
                assertEquals(255 * 0.9, pixels.get(0, 1999, 2), 2);
            }
        }
    }

    @Test
    void render_keepsDepthAndChannels() {
        try (Picture deep = TestPhotos.deepScene(90, 60)) {
            PixelSize output = new PixelSize(30, 20);
            try (Picture rendered =
                    SinglePass.render(deep, whole(deep.size(), Pose.AS_SHOT, Turn.NONE, output), output)) {
                assertEquals(16, rendered.bits());
                assertEquals(3, rendered.channels());
            }
        }
    }
}
