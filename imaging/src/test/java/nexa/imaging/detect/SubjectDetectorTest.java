package nexa.imaging.detect;

import static nexa.imaging.TestPhotos.facts;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.hconcat;
import static org.bytedeco.opencv.global.opencv_imgproc.FILLED;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;
import static org.bytedeco.opencv.global.opencv_imgproc.LINE_AA;
import static org.bytedeco.opencv.global.opencv_imgproc.ellipse;
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
import org.bytedeco.opencv.opencv_core.Size;
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
        try (Picture portrait = portrait()) {
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
        try (Picture portrait = portrait()) {
            Path file = Files.write(base.resolve("portrait.jpg"), Encoder.plainJpeg(portrait, 92));
            List<Point> eyes = found(file);
            assertEquals(2, eyes.size());
            assertTrue(eyes.getFirst().distance(new Point(520, 430)) < 40, eyes.toString());
            assertTrue(eyes.getLast().distance(new Point(680, 430)) < 40, eyes.toString());
        }
    }

    @Test
    void twoPeople_areProposedFromOneToTheOther() throws IOException {
        try (Picture portrait = portrait();
                Picture both = new Picture(new Mat())) {
            hconcat(portrait.mat(), portrait.mat(), both.mat());
            Path file = Files.write(base.resolve("two.jpg"), Encoder.plainJpeg(both, 92));
            List<Point> ends = found(file);
            assertEquals(2, ends.size());
            assertTrue(ends.getFirst().distance(new Point(600, 430)) < 40, ends.toString());
            assertTrue(ends.getLast().distance(new Point(1800, 430)) < 40, ends.toString());
        }
    }

    private static Picture portrait() {
        Mat mat = new Mat(1000, 1200, CV_8UC3, new Scalar(150, 140, 130, 0));
        fill(mat, 600, 900, 330, 260, 70); // shoulders
        fill(mat, 600, 440, 215, 280, 60); // hair
        fill(mat, 600, 480, 175, 235, 200); // face
        fill(mat, 600, 330, 150, 60, 208); // forehead
        for (int x : new int[] {520, 680}) {
            fill(mat, x, 425, 66, 44, 138); // socket
            fill(mat, x, 368, 56, 9, 96); // brow
            fill(mat, x, 430, 40, 20, 205); // white of the eye
            fill(mat, x, 430, 21, 20, 38); // iris
            fill(mat, x, 520, 50, 40, 210); // cheek
        }
        fill(mat, 600, 460, 20, 80, 212); // bridge of the nose
        fill(mat, 600, 540, 38, 14, 140); // nostrils
        fill(mat, 600, 618, 70, 18, 110); // mouth
        fill(mat, 600, 650, 50, 8, 170); // below the lip
        GaussianBlur(mat, mat, new Size(13, 13), 0);
        return new Picture(mat);
    }

    private static void fill(Mat mat, int x, int y, int halfWidth, int halfHeight, int grey) {
        try (var centre = new org.bytedeco.opencv.opencv_core.Point(x, y);
                Size axes = new Size(halfWidth, halfHeight);
                Scalar colour = new Scalar(grey * 0.85, grey * 0.92, grey, 0)) {
            ellipse(mat, centre, axes, 0, 0, 360, colour, FILLED, LINE_AA, 0);
        }
    }
}
