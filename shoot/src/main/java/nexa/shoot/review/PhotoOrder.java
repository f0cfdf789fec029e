package nexa.shoot.review;

import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** In which order photos are looked at. Equals keep the order of their names. */
public enum PhotoOrder {
    NAME,
    /** By the camera's clock; photos without a time last. */
    TIME,
    /** Derived first: what is still to be done. */
    STATE,
    /** Most warnings first. */
    WARNINGS;

    /** @param photos in the order of their names */
    public List<Photo> sort(Shoot shoot, List<Photo> photos, Optional<Format> format) {
        return switch (this) {
            case NAME -> photos;
            case TIME -> sorted(photos, Comparator.comparing(PhotoOrder::taken));
            case STATE ->
                sorted(photos, Comparator.comparing(photo -> format.map(
                                f -> shoot.framing(photo).state(f))
                        .orElse(FrameState.DERIVED)));
            case WARNINGS ->
                sorted(photos, Comparator.comparing(photo -> -format.map(
                                f -> shoot.warnings(photo, f).size())
                        .orElse(0)));
        };
    }

    private static LocalDateTime taken(Photo photo) {
        return photo.taken().orElse(LocalDateTime.MAX);
    }

    private static List<Photo> sorted(List<Photo> photos, Comparator<Photo> order) {
        return photos.stream().sorted(order).toList();
    }
}
