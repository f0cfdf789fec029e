package nexa.core.fit;

import nexa.core.geometry.Frame;
import nexa.core.outline.Region;

/**
 * The fit in an outline of any shape.
 *
 * <p>A frame's centre may not lie in the {@link Obstacle}s that the outline's sides become when they grow by the frame.
 * Being free of an obstacle means being in at least one of a few half-planes, so {@link PlaceSearch} finds the largest
 * size and the nearest free place by branch and bound.
 */
final class RegionFit {
    /** So much smaller than the largest, relatively, a frame has more than one point to be at and rounding does no harm. */
    private static final double EASE = 1e-12;

    private RegionFit() {}

    static Frame within(Region region, Frame wish) {
        PlaceSearch search = new PlaceSearch(region, wish);
        PlaceSearch.Place largest = search.largest();
        if (largest.size() == 1) {
            return largest.centre().equals(wish.centre()) ? wish : at(wish, largest);
        }
        // several places may have the largest size but for rounding; of those the nearest is wanted
        return at(wish, search.nearest(largest.size() * (1 - EASE)));
    }

    private static Frame at(Frame wish, PlaceSearch.Place place) {
        return Frame.around(place.centre(), wish.width() * place.size(), wish.height() * place.size());
    }

    /** A frame of the shape about the outline's middle that is at least as large as any that fits. */
    static Frame tooLarge(Region region, double aspect) {
        Frame box = region.bounds();
        double height = Math.min(box.height(), box.width() / aspect);
        return Frame.around(region.middle(), height * aspect, height);
    }
}
