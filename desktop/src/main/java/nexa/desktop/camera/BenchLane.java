package nexa.desktop.camera;

import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;

/**
 * Where photos lie in the Bench: the current one large in the middle, its neighbours peeking in at the sides.
 *
 * @param neighbours whether they are to be seen where there is room; else the photo has theirs
 */
public record BenchLane(double width, double height, boolean neighbours) {
    private static final double WIDE_SHARE = 0.80;

    /** Beside a photo without neighbours. */
    private static final double MARGIN = 18;

    private static final double TOP = 16;
    private static final double BOTTOM = 38;
    /** A narrower lane has no room for neighbours: the photo would get too small. */
    private static final double ROOMY = 900;

    private static final double GAP = 26;
    private static final double NEIGHBOUR_SHARE = 0.82;

    public BenchLane {
        neighbours = neighbours && width >= ROOMY;
    }

    /** The current photo's place. */
    public LevelView current(PhotoSpace photo) {
        return showing(photo.extent());
    }

    /** The current photo's place if more than the photo is to be seen. */
    LevelView showing(Frame box) {
        double share = wide();
        return LevelView.fitting(box, (width - share) / 2, TOP, share, Math.max(1, height - TOP - BOTTOM));
    }

    private double wide() {
        return neighbours ? width * WIDE_SHARE : Math.max(1, width - 2 * MARGIN);
    }

    /** A neighbour's place: beside the current photo's edge, side -1 = left, 1 = right. */
    LevelView neighbour(PhotoSpace neighbour, PhotoSpace current, int side) {
        LevelView middle = current(current);
        Frame shown = current.extent();
        double edge = middle.originX() + middle.scale() * (shown.centreX() + side * shown.width() / 2);
        Frame extent = neighbour.extent();
        LevelView own =
                LevelView.fitting(extent, 0, 0, wide() * NEIGHBOUR_SHARE, (height - TOP - BOTTOM) * NEIGHBOUR_SHARE);
        double halfOwn = own.scale() * extent.width() / 2;
        double middleY = middle.originY() + middle.scale() * shown.centreY();
        return new LevelView(0, 0, own.scale()).showing(extent.centre(), edge + side * (GAP + halfOwn), middleY);
    }
}
