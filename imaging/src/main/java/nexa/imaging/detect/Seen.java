package nexa.imaging.detect;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.sight.Sight;
import nexa.imaging.face.Face;

/**
 * What was found in a photo, in pixels as shot.
 *
 * @param photo its size
 * @param people the faces of who it is of, the largest first
 * @param subject the box of what it is of
 * @param ends top and foot of a thing that stands, or the ends of what lies; two, or none
 * @param confidence how often such a finding is right, 0 to 1, after the trial of marks
 */
public record Seen(PixelSize photo, List<Face> people, Optional<Frame> subject, List<Point> ends, double confidence) {
    public Seen {
        people = List.copyOf(people);
        ends = List.copyOf(ends);
    }

    /** As it is kept. */
    public Sight sight() {
        return new Sight(
                people.stream().map(face -> kept(face.box())).toList(),
                subject.map(this::kept),
                people.isEmpty() ? 0 : people.getFirst().gaze());
    }

    private Frame kept(Frame box) {
        Point middle = new Point(photo.width() / 2.0, photo.height() / 2.0);
        return box.movedBy(middle.times(-1)).times(1.0 / photo.longEdge());
    }

    /**
     * Two points to mark: both eyes of one person; of a group the outermost brows; of a thing top and foot, or its ends if it
     * lies; none if nothing was found.
     */
    public List<Point> marks() {
        if (people.size() > 1) {
            List<Face> across = people.stream()
                    .sorted(Comparator.comparingDouble(face -> face.middle().x()))
                    .toList();
            return List.of(across.getFirst().betweenBrows(), across.getLast().betweenBrows());
        }
        return people.isEmpty() ? ends : people.getFirst().eyes();
    }

    /** The same in pixels of another size of the photo. */
    Seen times(double scale, PixelSize whole) {
        return new Seen(
                whole,
                people.stream().map(face -> face.times(scale)).toList(),
                subject.map(box -> box.times(scale)),
                ends.stream().map(end -> end.times(scale)).toList(),
                confidence);
    }
}
