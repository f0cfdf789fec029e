package nexa.imaging.face;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.imaging.TestPhotos;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/** A face that is found is in {@code SubjectDetectorTest}; how well real ones are is measured in the bench. */
class FaceFinderTest {
    @Test
    void scenesWithoutPeople_haveNoFaces() {
        try (Picture scene = TestPhotos.scene(900, 600)) {
            assertEquals(List.of(), FaceFinder.find(scene));
        }
    }

    @Test
    void anySize_andKindOfPixels_isTaken() {
        try (Picture tiny = new Picture(new Mat(1, 3, CV_8UC3, Scalar.all(90)));
                Picture clear = new Picture(new Mat(300, 20, CV_8UC4, Scalar.all(90)));
                Picture grey = TestPhotos.scene(300, 200).grey()) {
            assertTrue(FaceFinder.find(tiny).isEmpty());
            assertTrue(FaceFinder.find(clear).isEmpty());
            assertTrue(FaceFinder.find(grey).isEmpty());
        }
    }
}
