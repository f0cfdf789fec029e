package nexa.shoot.review;

import java.util.List;
import nexa.shoot.photo.Photo;

/**
 * Photos that belong together.
 *
 * @param photos in the order in which they are looked at; never none
 */
public record PhotoGroup(Kind kind, List<Photo> photos) {
    /** What they have in common. */
    public enum Kind {
        /** Nothing: photos are not put together. */
        ALL,
        /** They were taken one soon after another. */
        MOMENT,
        /** The camera said no time. */
        UNDATED,
        HORIZONTAL,
        VERTICAL,
        SQUARE,
        /** They can't be read, so nobody knows how they lie. */
        UNKNOWN,
        /** They are nearly the same. */
        ALIKE,
        /** Nothing is like them. */
        SINGLE
    }

    public PhotoGroup {
        photos = List.copyOf(photos);
    }
}
