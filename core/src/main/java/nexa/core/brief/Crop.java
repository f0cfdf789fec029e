package nexa.core.brief;

import java.util.Optional;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.told.InvalidException;

/**
 * A frame somebody placed.
 *
 * @param wish the frame asked for, remembered as {@link nexa.core.space.PhotoSpace#toAsShot} has it
 * @param ownShape the shape this frame is held to in place of its format's; empty = the format's
 * @param outside whether the frame may leave the photo; the blank is filled at handover
 * @param checked looked at and accepted
 * @param fill what goes into the blank; empty = the format's
 * @throws IllegalArgumentException if the wish is so small or so far away that no photo has such a place
 */
public record Crop(Frame wish, Optional<Shape> ownShape, boolean outside, boolean checked, Optional<Fill> fill) {
    /** In long edges of the photo: far below a pixel, and far beyond any blank that somebody fills. */
    private static final double SMALLEST = 1e-6;

    private static final double LARGEST = 1e3;

    public Crop {
        double reach = Math.max(Math.abs(wish.centreX()), Math.abs(wish.centreY()));
        boolean tooSmall = Math.min(wish.width(), wish.height()) < SMALLEST;
        if (tooSmall || Math.max(wish.width(), wish.height()) > LARGEST || reach > LARGEST) {
            throw new InvalidException("told.brief.no-frame-on-photo", wish);
        }
    }

    /** A frame in its format's shape, inside the photo, not checked yet. */
    public Crop(Frame wish) {
        this(wish, Optional.empty(), false, false);
    }

    /** With the format's fill. */
    public Crop(Frame wish, Optional<Shape> ownShape, boolean outside, boolean checked) {
        this(wish, ownShape, outside, checked, Optional.empty());
    }

    public FrameState state() {
        return checked ? FrameState.CHECKED : FrameState.PLACED;
    }

    /** Another wish; what was accepted is no longer what is there. */
    public Crop withWish(Frame other) {
        return new Crop(other, ownShape, outside, false, fill);
    }

    public Crop withOwnShape(Optional<Shape> shape) {
        return new Crop(wish, shape, outside, false, fill);
    }

    public Crop withOutside(boolean allowed) {
        return new Crop(wish, ownShape, allowed, false, fill);
    }

    public Crop asChecked() {
        return new Crop(wish, ownShape, outside, true, fill);
    }

    /** With a fill of its own, or the format's. */
    public Crop withFill(Optional<Fill> other) {
        return new Crop(wish, ownShape, outside, false, other);
    }

    /** What goes into the blank. */
    public Fill fill(Format format) {
        return fill.orElse(format.files().fill());
    }

    /** The format in the shape that this frame is held to. An own shape lies as its frame lies. */
    public Format held(Format format) {
        return ownShape.map(shape -> format.shaped(shape).lying(OrientationRule.FOLLOW_PHOTO))
                .orElse(format);
    }
}
