package nexa.core.lens.data;

import java.util.List;

/**
 * A camera that lenses were measured on.
 *
 * @param models its names, the one that EXIF says first
 * @param mount what fits it; one that begins with a small letter is a lens that can't be taken off
 * @param crop how many times longer the diagonal of a 36 × 24 mm sensor is than its sensor's
 */
public record CameraProfile(String maker, List<String> models, String mount, double crop) {
    /** @throws IllegalArgumentException if it has no name, or the sensor is of no size */
    public CameraProfile {
        models = List.copyOf(models);
        if (models.isEmpty() || !(crop > 0) || !Double.isFinite(crop)) {
            throw new IllegalArgumentException("No camera: " + models + " " + crop);
        }
    }

    public boolean hasFixedLens() {
        return !mount.isEmpty() && Character.isLowerCase(mount.charAt(0));
    }
}
