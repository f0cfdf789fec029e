package nexa.core.fit;

import nexa.core.geometry.Frame;
import nexa.core.outline.Outline;
import nexa.core.outline.Region;
import nexa.core.outline.TurnedRectangle;

/** Fits frames into a photo's outline; exact up to rounding of doubles. */
public final class Fit {
    private Fit() {}

    /** The largest frame of the shape; of those, the one nearest to the outline's middle. */
    public static Frame largest(Outline outline, double aspect) {
        return switch (outline) {
            case TurnedRectangle rectangle -> {
                double scale = RectangleFit.largestScale(rectangle, aspect, 1);
                yield new Frame(0, 0, aspect * scale, scale);
            }
            case Region region -> RegionFit.within(region, RegionFit.tooLarge(region, aspect));
        };
    }

    /**
     * The largest frame of the wish's shape, at most as large as the wish, that lies inside the photo; of those, the
     * one nearest to the wished centre. A wish that lies inside comes back unchanged.
     */
    public static Frame within(Outline outline, Frame wish) {
        return switch (outline) {
            case TurnedRectangle rectangle -> RectangleFit.within(rectangle, wish);
            case Region region -> RegionFit.within(region, wish);
        };
    }

    /** The factor by which a frame of the given size becomes the largest of its shape. */
    public static double largestScale(Outline outline, double width, double height) {
        return switch (outline) {
            case TurnedRectangle rectangle -> RectangleFit.largestScale(rectangle, width, height);
            case Region region -> {
                Frame large = RegionFit.tooLarge(region, width / height);
                yield RegionFit.within(region, large).width() / width;
            }
        };
    }
}
