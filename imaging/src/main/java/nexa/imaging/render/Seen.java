package nexa.imaging.render;

import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.space.ColourMaps;

/** The smallest rectangle of a source that a tile covers, in continuous source pixels. */
record Seen(double left, double top, double right, double bottom) {
    /** Where a mapping bends, the tile's edge is followed in steps of so many output pixels. */
    private static final int STEP = 8;

    /** What all colours cover. */
    static Seen of(ColourMaps tileToSource, int width, int height) {
        Seen green = of(tileToSource.green(), width, height);
        return tileToSource.areAlike()
                ? green
                : green.and(of(tileToSource.red(), width, height)).and(of(tileToSource.blue(), width, height));
    }

    private Seen and(Seen other) {
        return new Seen(
                Math.min(left, other.left),
                Math.min(top, other.top),
                Math.max(right, other.right),
                Math.max(bottom, other.bottom));
    }

    /** A mapping is one to one, so the edge of what is seen is what is seen of the edge. */
    static Seen of(Mapping tileToSource, int width, int height) {
        int across = tileToSource instanceof Affine ? 1 : Math.ceilDiv(width, STEP);
        int down = tileToSource instanceof Affine ? 1 : Math.ceilDiv(height, STEP);
        int count = 2 * (across + 1) + 2 * (down + 1);
        double[] xs = new double[count];
        double[] ys = new double[count];
        int at = 0;
        for (int i = 0; i <= across; i++) {
            double x = (double) width * i / across;
            at = put(xs, ys, at, x, 0);
            at = put(xs, ys, at, x, height);
        }
        for (int i = 0; i <= down; i++) {
            double y = (double) height * i / down;
            at = put(xs, ys, at, 0, y);
            at = put(xs, ys, at, width, y);
        }
        tileToSource.map(xs, ys, count);
        return around(xs, ys);
    }

    private static int put(double[] xs, double[] ys, int at, double x, double y) {
        xs[at] = x;
        ys[at] = y;
        return at + 1;
    }

    private static Seen around(double[] xs, double[] ys) {
        double left = Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double bottom = -Double.MAX_VALUE;
        for (int i = 0; i < xs.length; i++) {
            left = Math.min(left, xs[i]);
            right = Math.max(right, xs[i]);
            top = Math.min(top, ys[i]);
            bottom = Math.max(bottom, ys[i]);
        }
        return new Seen(left, top, right, bottom);
    }
}
