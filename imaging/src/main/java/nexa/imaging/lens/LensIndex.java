package nexa.imaging.lens;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.lens.data.Calibration;
import nexa.core.lens.data.CameraProfile;
import nexa.core.lens.data.LensProfile;
import nexa.imaging.file.ToldException;

/**
 * The lens data that comes with Nexa, by its index: names and sensors of all lenses are known at once, and what was
 * measured of one is read from its place in its file when it is asked for.
 *
 * <p>The index has a line for each mount, camera and lens of which there are measures; its cells are parted by tabs, and
 * several texts in a cell by ¦.
 */
final class LensIndex {
    private static final String FOLDER = "/nexa/lens/";
    private static final String BETWEEN = "¦";
    private static final String INDEX = "index.tsv";

    /** Where a lens stands in its file, in bytes. */
    private record Place(String file, int from, int length) {}

    private final List<CameraProfile> cameras = new ArrayList<>();
    private final List<LensProfile> lenses = new ArrayList<>();
    private final Map<String, Set<String>> compatible = new HashMap<>();
    private final Map<LensProfile, Place> places = new IdentityHashMap<>();

    private LensIndex(Stream<String> lines) {
        lines.forEach(this::line);
    }

    static LensIndex read() throws IOException {
        return new LensIndex(new String(bytes(INDEX), StandardCharsets.UTF_8).lines());
    }

    private void line(String line) {
        String[] cells = line.split("\t", -1);
        switch (cells[0]) {
            case "mount" -> compatible.put(cells[1], Set.copyOf(texts(cells[2])));
            case "camera" ->
                cameras.add(new CameraProfile(cells[1], texts(cells[2]), cells[3], Double.parseDouble(cells[4])));
            default -> lens(cells);
        }
    }

    private void lens(String[] cells) {
        LensProfile lens = new LensProfile(
                cells[1],
                texts(cells[2]),
                texts(cells[3]),
                Double.parseDouble(cells[4]),
                Double.parseDouble(cells[5]),
                texts(cells[6]).stream().map(Double::valueOf).toList());
        lenses.add(lens);
        places.put(lens, new Place(cells[7], Integer.parseInt(cells[8]), Integer.parseInt(cells[9])));
    }

    private static List<String> texts(String cell) {
        return cell.isEmpty() ? List.of() : List.of(cell.split(BETWEEN));
    }

    List<CameraProfile> cameras() {
        return cameras;
    }

    List<LensProfile> lenses() {
        return lenses;
    }

    Map<String, Set<String>> compatible() {
        return compatible;
    }

    /** What was measured of one of its lenses. */
    Calibration measures(LensProfile lens) {
        Place place = Objects.requireNonNull(places.get(lens));
        try {
            byte[] file = bytes(place.file);
            byte[] part = Arrays.copyOfRange(file, place.from, place.from + place.length);
            return LensFile.read(new ByteArrayInputStream(part))
                    .lenses()
                    .getFirst()
                    .calibration();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    static byte[] bytes(String name) throws IOException {
        try (InputStream in = LensIndex.class.getResourceAsStream(FOLDER + name)) {
            if (in == null) {
                throw new ToldException("told.lens.data-missing", name);
            }
            return in.readAllBytes();
        }
    }
}
