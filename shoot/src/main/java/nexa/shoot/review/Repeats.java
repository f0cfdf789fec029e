package nexa.shoot.review;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import nexa.imaging.detect.Likeness;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/**
 * Photos that are nearly the same: alike from afar and taken one right after another, or alike from near too, whenever they
 * were taken. Decodes, so not for the interface's thread.
 */
public final class Repeats {
    /** Longer apart, a look from afar is not enough. */
    private static final Duration NEAR = Duration.ofMinutes(2);

    private Repeats() {}

    private record Looked(Photo photo, Likeness likeness) {}

    /** Groups of two and more, in the order they were taken; photos without a time go by their names. */
    public static List<RepeatGroup> find(Shoot shoot) {
        List<Photo> photos = PhotoOrder.TIME.sort(
                shoot, shoot.photos().stream().filter(Photo::isReadable).toList(), Optional.empty());
        List<Looked> looked = photos.parallelStream()
                .flatMap(photo -> look(shoot, photo).stream())
                .toList();
        return groups(looked).stream()
                .filter(group -> group.size() > 1)
                .map(group -> Telling.apart(shoot, group))
                .toList();
    }

    private static Optional<Looked> look(Shoot shoot, Photo photo) {
        return Likeness.of(
                        shoot.previewMaker(), shoot.fileOf(photo), photo.facts().orElseThrow())
                .map(likeness -> new Looked(photo, likeness));
    }

    /** Whatever is alike, also by others between. */
    private static Collection<List<Photo>> groups(List<Looked> looked) {
        List<List<Integer>> alike = IntStream.range(0, looked.size())
                .parallel()
                .mapToObj(i -> earlierRepeats(looked, i))
                .toList();
        int[] first = IntStream.range(0, looked.size()).toArray();
        for (int i = 0; i < looked.size(); i++) {
            for (int earlier : alike.get(i)) {
                first[root(first, i)] = root(first, earlier);
            }
        }
        Map<Integer, List<Photo>> groups = IntStream.range(0, looked.size())
                .boxed()
                .collect(Collectors.groupingBy(
                        i -> root(first, i),
                        LinkedHashMap::new,
                        Collectors.mapping(i -> looked.get(i).photo(), Collectors.toList())));
        return groups.values();
    }

    private static List<Integer> earlierRepeats(List<Looked> looked, int i) {
        return IntStream.range(0, i).filter(j -> repeats(looked, j, i)).boxed().toList();
    }

    private static int root(int[] first, int i) {
        return first[i] == i ? i : root(first, first[i]);
    }

    private static boolean repeats(List<Looked> looked, int before, int after) {
        Looked one = looked.get(before);
        Looked other = looked.get(after);
        boolean next = after == before + 1 && near(one.photo(), other.photo());
        return next ? one.likeness().isNear(other.likeness()) : one.likeness().isSame(other.likeness());
    }

    private static boolean near(Photo before, Photo photo) {
        LocalDateTime one = before.taken().orElse(null);
        LocalDateTime other = photo.taken().orElse(null);
        return one == null
                || other == null
                || Duration.between(one, other).abs().compareTo(NEAR) <= 0;
    }
}
