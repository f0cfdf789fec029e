package nexa.desktop.desk;

import java.util.List;
import nexa.core.geometry.Orientation;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** How many of several photos lie which way, in words. */
final class LyingWords {
    private LyingWords() {}

    static String of(Shoot shoot, List<Photo> photos) {
        long squares = count(shoot, photos, Orientation.SQUARE);
        return Words.of(
                "desk.together.lying",
                count(shoot, photos, Orientation.HORIZONTAL),
                count(shoot, photos, Orientation.VERTICAL),
                squares == 0 ? "" : Words.of("desk.together.square", squares));
    }

    private static long count(Shoot shoot, List<Photo> photos, Orientation orientation) {
        return photos.stream()
                .flatMap(photo -> shoot.space(photo).stream())
                .filter(space -> space.keptSize().orientation() == orientation)
                .count();
    }
}
