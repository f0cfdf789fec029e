package nexa.core.brief;

import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.PixelSize;

/** From a photo, what was asked of it, and a format to the frame. */
public final class Derivation {
    private Derivation() {}

    /**
     * The frame in level space, inside the photo unless its crop may leave it: what fits of the wish, or the largest
     * centred if there is none.
     */
    public static Frame frame(PixelSize asShot, Framing framing, Format format) {
        PhotoSpace space = new PhotoSpace(asShot, framing.pose());
        return framing.crop(format)
                .map(crop -> Fit.within(space.room(crop.outside()), asked(space, crop.wish(), crop.held(format))))
                .orElseGet(() -> largest(space, format));
    }

    /** The largest centred frame of the format on a photo. */
    public static Frame largest(PhotoSpace space, Format format) {
        double photo = space.upright().aspect();
        return Fit.largest(space.outline(), format.aspect(space.upright().orientation(), photo, photo));
    }

    /** A frame in level space brought to a format's shape: centre and area kept; unchanged if it has the shape. */
    public static Frame shaped(PhotoSpace space, Frame level, Format format) {
        Orientation along = Orientation.of(level.width(), level.height());
        double aspect = format.aspect(along, space.upright().aspect(), level.aspect());
        return sameShape(level, aspect) ? level : level.reshaped(aspect);
    }

    /** The wish in level space, in the format's present shape. */
    private static Frame asked(PhotoSpace space, Frame wish, Format format) {
        return shaped(space, space.fromAsShot(wish), format);
    }

    /** Equal but for rounding, so that a wish which already has the shape stays exactly as it is. */
    private static boolean sameShape(Frame frame, double aspect) {
        return Math.abs(frame.aspect() - aspect) <= 1e-12 * aspect;
    }
}
