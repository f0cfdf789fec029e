package nexa.imaging.lens;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import nexa.core.lens.data.Calibration;
import nexa.core.lens.data.CameraProfile;
import nexa.core.lens.data.LensBook;
import nexa.core.lens.data.LensProfile;
import nexa.imaging.lens.LensFile.LeftOut;

/**
 * All lens data there is: what comes with Nexa and the user's own, which wins.
 *
 * @param leftOut by file of the user's, what of it says nothing sensible
 */
public record LensData(LensBook book, Map<Path, List<LeftOut>> leftOut) {
    /** A file of the user's is looked at up to this size. */
    private static final long LARGEST = 32L << 20;

    public LensData {
        leftOut = Map.copyOf(leftOut);
    }

    /**
     * Reads it. Takes a while, so not for the interface's thread.
     *
     * @param own the folder with the user's files; need not exist
     * @throws IOException if the folder can't be read
     */
    public static LensData read(Path own) throws IOException {
        LensIndex shipped = LensIndex.read();
        List<CameraProfile> cameras = new ArrayList<>();
        Map<LensProfile, Calibration> known = new IdentityHashMap<>();
        List<LensProfile> lenses = new ArrayList<>();
        Map<String, Set<String>> compatible = new HashMap<>(shipped.compatible());
        Map<Path, List<LeftOut>> leftOut = new HashMap<>();
        List<LensFile> whole = new ArrayList<>();
        for (Path path : ownFiles(own)) {
            whole.add(read(path, leftOut));
        }
        whole.add(demo());
        for (LensFile file : whole) {
            cameras.addAll(file.cameras());
            file.lenses().stream().filter(each -> !each.calibration().isNone()).forEach(each -> {
                lenses.add(each.lens());
                known.put(each.lens(), each.calibration());
            });
            file.compatible().forEach((mount, others) -> compatible.merge(mount, others, LensData::both));
        }
        cameras.addAll(shipped.cameras());
        lenses.addAll(shipped.lenses());
        return new LensData(new LensBook(cameras, lenses, compatible, new Measures(known, shipped)::of), leftOut);
    }

    /** Of the demo shoot's made-up camera. */
    private static LensFile demo() throws IOException {
        try (InputStream in = LensData.class.getResourceAsStream("aldermoor.xml")) {
            return LensFile.read(Objects.requireNonNull(in));
        }
    }

    private static Set<String> both(Set<String> one, Set<String> other) {
        Set<String> both = new HashSet<>(one);
        both.addAll(other);
        return both;
    }

    /** Measures of the user's lenses are read with their files, the others' when they are asked for. */
    private record Measures(Map<LensProfile, Calibration> own, LensIndex shipped, Map<String, Calibration> read) {
        Measures(Map<LensProfile, Calibration> own, LensIndex shipped) {
            this(own, shipped, new ConcurrentHashMap<>());
        }

        Calibration of(LensProfile lens) {
            Calibration known = own.get(lens);
            return known != null
                    ? known
                    : read.computeIfAbsent(lens.name() + lens.crop(), name -> shipped.measures(lens));
        }
    }

    /** A file that can't be opened is left out whole. */
    private static LensFile read(Path path, Map<Path, List<LeftOut>> leftOut) {
        LensFile file;
        try (InputStream in = Files.newInputStream(path)) {
            file = LensFile.read(in);
        } catch (IOException unreadable) { // what is left out tells
            file = new LensFile(List.of(), List.of(), Map.of(), List.of(new LeftOut(0, "file")));
        }
        if (!file.leftOut().isEmpty()) {
            leftOut.put(path, file.leftOut());
        }
        return file;
    }

    private static List<Path> ownFiles(Path own) throws IOException {
        if (!Files.isDirectory(own)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(own)) {
            return all.filter(file -> file.toString().toLowerCase(Locale.ROOT).endsWith(".xml"))
                    .filter(file -> Files.isRegularFile(file) && file.toFile().length() <= LARGEST)
                    .sorted()
                    .toList();
        }
    }
}
