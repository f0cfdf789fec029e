package nexa.shoot.mark;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.detect.Seen;
import nexa.imaging.detect.SubjectDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** Proposes where a photo's subject is. Decodes, so not for the interface's thread; changes nothing. */
public final class MarkSuggester {
    private MarkSuggester() {}

    /**
     * Both eyes of a face, the ends of a group, or those of what a readable photo shows; empty if nothing stands out.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static Optional<Suggestion> suggest(Shoot shoot, Photo photo) throws UnreadablePhotoException {
        PhotoFacts facts = photo.facts().orElseThrow();
        return of(SubjectDetector.find(shoot.previewMaker(), shoot.fileOf(photo), facts));
    }

    /** What was found as it is kept; empty if that is nothing. */
    public static Optional<Suggestion> of(Seen seen) {
        PhotoSpace asShot = new PhotoSpace(seen.photo(), Pose.AS_SHOT);
        List<Point> ends = seen.marks().stream().map(asShot::toLevel).toList();
        boolean two = ends.size() == Marks.MOST && ends.getFirst().distance(ends.getLast()) >= Marks.NEAREST;
        return two
                ? Optional.of(new Suggestion(Marks.of(asShot, ends), seen.sight(), seen.confidence()))
                : Optional.empty();
    }

    /** Marks from points in upright pixels of a photo as it is turned. */
    public static Marks at(PhotoSpace space, List<Point> upright) {
        return Marks.of(space, upright.stream().map(space::toLevel).toList());
    }
}
