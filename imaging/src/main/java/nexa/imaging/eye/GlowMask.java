package nexa.imaging.eye;

import static org.bytedeco.opencv.global.opencv_core.BORDER_CONSTANT;
import static org.bytedeco.opencv.global.opencv_core.CMP_EQ;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.CV_32S;
import static org.bytedeco.opencv.global.opencv_core.CV_8U;
import static org.bytedeco.opencv.global.opencv_core.bitwise_not;
import static org.bytedeco.opencv.global.opencv_core.bitwise_or;
import static org.bytedeco.opencv.global.opencv_core.compare;
import static org.bytedeco.opencv.global.opencv_core.copyMakeBorder;
import static org.bytedeco.opencv.global.opencv_core.countNonZero;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_ELLIPSE;
import static org.bytedeco.opencv.global.opencv_imgproc.connectedComponents;
import static org.bytedeco.opencv.global.opencv_imgproc.dilate;
import static org.bytedeco.opencv.global.opencv_imgproc.floodFill;
import static org.bytedeco.opencv.global.opencv_imgproc.getStructuringElement;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.IntIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Where a pupil glows: grown from the pixels that glow most over those that still glow more than what is around, the one
 * piece nearest the circle's centre, its holes (a highlight) included, with a soft rim.
 */
final class GlowMask {
    /** Nothing glows by less: skin and brown irises are below. */
    private static final double SEED = 0.4;

    /** Of the strongest glow there is. */
    private static final double SEED_SHARE = 0.75;

    /** A piece that reaches the circle's rim with more than this part of it is no pupil but what is around. */
    private static final double MOST_AT_RIM = 0.12;

    private static final double RIM = 0.95;

    /** Where what is around is looked at, in radii. */
    private static final double AROUND = 0.75;

    /** Part of a circle that glows at least. */
    private static final double LEAST_PART = 0.002;

    private static final int LEAST_PIXELS = 3;

    /** The soft rim, of the piece's radius. */
    private static final double SOFT = 0.09;

    private final GlowPixels glow;
    private final double around;
    private final double threshold;
    private final double seed;

    /** How far from what is around up to the strongest glow a pupil begins: skin that glows too parts from it further up. */
    private static final double[] LEVELS = {0.5, 0.62, 0.74};

    private GlowMask(GlowPixels glow, double level) {
        this.glow = glow;
        double[] inside = glow.sorted(0, RIM);
        double strongest = inside.length == 0 ? 0 : inside[(int) (0.995 * (inside.length - 1))];
        this.around = median(glow.sorted(AROUND, 1));
        this.seed = Math.max(SEED, around + SEED_SHARE * (strongest - around));
        this.threshold = Math.max(around + 0.08, around + level * (strongest - around));
    }

    /**
     * How far each pixel of the glow's box belongs to it, 0 to 1 as 32-bit floats; empty if nothing glows. To be closed.
     * Of the first level at which it is round; an eye that is nearly closed is so at none, and is taken at the lowest.
     */
    static Optional<Mat> of(GlowPixels glow) {
        double level = levels().filter(
                        each -> blob(glow, each).filter(Blob::isRound).isPresent())
                .findFirst()
                .orElse(LEVELS[0]);
        GlowMask mask = new GlowMask(glow, level);
        return mask.piece().map(mask::soft);
    }

    /** What glows, without its soft rim: the larger pieces first, which may reach into skin that glows nearly as much. */
    static Stream<Blob> blobs(GlowPixels glow) {
        return levels().flatMap(level -> blob(glow, level).stream());
    }

    private static Stream<Double> levels() {
        return Arrays.stream(LEVELS).boxed();
    }

    private static Optional<Blob> blob(GlowPixels glow, double level) {
        GlowMask mask = new GlowMask(glow, level);
        return mask.piece().map(piece -> {
            try (piece) {
                return Blob.of(piece, glow, mask.around);
            }
        });
    }

    /**
     * A piece that glows.
     *
     * @param x of its middle, in the glow's box
     * @param y the same
     * @param radius of a disc with as many pixels
     * @param filled how much it fills the circle around it: 1 = it is a disc
     * @param glow its mean
     * @param around how much glows at the circle's rim: the middle value
     */
    record Blob(double x, double y, double radius, double filled, double glow, double around) {
        /** Less round is a lid's rim, or a pupil together with the skin beside it. */
        private static final double LEAST_ROUND = 0.42;

        boolean isRound() {
            return filled >= LEAST_ROUND;
        }

        private static Blob of(Mat piece, GlowPixels glow, double rim) {
            double count = 0;
            double sumX = 0;
            double sumY = 0;
            double sum = 0;
            try (UByteIndexer at = piece.createIndexer()) {
                for (int row = 0; row < glow.height(); row++) {
                    for (int column = 0; column < glow.width(); column++) {
                        if (at.get(row, column) > 0) {
                            count++;
                            sumX += column + 0.5;
                            sumY += row + 0.5;
                            sum += glow.at(column, row);
                        }
                    }
                }
                double farthest = 0;
                for (int row = 0; row < glow.height(); row++) {
                    for (int column = 0; column < glow.width(); column++) {
                        if (at.get(row, column) > 0) {
                            farthest = Math.max(
                                    farthest, Math.hypot(column + 0.5 - sumX / count, row + 0.5 - sumY / count));
                        }
                    }
                }
                double radius = Math.sqrt(count / Math.PI);
                double reach = Math.max(radius, farthest);
                double filled = radius * radius / (reach * reach);
                return new Blob(sumX / count, sumY / count, radius, filled, sum / count, rim);
            }
        }
    }

    private static double median(double[] sorted) {
        return sorted.length == 0 ? 0 : sorted[sorted.length / 2];
    }

    /** The pupil, white on black; empty if none glows. */
    private Optional<Mat> piece() {
        try (Mat glowing = glowing();
                Mat pieces = new Mat()) {
            int count = connectedComponents(glowing, pieces);
            int best = best(pieces, count);
            return best == 0 ? Optional.empty() : Optional.of(filled(only(pieces, best)));
        }
    }

    private Mat glowing() {
        Mat mask = new Mat(glow.height(), glow.width(), CV_8U, Scalar.all(0));
        try (UByteIndexer at = mask.createIndexer()) {
            for (int row = 0; row < glow.height(); row++) {
                for (int column = 0; column < glow.width(); column++) {
                    if (glow.away(column, row) <= 1 && glow.at(column, row) >= threshold) {
                        at.put(row, column, 255);
                    }
                }
            }
        }
        return mask;
    }

    /** The piece with the most seeds, near ones counting more; 0 if none will do. */
    private int best(Mat pieces, int count) {
        double[] score = new double[count];
        int[] pixels = new int[count];
        int[] seeds = new int[count];
        int[] atRim = new int[count];
        try (IntIndexer piece = pieces.createIndexer()) {
            for (int row = 0; row < glow.height(); row++) {
                for (int column = 0; column < glow.width(); column++) {
                    int which = piece.get(row, column);
                    double away = glow.away(column, row);
                    pixels[which]++;
                    atRim[which] += away > RIM ? 1 : 0;
                    if (glow.at(column, row) >= seed) {
                        seeds[which]++;
                        score[which] += Math.exp(-3 * away * away);
                    }
                }
            }
        }
        double circle = Math.PI * glow.radius() * glow.radius();
        score[0] = 0;
        for (int i = 1; i < count; i++) {
            boolean enough = seeds[i] >= LEAST_PIXELS && pixels[i] >= LEAST_PART * circle;
            if (!enough || atRim[i] > MOST_AT_RIM * pixels[i]) {
                score[i] = 0;
            }
        }
        double most = Arrays.stream(score).max().orElse(0);
        return most == 0
                ? 0
                : IntStream.range(0, count)
                        .filter(i -> score[i] == most)
                        .findFirst()
                        .orElse(0);
    }

    private Mat soft(Mat piece) {
        try (piece) {
            double radius = Math.sqrt(countNonZero(piece) / Math.PI);
            int grown = 2 * Math.max(1, (int) Math.round(SOFT * radius)) + 1;
            double sigma = Math.max(0.5, SOFT * radius);
            Mat soft = new Mat();
            try (Size size = new Size(grown, grown);
                    Mat disc = getStructuringElement(MORPH_ELLIPSE, size);
                    Mat larger = new Mat();
                    Size any = new Size(0, 0)) {
                dilate(piece, larger, disc);
                larger.convertTo(soft, CV_32F, 1 / 255.0, 0);
                GaussianBlur(soft, soft, any, sigma);
            }
            cutToCircle(soft);
            return soft;
        }
    }

    private static Mat only(Mat pieces, int which) {
        Mat only = new Mat();
        try (Mat wanted = new Mat(1, 1, CV_32S, Scalar.all(which))) {
            compare(pieces, wanted, only, CMP_EQ);
        }
        return only;
    }

    /** What no way leads to from outside belongs to it. */
    private static Mat filled(Mat piece) {
        try (piece;
                Mat wide = new Mat();
                Scalar nothing = Scalar.all(0);
                Point corner = new Point(0, 0);
                Scalar all = Scalar.all(255);
                Rect middle = new Rect(1, 1, piece.cols(), piece.rows())) {
            copyMakeBorder(piece, wide, 1, 1, 1, 1, BORDER_CONSTANT, nothing);
            floodFill(wide, corner, all);
            Mat whole = new Mat();
            try (Mat outside = new Mat(wide, middle);
                    Mat holes = new Mat()) {
                bitwise_not(outside, holes);
                bitwise_or(piece, holes, whole);
            }
            return whole;
        }
    }

    private void cutToCircle(Mat soft) {
        try (FloatIndexer at = soft.createIndexer()) {
            for (int row = 0; row < glow.height(); row++) {
                for (int column = 0; column < glow.width(); column++) {
                    double room = (1 - glow.away(column, row)) / (1 - RIM);
                    at.put(row, column, (float) (at.get(row, column) * Math.clamp(room, 0, 1)));
                }
            }
        }
    }
}
