package nexa.imaging.colour;

import java.util.stream.IntStream;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** Whole pictures, in bands of rows on all cores. */
final class FastPixels {
    private static final int BAND = 1 << 16;

    private FastPixels() {}

    /** @param source blue, green, red or inks in 8 or 16 bits; not changed */
    static Mat converted(Mat source, FastColours fast) {
        Mat target = new Mat(source.rows(), source.cols(), opencv_core.CV_MAKETYPE(source.depth(), fast.channels()));
        int rows = Math.max(1, BAND / source.cols());
        boolean isDeep = source.depth() == opencv_core.CV_16U;
        IntStream.range(0, (source.rows() + rows - 1) / rows).parallel().forEach(band -> {
            int end = Math.min(source.rows(), (band + 1) * rows);
            Row pixels = new Row(source.cols(), fast);
            for (int row = band * rows; row < end; row++) {
                if (isDeep) {
                    pixels.deep(source.ptr(row), target.ptr(row));
                } else {
                    pixels.shallow(source.ptr(row), target.ptr(row));
                }
            }
        });
        return target;
    }

    /** What one thread converts. */
    private static final class Row {
        private final FastColours fast;
        private final short[] colours;
        private final short[] converted;

        Row(int pixels, FastColours fast) {
            this.fast = fast;
            this.colours = new short[pixels * fast.channelsFrom()];
            this.converted = fast.channels() == fast.channelsFrom() ? colours : new short[pixels * fast.channels()];
        }

        void deep(BytePointer source, BytePointer target) {
            try (source;
                    target;
                    ShortPointer from = new ShortPointer(source);
                    ShortPointer to = new ShortPointer(target)) {
                from.get(colours);
                convert();
                to.put(converted, 0, converted.length);
            }
        }

        void shallow(BytePointer source, BytePointer target) {
            try (source;
                    target) {
                byte[] from = new byte[colours.length];
                source.get(from);
                for (int i = 0; i < from.length; i++) {
                    colours[i] = Depth.deep(from[i] & 0xFF);
                }
                convert();
                byte[] to = new byte[converted.length];
                for (int i = 0; i < to.length; i++) {
                    to[i] = (byte) Depth.eight(converted[i]);
                }
                target.put(to, 0, to.length);
            }
        }

        private void convert() {
            if (fast.channelsFrom() == 3) {
                exchange(colours);
            }
            fast.convert(colours, converted);
            if (fast.channels() == 3) {
                exchange(converted);
            }
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
