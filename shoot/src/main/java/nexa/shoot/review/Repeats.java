package nexa.shoot.review;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.imaging.detect.Likeness;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/**
 * Photos that are nearly the same: taken one right after another and alike to look at. Decodes, so not for the
 * interface's thread.
 */
public final class Repeats {
    /** Longer apart is another picture. */
    private static final Duration NEAR = Duration.ofMinutes(2);

    private Repeats() {}

    /** Groups of two and more, in the order they were taken; photos without a time go by their names. */
    public static List<List<Photo>> find(Shoot shoot) {
        List<Photo> photos = PhotoOrder.TIME.sort(
                shoot, shoot.photos().stream().filter(Photo::isReadable).toList(), Optional.empty());
        Map<Photo, Likeness> looks = photos.parallelStream()
                .flatMap(photo -> look(shoot, photo).map(look -> Map.entry(photo, look)).stream())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        return groups(photos.stream().filter(looks::containsKey).toList(), looks);
    }

    private static Optional<Likeness> look(Shoot shoot, Photo photo) {
        return Likeness.of(
                shoot.previewMaker(), shoot.fileOf(photo), photo.facts().orElseThrow());
    }

    private static List<List<Photo>> groups(List<Photo> photos, Map<Photo, Likeness> looks) {
        List<List<Photo>> groups = new ArrayList<>();
        List<Photo> group = new ArrayList<>();
        for (Photo photo : photos) {
            if (!group.isEmpty() && !repeats(group.getLast(), photo, looks)) {
                keep(group, groups);
                group = new ArrayList<>();
            }
            group.add(photo);
        }
        keep(group, groups);
        return groups;
    }

    private static void keep(List<Photo> group, List<List<Photo>> groups) {
        if (group.size() > 1) {
            groups.add(List.copyOf(group));
        }
    }

    private static boolean repeats(Photo before, Photo photo, Map<Photo, Likeness> looks) {
        return near(before, photo)
                && looks.getOrDefault(before, Likeness.NONE).isNear(looks.getOrDefault(photo, Likeness.NONE));
    }

    private static boolean near(Photo before, Photo photo) {
        LocalDateTime one = before.facts().map(PhotoFacts::taken).orElse(null);
        LocalDateTime other = photo.facts().map(PhotoFacts::taken).orElse(null);
        return one == null
                || other == null
                || Duration.between(one, other).abs().compareTo(NEAR) <= 0;
    }
}
