package nexa.imaging.colour;

import java.util.Optional;

/**
 * Between profiles of primaries and curves (ICC.1:2022, F.3): each channel by its curve to light, by one matrix to the
 * other primaries, and by the other curve back. What is beyond the other primaries is cut off.
 */
final class ColourMatrix implements FastColours {
    private static final int BITS = 16;

    /** The engine rounds at every step. */
    private static final int TOLERANCE = 100;

    /** Entries from light back to values; by its square root, as darkness needs finer steps. */
    private static final int BACK = 1 << 16;

    /** As small as they can be: what does not fit the processor's cache takes twice as long. */
    private final float[] light = new float[VALUES];

    private final char[] value = new char[BACK + 1];
    private final float[] matrix = new float[9];

    private ColourMatrix(Profile from, Profile to, double[][] rows) {
        ToneTable there = new ToneTable(BITS, Optional.of(from));
        ToneTable back = new ToneTable(BITS, Optional.of(to));
        for (int i = 0; i < VALUES; i++) {
            light[i] = (float) there.toLight(i);
        }
        for (int i = 0; i <= BACK; i++) {
            value[i] = (char) back.toValue((double) i / BACK * i / BACK);
        }
        for (int i = 0; i < matrix.length; i++) {
            matrix[i] = (float) rows[i / 3][i % 3];
        }
    }

    /** Empty if one of the profiles has no primaries. */
    static Optional<ColourMatrix> between(Profile from, Profile to) {
        Optional<double[][]> first = LinearRgb.colorants(from);
        Optional<double[][]> second = LinearRgb.colorants(to);
        return first.isEmpty() || second.isEmpty()
                ? Optional.empty()
                : Optional.of(new ColourMatrix(from, to, Matrix3.product(Matrix3.inverse(second.get()), first.get())));
    }

    @Override
    public int channels() {
        return 3;
    }

    @Override
    public int tolerance() {
        return TOLERANCE;
    }

    @Override
    public void convert(short[] colours, short[] converted) {
        float[] m = matrix;
        for (int i = 0; i < colours.length; i += 3) {
            float red = light[colours[i] & 0xFFFF];
            float green = light[colours[i + 1] & 0xFFFF];
            float blue = light[colours[i + 2] & 0xFFFF];
            converted[i] = value(m[0] * red + m[1] * green + m[2] * blue);
            converted[i + 1] = value(m[3] * red + m[4] * green + m[5] * blue);
            converted[i + 2] = value(m[6] * red + m[7] * green + m[8] * blue);
        }
    }

    private short value(float ofLight) {
        float inside = Math.min(1, Math.max(0, ofLight));
        return (short) value[(int) ((float) Math.sqrt(inside) * BACK + 0.5f)];
    }
}
