package nexa.imaging.border;

import java.util.Arrays;

/**
 * Where on each line of a strip the colour departs from that at the edge. What changes slowly, as the light over a
 * scanner's bed, is followed.
 */
final class Departures {
    /** Pixels at the edge that show the border's colour. */
    private static final int EDGE = 3;

    /** The border's colour at a line is taken from this share of the side about it. */
    private static final double NEAR = 0.04;

    /** How fast it is followed inwards, of the way a pixel. */
    private static final float FOLLOWING = 0.015f;

    /** Of a border's colour along its side; a picture's own edge changes more. */
    private static final double MOST_DRIFT = 45;

    private static final double LEAST_STEP = 7;
    private static final double MOST_STEP = 40;

    private final Strip strip;
    private final int from;
    private final int to;
    private final float[][] edge;
    private final double noise;
    private final double drift;
    private final double step;
    private final double[] ends;

    private Departures(Strip strip, int from, int to) {
        this.strip = strip;
        this.from = from;
        this.to = to;
        edge = smoothed(edgeColours());
        noise = noise();
        drift = drift();
        step = Math.clamp(LEAST_STEP + 4 * noise, LEAST_STEP, MOST_STEP);
        ends = isEven() ? ends() : new double[0];
    }

    /** Looks at some of the lines. @param to after the last */
    static Departures of(Strip strip, int from, int to) {
        return new Departures(strip, Math.max(0, from), Math.min(strip.lines(), Math.max(to, from + 1)));
    }

    int from() {
        return from;
    }

    int count() {
        return to - from;
    }

    /** Whether the side's outermost pixels have about one colour. */
    boolean isEven() {
        return count() >= 8 && drift <= MOST_DRIFT && noise < MOST_STEP / 2;
    }

    /** On a line, counted from {@link #from}, in pixels from the edge; not a number if it never departs. */
    double end(int line) {
        return ends[line];
    }

    /** The border's colour at a line. */
    float[] colour(int line) {
        return edge[line];
    }

    /** The border's colour all in all. */
    float[] colour() {
        float[] all = new float[Strip.CHANNELS];
        for (int c = 0; c < Strip.CHANNELS; c++) {
            int channel = c;
            all[c] = (float) median(channel);
        }
        return all;
    }

    /** How much the border's pixels differ from its colour nearby. */
    double noise() {
        double[] all = new double[count() * EDGE];
        for (int line = 0; line < count(); line++) {
            for (int d = 0; d < EDGE; d++) {
                all[line * EDGE + d] = strip.distance(from + line, Math.min(d, strip.depth() - 1), edge[line]);
            }
        }
        Arrays.sort(all);
        return all.length == 0 ? 0 : all[all.length / 2];
    }

    /** A departure is at least so much. */
    double step() {
        return step;
    }

    private float[][] edgeColours() {
        float[][] colours = new float[count()][Strip.CHANNELS];
        for (int line = 0; line < count(); line++) {
            for (int c = 0; c < Strip.CHANNELS; c++) {
                float sum = 0;
                for (int d = 0; d < EDGE; d++) {
                    sum += strip.value(from + line, Math.min(d, strip.depth() - 1), c);
                }
                colours[line][c] = sum / EDGE;
            }
        }
        return colours;
    }

    /** The median of those near, so that a speck is not followed. */
    private static float[][] smoothed(float[][] colours) {
        int reach = (int) Math.max(3, Math.round(colours.length * NEAR));
        float[][] smooth = new float[colours.length][Strip.CHANNELS];
        for (int line = 0; line < colours.length; line++) {
            int first = Math.max(0, line - reach);
            int last = Math.min(colours.length, line + reach + 1);
            for (int c = 0; c < Strip.CHANNELS; c++) {
                float[] near = new float[last - first];
                for (int i = first; i < last; i++) {
                    near[i - first] = colours[i][c];
                }
                Arrays.sort(near);
                smooth[line][c] = near[near.length / 2];
            }
        }
        return smooth;
    }

    private double drift() {
        float[] all = colour();
        double[] away = new double[edge.length];
        for (int line = 0; line < edge.length; line++) {
            double sum = 0;
            for (int c = 0; c < Strip.CHANNELS; c++) {
                sum += Math.pow(edge[line][c] - all[c], 2);
            }
            away[line] = Math.sqrt(sum);
        }
        Arrays.sort(away);
        return away.length == 0 ? 0 : away[away.length * 9 / 10];
    }

    private double median(int channel) {
        double[] all = Arrays.stream(edge)
                .mapToDouble(colour -> colour[channel])
                .sorted()
                .toArray();
        return all.length == 0 ? 0 : all[all.length / 2];
    }

    private double[] ends() {
        double[] found = new double[count()];
        for (int line = 0; line < count(); line++) {
            found[line] = end(from + line, edge[line].clone());
        }
        return found;
    }

    /** Two pixels in a row have to depart: one may be a speck. */
    private double end(int line, float[] followed) {
        int last = strip.deepest();
        for (int d = 0; d < last; d++) {
            if (strip.distance(line, d, followed) > step && strip.distance(line, d + 1, followed) > step) {
                return d;
            }
            for (int c = 0; c < Strip.CHANNELS; c++) {
                followed[c] += FOLLOWING * (strip.value(line, d, c) - followed[c]);
            }
        }
        return Double.NaN;
    }
}
