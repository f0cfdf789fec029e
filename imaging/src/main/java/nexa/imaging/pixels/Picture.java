package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_16U;
import static org.bytedeco.opencv.global.opencv_core.CV_8U;
import static org.bytedeco.opencv.global.opencv_core.ROTATE_180;
import static org.bytedeco.opencv.global.opencv_core.ROTATE_90_CLOCKWISE;
import static org.bytedeco.opencv.global.opencv_core.ROTATE_90_COUNTERCLOCKWISE;
import static org.bytedeco.opencv.global.opencv_core.flip;
import static org.bytedeco.opencv.global.opencv_core.rotate;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2GRAY;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2GRAY;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Pixels in native memory: 1 (grey), 3 (BGR) or 4 (BGRA) channels of 8 or 16 bits, row by row from the top. To be
 * closed by whoever got it.
 */
public final class Picture implements AutoCloseable {
    /** What a JPEG decoder fills in where data is missing. */
    private static final int JPEG_BLANK = 128;

    private final Mat mat;
    private final int mean;

    /** Takes the matrix over. */
    public Picture(Mat mat) {
        this(mat, 1);
    }

    private Picture(Mat mat, int mean) {
        this.mat = mat;
        this.mean = mean;
    }

    /** The pixels, lent: valid until this picture is closed. */
    public Mat mat() {
        return mat;
    }

    /**
     * Of how many of a photo's pixels along a side each of these is the mean, as its decoder left it; 1 where they are the
     * photo's own, and in all that is made of a picture but {@link #shared}.
     */
    public int mean() {
        return mean;
    }

    public PixelSize size() {
        return new PixelSize(mat.cols(), mat.rows());
    }

    public int channels() {
        return mat.channels();
    }

    public int bits() {
        return mat.depth() == CV_16U ? 16 : 8;
    }

    /** A new picture, laid down differently. */
    public Picture turned(Turn turn) {
        Mat turned = new Mat();
        switch (turn.quarterTurns()) {
            case 1 -> rotate(mat, turned, ROTATE_90_CLOCKWISE);
            case 2 -> rotate(mat, turned, ROTATE_180);
            case 3 -> rotate(mat, turned, ROTATE_90_COUNTERCLOCKWISE);
            default -> mat.copyTo(turned);
        }
        if (turn.mirrored()) {
            flip(turned, turned, 1);
        }
        return new Picture(turned);
    }

    /** A new picture of at most the given long edge, each pixel the mean of what it covers. */
    public Picture reducedTo(int longEdge) {
        double scale = Math.min(1, (double) longEdge / size().longEdge());
        int width = (int) Math.max(1, Math.round(mat.cols() * scale));
        int height = (int) Math.max(1, Math.round(mat.rows() * scale));
        Mat reduced = new Mat();
        try (Size size = new Size(width, height)) {
            resize(mat, reduced, size, 0, 0, INTER_AREA);
        }
        return new Picture(reduced);
    }

    /** A second handle on the middle of the pixels, as large as it can be in a shape; nothing is copied. */
    public Picture cutTo(double aspect) {
        int width = (int) Math.clamp(Math.round(mat.rows() * aspect), 1, mat.cols());
        int height = (int) Math.clamp(Math.round(mat.cols() / aspect), 1, mat.rows());
        try (Rect middle = new Rect((mat.cols() - width) / 2, (mat.rows() - height) / 2, width, height)) {
            return new Picture(new Mat(mat, middle));
        }
    }

    /** A second handle on the same pixels, to be closed on its own; nothing is copied. */
    public Picture shared() {
        return asMean(mean);
    }

    /** The same, said to be {@link #mean means}. */
    public Picture asMean(int ofSoMany) {
        return new Picture(new Mat(mat), ofSoMany);
    }

    /** A new picture with 8 bits a channel. */
    public Picture to8Bits() {
        Mat eight = new Mat();
        mat.convertTo(eight, CV_8U, bits() == 16 ? 255.0 / 65535 : 1, 0);
        return new Picture(eight);
    }

    /** A new picture with 16 bits a channel. */
    public Picture to16Bits() {
        Mat sixteen = new Mat();
        mat.convertTo(sixteen, CV_16U, bits() == 8 ? 65535.0 / 255 : 1, 0);
        return new Picture(sixteen);
    }

    /** As detectors take it: a new picture with 8 bits a channel, in colour and without alpha. */
    public Picture plain() {
        try (Picture eight = to8Bits();
                Picture opaque = eight.onWhite()) {
            return opaque.channels() == 1 ? opaque.coloured() : opaque.shared();
        }
    }

    /** A new picture without alpha: what was transparent shows white. Grey stays grey. */
    public Picture onWhite() {
        return new Picture(Flattening.onWhite(mat));
    }

    /** A new picture of one channel: how light each pixel is; how opaque it is plays no part. */
    public Picture grey() {
        Mat grey = new Mat();
        switch (channels()) {
            case 1 -> mat.copyTo(grey);
            case 4 -> cvtColor(mat, grey, COLOR_BGRA2GRAY);
            default -> cvtColor(mat, grey, COLOR_BGR2GRAY);
        }
        return new Picture(grey);
    }

    /** A new picture of three channels from a grey one. */
    public Picture coloured() {
        Mat bgr = new Mat();
        cvtColor(mat, bgr, COLOR_GRAY2BGR);
        return new Picture(bgr);
    }

    /** Copies the pixels out for a screen. */
    public Raster toRaster() {
        try (Picture eight = to8Bits();
                Picture opaque = eight.onWhite();
                Mat bgra = new Mat()) {
            cvtColor(opaque.mat, bgra, opaque.channels() == 1 ? COLOR_GRAY2BGRA : COLOR_BGR2BGRA);
            int[] argb = new int[bgra.cols() * bgra.rows()];
            ByteBuffer bytes = bgra.createBuffer();
            bytes.order(ByteOrder.LITTLE_ENDIAN).asIntBuffer().get(argb);
            return new Raster(bgra.cols(), bgra.rows(), argb);
        }
    }

    /** How many rows at the end hold nothing but the grey that a JPEG decoder puts for missing data. */
    public int blankRowsAtEnd() {
        int rows = mat.rows();
        try (UByteIndexer pixels = mat.createIndexer()) {
            int row = rows - 1;
            while (row >= 0 && isBlank(pixels, row)) {
                row--;
            }
            return rows - 1 - row;
        }
    }

    private boolean isBlank(UByteIndexer pixels, int row) {
        for (long col = 0; col < mat.cols(); col++) {
            for (long channel = 0; channel < mat.channels(); channel++) {
                if (Math.abs(pixels.get(row, col, channel) - JPEG_BLANK) > 1) {
                    return false;
                }
            }
        }
        return true;
    }

    @Override
    public void close() {
        mat.close();
    }
}
