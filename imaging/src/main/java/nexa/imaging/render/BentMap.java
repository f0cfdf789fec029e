package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.add;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Where each pixel of a tile is to be read, for a mapping that bends: exact at the nodes of a grid, and straight in between
 * where that is near enough; else exact at each pixel.
 */
final class BentMap {
    /** Pixels from one node to the next, at most. */
    private static final int COARSE = 4;

    /** The same on a screen. */
    private static final int COARSE_ON_SCREEN = 16;

    /** The same for differences. */
    private static final int APART = 32;

    /** Places along a picture's side at which bending is looked at. */
    private static final int LOOKS = 64;

    /** How far straight lines between nodes may stray, in pixels of what is read. */
    private static final double STRAYING = 0.002;

    /** The same on a screen, where linear samples are taken in steps of a thirty-second of a pixel anyway. */
    private static final double STRAYING_ON_SCREEN = 0.03;

    private final int width;
    private final int height;
    private final int step;
    private final int across;
    private final int down;
    private final double[] xs;
    private final double[] ys;

    /**
     * For a tile, too.
     *
     * @param step of the whole picture, so that where tiles begin makes no difference
     */
    BentMap(Mapping map, int width, int height, int step) {
        this.width = width;
        this.height = height;
        this.step = step;
        int beyond = step == 1 ? 0 : 2;
        across = Math.ceilDiv(width, step) + beyond;
        down = Math.ceilDiv(height, step) + beyond;
        xs = new double[across * down];
        ys = new double[across * down];
        for (int i = 0; i < xs.length; i++) {
            xs[i] = (i % across - beyond / 2 + 0.5) * step;
            ys[i] = (i / across - beyond / 2 + 0.5) * step;
        }
        map.map(xs, ys, xs.length);
    }

    /** @param map continuous pixels to continuous pixels, centres at +0.5 */
    static BentMap of(Mapping map, int width, int height) {
        return new BentMap(map, width, height, step(map, width, height));
    }

    /** Pixels from one node to the next that are near enough for a picture. */
    static int step(Mapping map, int width, int height) {
        return step(map, width, height, COARSE, STRAYING);
    }

    /** The same for a picture that is only looked at. */
    static int stepOnScreen(Mapping map, int width, int height) {
        return step(map, width, height, COARSE_ON_SCREEN, STRAYING_ON_SCREEN);
    }

    private static int step(Mapping map, int width, int height, int coarsest, double most) {
        if (map.breaks()) {
            return 1;
        }
        double straying = straying(map, width, height) / (COARSE * COARSE); // grows with the square of the step
        int step = coarsest;
        while (step > 1 && straying * step * step > most) {
            step /= 2;
        }
        return step;
    }

    /** Between nodes COARSE apart: a curve strays from its chord by an eighth of its second difference; it bends most at an edge or evenly. */
    private static double straying(Mapping map, int width, int height) {
        double most = 0;
        for (int i = 0; i <= LOOKS; i++) {
            double x = (double) i / LOOKS * width;
            double y = (double) i / LOOKS * height;
            for (int side = 0; side <= 2; side++) {
                most = Math.max(most, bend(map, new Point(x, side / 2.0 * height), new Point(COARSE, 0)));
                most = Math.max(most, bend(map, new Point(side / 2.0 * width, y), new Point(0, COARSE)));
            }
        }
        return most / 8;
    }

    private static double bend(Mapping map, Point at, Point apart) {
        Point before = map.apply(at.minus(apart));
        Point after = map.apply(at.plus(apart));
        Point middle = map.apply(at);
        return Math.max(
                Math.abs(before.x() - 2 * middle.x() + after.x()), Math.abs(before.y() - 2 * middle.y() + after.y()));
    }

    /** Where each pixel is to be read, counted from pixel centres as OpenCV does, 32-bit floats. */
    record Places(Mat xs, Mat ys) implements AutoCloseable {
        @Override
        public void close() {
            xs.close();
            ys.close();
        }
    }

    Places places() {
        return new Places(spread(xs, step, -0.5), spread(ys, step, -0.5));
    }

    /**
     * The same for a mapping that differs from another one by hardly more than it stretches, as colours do through a lens: the
     * difference is taken at a few nodes only.
     *
     * @param known places of the other one
     */
    static Places beside(Mapping map, Mapping other, Places known) {
        int width = known.xs.cols();
        int height = known.xs.rows();
        BentMap ours = new BentMap(map, width, height, APART);
        BentMap theirs = new BentMap(other, width, height, APART);
        return new Places(ours.added(ours.xs, theirs.xs, known.xs), ours.added(ours.ys, theirs.ys, known.ys));
    }

    private Mat added(double[] one, double[] other, Mat known) {
        double[] off = new double[one.length];
        for (int i = 0; i < off.length; i++) {
            off[i] = one[i] - other[i];
        }
        Mat added = new Mat();
        try (Mat difference = spread(off, step, 0)) {
            add(known, difference, added);
        }
        return added;
    }

    private Mat spread(double[] of, int apart, double more) {
        float[] values = new float[of.length];
        for (int i = 0; i < of.length; i++) {
            values[i] = (float) (of[i] + more);
        }
        Mat nodes = new Mat(down, across, CV_32F);
        try (FloatPointer cells = new FloatPointer(nodes.data())) {
            cells.put(values, 0, values.length);
        }
        if (apart == 1) {
            return nodes;
        }
        try (nodes;
                Mat all = new Mat();
                Size size = new Size(across * apart, down * apart);
                Rect tile = new Rect(apart, apart, width, height)) {
            resize(nodes, all, size, 0, 0, INTER_LINEAR);
            return new Mat(all, tile);
        }
    }
}
