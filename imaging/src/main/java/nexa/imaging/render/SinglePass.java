package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_64F;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.WARP_INVERSE_MAP;
import static org.bytedeco.opencv.global.opencv_imgproc.warpAffine;

import java.util.Optional;
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
 * Renders a frame from stored pixels with one interpolation, a bicubic sample at each output pixel's centre. Where the
 * output has fewer pixels than the source, what is finer than they can hold is first taken out of the source's own
 * pixels, so that it averages out instead of turning up as false patterns.
 *
 * <p>Works through the output in tiles, so that memory is bounded by the tile.
 */
public final class SinglePass {
    /** Pixels along a tile's side: what it sees of the source stays near the processor's caches. */
    private static final int TILE = 192;

    /** Source pixels around what a tile covers, for the bicubic kernel. */
    private static final int MARGIN = 3;

    /** A reduction by a few percent needs no filter. */
    private static final double NEARLY_NONE = 1.05;

    private SinglePass() {}

    /**
     * A new picture of the output size.
     *
     * @param outputToSource from output pixels to the source's pixels, both continuous (centres at +0.5); places
     *     outside the source take its nearest edge pixel
     */
    public static Picture render(Picture source, Affine outputToSource, PixelSize output) {
        double reduction = reduction(outputToSource);
        Optional<LowPass> filter = reduction > NEARLY_NONE ? Optional.of(new LowPass(reduction)) : Optional.empty();
        Mat rendered = new Mat(output.height(), output.width(), source.mat().type());
        for (int top = 0; top < output.height(); top += TILE) {
            for (int left = 0; left < output.width(); left += TILE) {
                int width = Math.min(TILE, output.width() - left);
                int height = Math.min(TILE, output.height() - top);
                try (Rect area = new Rect(left, top, width, height);
                        Mat tile = new Mat(rendered, area)) {
                    Affine tileToSource = Affine.translation(left, top).then(outputToSource);
                    renderTile(source.mat(), tileToSource, filter, tile);
                }
            }
        }
        return new Picture(rendered);
    }

    /** Source pixels to an output pixel. */
    private static double reduction(Affine outputToSource) {
        return Math.max(
                Math.hypot(outputToSource.xx(), outputToSource.yx()),
                Math.hypot(outputToSource.xy(), outputToSource.yy()));
    }

    private static void renderTile(Mat source, Affine tileToSource, Optional<LowPass> filter, Mat tile) {
        int margin = MARGIN + filter.map(LowPass::reach).orElse(0);
        try (Rect seen = seen(source, tileToSource, tile.cols(), tile.rows(), margin);
                Mat part = new Mat(source, seen);
                Mat map = matrix(tileToSource.then(Affine.translation(-seen.x(), -seen.y())));
                Size size = tile.size()) {
            if (filter.isEmpty()) {
                sample(part, map, size, tile);
                return;
            }
            try (Mat filtered = filter.get().filtered(part);
                    Mat sampled = new Mat()) {
                sample(filtered, map, size, sampled);
                sampled.convertTo(tile, tile.depth());
            }
        }
    }

    private static void sample(Mat part, Mat map, Size size, Mat sampled) {
        try (Scalar unused = new Scalar()) {
            warpAffine(part, sampled, map, size, INTER_CUBIC | WARP_INVERSE_MAP, BORDER_REPLICATE, unused);
        }
    }

    /** The part of the source that a tile looks at: OpenCV counts pixels in 16 bits, so a wide source is seen in parts. */
    private static Rect seen(Mat source, Affine toSource, int width, int height, int margin) {
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
        int x = Math.clamp((long) Math.floor(left) - margin, 0, source.cols() - 1);
        int y = Math.clamp((long) Math.floor(top) - margin, 0, source.rows() - 1);
        int xEnd = Math.clamp((long) Math.ceil(right) + margin, x + 1, source.cols());
        int yEnd = Math.clamp((long) Math.ceil(bottom) + margin, y + 1, source.rows());
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
