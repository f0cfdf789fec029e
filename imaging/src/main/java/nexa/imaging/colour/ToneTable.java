package nexa.imaging.colour;

import java.util.Optional;

/** A profile's tone curve for stored whole numbers, both ways. Immutable. */
public final class ToneTable {
    /** Entries from light back to values; by its square root, as darkness needs finer steps. */
    private static final int BACK = 1 << 16;

    private final double[] toLight;
    private final int[] toValue = new int[BACK + 1];

    /**
     * @param bits of a value: 8 or 16
     * @param profile of the pixels; empty if they are taken for sRGB
     */
    public ToneTable(int bits, Optional<Profile> profile) {
        int most = bits == 16 ? 0xFFFF : 0xFF;
        ToneCurve curve = ToneCurve.of(profile);
        toLight = new double[most + 1];
        for (int value = 0; value <= most; value++) {
            toLight[value] = curve.toLight((double) value / most);
        }
        int value = 0;
        for (int i = 0; i <= BACK; i++) {
            double light = (double) i / BACK * i / BACK;
            while (value < most && Math.abs(toLight[value + 1] - light) <= Math.abs(toLight[value] - light)) {
                value++;
            }
            toValue[i] = value;
        }
    }

    /** The largest value. */
    public int most() {
        return toLight.length - 1;
    }

    /** 0 to 1. */
    public double toLight(int value) {
        return toLight[value];
    }

    /** The nearest value; what is darker than black or lighter than white is black or white. */
    public int toValue(double light) {
        return toValue[(int) Math.round(Math.sqrt(Math.clamp(light, 0, 1)) * BACK)];
    }
}
