package nexa.shoot.review;

import java.util.List;
import java.util.Set;
import nexa.shoot.photo.Photo;

/**
 * Photos that are nearly the same.
 *
 * @param photos two and more, in the order they were taken
 * @param left those that nothing speaks against; at least one
 * @param reasons what speaks for those that are left, where it parts them from others
 */
public record RepeatGroup(List<Photo> photos, List<Photo> left, Set<Reason> reasons) {
    /** What speaks for a photo among those like it. */
    public enum Reason {
        /** Eyes are open that are closed in others. */
        EYES_OPEN,

        /** Its subject is clearly sharper. */
        SHARPEST,

        /** Its subject lies in the frame clearly nearer to how it lies in the exemplar's. */
        AS_EXEMPLAR
    }

    public RepeatGroup {
        photos = List.copyOf(photos);
        left = List.copyOf(left);
        reasons = Set.copyOf(reasons);
    }
}
