package nexa.core.review;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.fill.Blank;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.mark.Composition;
import nexa.core.space.PhotoSpace;

/** What may be wrong with one photo's frame in a format. */
public enum Warning {
    /** Fewer pixels than the format's size target asks for. */
    FEW_PIXELS,
    /** A mark lies outside the frame. */
    SUBJECT_CUT,
    /** A mark lies inside the frame, within {@link #MARGIN} of its sides. */
    NEAR_EDGE,
    /** The frame shows where there is no photo. */
    BLANK,
    /** More of the frame shows where there is no photo than the format lets pass. */
    MUCH_BLANK,
    /** The photo's level is known and it is tilted otherwise. */
    NOT_LEVEL;

    /** Share of the frame's side that a subject should keep from its edge. */
    public static final double MARGIN = 0.03;

    /** Degrees that nobody sees. */
    private static final double SEEN_TILT = 0.3;

    /** All warnings of a readable photo in a format. */
    public static Set<Warning> of(PixelSize asShot, Framing framing, Format format, Brief brief) {
        PhotoSpace space = new PhotoSpace(asShot, framing.pose());
        return of(space, framing, format, Derivation.frame(space, framing, format, brief));
    }

    /**
     * The same for whoever has derived the frame.
     *
     * @param space of the framing's pose
     */
    public static Set<Warning> of(PhotoSpace space, Framing framing, Format format, Frame frame) {
        EnumSet<Warning> warnings = EnumSet.noneOf(Warning.class);
        if (format.target().lacksPixels(frame, space.asShot())) {
            warnings.add(FEW_PIXELS);
        }
        double room = room(frame, framing.marks().in(space));
        if (room < -Tolerance.LENGTH) {
            warnings.add(SUBJECT_CUT);
        } else if (room < MARGIN) {
            warnings.add(NEAR_EDGE);
        }
        double blank = Blank.share(space.outline(), frame);
        if (blank > format.files().mostFill() / 100.0) {
            warnings.add(MUCH_BLANK);
        } else if (blank > 0) {
            warnings.add(BLANK);
        }
        double tilt = framing.pose().tilt().degrees();
        if (framing.levelTilt()
                .filter(level -> Math.abs(level.degrees() - tilt) > SEEN_TILT)
                .isPresent()) {
            warnings.add(NOT_LEVEL);
        }
        return warnings;
    }

    /** From the mark that is nearest to the frame's edge to it, in shares of the side; negative outside. */
    private static double room(Frame frame, List<Point> marks) {
        return marks.stream()
                .map(mark -> Composition.fraction(frame, mark))
                .mapToDouble(at -> Math.min(Math.min(at.x(), 1 - at.x()), Math.min(at.y(), 1 - at.y())))
                .min()
                .orElse(1);
    }
}
