package nexa.shoot.plumb;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.brief.Framing;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.level.LevelLine;
import nexa.core.plumb.AutoPlumb;
import nexa.core.plumb.PlumbFinding;
import nexa.core.plumb.PlumbLine;
import nexa.imaging.detect.LineDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Shoot;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;

/** Finds how a photo's camera was turned. Decodes, so not for the interface's thread; changes nothing. */
public final class AutoPlumber {
    private AutoPlumber() {}

    /**
     * What the photo's own lines say, on the photo as it is turned and as its lens is corrected now; the plumb and the tilt
     * it has play no part. Lines come back so too.
     *
     * @throws IOException if the photo can't be decoded, or lens data can't be read
     */
    public static PlumbFinding find(Shoot shoot, Lenses lenses, Photo photo, Framing framing) throws IOException {
        PhotoFacts facts = photo.facts().orElseThrow();
        Turn turn = framing.pose().turn();
        Mapping lensed = framing.pose().correction().lensMapping();
        List<PlumbLine> lines = LineDetector.segments(shoot.previewMaker(), shoot.fileOf(photo), facts).stream()
                .flatMap(line -> line(line, facts.asShot(), lensed, turn).stream())
                .toList();
        return AutoPlumb.find(lines, lenses.focal(facts));
    }

    /** A line of a photo as shot, in its pixels, on the photo corrected and turned. */
    private static Optional<PlumbLine> line(LevelLine line, PixelSize asShot, Mapping lensed, Turn turn) {
        List<Point> ends = Stream.of(line.from(), line.to())
                .map(p -> new Point(p.x() - asShot.width() / 2.0, p.y() - asShot.height() / 2.0))
                .map(p -> turn.apply(lensed.apply(p.times(1.0 / asShot.longEdge()))))
                .toList();
        Point along = ends.getLast().minus(ends.getFirst());
        return along.length() == 0
                ? Optional.empty()
                : Optional.of(
                        new PlumbLine(ends.getFirst(), ends.getLast(), Math.abs(along.y()) > Math.abs(along.x())));
    }
}
