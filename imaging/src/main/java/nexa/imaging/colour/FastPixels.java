package nexa.imaging.colour;

import java.util.stream.IntStream;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** Whole pictures, in bands of rows on all cores. */
final class FastPixels {
    private static final int BAND = 1 << 16;

    /** From 8 bits to 16: all values are used in either. */
    private static final int STRETCH = 257;

    private FastPixels() {}

    /** @param source blue, green, red in 8 or 16 bits; not changed */
    static Mat converted(Mat source, FastColours fast) {
        Mat target = new Mat(source.rows(), source.cols(), source.type());
        int rows = Math.max(1, BAND / source.cols());
        boolean isDeep = source.depth() == opencv_core.CV_16U;
        IntStream.range(0, (source.rows() + rows - 1) / rows).parallel().forEach(band -> {
            int end = Math.min(source.rows(), (band + 1) * rows);
            short[] colours = new short[source.cols() * 3];
            byte[] bytes = new byte[isDeep ? 0 : colours.length];
            for (int row = band * rows; row < end; row++) {
                if (isDeep) {
                    deep(source, target, row, colours, fast);
                } else {
                    shallow(source, target, row, colours, bytes, fast);
                }
            }
        });
        return target;
    }

    private static void deep(Mat source, Mat target, int row, short[] colours, FastColours fast) {
        try (ShortPointer from = new ShortPointer(source.ptr(row));
                ShortPointer to = new ShortPointer(target.ptr(row))) {
            from.get(colours);
            exchange(colours);
            fast.convert(colours);
            exchange(colours);
            to.put(colours, 0, colours.length);
        }
    }

    private static void shallow(Mat source, Mat target, int row, short[] colours, byte[] bytes, FastColours fast) {
        try (BytePointer from = source.ptr(row);
                BytePointer to = target.ptr(row)) {
            from.get(bytes);
            for (int i = 0; i < bytes.length; i++) {
                colours[i] = (short) ((bytes[i] & 0xFF) * STRETCH);
            }
            exchange(colours);
            fast.convert(colours);
            exchange(colours);
            for (int i = 0; i < bytes.length; i++) {
                bytes[i] = (byte) (((colours[i] & 0xFFFF) + STRETCH / 2) / STRETCH);
            }
            to.put(bytes, 0, bytes.length);
        }
    }

    /** Blue and red of each pixel. */
    private static void exchange(short[] colours) {
        for (int i = 0; i < colours.length; i += 3) {
            short first = colours[i];
            colours[i] = colours[i + 2];
            colours[i + 2] = first;
        }
    }
}
