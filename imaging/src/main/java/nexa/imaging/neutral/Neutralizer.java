package nexa.imaging.neutral;

import nexa.core.neutral.Neutral;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.colour.ToneTable;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Makes a light neutral and a picture lighter or darker: a matrix in linear light. What gets lighter than white is white, and
 * what leaves the picture's gamut is held at its edge. Transparency stays.
 */
public final class Neutralizer {
    /** Light in whole numbers, for 8 bits: from 0 to this. So few entries lead back that they stay near the processor. */
    private static final int LIGHT = (1 << 15) - 1;

    /** Binary places of the matrix in whole numbers. */
    private static final int PLACES = 16;

    private final Neutral neutral;
    private final PictureLight light;

    public Neutralizer(Neutral neutral, PictureLight light) {
        this.neutral = neutral;
        this.light = light;
    }

    /** Writes the picture; of a grey one only how light it is. */
    public void apply(Picture picture) {
        if (neutral.isNone()) {
            return;
        }
        ToneTable tones = new ToneTable(picture.bits(), light.profile());
        Mat mat = picture.mat();
        float[] matrix = picture.channels() == 1 ? new float[] {(float) gain()} : matrix();
        if (picture.bits() == 8) {
            bytes(mat, tones, matrix);
        } else {
            shorts(mat, tones, matrix);
        }
    }

    private double gain() {
        return Math.pow(2, neutral.stops());
    }

    /** From blue, green, red to the same, as pixels are stored; rows first. */
    private float[] matrix() {
        double[][] rgb = LinearRgb.of(light.profile()).neutralizing(neutral.white(), light.receptors());
        float[] bgr = new float[9];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                bgr[3 * row + column] = (float) (rgb[2 - row][2 - column] * gain());
            }
        }
        return bgr;
    }

    private static void bytes(Mat mat, ToneTable tones, float[] parts) {
        int[] light = new int[256];
        byte[] back = new byte[LIGHT + 1];
        for (int i = 0; i < light.length; i++) {
            light[i] = (int) Math.round(tones.toLight(i) * LIGHT);
        }
        for (int i = 0; i <= LIGHT; i++) {
            back[i] = (byte) tones.toValue((double) i / LIGHT);
        }
        long[] m = new long[parts.length];
        for (int i = 0; i < m.length; i++) {
            m[i] = Math.round((double) parts[i] * (1 << PLACES));
        }
        byte[] row = new byte[mat.cols() * mat.channels()];
        try (BytePointer pixels = mat.data()) {
            for (int y = 0; y < mat.rows(); y++) {
                pixels.position(y * mat.step()).get(row);
                if (m.length == 1) {
                    grey(row, light, back, m[0]);
                } else {
                    colours(row, mat.channels(), light, back, m);
                }
                pixels.position(y * mat.step()).put(row);
            }
        }
    }

    private static void grey(byte[] row, int[] light, byte[] back, long gain) {
        for (int i = 0; i < row.length; i++) {
            row[i] = back[place(light[row[i] & 0xFF] * gain)];
        }
    }

    private static void colours(byte[] row, int channels, int[] light, byte[] back, long[] m) {
        long m0 = m[0];
        long m1 = m[1];
        long m2 = m[2];
        long m3 = m[3];
        long m4 = m[4];
        long m5 = m[5];
        long m6 = m[6];
        long m7 = m[7];
        long m8 = m[8];
        for (int i = 0; i < row.length; i += channels) {
            int blue = light[row[i] & 0xFF];
            int green = light[row[i + 1] & 0xFF];
            int red = light[row[i + 2] & 0xFF];
            row[i] = back[place(m0 * blue + m1 * green + m2 * red)];
            row[i + 1] = back[place(m3 * blue + m4 * green + m5 * red)];
            row[i + 2] = back[place(m6 * blue + m7 * green + m8 * red)];
        }
    }

    private static int place(long sum) {
        return (int) Math.max(0, Math.min(LIGHT, (sum + (1 << (PLACES - 1))) >> PLACES));
    }

    private static void shorts(Mat mat, ToneTable tones, float[] m) {
        int channels = mat.channels();
        short[] row = new short[mat.cols() * channels];
        double[] light = new double[3];
        try (ShortPointer pixels = new ShortPointer(mat.data())) {
            for (int y = 0; y < mat.rows(); y++) {
                pixels.position(y * mat.step() / 2).get(row);
                for (int i = 0; i < row.length; i += channels) {
                    changed(row, i, tones, m, light);
                }
                pixels.position(y * mat.step() / 2).put(row);
            }
        }
    }

    private static void changed(short[] row, int at, ToneTable tones, float[] m, double[] light) {
        if (m.length == 1) {
            row[at] = (short) tones.toValue(tones.toLight(row[at] & 0xFFFF) * m[0]);
            return;
        }
        for (int c = 0; c < 3; c++) {
            light[c] = tones.toLight(row[at + c] & 0xFFFF);
        }
        for (int c = 0; c < 3; c++) {
            row[at + c] =
                    (short) tones.toValue(m[3 * c] * light[0] + m[3 * c + 1] * light[1] + m[3 * c + 2] * light[2]);
        }
    }
}
