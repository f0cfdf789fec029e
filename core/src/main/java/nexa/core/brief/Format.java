package nexa.core.brief;

import nexa.core.files.FileSettings;
import nexa.core.geometry.Orientation;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.told.InvalidException;

/**
 * One deliverable of a brief.
 *
 * @param id stays the same when the format is renamed or reshaped; unique in its brief, also against removed ones
 * @param target how large it is delivered
 * @param note what it is used for; empty if nobody said
 * @param files how it becomes files at handover
 * @param centred whether a frame that nobody placed lies in the middle, whatever is seen in the photo
 */
public record Format(
        int id,
        String name,
        Shape shape,
        OrientationRule rule,
        SizeTarget target,
        String note,
        FileSettings files,
        boolean centred) {
    public static final int LONGEST_NAME = 60;
    public static final int LONGEST_NOTE = 200;

    public Format {
        name = name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new InvalidException("told.brief.format-name-visible-characters", LONGEST_NAME);
        }
        note = note.strip();
        if (note.length() > LONGEST_NOTE || note.chars().anyMatch(Character::isISOControl)) {
            throw new InvalidException("told.brief.note-most-visible-characters", LONGEST_NOTE);
        }
    }

    /** In the frames' own pixels, without a note. */
    public Format(int id, String name, Shape shape, OrientationRule rule) {
        this(id, name, shape, rule, SizeTarget.NONE, "", FileSettings.DEFAULT, false);
    }

    /** A new one that is named by its shape. */
    public static Format of(Shape shape) {
        return new Format(0, shape.text(), shape, OrientationRule.FOLLOW_PHOTO);
    }

    /**
     * Width over height of this format's frame.
     *
     * @param along the orientation that a following shape takes
     * @param photo aspect of the upright photo, for <em>as photo</em>
     * @param own aspect that a free frame has
     */
    public double aspect(Orientation along, double photo, double own) {
        return switch (shape) {
            case Shape.Free() -> own;
            case Shape.AsPhoto() -> photo;
            case Shape.Ratio ratio -> rule.lay(ratio, along).aspect();
        };
    }

    public Format named(String other) {
        return new Format(id, other, shape, rule, target, note, files, centred);
    }

    public Format lying(OrientationRule other) {
        return new Format(id, name, shape, other, target, note, files, centred);
    }

    public Format shaped(Shape other) {
        return new Format(id, name, other, rule, target, note, files, centred);
    }

    public Format sized(SizeTarget other) {
        return new Format(id, name, shape, rule, other, note, files, centred);
    }

    public Format noted(String other) {
        return new Format(id, name, shape, rule, target, other, files, centred);
    }

    public Format filed(FileSettings other) {
        return new Format(id, name, shape, rule, target, note, other, centred);
    }

    public Format centred(boolean always) {
        return new Format(id, name, shape, rule, target, note, files, always);
    }

    /** The same format as another brief has it. */
    public Format withId(int other) {
        return new Format(other, name, shape, rule, target, note, files, centred);
    }

    /** Whether the other asks for the same under the same name. */
    public boolean isLike(Format other) {
        return withId(other.id).equals(other);
    }

    public boolean keepsShape() {
        return !(shape instanceof Shape.Free);
    }
}
