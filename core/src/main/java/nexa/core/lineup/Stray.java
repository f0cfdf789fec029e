package nexa.core.lineup;

import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;

/**
 * The middle of a figure and how far from it is too far.
 *
 * <p>A value strays if its modified z-score, |x − median| / (1.4826 · MAD), is over 3.5 (B. Iglewicz and D. Hoaglin, "How to
 * Detect and Handle Outliers", 1993; MAD = the median of |x − median|), so that a few strays do not hide themselves by
 * widening the measure. Differences nobody sees are never named, however alike the rest is.
 */
record Stray(double middle, double most) {
    private static final double MOST_SCORE = 3.5;
    private static final double MAD_TO_SIGMA = 1.4826;

    /** @param seen the least difference that anybody sees */
    static Stray of(double[] values, double seen) {
        if (values.length == 0) {
            return new Stray(0, Double.POSITIVE_INFINITY);
        }
        double middle = median(values);
        DoubleUnaryOperator away = value -> Math.abs(value - middle);
        double mad = median(DoubleStream.of(values).map(away).toArray());
        return new Stray(middle, Math.max(seen, MOST_SCORE * MAD_TO_SIGMA * mad));
    }

    boolean names(double value) {
        return Math.abs(value - middle) > most;
    }

    static double median(double[] values) {
        double[] sorted = DoubleStream.of(values).sorted().toArray();
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }
}
