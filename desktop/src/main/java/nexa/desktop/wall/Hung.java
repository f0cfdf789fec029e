package nexa.desktop.wall;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.shoot.photo.Photo;

/**
 * Photos as they hang on the Wall, and how far it is to be scrolled, in pixels from its upper end.
 *
 * @param layout a cell for each of them, in their order
 */
record Hung(List<Photo> photos, WallLayout layout) {
    static final Hung NOTHING = new Hung(List.of(), new WallLayout(List.of(), List.of(), 0));

    Hung {
        if (photos.size() != layout.cells().size()) {
            throw new IllegalArgumentException(
                    photos.size() + " photos, " + layout.cells().size() + " cells");
        }
    }

    /** A photo's place in the order, whatever is known of it by now; -1 if it does not hang. */
    int place(Optional<Photo> photo) {
        long id = photo.map(Photo::id).orElse(-1L);
        return IntStream.range(0, photos.size())
                .filter(place -> photos.get(place).id() == id)
                .findFirst()
                .orElse(-1);
    }

    /**
     * So that all of a photo's row is in sight, as near to where one is as that is; where one is if it does not hang.
     *
     * @param sight height of what is in sight
     */
    double scrolledTo(Optional<Photo> photo, double scrolled, double sight) {
        int place = place(photo);
        return place < 0 ? scrolled : layout.inSight(place, scrolled, sight);
    }

    /** Where the same photos hung in another size or width: see {@link WallLayout#scrolledAs}. */
    double scrolledAs(Hung before, double scrolled, double sight, Optional<Photo> current) {
        return layout.scrolledAs(before.layout, scrolled, sight, place(current));
    }

    /** Where others hung around it, so that the current photo, if it was in sight, stays at its place there. */
    double scrolledWith(Optional<Photo> current, Hung before, double scrolled, double sight) {
        int was = before.place(current);
        int is = place(current);
        return was >= 0 && is >= 0 && before.layout.cells().get(was).isInSight(scrolled, sight)
                ? scrolled
                        + layout.cells().get(is).y()
                        - before.layout.cells().get(was).y()
                : scrolled;
    }
}
