package nexa.shoot.review;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoGroup.Kind;

/** How photos are put together while one goes through them. */
public enum PhotoGrouping {
    NONE,
    /** Where the camera rested for long, another group begins. */
    TIME,
    /** As they are turned. */
    LYING,
    /** Near-repeats, then those without any. */
    ALIKE;

    /** A rest is long from here on, and many times as long as usual in this shoot. */
    private static final Duration LONG = Duration.ofMinutes(2);

    private static final int MANY_TIMES = 10;

    /**
     * All photos in groups; none if there are no photos.
     *
     * @param sorted in the order in which they are looked at; groups by time go by the camera's clock instead
     * @param alike each photo with those that are nearly the same, itself among them; nothing for one without any
     */
    public List<PhotoGroup> groups(Shoot shoot, List<Photo> sorted, Map<Photo, List<Photo>> alike) {
        if (sorted.isEmpty()) {
            return List.of();
        }
        return switch (this) {
            case NONE -> List.of(new PhotoGroup(Kind.ALL, sorted));
            case TIME -> byTime(PhotoOrder.TIME.sort(shoot, sorted, Optional.empty()));
            case LYING -> by(sorted, photo -> lying(shoot, photo));
            case ALIKE -> byLikeness(sorted, alike);
        };
    }

    private static List<PhotoGroup> by(List<Photo> sorted, Function<Photo, Kind> kind) {
        Map<Kind, List<Photo>> groups = sorted.stream().collect(Collectors.groupingBy(kind));
        return groups.keySet().stream()
                .sorted()
                .map(each -> new PhotoGroup(each, groups.getOrDefault(each, List.of())))
                .toList();
    }

    private static Kind lying(Shoot shoot, Photo photo) {
        return PhotoFilter.lying(shoot, photo)
                .map(orientation -> switch (orientation) {
                    case HORIZONTAL -> Kind.HORIZONTAL;
                    case VERTICAL -> Kind.VERTICAL;
                    case SQUARE -> Kind.SQUARE;
                })
                .orElse(Kind.UNKNOWN);
    }

    private static List<PhotoGroup> byLikeness(List<Photo> sorted, Map<Photo, List<Photo>> alike) {
        Map<List<Photo>, List<Photo>> groups = new LinkedHashMap<>();
        List<Photo> singles = new ArrayList<>();
        for (Photo photo : sorted) {
            List<Photo> like = alike.getOrDefault(photo, List.of());
            (like.isEmpty() ? singles : groups.computeIfAbsent(like, found -> new ArrayList<>())).add(photo);
        }
        List<PhotoGroup> all = new ArrayList<>();
        groups.values().forEach(photos -> all.add(new PhotoGroup(Kind.ALIKE, photos)));
        if (!singles.isEmpty()) {
            all.add(new PhotoGroup(Kind.SINGLE, singles));
        }
        return all;
    }

    // ---- by time ----

    /** @param sorted by the camera's clock, those without a time last */
    private static List<PhotoGroup> byTime(List<Photo> sorted) {
        List<Photo> dated =
                sorted.stream().filter(photo -> photo.taken().isPresent()).toList();
        Duration rest = longRest(dated);
        List<PhotoGroup> groups = new ArrayList<>();
        int first = 0;
        for (int i = 1; i <= dated.size(); i++) {
            if (i == dated.size() || between(dated, i).compareTo(rest) > 0) {
                groups.add(new PhotoGroup(Kind.MOMENT, dated.subList(first, i)));
                first = i;
            }
        }
        if (dated.size() < sorted.size()) {
            groups.add(new PhotoGroup(Kind.UNDATED, sorted.subList(dated.size(), sorted.size())));
        }
        return groups;
    }

    private static Duration longRest(List<Photo> dated) {
        List<Duration> rests = new ArrayList<>();
        for (int i = 1; i < dated.size(); i++) {
            rests.add(between(dated, i));
        }
        rests.sort(null);
        Duration usual = rests.isEmpty() ? Duration.ZERO : rests.get(rests.size() / 2);
        Duration many = usual.multipliedBy(MANY_TIMES);
        return many.compareTo(LONG) > 0 ? many : LONG;
    }

    private static Duration between(List<Photo> dated, int second) {
        return Duration.between(
                dated.get(second - 1).taken().orElseThrow(),
                dated.get(second).taken().orElseThrow());
    }
}
