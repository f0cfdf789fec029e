package nexa.imaging.detect;

import static nexa.imaging.TestPhotos.facts;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.hconcat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SubjectDetectorTest {
    private static final Path DEMO = Path.of("..", "demo");

    @TempDir
    Path base;

    private static List<Point> found(Path file) throws IOException {
        return SubjectDetector.find(new PreviewMaker(PhotoCodecs.STANDARD), file, facts(file))
                .marks();
    }

    @ParameterizedTest
    @ValueSource(strings = {"kiln_0201", "kiln_0206", "kiln_0209", "kiln_0213", "kiln_0216", "kiln_0232"})
    void pot_isProposedFromTopToFoot(String name) throws IOException {
        Path file = DEMO.resolve("fennick-kiln").resolve(name + ".jpg");
        List<Point> found = found(file);
        String[] truth = Files.readAllLines(DEMO.resolve("truth.csv")).stream()
                .filter(line -> line.startsWith(name))
                .findFirst()
                .orElseThrow()
                .split(",");
        Point top = new Point(Double.parseDouble(truth[10]), Double.parseDouble(truth[11]));
        Point foot = new Point(Double.parseDouble(truth[12]), Double.parseDouble(truth[13]));
        double near = 0.1 * top.distance(foot);
        assertEquals(2, found.size());
        assertEquals(0, found.getFirst().distance(top), near);
        assertEquals(0, found.getLast().distance(foot), near);
        assertEquals(found, found(file), "the same whenever it is asked for");
    }

    @Test
    void sameEverywhere_isNoSubject() throws IOException {
        try (Picture plain = new Picture(new Mat(400, 600, CV_8UC3, new Scalar(120, 130, 140, 0)))) {
            Path file = Files.write(base.resolve("plain.jpg"), Encoder.plainJpeg(plain, 90));
            assertEquals(List.of(), found(file));
        }
    }

    /** Whatever a thing's shape, also one of which nothing is left in few pixels. */
    @Test
    void axisOfAnyBox_isFoundOrNot() {
        try (Picture portrait = DrawnFace.picture(20)) {
            for (Frame box : List.of(
                    new Frame(600, 500, 1200, 1000),
                    new Frame(600, 500, 3, 1000),
                    new Frame(600, 500, 1200, 3),
                    new Frame(2, 2, 4, 4),
                    new Frame(1199, 500, 2, 900),
                    new Frame(600, 480, 350, 470))) {
                UprightAxis.ends(portrait, box).ifPresent(ends -> assertEquals(2, ends.size()));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "3, 700", "700, 3", "17, 16"})
    void photoOfAnySize_isLookedAt(int width, int height) {
        try (Picture plain = new Picture(new Mat(height, width, CV_8UC3, new Scalar(200, 80, 40, 0)))) {
            assertEquals(List.of(), SubjectDetector.find(plain, plain.size()).marks());
        }
    }

    /** A face drawn with soft shades: the network takes it for one. */
    @Test
    void face_isProposedAtItsEyes() throws IOException {
        try (Picture portrait = DrawnFace.picture(20)) {
            Path file = Files.write(base.resolve("portrait.jpg"), Encoder.plainJpeg(portrait, 92));
            List<Point> eyes = found(file);
            assertEquals(2, eyes.size());
            assertTrue(eyes.getFirst().distance(new Point(520, 430)) < 40, eyes.toString());
            assertTrue(eyes.getLast().distance(new Point(680, 430)) < 40, eyes.toString());
        }
    }

    @Test
    void twoPeople_areProposedFromOneToTheOther() throws IOException {
        try (Picture portrait = DrawnFace.picture(20);
                Picture both = new Picture(new Mat())) {
            hconcat(portrait.mat(), portrait.mat(), both.mat());
            Path file = Files.write(base.resolve("two.jpg"), Encoder.plainJpeg(both, 92));
            List<Point> ends = found(file);
            assertEquals(2, ends.size());
            assertTrue(ends.getFirst().distance(new Point(600, 430)) < 40, ends.toString());
            assertTrue(ends.getLast().distance(new Point(1800, 430)) < 40, ends.toString());
        }
    }
}
