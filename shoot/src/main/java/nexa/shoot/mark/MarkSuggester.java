package nexa.shoot.mark;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.detect.SubjectDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** Proposes where a photo's subject is. Decodes, so not for the interface's thread; changes nothing. */
public final class MarkSuggester {
    private MarkSuggester() {}

    /**
     * Both eyes of a face, or the top and foot of what stands out in a readable photo; empty if nothing does.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static Optional<Marks> suggest(Shoot shoot, Photo photo) throws UnreadablePhotoException {
        PhotoFacts facts = photo.facts().orElseThrow();
        PhotoSpace asShot = new PhotoSpace(facts.asShot(), Pose.AS_SHOT);
        return Optional.of(SubjectDetector.find(shoot.previewMaker(), shoot.fileOf(photo), facts).marks().stream()
                        .map(asShot::toLevel)
                        .toList())
                .filter(ends -> ends.size() == Marks.MOST)
                .filter(ends -> ends.getFirst().distance(ends.getLast()) >= Marks.NEAREST)
                .map(ends -> Marks.of(asShot, ends));
    }

    /** Marks from points in upright pixels of a photo as it is turned. */
    public static Marks at(PhotoSpace space, List<Point> upright) {
        return Marks.of(space, upright.stream().map(space::toLevel).toList());
    }
}
