package nexa.bench.sight;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import nexa.bench.base.TruthFile;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.detect.Seen;

/**
 * Where a person sees the eyes of faces in photographs: {@code bench/truth/eyes.csv}, both eyes of each face in fractions of the
 * photo. They are the middles of the eyes' meshes, each looked at.
 */
final class EyeTruth {
    /** Of the face's width. */
    private static final double NEAR = 0.1;

    private record Pair(String photo, Point left, Point right) {
        boolean isFound(Seen seen) {
            PixelSize size = seen.photo();
            Point one = new Point(left.x() * size.width(), left.y() * size.height());
            Point other = new Point(right.x() * size.width(), right.y() * size.height());
            return seen.people().stream()
                    .anyMatch(face -> face.eyes().get(0).distance(one) <= NEAR * face.width()
                            && face.eyes().get(1).distance(other) <= NEAR * face.width());
        }
    }

    private final List<Pair> pairs;

    private EyeTruth(List<Pair> pairs) {
        this.pairs = pairs;
    }

    static EyeTruth read() throws IOException {
        return new EyeTruth(TruthFile.rows("eyes.csv").stream()
                .map(line -> line.split(","))
                .map(cells -> new Pair(
                        cells[0],
                        new Point(Double.parseDouble(cells[1]), Double.parseDouble(cells[2])),
                        new Point(Double.parseDouble(cells[3]), Double.parseDouble(cells[4]))))
                .toList());
    }

    private List<Pair> of(Path photo) {
        String name = TruthFile.name(photo);
        return pairs.stream().filter(pair -> pair.photo.equals(name)).toList();
    }

    /** How many faces a person sees in a photo. */
    long faces(Path photo) {
        return of(photo).size();
    }

    /** Of how many of them both eyes were found where they are. */
    long found(Path photo, Seen seen) {
        return of(photo).stream().filter(pair -> pair.isFound(seen)).count();
    }
}
