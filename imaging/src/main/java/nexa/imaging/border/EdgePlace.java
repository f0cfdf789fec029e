package nexa.imaging.border;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import nexa.core.geometry.Point;

/**
 * Finds a border's inner edge to parts of a pixel. From the border's colour to the picture's a line's values rise from 0 to
 * 1; the edge is where a step would have the same sum, which is also the middle of an edge that is soft.
 */
final class EdgePlace {
    /** Pixels behind an edge that show the picture's colour. */
    private static final int BEHIND = 3;

    /** An edge that rises within so many pixels is sharp. */
    private static final double SHARP = 3.5;

    /** Of a departure: with less, a place between pixels says nothing. */
    private static final double CONTRAST = 1.5;

    private static final int FEWEST = 12;

    /** Behind the line of a sharp edge. */
    private static final int SHARP_REACH = 4;

    /** From the line of a sharp edge; what seems farther is the picture's own likeness to the border. */
    private static final double NEAR = 3.5;

    /** A sharp edge has this share of its rise in one pixel. */
    private static final double STEEP = 0.22;

    /** Pixels that are looked at about the line. */
    private static final int WIDEST = 64;

    /** Of them the last, which show the picture's own colours. */
    private static final int PLATEAU = 10;

    private final Strip strip;
    private final Departures departures;
    private final EdgeLine line;
    private final Rise rise;

    EdgePlace(Strip strip, Departures departures, EdgeLine line) {
        this.strip = strip;
        this.departures = departures;
        this.line = line;
        rise = rise();
    }

    /** Over how many pixels the edge rises. */
    int width() {
        return rise.width();
    }

    boolean isSoft() {
        return rise.isSoft();
    }

    /** @param inwards from the edge of the picture, in pixels */
    private record Found(int line, double inwards) {}

    /** Places on the edge, in the picture's pixels from its centre. */
    List<Point> points() {
        int reach = rise.reach();
        List<Found> found = new ArrayList<>();
        for (int i = 0; i < departures.count(); i++) {
            if (line.has(departures, i)) {
                double inwards = inwards(i, reach);
                if (Double.isFinite(inwards) && (rise.isSoft() || Math.abs(inwards - line.at(i)) <= NEAR)) {
                    found.add(new Found(i, inwards));
                }
            }
        }
        List<Found> enough = found.size() < FEWEST ? departed() : withoutStrays(found);
        return enough.stream()
                .map(each -> strip.place(departures.from() + each.line, each.inwards))
                .toList();
    }

    /** The picture is too like the border for more than the pixel that departs. */
    private List<Found> departed() {
        return IntStream.range(0, departures.count())
                .filter(i -> line.has(departures, i))
                .mapToObj(i -> new Found(i, departures.end(i) + 0.5))
                .toList();
    }

    /** Those that lie nearest to the middle of all, counted from the line. */
    private List<Found> withoutStrays(List<Found> found) {
        List<Found> sorted = found.stream()
                .sorted(Comparator.comparingDouble(each -> each.inwards - line.at(each.line)))
                .toList();
        return sorted.subList(sorted.size() / 5, sorted.size() - sorted.size() / 5);
    }

    private double inwards(int i, int reach) {
        int row = departures.from() + i;
        int behind = (int) Math.round(line.at(i)) + reach;
        int before = Math.max(0, (int) Math.round(line.at(i)) + rise.from - reach / 2 - 3);
        if (behind + BEHIND > strip.depth()) {
            return Double.NaN;
        }
        float[] border = departures.colour(i);
        double[] step = new double[Strip.CHANNELS];
        double square = 0;
        for (int c = 0; c < Strip.CHANNELS; c++) {
            for (int d = 0; d < BEHIND; d++) {
                step[c] += strip.value(row, behind + d, c) / BEHIND;
            }
            step[c] -= border[c];
            square += step[c] * step[c];
        }
        if (Math.sqrt(square) < CONTRAST * departures.step()) {
            return Double.NaN;
        }
        double sum = 0;
        for (int d = before; d < behind; d++) {
            for (int c = 0; c < Strip.CHANNELS; c++) {
                sum += step[c] * (strip.value(row, d, c) - border[c]) / square;
            }
        }
        return behind - sum;
    }

    /** Where, all lines taken together, the rise begins and ends, in pixels from the line. */
    record Rise(int from, int to) {
        int width() {
            return to - from;
        }

        boolean isSoft() {
            return width() > SHARP;
        }

        /** How far behind the line the picture's own colours show. */
        int reach() {
            return !isSoft() ? SHARP_REACH : Math.min((int) Math.ceil(1.5 * to) + 2, WIDEST / 2 - BEHIND);
        }
    }

    private Rise rise() {
        double[] mean = new double[WIDEST];
        int ahead = WIDEST / 2;
        for (int i = 0; i < departures.count(); i++) {
            int first = (int) Math.round(line.at(i)) - ahead;
            if (line.has(departures, i) && first + WIDEST <= strip.depth()) {
                for (int d = 0; d < WIDEST; d++) {
                    mean[d] += strip.distance(departures.from() + i, Math.max(0, first + d), departures.colour(i));
                }
            }
        }
        double low = mean[0];
        if (steepest(mean) >= STEEP * (mean(mean, ahead + 9, ahead + 14) - low)) {
            return new Rise(-1, 1);
        }
        double high = mean(mean, WIDEST - PLATEAU, WIDEST);
        int from = ahead;
        while (from > 0 && mean[from] > low + 0.1 * (high - low)) {
            from--;
        }
        int to = ahead;
        while (to < WIDEST - PLATEAU && mean[to] < low + 0.9 * (high - low)) {
            to++;
        }
        return new Rise(from - ahead, to - ahead);
    }

    /** Behind the edge a picture changes too, but never as fast as at a sharp one. */
    private static double steepest(double[] rise) {
        return IntStream.range(1, rise.length)
                .mapToDouble(d -> rise[d] - rise[d - 1])
                .max()
                .orElse(0);
    }

    private static double mean(double[] values, int from, int to) {
        return Arrays.stream(values, from, to).average().orElseThrow();
    }
}
