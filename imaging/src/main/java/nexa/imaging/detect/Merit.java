package nexa.imaging.detect;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.imaging.face.Face;
import nexa.imaging.face.FaceMesh;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;

/**
 * What speaks for a photo among those that are nearly the same.
 *
 * @param sharpness of its subject; of use only among photos of the same thing in the same light
 * @param eyes of the people it is of
 */
public record Merit(double sharpness, List<Eyes> eyes) {
    /** Of a photo that can't be decoded. */
    public static final Merit UNKNOWN = new Merit(0, List.of());

    /** Large enough that a slightly missed focus shows. */
    private static final int LONG_EDGE = 1600;

    /** Of the same eyes when they are open: less is closed. So are 42 of 80 faces with lids drawn over the eyes, and 1 without (trial of eyes). */
    private static final double CLOSED = 0.82;

    /** In widths of a face: as far as somebody moves between near-repeats. */
    private static final double MOVED = 1;

    /**
     * A person's eyes.
     *
     * @param face its middle, in units of the photo's long edge
     * @param width of the face, likewise
     * @param open between the lids, of the eyes' width
     */
    public record Eyes(Point face, double width, double open) {}

    public Merit {
        eyes = List.copyOf(eyes);
    }

    /** @throws UnreadablePhotoException if the photo can't be decoded */
    public static Merit of(PreviewMaker previews, Path file, PhotoFacts facts) throws UnreadablePhotoException {
        try (Picture picture = previews.picture(file, facts, LONG_EDGE)) {
            return of(picture);
        }
    }

    private static Merit of(Picture picture) throws UnreadablePhotoException {
        Seen seen = SubjectDetector.find(picture, picture.size());
        Frame whole = new Frame(
                picture.size().width() / 2.0,
                picture.size().height() / 2.0,
                picture.size().width(),
                picture.size().height());
        return new Merit(Sharpness.of(picture, seen.subject().orElse(whole)), eyes(picture, seen.people()));
    }

    private static List<Eyes> eyes(Picture picture, List<Face> people) {
        double unit = picture.size().longEdge();
        List<Eyes> eyes = new ArrayList<>();
        for (Face face : people) {
            FaceMesh.of(picture, face)
                    .ifPresent(mesh ->
                            eyes.add(new Eyes(face.middle().times(1 / unit), face.width() / unit, mesh.eyeOpening())));
        }
        return eyes;
    }

    /** Whether somebody's eyes are closed here who has them open in the other photo. */
    public boolean isAsleepBeside(Merit other) {
        return eyes.stream().anyMatch(mine -> other.eyes.stream()
                .anyMatch(theirs -> isSame(mine, theirs) && mine.open < CLOSED * theirs.open));
    }

    private static boolean isSame(Eyes mine, Eyes theirs) {
        return mine.face.distance(theirs.face) <= MOVED * Math.max(mine.width, theirs.width);
    }
}
