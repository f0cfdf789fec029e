package nexa.bench.sight;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.bench.base.TruthFile;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;

/** What a person sees photographs to be of: {@code bench/truth/subjects.csv}, boxes in fractions of the photo, or none. */
final class SubjectTruth {
    private static final int CELLS = 5;

    private final Map<String, Optional<Frame>> boxes;

    private SubjectTruth(Map<String, Optional<Frame>> boxes) {
        this.boxes = boxes;
    }

    static SubjectTruth read() throws IOException {
        return new SubjectTruth(TruthFile.rows("subjects.csv").stream()
                .map(line -> line.split(",", CELLS))
                .collect(Collectors.toMap(cells -> cells[0], SubjectTruth::box)));
    }

    private static Optional<Frame> box(String[] cells) {
        return cells[1].isEmpty()
                ? Optional.empty()
                : Optional.of(Frame.between(
                        new Point(Double.parseDouble(cells[1]), Double.parseDouble(cells[2])),
                        new Point(Double.parseDouble(cells[3]), Double.parseDouble(cells[4]))));
    }

    /** Whether a person looked at it. */
    boolean knows(Path file) {
        return boxes.containsKey(TruthFile.name(file));
    }

    /** In the photo's pixels. */
    Optional<Frame> box(Path file, PixelSize photo) {
        return boxes.getOrDefault(TruthFile.name(file), Optional.empty())
                .map(box -> new Frame(
                        box.centreX() * photo.width(),
                        box.centreY() * photo.height(),
                        box.width() * photo.width(),
                        box.height() * photo.height()));
    }
}
