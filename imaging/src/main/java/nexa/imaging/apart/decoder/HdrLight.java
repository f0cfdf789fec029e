package nexa.imaging.apart.decoder;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import nexa.imaging.boxes.Nclx;
import nexa.imaging.colour.ToneCurve;
import org.jspecify.annotations.Nullable;

/**
 * Turns light that is meant for HDR screens (ITU-R BT.2100-2) into what other screens show: values on sRGB's curve, of the same
 * primaries. White paper is at {@value #WHITE} cd/m² (ITU-R BT.2408), which other screens show as their white; what is brighter
 * is rolled off below it (ITU-R BT.2390-10, 5.4.1), each colour for itself. Immutable.
 */
final class HdrLight {
    /** What the brightest values are taken for, in cd/m²; the same for all photos, so that a set does not jump. */
    static final double PEAK = 1000;

    static final double WHITE = 203;

    private static final ValueLayout.OfShort TWO_BYTES = ValueLayout.JAVA_SHORT_UNALIGNED;
    private static final int MOST = 0xFFFF;

    /** BT.2100's luma of red, green and blue. */
    private static final float[] LUMA = {0.2627f, 0.6780f, 0.0593f};

    /** How much steeper HLG's light is on a screen of {@link #PEAK} than before the camera. */
    private static final double SCREEN_GAMMA = 1.2;

    /** Of light in parts of {@link #PEAK}, by its square root, as darkness needs finer steps. */
    private static final char[] SHOWN = shown(i -> square((double) i / MOST) * PEAK);

    /** For PQ what each value is shown as. */
    private static final char[] OF_PQ = shown(value -> Pq.toLight((double) value / MOST));

    /** For HLG the square root of light before the camera, by its values. */
    private static final float[] SCENE_ROOTS = floats(value -> Math.sqrt(scene((double) value / MOST)));

    /**
     * The square root of what leads from there to light on a screen, by the square root of how light all three colours are
     * together (BT.2100, table 5).
     */
    private static final float[] GAIN_ROOTS = floats(i -> Math.pow((double) i / MOST, SCREEN_GAMMA - 1));

    private final boolean isHlg;

    private HdrLight(boolean isHlg) {
        this.isHlg = isHlg;
    }

    /** For pixels of such code points; empty if they are meant for any screen. */
    static Optional<HdrLight> of(@Nullable Nclx nclx) {
        return nclx == null || !nclx.isHdr() ? Optional.empty() : Optional.of(new HdrLight(nclx.isHlg()));
    }

    private static char[] shown(IntToDoubleFunction light) {
        char[] table = new char[MOST + 1];
        for (int i = 0; i <= MOST; i++) {
            table[i] = (char) Math.round(shown(light.applyAsDouble(i)) * MOST);
        }
        return table;
    }

    private static float[] floats(IntToDoubleFunction value) {
        float[] table = new float[MOST + 1];
        for (int i = 0; i <= MOST; i++) {
            table[i] = (float) value.applyAsDouble(i);
        }
        return table;
    }

    private static double square(double value) {
        return value * value;
    }

    /**
     * What another screen shows for light.
     *
     * @param light of one colour on an HDR screen, in cd/m²
     * @return on sRGB's curve, 0 to 1
     */
    static double shown(double light) {
        double most = Pq.toValue(PEAK);
        double white = Pq.toValue(WHITE) / most;
        double knee = 1.5 * white - 0.5;
        double value = Math.min(1, Pq.toValue(light) / most);
        double rolled = value < knee ? value : rolledOff((value - knee) / (1 - knee), knee, white);
        return ToneCurve.srgb(Math.min(1, Pq.toLight(rolled * most) / WHITE));
    }

    /** BT.2390's spline from the knee to white. */
    private static double rolledOff(double t, double knee, double white) {
        double t2 = t * t;
        double t3 = t2 * t;
        return (2 * t3 - 3 * t2 + 1) * knee + (t3 - 2 * t2 + t) * (1 - knee) + (3 * t2 - 2 * t3) * white;
    }

    /** HLG's light before the camera, 0 to 1 (BT.2100, table 5). */
    static double scene(double value) {
        double a = 0.17883277;
        double b = 1 - 4 * a;
        double c = 0.5 - a * Math.log(4 * a);
        return value <= 0.5 ? value * value / 3 : (Math.exp((value - c) / a) + b) / 12;
    }

    /** Turns the values of whole pixels, in place. */
    void turn(Pixels pixels) {
        IntStream.range(0, pixels.height()).parallel().forEach(y -> {
            MemorySegment row = pixels.row(y);
            short[] values = pixels.bits() == 16 ? row.toArray(TWO_BYTES) : widened(row.toArray(ValueLayout.JAVA_BYTE));
            if (isHlg) {
                turnHlg(values, pixels.channels());
            } else {
                turnPq(values);
            }
            row.copyFrom(pixels.bits() == 16 ? MemorySegment.ofArray(values) : MemorySegment.ofArray(narrowed(values)));
        });
    }

    private static short[] widened(byte[] bytes) {
        short[] values = new short[bytes.length];
        for (int i = 0; i < bytes.length; i++) {
            values[i] = (short) ((bytes[i] & 0xFF) * 257);
        }
        return values;
    }

    private static byte[] narrowed(short[] values) {
        byte[] bytes = new byte[values.length];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (byte) (((values[i] & MOST) * 255 + MOST / 2) / MOST);
        }
        return bytes;
    }

    private static void turnPq(short[] values) {
        for (int i = 0; i < values.length; i++) {
            values[i] = (short) OF_PQ[values[i] & MOST];
        }
    }

    private static void turnHlg(short[] values, int channels) {
        for (int at = 0; at < values.length; at += channels) {
            float luma = 0;
            for (int c = 0; c < channels; c++) {
                float root = SCENE_ROOTS[values[at + c] & MOST];
                luma += (channels == 1 ? 1 : LUMA[c]) * root * root;
            }
            float gain = GAIN_ROOTS[index((float) Math.sqrt(luma))];
            for (int c = 0; c < channels; c++) {
                values[at + c] = (short) SHOWN[index(gain * SCENE_ROOTS[values[at + c] & MOST])];
            }
        }
    }

    private static int index(float part) {
        return Math.min(MOST, (int) (part * MOST + 0.5f));
    }

    /** The perceptual quantizer (SMPTE ST 2084; BT.2100, table 4), between values of 0 to 1 and cd/m². */
    static final class Pq {
        private static final double M1 = 2610.0 / 16384;
        private static final double M2 = 2523.0 / 4096 * 128;
        private static final double C1 = 3424.0 / 4096;
        private static final double C2 = 2413.0 / 4096 * 32;
        private static final double C3 = 2392.0 / 4096 * 32;
        private static final double BRIGHTEST = 10_000;

        private Pq() {}

        static double toLight(double value) {
            double root = Math.pow(value, 1 / M2);
            return BRIGHTEST * Math.pow(Math.max(0, root - C1) / (C2 - C3 * root), 1 / M1);
        }

        static double toValue(double light) {
            double power = Math.pow(light / BRIGHTEST, M1);
            return Math.pow((C1 + C2 * power) / (1 + C3 * power), M2);
        }
    }
}
