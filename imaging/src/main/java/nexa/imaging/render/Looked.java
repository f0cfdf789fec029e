package nexa.imaging.render;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Affine;
import nexa.core.pixel.PixelSteps;
import nexa.imaging.colour.Profile;
import nexa.imaging.eye.MendedEye;
import nexa.imaging.pixels.Patch;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * A source that tiles look at. Its light is changed part by part, as a part stays near the processor and most of a photo may
 * lie outside the frame; eyes are mended and bands left out once, as a part may show half of one.
 *
 * @param mean {@link Picture#mean}
 */
record Looked(Mat pixels, int mean, Optional<LightSteps> light, List<Patch> patches) implements AutoCloseable {
    static Looked of(Picture photo) {
        return new Looked(photo.mat(), photo.mean(), Optional.empty(), List.of());
    }

    /** @param toPicture from the isotropic unit of the photo as shot */
    static Looked of(Picture photo, Optional<Profile> profile, PixelSteps steps, Affine toPicture) {
        return new Looked(
                photo.mat(),
                photo.mean(),
                steps.light().isEmpty() ? Optional.empty() : Optional.of(new LightSteps(photo, profile, steps.light())),
                patches(photo, steps, toPicture));
    }

    private static List<Patch> patches(Picture photo, PixelSteps steps, Affine toPicture) {
        List<Patch> patches = new ArrayList<>(MendedEye.of(photo, steps.eyes(), toPicture));
        patches.addAll(LeftOut.patches(photo, steps.bands(), toPicture));
        return patches;
    }

    /** The source's own pixels, or changed ones of a copy. */
    Mat part(Rect area) {
        Mat own = new Mat(pixels, area);
        List<Patch> seen = patches.stream().filter(patch -> patch.meets(area)).toList();
        if (light.isEmpty() && seen.isEmpty()) {
            return own;
        }
        try (own) {
            Mat copy = own.clone();
            seen.forEach(patch -> patch.paste(area, copy));
            light.ifPresent(steps -> steps.lighten(copy, area.x(), area.y()));
            return copy;
        }
    }

    @Override
    public void close() {
        patches.forEach(Patch::close);
    }
}
