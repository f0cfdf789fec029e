package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_32FC2;
import static org.bytedeco.opencv.global.opencv_imgproc.DIST_HUBER;
import static org.bytedeco.opencv.global.opencv_imgproc.fitLine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Finds the horizon of a sea or a plain, however faint: a straight boundary right across the picture on both sides of which it
 * is flat, so that what is just above it differs from what is just below by the same everywhere (a paired difference that is
 * large beside its spread; W. S. Gosset, "The probable error of a mean", Biometrika 6, 1908).
 */
final class HorizonFinder {
    /** What is looked at, in pixels of the long edge: at first, and for the exact place. */
    private static final int COARSE = 160;

    private static final int FINE = 480;

    /** Degrees. */
    private static final double WIDEST = 12;

    private static final double STEP = 0.5;

    /** Rows above and below a boundary that are compared. */
    private static final int BESIDE = 3;

    /** Of the height: nearer to an edge is a border. */
    private static final double EDGE = 0.08;

    /** Of the width: as much of a boundary must lie inside. */
    private static final double ACROSS = 0.75;

    /** In grey levels: the grain of any picture, added to the spread. */
    private static final double GRAIN = 1.0;

    /** The difference over its spread: less is not the same everywhere. */
    private static final double LEAST = 2.0;

    /** Strips across the picture in each of which the boundary is looked for again, and how far about, in fine pixels. */
    private static final int STRIPS = 40;

    private static final int ABOUT = 7;

    /** Of the strips, how many must lie on the line, to how many fine pixels. */
    private static final double MOST = 0.7;

    private static final double ON_LINE = 0.9;

    /** @param y where it crosses the middle column */
    private record Boundary(double degrees, double y, double strength) {
        Boundary stronger(Boundary other) {
            return other.strength > strength ? other : this;
        }

        double at(double x, int width) {
            return y + Math.tan(Math.toRadians(degrees)) * (x - width / 2.0);
        }

        Boundary times(double scale) {
            return new Boundary(degrees, y * scale, strength);
        }
    }

    private HorizonFinder() {}

    /** In the continuous pixels of a grey picture; empty if there is none. */
    static Optional<LevelLine> find(Picture grey) {
        try (Picture small = grey.reducedTo(FINE);
                Picture smaller = small.reducedTo(COARSE)) {
            Boundary best = strongest(Greys.of(smaller));
            double finer = (double) small.size().longEdge() / smaller.size().longEdge();
            double scale = (double) grey.size().longEdge() / small.size().longEdge();
            return best.strength < LEAST
                    ? Optional.empty()
                    : exactly(Greys.of(small), best.times(finer)).map(line -> line.times(scale));
        }
    }

    private static Boundary strongest(Greys greys) {
        float[][] steps = steps(greys);
        Boundary best = new Boundary(0, 0, 0);
        for (double degrees = -WIDEST; degrees <= WIDEST; degrees += STEP) {
            best = best.stronger(strongest(steps, degrees));
        }
        return best;
    }

    /** By column and row: what the rows above a place have more than those below it, on average. */
    private static float[][] steps(Greys greys) {
        float[][] steps = new float[greys.width()][greys.height()];
        for (int x = 0; x < greys.width(); x++) {
            for (int y = BESIDE; y <= greys.height() - BESIDE; y++) {
                float step = 0;
                for (int d = 0; d < BESIDE; d++) {
                    step += greys.at(x, y - 1 - d) - greys.at(x, y + d);
                }
                steps[x][Math.min(y, greys.height() - 1)] = step / BESIDE;
            }
        }
        return steps;
    }

    /** The leaning row whose steps are largest on average, beside how they differ from column to column. */
    private static Boundary strongest(float[][] steps, double degrees) {
        int width = steps.length;
        int height = steps[0].length;
        float[] sums = new float[height];
        float[] squares = new float[height];
        int[] columns = new int[height];
        double slope = Math.tan(Math.toRadians(degrees));
        int edge = Math.max(BESIDE, (int) (EDGE * height));
        for (int x = 0; x < width; x++) {
            int lower = (int) Math.round(slope * (x + 0.5 - width / 2.0));
            float[] column = steps[x];
            int last = Math.min(height - edge, height - edge - lower);
            for (int y = Math.max(edge, edge - lower); y < last; y++) {
                float step = column[y + lower];
                sums[y] += step;
                squares[y] += step * step;
                columns[y]++;
            }
        }
        Boundary best = new Boundary(degrees, 0, 0);
        for (int y = edge; y < height - edge; y++) {
            if (columns[y] >= ACROSS * width) {
                double mean = sums[y] / columns[y];
                double spread = Math.sqrt(Math.max(0, squares[y] / columns[y] - mean * mean));
                best = best.stronger(new Boundary(degrees, y, Math.abs(mean) / (spread + GRAIN)));
            }
        }
        return best;
    }

    private static Optional<LevelLine> exactly(Greys fine, Boundary expected) {
        List<Point> places = new ArrayList<>();
        for (int strip = 0; strip < STRIPS; strip++) {
            place(fine, strip, expected).ifPresent(places::add);
        }
        return places.size() < MOST * STRIPS ? Optional.empty() : line(places, fine.width());
    }

    /** In the middle of a strip where the boundary is sharpest, near where it is expected. */
    private static Optional<Point> place(Greys fine, int strip, Boundary expected) {
        int from = strip * fine.width() / STRIPS;
        int to = (strip + 1) * fine.width() / STRIPS;
        double middle = (from + to) / 2.0;
        int y = (int) Math.round(expected.at(middle, fine.width()));
        double sharpest = 0;
        int place = 0;
        for (int at = Math.max(2, y - ABOUT); at <= Math.min(fine.height() - 2, y + ABOUT); at++) {
            double step = 0;
            for (int x = from; x < to; x++) {
                step += fine.at(x, at - 1) + fine.at(x, at - 2) - fine.at(x, at) - fine.at(x, at + 1);
            }
            if (Math.abs(step) > sharpest) {
                sharpest = Math.abs(step);
                place = at;
            }
        }
        return sharpest > 0 ? Optional.of(new Point(middle, place)) : Optional.empty();
    }

    /** If most places lie on one. */
    private static Optional<LevelLine> line(List<Point> places, int width) {
        try (Mat points = new Mat(places.size(), 1, CV_32FC2);
                FloatIndexer numbers = points.createIndexer();
                Mat fitted = new Mat()) {
            for (int i = 0; i < places.size(); i++) {
                numbers.put(i, 0, 0, (float) places.get(i).x());
                numbers.put(i, 0, 1, (float) places.get(i).y());
            }
            fitLine(points, fitted, DIST_HUBER, 0, 0.01, 0.01);
            try (FloatIndexer line = fitted.createIndexer()) {
                double slope = line.get(1, 0) / line.get(0, 0);
                double left = line.get(3, 0) - slope * line.get(2, 0);
                long on = places.stream()
                        .filter(place -> Math.abs(left + slope * place.x() - place.y()) <= ON_LINE)
                        .count();
                return on < MOST * STRIPS
                        ? Optional.empty()
                        : Optional.of(new LevelLine(new Point(0, left), new Point(width, left + slope * width)));
            }
        }
    }
}
