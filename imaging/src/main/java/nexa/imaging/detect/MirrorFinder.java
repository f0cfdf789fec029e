package nexa.imaging.detect;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Finds the line about which a picture is mirrored in water: still water is level. What is above the line must correlate with
 * what is below it turned over, clearly more than about any other line (normalised cross-correlation, J. P. Lewis, "Fast
 * Normalized Cross-Correlation", 1995).
 */
final class MirrorFinder {
    /** What is looked at, in pixels of the long edge: at first, and for the exact lean. */
    private static final int COARSE = 100;

    private static final int FINE = 320;

    /** Degrees. */
    private static final double WIDEST = 12;

    private static final double STEP = 1.5;
    private static final double FINE_STEP = 0.125;

    /** Of the height: where the line may lie, and how much of what is above and below it is compared. */
    private static final double EDGE = 0.25;

    private static final double COMPARED = 0.35;

    /** Of the long edge: larger shades are the sky's. */
    private static final double SHADES = 0.05;

    /** Of the long edge: smaller detail is lost in ripples. */
    private static final double RIPPLES = 0.006;

    /** What a mirror's halves correlate by, and by how much more than those about lines elsewhere. */
    private static final double LEAST = 0.7;

    private static final double CLEARLY = 0.25;

    /** Degrees, and of the height: nearer lines are the same. */
    private static final double SAME_LEAN = 3;

    private static final double SAME_PLACE = 0.08;

    private record Axis(double degrees, int y, double likeness) {
        /** Right across a picture, turned back about its middle. */
        LevelLine line(PixelSize picture) {
            Point middle = new Point(picture.width() / 2.0, picture.height() / 2.0);
            Point along = new Point(Math.cos(Math.toRadians(degrees)), Math.sin(Math.toRadians(degrees)));
            Point across = new Point(-along.y(), along.x());
            Point on = middle.plus(across.times(y - middle.y()));
            return new LevelLine(on.minus(along.times(middle.x())), on.plus(along.times(middle.x())));
        }

        boolean isOther(Axis best, int height) {
            return Math.abs(degrees - best.degrees) > SAME_LEAN || Math.abs(y - best.y) > SAME_PLACE * height;
        }
    }

    private static final Comparator<Axis> LIKELIER = Comparator.comparingDouble(Axis::likeness);

    private MirrorFinder() {}

    /** In the continuous pixels of a grey picture; empty if there is none. */
    static Optional<LevelLine> find(Picture grey) {
        try (Picture small = grey.reducedTo(FINE);
                Picture smaller = small.reducedTo(COARSE);
                Mat coarse = detail(smaller)) {
            List<Axis> all = new ArrayList<>();
            for (double degrees = -WIDEST; degrees <= WIDEST; degrees += STEP) {
                int edge = (int) (EDGE * coarse.rows());
                add(all, coarse, degrees, edge, coarse.rows() - edge);
            }
            double finer = (double) small.size().longEdge() / smaller.size().longEdge();
            double scale = (double) grey.size().longEdge() / small.size().longEdge();
            return all.stream()
                    .max(LIKELIER)
                    .filter(best -> stands(best, all, coarse.rows()))
                    .map(best -> exactly(small, best, finer))
                    .map(line -> line.times(scale));
        }
    }

    private static Mat detail(Picture picture) {
        double edge = picture.size().longEdge();
        return Greys.detail(picture, SHADES * edge, RIPPLES * edge);
    }

    private static boolean stands(Axis best, List<Axis> all, int height) {
        double other = all.stream()
                .filter(axis -> axis.isOther(best, height))
                .mapToDouble(Axis::likeness)
                .max()
                .orElse(0);
        return best.likeness >= LEAST && best.likeness - other >= CLEARLY;
    }

    private static void add(List<Axis> axes, Mat detail, double degrees, int from, int to) {
        Greys level = Greys.levelled(detail, degrees);
        int beyond = (int) Math.ceil(Math.abs(Math.tan(Math.toRadians(degrees))) * level.height() / 2);
        for (int y = Math.max(1, from); y <= Math.min(level.height() - 1, to); y++) {
            axes.add(new Axis(degrees, y, likeness(level, y, beyond)));
        }
    }

    /** @param beyond columns at each side that are beyond the picture somewhere */
    private static double likeness(Greys level, int y, int beyond) {
        int rows = (int) Math.min(Math.min(y, level.height() - y), COMPARED * level.height());
        double both = 0;
        double above = 0;
        double below = 0;
        for (int d = 0; d < rows; d++) {
            for (int x = beyond; x < level.width() - beyond; x++) {
                float up = level.at(x, y - 1 - d);
                float down = level.at(x, y + d);
                both += up * down;
                above += up * up;
                below += down * down;
            }
        }
        return both / Math.sqrt(above * below + 1);
    }

    private static LevelLine exactly(Picture small, Axis coarse, double finer) {
        List<Axis> near = new ArrayList<>();
        int y = (int) Math.round(coarse.y * finer);
        int about = (int) Math.ceil(finer);
        try (Mat fine = detail(small)) {
            for (double off = -STEP; off <= STEP; off += FINE_STEP) {
                add(near, fine, coarse.degrees + off, y - about, y + about);
            }
        }
        return near.stream().max(LIKELIER).orElse(coarse).line(small.size());
    }
}
