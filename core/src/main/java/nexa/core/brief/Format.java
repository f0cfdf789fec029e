package nexa.core.brief;

import nexa.core.geometry.Orientation;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;

/**
 * One deliverable of a brief.
 *
 * @param id stays the same when the format is renamed or reshaped; unique in its brief, also against removed ones
 */
public record Format(int id, String name, Shape shape, OrientationRule rule) {
    public static final int LONGEST_NAME = 60;

    public Format {
        name = name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new IllegalArgumentException("A format's name has 1 to " + LONGEST_NAME + " visible characters");
        }
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
        return new Format(id, other, shape, rule);
    }

    public Format lying(OrientationRule other) {
        return new Format(id, name, shape, other);
    }

    public boolean keepsShape() {
        return !(shape instanceof Shape.Free);
    }
}
