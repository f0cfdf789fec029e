package nexa.core.shape;

import nexa.core.geometry.Orientation;

/** Which way a format's shape lies on a photo. */
public enum OrientationRule {
    /** The long side of the shape along the long side of the photo; a square photo takes the shape as written. */
    FOLLOW_PHOTO,
    HORIZONTAL,
    VERTICAL;

    /** The ratio as it lies for a photo (or a frame) of the given orientation. */
    public Shape.Ratio lay(Shape.Ratio ratio, Orientation along) {
        Orientation wanted =
                switch (this) {
                    case FOLLOW_PHOTO -> along;
                    case HORIZONTAL -> Orientation.HORIZONTAL;
                    case VERTICAL -> Orientation.VERTICAL;
                };
        Orientation written = Orientation.of(ratio.width(), ratio.height());
        boolean turn = wanted != Orientation.SQUARE && written != Orientation.SQUARE && written != wanted;
        return turn ? ratio.turned() : ratio;
    }
}
