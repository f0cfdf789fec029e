package nexa.imaging.render;

import java.util.List;
import java.util.Optional;
import nexa.core.pixel.LightStep;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * A source that tiles look at. Its light is changed part by part, as a part stays near the processor and most of a photo may
 * lie outside the frame.
 */
record Looked(Mat pixels, Optional<LightSteps> light) {
    static Looked of(Picture photo, Optional<Profile> profile, List<LightStep> steps) {
        return new Looked(
                photo.mat(), steps.isEmpty() ? Optional.empty() : Optional.of(new LightSteps(photo, profile, steps)));
    }

    /** The source's own pixels, or changed ones of a copy. */
    Mat part(Rect area) {
        Mat own = new Mat(pixels, area);
        if (light.isEmpty()) {
            return own;
        }
        try (own) {
            Mat copy = own.clone();
            light.get().lighten(copy, area.x(), area.y());
            return copy;
        }
    }
}
