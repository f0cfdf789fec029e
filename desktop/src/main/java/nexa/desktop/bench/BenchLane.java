package nexa.desktop.bench;

import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;

/** Where photos lie in the Bench: the current one large in the middle, its neighbours peeking in at the sides. */
record BenchLane(double width, double height) {
    private static final double WIDE_SHARE = 0.70;
    private static final double TOP = 30;
    private static final double BOTTOM = 46;
    private static final double GAP = 26;
    private static final double NEIGHBOUR_SHARE = 0.82;

    /** The current photo's place. */
    LevelView current(PhotoSpace photo) {
        return showing(photo.extent());
    }

    /** The current photo's place if more than the photo is to be seen. */
    LevelView showing(Frame box) {
        double share = width * WIDE_SHARE;
        return LevelView.fitting(box, (width - share) / 2, TOP, share, Math.max(1, height - TOP - BOTTOM));
    }

    /** A neighbour's place: beside the current photo's edge, side -1 = left, 1 = right. */
    LevelView neighbour(PhotoSpace neighbour, PhotoSpace current, int side) {
        LevelView middle = current(current);
        Frame shown = current.extent();
        double edge = middle.originX() + middle.scale() * (shown.centreX() + side * shown.width() / 2);
        Frame extent = neighbour.extent();
        LevelView own = LevelView.fitting(
                extent, 0, 0, width * WIDE_SHARE * NEIGHBOUR_SHARE, (height - TOP - BOTTOM) * NEIGHBOUR_SHARE);
        double halfOwn = own.scale() * extent.width() / 2;
        double middleY = middle.originY() + middle.scale() * shown.centreY();
        return new LevelView(0, 0, own.scale()).showing(extent.centre(), edge + side * (GAP + halfOwn), middleY);
    }
}
