package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_64F;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.WARP_INVERSE_MAP;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;
import static org.bytedeco.opencv.global.opencv_imgproc.warpAffine;

import nexa.core.geometry.Affine;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Renders a frame from stored pixels with one interpolation. Where the output has as many pixels as the source or more,
 * that is a bicubic sample at each output pixel's centre. Where it has fewer, each output pixel is the mean of n × n
 * samples spread evenly over the area it covers, n being the smallest number that leaves no source pixel unseen; a
 * numerical integral, so detail finer than a pixel averages out instead of aliasing.
 *
 * <p>Works through the output in tiles, so that memory is bounded by the tile and not by n.
 */
public final class SinglePass {
    /** Most samples along a tile's side: tiles stay near the processor's caches, and within OpenCV's 16-bit limits. */
    private static final int TILE_SAMPLES = 2048;

    /** Source pixels around what a tile covers, for the bicubic kernel. */
    private static final int MARGIN = 3;

    private SinglePass() {}

    /**
     * A new picture of the output size.
     *
     * @param outputToSource from output pixels to the source's pixels, both continuous (centres at +0.5); places
     *     outside the source take its nearest edge pixel
     */
    public static Picture render(Picture source, Affine outputToSource, PixelSize output) {
        int samples = samplesPerSide(outputToSource);
        int side = Math.max(1, TILE_SAMPLES / samples);
        Mat rendered = new Mat(output.height(), output.width(), source.mat().type());
        for (int top = 0; top < output.height(); top += side) {
            for (int left = 0; left < output.width(); left += side) {
                int width = Math.min(side, output.width() - left);
                int height = Math.min(side, output.height() - top);
                try (Rect area = new Rect(left, top, width, height);
                        Mat tile = new Mat(rendered, area)) {
                    Affine tileToSource = Affine.translation(left, top).then(outputToSource);
                    renderTile(source.mat(), tileToSource, samples, tile);
                }
            }
        }
        return new Picture(rendered);
    }

    private static int samplesPerSide(Affine outputToSource) {
        double reduction = Math.max(
                Math.hypot(outputToSource.xx(), outputToSource.yx()),
                Math.hypot(outputToSource.xy(), outputToSource.yy()));
        return (int) Math.max(1, Math.ceil(reduction - 0.05)); // a reduction by a few percent needs no more than one
    }

    private static void renderTile(Mat source, Affine tileToSource, int samples, Mat tile) {
        Affine sampleToSource = Affine.scale(1.0 / samples, 1.0 / samples).then(tileToSource);
        int width = tile.cols() * samples;
        int height = tile.rows() * samples;
        try (Rect seen = seen(source, sampleToSource, width, height);
                Mat part = new Mat(source, seen);
                Mat map = matrix(sampleToSource.then(Affine.translation(-seen.x(), -seen.y())));
                Size size = new Size(width, height);
                Scalar unused = new Scalar()) {
            if (samples == 1) {
                warpAffine(part, tile, map, size, INTER_CUBIC | WARP_INVERSE_MAP, BORDER_REPLICATE, unused);
            } else {
                average(part, tile, map, size);
            }
        }
    }

    private static void average(Mat part, Mat tile, Mat map, Size size) {
        try (Mat dense = new Mat();
                Scalar unused = new Scalar();
                Size target = tile.size()) {
            warpAffine(part, dense, map, size, INTER_LINEAR | WARP_INVERSE_MAP, BORDER_REPLICATE, unused);
            resize(dense, tile, target, 0, 0, INTER_AREA);
        }
    }

    /** The part of the source that a tile looks at: OpenCV counts pixels in 16 bits, so a wide source is seen in parts. */
    private static Rect seen(Mat source, Affine toSource, int width, int height) {
        double left = Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double bottom = -Double.MAX_VALUE;
        for (int corner = 0; corner < 4; corner++) {
            Point p = toSource.apply(new Point(corner % 2 * width, corner / 2 * height));
            left = Math.min(left, p.x());
            right = Math.max(right, p.x());
            top = Math.min(top, p.y());
            bottom = Math.max(bottom, p.y());
        }
        int x = Math.clamp((long) Math.floor(left) - MARGIN, 0, source.cols() - 1);
        int y = Math.clamp((long) Math.floor(top) - MARGIN, 0, source.rows() - 1);
        int xEnd = Math.clamp((long) Math.ceil(right) + MARGIN, x + 1, source.cols());
        int yEnd = Math.clamp((long) Math.ceil(bottom) + MARGIN, y + 1, source.rows());
        return new Rect(x, y, xEnd - x, yEnd - y);
    }

    /** OpenCV counts from pixel centres. */
    private static Mat matrix(Affine continuous) {
        Affine centres = Affine.translation(0.5, 0.5).then(continuous).then(Affine.translation(-0.5, -0.5));
        Mat matrix = new Mat(2, 3, CV_64F);
        try (DoubleIndexer cells = matrix.createIndexer()) {
            cells.put(0, 0, centres.xx(), centres.xy(), centres.dx());
            cells.put(1, 0, centres.yx(), centres.yy(), centres.dy());
        }
        return matrix;
    }
}
