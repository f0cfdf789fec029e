package nexa.imaging.border;

import static org.bytedeco.opencv.global.opencv_core.flip;
import static org.bytedeco.opencv.global.opencv_core.transpose;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.FloatBuffer;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.trim.Side;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/** A picture seen from one side: lines from the edge inwards, each the mean of a few rows or columns. */
final class Strip {
    /** Rows or columns in a line: enough to quieten noise, few enough for a leaning edge to stay sharp. */
    static final int LINE = 6;

    static final int CHANNELS = 4;

    /** Of the way to the other side; a border is no deeper. */
    private static final double DEEPEST = 0.48;

    private final Side side;
    private final PixelSize picture;
    private final int lines;
    private final int depth;
    private final float[] values;

    private Strip(Side side, PixelSize picture, int lines, int depth, float[] values) {
        this.side = side;
        this.picture = picture;
        this.lines = lines;
        this.depth = depth;
        this.values = values;
    }

    /** @param bgra of 32-bit floats, 0 to 255, colour times opacity */
    static Strip of(Mat bgra, Side side) {
        int along = side.isUpright() ? bgra.rows() : bgra.cols();
        int lines = Math.max(1, along / LINE);
        try (Mat reduced = new Mat();
                Size size = side.isUpright() ? new Size(bgra.cols(), lines) : new Size(lines, bgra.rows())) {
            resize(bgra, reduced, size, 0, 0, INTER_AREA);
            if (!side.isUpright()) {
                transpose(reduced, reduced);
            }
            if (side.isFar()) {
                flip(reduced, reduced, 1);
            }
            float[] values = new float[reduced.rows() * reduced.cols() * CHANNELS];
            FloatBuffer buffer = reduced.createBuffer();
            buffer.get(values);
            return new Strip(side, new PixelSize(bgra.cols(), bgra.rows()), lines, reduced.cols(), values);
        }
    }

    Side side() {
        return side;
    }

    int lines() {
        return lines;
    }

    /** Pixels on each line, to the other side of the picture. */
    int depth() {
        return depth;
    }

    /** How far inwards a border is looked for. */
    int deepest() {
        return (int) (depth * DEEPEST);
    }

    /** Pixels along the side. */
    int length() {
        return side.isUpright() ? picture.height() : picture.width();
    }

    float value(int line, int pixel, int channel) {
        return values[(line * depth + pixel) * CHANNELS + channel];
    }

    /** How far a pixel's colour is from another, as the length of their difference. */
    double distance(int line, int pixel, float[] colour) {
        double sum = 0;
        for (int c = 0; c < CHANNELS; c++) {
            double difference = value(line, pixel, c) - colour[c];
            sum += difference * difference;
        }
        return Math.sqrt(sum);
    }

    /** The line's middle along the side, in pixels. */
    double along(int line) {
        return (line + 0.5) * length() / lines;
    }

    /** The line at a place along the side; may be beyond the last. */
    int lineAt(double along) {
        return (int) Math.floor(along * lines / length());
    }

    /** A place on a line in the picture's pixels from its centre. */
    Point place(int line, double inwards) {
        double along = along(line);
        Point corner =
                switch (side) {
                    case LEFT -> new Point(inwards, along);
                    case RIGHT -> new Point(picture.width() - inwards, along);
                    case TOP -> new Point(along, inwards);
                    case BOTTOM -> new Point(along, picture.height() - inwards);
                };
        return corner.minus(new Point(picture.width() / 2.0, picture.height() / 2.0));
    }
}
