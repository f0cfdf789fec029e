package nexa.imaging.apart.raw;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.stream.IntStream;
import nexa.imaging.colour.ToneCurve;

/**
 * From linear light to sRGB's curve (IEC 61966-2-1), brightened so that the picture is on average as light as the camera
 * showed it. What was white in the sensor stays white; above a shoulder, lights are pressed together instead of cut.
 */
final class Exposure {
    private static final int VALUES = 65_536;
    private static final int MOST = VALUES - 1;

    /** In linear light; below it all is brightened evenly. */
    private static final double SHOULDER = 0.6;

    private static final double BRIGHTEST = 16;
    private static final int STEPS = 20;

    /** Of the histogram: finer than a mean needs. */
    private static final int CLASSES = 4096;

    private static final int VALUES_A_CLASS = VALUES / CLASSES;

    /** Of whose mean nobody sees how far it is from that of all. */
    private static final int SAMPLES = 100_000;

    private Exposure() {}

    /**
     * Rewrites pixels in place.
     *
     * @param values linear light, 16 bits each, three a pixel
     * @param brightness wanted mean of the green values on sRGB's curve, 0 to 1; 0 leaves the light as it is
     */
    static void apply(MemorySegment values, double brightness) {
        short[] curve = curve(brightness > 0 ? gain(values, brightness) : 1);
        long count = values.byteSize() / Short.BYTES;
        int part = 1 << 16;
        IntStream.range(0, (int) ((count + part - 1) / part)).parallel().forEach(index -> {
            long from = (long) index * part;
            int length = (int) Math.min(part, count - from);
            short[] chunk = new short[length];
            MemorySegment.copy(values, ValueLayout.JAVA_SHORT, from * Short.BYTES, chunk, 0, length);
            for (int i = 0; i < length; i++) {
                chunk[i] = curve[chunk[i] & MOST];
            }
            MemorySegment.copy(chunk, 0, values, ValueLayout.JAVA_SHORT, from * Short.BYTES, length);
        });
    }

    /** The light grows with the gain, so that it is found by halving. */
    private static double gain(MemorySegment values, double brightness) {
        long[] histogram = histogram(values);
        double low = 1;
        double high = BRIGHTEST;
        for (int step = 0; step < STEPS; step++) {
            double middle = Math.sqrt(low * high);
            if (mean(histogram, middle) < brightness) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return Math.sqrt(low * high);
    }

    private static long[] histogram(MemorySegment values) {
        long[] histogram = new long[CLASSES];
        long pixels = values.byteSize() / Short.BYTES / 3;
        long step = Math.max(1, pixels / SAMPLES) | 1; // so that hardly any width is a multiple of it
        for (long pixel = 0; pixel < pixels; pixel += step) {
            int green = values.getAtIndex(ValueLayout.JAVA_SHORT, 3 * pixel + 1) & MOST;
            histogram[green / VALUES_A_CLASS]++;
        }
        return histogram;
    }

    private static double mean(long[] histogram, double gain) {
        double sum = 0;
        long count = 0;
        for (int i = 0; i < CLASSES; i++) {
            if (histogram[i] > 0) {
                sum += histogram[i] * shown((i + 0.5) / CLASSES, gain);
                count += histogram[i];
            }
        }
        return sum / count;
    }

    private static short[] curve(double gain) {
        short[] curve = new short[VALUES];
        for (int value = 0; value < VALUES; value++) {
            curve[value] = (short) Math.round(shown((double) value / MOST, gain) * MOST);
        }
        return curve;
    }

    private static double shown(double light, double gain) {
        double pressed = pressed(light * gain, gain);
        return ToneCurve.srgb(pressed);
    }

    /** Goes on from the shoulder with the same slope, and reaches 1 where the brightened white is. */
    private static double pressed(double light, double white) {
        if (light <= SHOULDER) {
            return light;
        }
        double power = (white - SHOULDER) / (1 - SHOULDER);
        return SHOULDER + (1 - SHOULDER) * (1 - Math.pow((white - light) / (white - SHOULDER), power));
    }
}
