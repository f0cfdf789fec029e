package nexa.desktop.wall;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;

/** Where the Wall is scrolled to when other photos hang on it than before. */
class HungTest {
    private static final double SIGHT = 600;

    private final List<Photo> photos = IntStream.range(0, 200)
            .mapToObj(id -> photo(id, Trouble.Kind.EMPTY))
            .toList();

    private static Photo photo(long id, Trouble.Kind trouble) {
        return new Photo(id, id + ".jpg", "print " + id, Probe.unreadable(trouble));
    }

    private static Hung hung(List<Photo> some) {
        return new Hung(some, WallLayout.of(Collections.nCopies(some.size(), 1.5), List.of(), 1000, 176));
    }

    private static double placeInSight(Hung hung, Photo photo, double scrolled) {
        return hung.layout().cells().get(hung.place(Optional.of(photo))).y() - scrolled;
    }

    @Test
    void photoIsFoundByWhichItIs_notByWhatIsKnownOfIt() {
        assertEquals(70, hung(photos).place(Optional.of(photo(70, Trouble.Kind.DAMAGED))));
        assertEquals(-1, hung(photos).place(Optional.of(photo(500, Trouble.Kind.EMPTY))));
        assertEquals(-1, hung(photos).place(Optional.empty()));
        assertEquals(-1, Hung.NOTHING.place(Optional.of(photos.getFirst())));
    }

    @Test
    void currentPhoto_staysAtItsPlaceInSight_whenOthersHangAroundIt() {
        Hung all = hung(photos);
        Photo current = photos.get(120);
        double scrolled = all.scrolledTo(Optional.of(current), 0, SIGHT);
        Hung every3rd =
                hung(photos.stream().filter(photo -> photo.id() % 3 == 0).toList());
        double after = every3rd.scrolledWith(Optional.of(current), all, scrolled, SIGHT);
        assertEquals(placeInSight(all, current, scrolled), placeInSight(every3rd, current, after), 1e-9);
    }

    @Test
    void wallStaysWhereItIs_ifTheCurrentPhotoWasOutOfSight_orHangsNoLonger() {
        Hung all = hung(photos);
        Optional<Photo> current = Optional.of(photos.get(120));
        assertEquals(40, all.scrolledWith(current, hung(photos.subList(50, 200)), 40, SIGHT));
        double scrolled = all.scrolledTo(current, 0, SIGHT);
        assertTrue(scrolled > SIGHT);
        assertEquals(scrolled, hung(photos.subList(0, 100)).scrolledWith(current, all, scrolled, SIGHT));
        assertEquals(scrolled, all.scrolledTo(Optional.empty(), scrolled, SIGHT));
    }

    @Test
    void lowPhotoBesideHighOnes_isShownWithAllOfItsRow() {
        List<Double> aspects = IntStream.range(0, photos.size())
                .mapToObj(i -> i % 2 == 0 ? 1.5 : 1 / 1.5)
                .toList();
        WallLayout layout = WallLayout.of(aspects, List.of(), 1000, 176);
        Hung mixed = new Hung(photos, layout);
        assertEquals(0, mixed.scrolledTo(Optional.of(photos.getFirst()), 40, SIGHT));
        double scrolled = mixed.scrolledTo(Optional.of(photos.get(100)), 100_000, SIGHT);
        double bottom = layout.cells().get(100).bottom();
        assertTrue(layout.cells().stream()
                .filter(cell -> cell.bottom() == bottom)
                .allMatch(cell -> cell.y() > scrolled && cell.bottom() < scrolled + SIGHT));
    }

    @Test
    void everyPhotoHasACell() {
        assertThrows(IllegalArgumentException.class, () -> new Hung(photos, Hung.NOTHING.layout()));
    }
}
