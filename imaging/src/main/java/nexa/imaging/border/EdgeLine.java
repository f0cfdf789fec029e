package nexa.imaging.border;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A straight line that many of a side's departures lie on and hardly any comes before: those that come after it are where
 * the picture begins in the border's own colour.
 *
 * @param start depth on the first line, in pixels
 * @param slope by how much it changes from line to line
 * @param reach how far from it a departure may be and still lie on it
 * @param on share of the lines that depart on it
 */
record EdgeLine(double start, double slope, double reach, double on) {
    /** Sharp edges first, then such as blur spreads. */
    private static final double[] REACHES = {1.3, 4, 9};

    /** At each reach, the least share of lines. */
    private static final double[] LEAST = {0.3, 0.45, 0.6};

    /** Where the slope is known. */
    private static final double LEAST_ALONG = 0.12;

    /** Of the lines, before it. */
    private static final double MOST_BEFORE = 0.12;

    /** Lines that are tried, as ends of a fit. */
    private static final int ENDS = 32;

    private static final int REFITS = 3;

    /** Steepest, as pixels of depth a pixel along: about 8 degrees. */
    private static final double STEEPEST = 0.14;

    static Optional<EdgeLine> of(Departures departures) {
        for (int i = 0; i < REACHES.length; i++) {
            EdgeLine best = best(departures, REACHES[i]);
            if (best != null && best.on >= LEAST[i] && best.before(departures) <= MOST_BEFORE) {
                return Optional.of(best);
            }
        }
        return Optional.empty();
    }

    /** The same where the slope is known: then fewer lines tell enough. */
    static Optional<EdgeLine> along(Departures departures, double slope) {
        EdgeLine best = null;
        double bestScore = 0;
        for (int i = 0; i < departures.count(); i++) {
            if (Double.isFinite(departures.end(i))) {
                EdgeLine line = new EdgeLine(departures.end(i) - slope * i, slope, REACHES[0], 0);
                double score = line.score(departures);
                if (score > bestScore) {
                    bestScore = score;
                    best = line;
                }
            }
        }
        return Optional.ofNullable(best)
                .map(line -> line.shifted(departures))
                .filter(line -> line.on >= LEAST_ALONG && line.before(departures) <= MOST_BEFORE);
    }

    /** To the mean of what lies on it. */
    private EdgeLine shifted(Departures departures) {
        int[] on = IntStream.range(0, departures.count())
                .filter(line -> has(departures, line))
                .toArray();
        double off = Arrays.stream(on)
                .mapToDouble(line -> departures.end(line) - at(line))
                .average()
                .orElse(0);
        return new EdgeLine(start + off, slope, reach, (double) on.length / departures.count());
    }

    private static @Nullable EdgeLine best(Departures departures, double reach) {
        int count = departures.count();
        int[] tried = IntStream.range(0, Math.min(ENDS, count))
                .map(i -> (int) ((i + 0.5) * count / Math.min(ENDS, count)))
                .filter(line -> Double.isFinite(departures.end(line)))
                .toArray();
        @Nullable EdgeLine best = null;
        double bestScore = 0;
        for (int i : tried) {
            for (int j : tried) {
                if (j - i < count / 4) {
                    continue;
                }
                double slope = (departures.end(j) - departures.end(i)) / (j - i);
                if (Math.abs(slope) > STEEPEST * Strip.LINE) {
                    continue;
                }
                EdgeLine line = new EdgeLine(departures.end(i) - slope * i, slope, reach, 0);
                double score = line.score(departures);
                if (score > bestScore) {
                    bestScore = score;
                    best = line;
                }
            }
        }
        return best == null ? null : best.refitted(departures);
    }

    /** The same with lines counted from another one. */
    EdgeLine from(int line) {
        return new EdgeLine(at(line), slope, reach, on);
    }

    double at(int line) {
        return start + slope * line;
    }

    boolean has(Departures departures, int line) {
        return Math.abs(departures.end(line) - at(line)) <= reach;
    }

    private double score(Departures departures) {
        int on = 0;
        int before = 0;
        for (int line = 0; line < departures.count(); line++) {
            double off = departures.end(line) - at(line);
            if (Math.abs(off) <= reach) {
                on++;
            } else if (off < 0) {
                before++;
            }
        }
        return on - 2.0 * before;
    }

    private double before(Departures departures) {
        long before = IntStream.range(0, departures.count())
                .filter(line -> departures.end(line) < at(line) - reach)
                .count();
        return (double) before / departures.count();
    }

    /** Least squares over what lies on it. */
    private EdgeLine refitted(Departures departures) {
        EdgeLine line = this;
        for (int i = 0; i < REFITS; i++) {
            line = line.fit(departures);
        }
        return line;
    }

    private EdgeLine fit(Departures departures) {
        double n = 0;
        double sx = 0;
        double sy = 0;
        double sxx = 0;
        double sxy = 0;
        for (int line = 0; line < departures.count(); line++) {
            if (has(departures, line)) {
                double end = departures.end(line);
                n++;
                sx += line;
                sy += end;
                sxx += (double) line * line;
                sxy += line * end;
            }
        }
        double spread = n * sxx - sx * sx;
        if (spread <= 0) {
            return this;
        }
        double newSlope = (n * sxy - sx * sy) / spread;
        return new EdgeLine((sy - newSlope * sx) / n, newSlope, reach, n / departures.count());
    }
}
