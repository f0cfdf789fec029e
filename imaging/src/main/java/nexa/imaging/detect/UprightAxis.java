package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.bitwise_and;
import static org.bytedeco.opencv.global.opencv_core.setRNGSeed;
import static org.bytedeco.opencv.global.opencv_imgproc.GC_INIT_WITH_RECT;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.grabCut;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * The line about which an upright thing is even, such as a pot's: a handle does not move it. The thing is parted from what is
 * beside its box (C. Rother and others, "GrabCut", ACM Transactions on Graphics 23, 2004, as OpenCV has it).
 */
final class UprightAxis {
    /** Of the box's sides: what is looked at beside it. */
    private static final double BESIDE = 0.12;

    /** Of the box's height: as much of it must be seen. */
    private static final double LEAST_SEEN = 0.75;

    /** Of the box's height: where its ends may be found otherwise. */
    private static final double NEAR_ENDS = 0.1;

    /** Columns the axis moves per row, at most: about 10°. */
    private static final double MOST_LEAN = 0.18;

    /** Of the box's width: rows whose middle is nearer agree. */
    private static final double ON_AXIS = 0.05;

    /** By how much less the most leaning line counts: what stands mostly stands upright. */
    private static final double UPRIGHT = 0.4;

    /** Rows that lines are tried through. */
    private static final int PROBES = 32;

    /** Long edge in which it is looked for. */
    private static final double SMALL = 72;

    /** Thinner things have no inside. */
    private static final int LEAST_PIXELS = 5;

    private static final int ROUNDS = 3;
    private static final int SEED = 1;

    private UprightAxis() {}

    /**
     * Top and foot of a thing in the picture's continuous pixels; empty if it does not stand out from what is beside it.
     *
     * @param picture of 8 bits, coloured
     */
    static Optional<List<Point>> ends(Picture picture, Frame box) {
        Rect part = around(picture, box);
        if (Math.min(part.width(), part.height()) < LEAST_PIXELS) {
            return Optional.empty();
        }
        try (part;
                Mat cut = new Mat(picture.mat(), part);
                Mat small = new Mat();
                Mat seeds = new Mat()) {
            double scale = Math.min(1, SMALL / Math.max(part.width(), part.height()));
            Frame inside = Frame.around(
                    box.centre().minus(new Point(part.x(), part.y())).times(scale),
                    box.width() * scale,
                    box.height() * scale);
            resize(cut, small, new Size(), scale, scale, INTER_AREA);
            if (Math.min(small.cols(), small.rows()) < LEAST_PIXELS) {
                return Optional.empty();
            }
            separate(small, inside, seeds);
            List<Point> middles = middles(seeds).stream()
                    .map(point -> point.times(1 / scale).plus(new Point(part.x(), part.y())))
                    .toList();
            return middles.size() < LEAST_SEEN * box.height() * scale
                    ? Optional.empty()
                    : Optional.of(ends(middles, box));
        }
    }

    /** 1 where the thing is. */
    private static void separate(Mat small, Frame inside, Mat seeds) {
        int left = (int) Math.max(1, inside.left());
        int top = (int) Math.max(1, inside.top());
        int right = (int) Math.min(small.cols() - 1.0, Math.ceil(inside.right()));
        int bottom = (int) Math.min(small.rows() - 1.0, Math.ceil(inside.bottom()));
        try (Rect about = new Rect(left, top, Math.max(1, right - left), Math.max(1, bottom - top));
                Mat background = new Mat();
                Mat thing = new Mat();
                Mat one = new Mat(1, 1, CV_8UC1, new Scalar(1))) {
            setRNGSeed(SEED); // this thread's: the same photo gives the same proposal whenever it is asked for
            grabCut(small, seeds, about, background, thing, ROUNDS, GC_INIT_WITH_RECT);
            bitwise_and(seeds, one, seeds); // foreground and probable foreground are odd
        }
    }

    private static Rect around(Picture picture, Frame box) {
        int left = (int) Math.max(0, box.left() - BESIDE * box.width());
        int top = (int) Math.max(0, box.top() - BESIDE * box.height());
        int right = (int) Math.min(picture.size().width(), Math.ceil(box.right() + BESIDE * box.width()));
        int bottom = (int) Math.min(picture.size().height(), Math.ceil(box.bottom() + BESIDE * box.height()));
        return new Rect(left, top, Math.max(0, right - left), Math.max(0, bottom - top));
    }

    private static List<Point> ends(List<Point> middles, Frame box) {
        double top = near(middles.getFirst().y() - 0.5, box.top(), box);
        double foot = near(middles.getLast().y() + 0.5, box.bottom(), box);
        Line axis = agreed(middles, ON_AXIS * box.width());
        return List.of(new Point(axis.x(top), top), new Point(axis.x(foot), foot));
    }

    /** x = start + slope · y. */
    private record Line(double start, double slope) {
        static Line through(Point one, Point other) {
            double slope = (other.x() - one.x()) / (other.y() - one.y());
            return new Line(one.x() - slope * one.y(), slope);
        }

        double x(double y) {
            return start + slope * y;
        }

        /** How near the middles are to it; those farther away than that count no more, and an upright line for more. */
        double nearness(List<Point> middles, double within) {
            double near = middles.stream()
                    .mapToDouble(point -> Math.max(0, 1 - Math.abs(point.x() - x(point.y())) / within))
                    .sum();
            return near * (1 - UPRIGHT * Math.abs(slope) / MOST_LEAN);
        }
    }

    /** The line through two rows' middles that most rows agree with: a handle or a shadow is on a minority of them. */
    private static Line agreed(List<Point> middles, double within) {
        Line best = new Line(middles.get(middles.size() / 2).x(), 0);
        double most = best.nearness(middles, within);
        int step = Math.max(1, middles.size() / PROBES);
        for (int i = 0; i < middles.size(); i += step) {
            for (int j = i + middles.size() / 3; j < middles.size(); j += step) {
                Line line = Line.through(middles.get(i), middles.get(j));
                double nearness = line.nearness(middles, within);
                if (Math.abs(line.slope()) <= MOST_LEAN && nearness > most) {
                    best = line;
                    most = nearness;
                }
            }
        }
        return best;
    }

    private static double near(double found, double ofBox, Frame box) {
        return Math.abs(found - ofBox) <= NEAR_ENDS * box.height() ? found : ofBox;
    }

    /** The middle of the longest run of each row that has any, counted from the outer edge of the first pixel. */
    private static List<Point> middles(Mat mask) {
        List<Point> middles = new ArrayList<>();
        try (UByteIndexer cells = mask.createIndexer()) {
            for (int y = 0; y < mask.rows(); y++) {
                int longest = 0;
                int end = 0;
                int run = 0;
                for (int x = 0; x < mask.cols(); x++) {
                    run = cells.get(y, x) == 0 ? 0 : run + 1;
                    if (run > longest) {
                        longest = run;
                        end = x + 1;
                    }
                }
                if (longest > 0) {
                    middles.add(new Point(end - longest / 2.0, y + 0.5));
                }
            }
        }
        return middles;
    }
}
