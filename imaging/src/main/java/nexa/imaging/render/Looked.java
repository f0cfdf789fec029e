package nexa.imaging.render;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Affine;
import nexa.core.pixel.PixelSteps;
import nexa.imaging.colour.Profile;
import nexa.imaging.eye.MendedEye;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * A source that tiles look at. Its light is changed part by part, as a part stays near the processor and most of a photo may
 * lie outside the frame; eyes are mended once, as a part may show half of one.
 */
record Looked(Mat pixels, Optional<LightSteps> light, List<MendedEye> eyes) implements AutoCloseable {
    static Looked of(Picture photo) {
        return new Looked(photo.mat(), Optional.empty(), List.of());
    }

    /** @param toPicture from the isotropic unit of the photo as shot */
    static Looked of(Picture photo, Optional<Profile> profile, PixelSteps steps, Affine toPicture) {
        return new Looked(
                photo.mat(),
                steps.light().isEmpty() ? Optional.empty() : Optional.of(new LightSteps(photo, profile, steps.light())),
                MendedEye.of(photo, steps.eyes(), toPicture));
    }

    /** The source's own pixels, or changed ones of a copy. */
    Mat part(Rect area) {
        Mat own = new Mat(pixels, area);
        List<MendedEye> seen =
                eyes.stream().filter(eye -> meet(area, eye.area())).toList();
        if (light.isEmpty() && seen.isEmpty()) {
            return own;
        }
        try (own) {
            Mat copy = own.clone();
            seen.forEach(eye -> paste(eye, area, copy));
            light.ifPresent(steps -> steps.lighten(copy, area.x(), area.y()));
            return copy;
        }
    }

    private static boolean meet(Rect one, Rect other) {
        try (Rect common = common(one, other)) {
            return !common.empty();
        }
    }

    private static Rect common(Rect one, Rect other) {
        int left = Math.max(one.x(), other.x());
        int top = Math.max(one.y(), other.y());
        int right = Math.min(one.x() + one.width(), other.x() + other.width());
        int bottom = Math.min(one.y() + one.height(), other.y() + other.height());
        return new Rect(left, top, Math.max(0, right - left), Math.max(0, bottom - top));
    }

    private static void paste(MendedEye eye, Rect area, Mat copy) {
        try (Rect common = common(area, eye.area());
                Rect from = new Rect(
                        common.x() - eye.area().x(), common.y() - eye.area().y(), common.width(), common.height());
                Rect to = new Rect(common.x() - area.x(), common.y() - area.y(), common.width(), common.height());
                Mat mended = new Mat(eye.pixels(), from);
                Mat there = new Mat(copy, to)) {
            mended.copyTo(there);
        }
    }

    @Override
    public void close() {
        eyes.forEach(MendedEye::close);
    }
}
