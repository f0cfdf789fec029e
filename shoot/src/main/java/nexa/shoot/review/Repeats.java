package nexa.shoot.review;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.imaging.detect.Likeness;
import nexa.imaging.detect.Sharpness;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/**
 * Photos that are nearly the same: taken one right after another and alike to look at. Decodes, so not for the
 * interface's thread.
 */
public final class Repeats {
    /** Longer apart is another picture. */
    private static final Duration NEAR = Duration.ofMinutes(2);

    /** Of the next sharp one's variance: less does not show. */
    private static final double CLEARLY = 1.3;

    private Repeats() {}

    /**
     * Photos that are nearly the same.
     *
     * @param photos two and more, in the order they were taken
     * @param sharpest the one whose subject is clearly the sharpest, if one is
     */
    public record Group(List<Photo> photos, Optional<Photo> sharpest) {}

    /** Groups of two and more, in the order they were taken; photos without a time go by their names. */
    public static List<Group> find(Shoot shoot) {
        List<Photo> photos = PhotoOrder.TIME.sort(
                shoot, shoot.photos().stream().filter(Photo::isReadable).toList(), Optional.empty());
        Map<Photo, Likeness> looks = photos.parallelStream()
                .flatMap(photo -> look(shoot, photo).map(look -> Map.entry(photo, look)).stream())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        return groups(photos.stream().filter(looks::containsKey).toList(), looks).stream()
                .map(group -> new Group(group, sharpest(shoot, group)))
                .toList();
    }

    private static Optional<Photo> sharpest(Shoot shoot, List<Photo> group) {
        Map<Photo, Double> sharpness =
                group.parallelStream().collect(Collectors.toMap(photo -> photo, photo -> sharpness(shoot, photo)));
        List<Photo> order = group.stream()
                .sorted(Comparator.comparing((Photo photo) -> sharpness.getOrDefault(photo, 0.0))
                        .reversed())
                .toList();
        double first = sharpness.getOrDefault(order.get(0), 0.0);
        double second = sharpness.getOrDefault(order.get(1), 0.0);
        return first >= CLEARLY * second ? Optional.of(order.get(0)) : Optional.empty();
    }

    private static double sharpness(Shoot shoot, Photo photo) {
        try {
            return Sharpness.of(
                    shoot.previewMaker(), shoot.fileOf(photo), photo.facts().orElseThrow());
        } catch (UnreadablePhotoException unreadable) {
            return 0; // the photo itself says why
        }
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
        LocalDateTime one = before.taken().orElse(null);
        LocalDateTime other = photo.taken().orElse(null);
        return one == null
                || other == null
                || Duration.between(one, other).abs().compareTo(NEAR) <= 0;
    }
}
