package nexa.desktop.bench;

import nexa.core.geometry.PixelSize;
import nexa.desktop.paint.LevelView;

/** Where photos lie in the Bench: the current one large in the middle, its neighbours peeking in at the sides. */
record BenchLane(double width, double height) {
    private static final double WIDE_SHARE = 0.70;
    private static final double TOP = 30;
    private static final double BOTTOM = 46;
    private static final double GAP = 26;
    private static final double NEIGHBOUR_SHARE = 0.82;

    /** The current photo's place. */
    LevelView current(PixelSize upright) {
        double share = width * WIDE_SHARE;
        return LevelView.fitting(upright.aspect(), (width - share) / 2, TOP, share, Math.max(1, height - TOP - BOTTOM));
    }

    /** A neighbour's place: beside the current photo's edge, side -1 = left, 1 = right. */
    LevelView neighbour(PixelSize upright, PixelSize current, int side) {
        LevelView middle = current(current);
        double halfCurrent = middle.scale() * Math.min(1, current.aspect()) / 2;
        LevelView own = LevelView.fitting(
                upright.aspect(),
                0,
                0,
                width * WIDE_SHARE * NEIGHBOUR_SHARE,
                (height - TOP - BOTTOM) * NEIGHBOUR_SHARE);
        double halfOwn = own.scale() * Math.min(1, upright.aspect()) / 2;
        return new LevelView(middle.originX() + side * (halfCurrent + GAP + halfOwn), middle.originY(), own.scale());
    }
}
