package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REFLECT_101;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.getRotationMatrix2D;
import static org.bytedeco.opencv.global.opencv_imgproc.warpAffine;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How well near-repeats of real photographs are told is measured in the bench. */
class LikenessTest {
    private static final Path DEMO = Path.of("..", "demo", "fennick-kiln");

    private static Optional<Likeness> look(Path file) throws Exception {
        return Likeness.of(new PreviewMaker(PhotoCodecs.STANDARD), file, TestPhotos.facts(file));
    }

    private static Likeness demo(String name) throws Exception {
        return look(DEMO.resolve(name)).orElseThrow();
    }

    private static Picture small(String name) throws Exception {
        Path file = DEMO.resolve(name);
        return new PreviewMaker(PhotoCodecs.STANDARD).picture(file, TestPhotos.facts(file), 400);
    }

    /** Turned by degrees, nearer, and in another light. */
    private static Picture again(Picture picture, double degrees, double nearer, double lighter) {
        Mat again = new Mat();
        try (Point2f middle =
                        new Point2f(picture.size().width() / 2f, picture.size().height() / 2f);
                Mat way = getRotationMatrix2D(middle, degrees, nearer);
                Scalar none = new Scalar()) {
            warpAffine(picture.mat(), again, way, picture.mat().size(), INTER_LINEAR, BORDER_REFLECT_101, none);
        }
        again.convertTo(again, -1, lighter, 0);
        return new Picture(again);
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "400, 1", "2, 300", "40, 6", "62, 62", "63, 400"})
    void narrowPictures_areLookedAtToo(int width, int height) {
        try (Scalar grey = new Scalar(90, 90, 90, 0);
                Picture narrow = new Picture(new Mat(height, width, CV_8UC3, grey));
                Picture other = new Picture(new Mat(height, width, CV_8UC3, grey))) {
            assertFalse(Likeness.of(narrow).isSame(Likeness.of(other)), "there is nothing to see");
        }
    }

    @ParameterizedTest
    @CsvSource({"0, 1, 1", "1.5, 1, 1", "0, 1.04, 0.7", "-1, 1.02, 1.2"})
    void takenAgain_isTheSame_wheneverThatIs(double degrees, double nearer, double lighter) throws Exception {
        try (Picture scene = small("kiln_0208.jpg");
                Picture again = again(scene, degrees, nearer, lighter)) {
            Likeness one = Likeness.of(scene);
            Likeness other = Likeness.of(again);
            assertTrue(one.isSame(other), one.distance(other) + " " + one.agreement(other));
            assertTrue(other.isNear(one));
        }
    }

    @Test
    void sameThingLyingOnItsSide_isAnotherPicture() throws Exception {
        try (Picture scene = small("kiln_0208.jpg");
                Picture turned = again(scene, 90, 1, 1)) {
            assertEquals(0, Likeness.of(scene).agreement(Likeness.of(turned)));
        }
    }

    @Test
    void otherPots_onTheSameTable_areOtherPictures() throws Exception {
        for (String other : new String[] {"kiln_0202.jpg", "kiln_0206.jpg", "kiln_0208.jpg", "kiln_0230.jpg"}) {
            assertFalse(demo("kiln_0201.jpg").isSame(demo(other)), other);
        }
        assertTrue(demo("kiln_0211.jpg").isNear(demo("kiln_0212.jpg")));
    }

    @Test
    void pictureWithoutCorners_isTheSameAsNoOther_butNearWhatLooksAlike() {
        try (Picture plain = new Picture(new Mat(300, 400, CV_8UC3, Scalar.all(120)))) {
            Likeness likeness = Likeness.of(plain);
            assertFalse(likeness.isSame(likeness));
            assertTrue(likeness.isNear(likeness));
        }
    }

    @Test
    void photoThatCantBeDecoded_looksLikeNothing(@TempDir Path base) throws Exception {
        Path file = Files.copy(DEMO.resolve("kiln_0201.jpg"), base.resolve("a.jpg"));
        var facts = TestPhotos.facts(file);
        Files.write(file, new byte[] {1, 2, 3});
        assertEquals(Optional.empty(), Likeness.of(new PreviewMaker(PhotoCodecs.STANDARD), file, facts));
    }
}
