package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.copyMakeBorder;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.space.ColourMaps;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * The part of a source that a tile looks at. OpenCV counts a picture's pixels in 16 bits, so a wide source is seen in
 * parts. Where very much is left out, pixels are averaged in square blocks first, so that a part's size is bounded
 * whatever the reduction; the blocks lie on the same grid in all tiles.
 *
 * @param pixels of the source, or averaged blocks of it
 * @param block source pixels along a block's side
 * @param mean of how many of the photo's pixels along a side each is the mean
 * @param toPart from the source's continuous pixels to the part's
 */
record SourcePart(Mat pixels, int block, int mean, Affine toPart) implements AutoCloseable {
    /** Source pixels around what a tile covers, for the bicubic kernel. */
    private static final int MARGIN = 3;

    /** How many averaged pixels to an output pixel are left, at least: {@code ./nexa bench sharpness} shows no less with so many. */
    private static final double LEFT = 1.5;

    private static final double ROUNDING = 1e-6;

    /** Where a tile is reduced by so many times what the blocks leave, it has larger ones of its own. */
    private static final double MOST_LEFT = 16;

    /** What these leave to reduce. */
    private static final int LEFT_IN_LARGE = 8;

    /**
     * How many of the source's pixels are averaged along each side.
     *
     * @param reduction of them to an output pixel, where a picture is reduced least
     */
    static int block(double reduction) {
        return Math.max(1, (int) (reduction / LEFT + ROUNDING));
    }

    /** The same in a tile that may be reduced by much more. */
    static int block(int ofPicture, double most) {
        return needsLarger(ofPicture, most) ? (int) (most / LEFT_IN_LARGE) : ofPicture;
    }

    static boolean needsLarger(int ofPicture, double most) {
        return most > MOST_LEFT * ofPicture;
    }

    /**
     * @param seen what the tile covers, in the source's continuous pixels
     * @param filterReach pixels of the part around it that the filter needs
     */
    static SourcePart of(Looked source, Seen seen, int block, int filterReach) {
        int margin = (MARGIN + filterReach) * block;
        int across = source.pixels().cols();
        int down = source.pixels().rows();
        int x = aligned(Math.clamp((long) Math.floor(seen.left()) - margin, 0, across - 1), block);
        int y = aligned(Math.clamp((long) Math.floor(seen.top()) - margin, 0, down - 1), block);
        int xEnd = end(seen.right(), margin, x, across, block);
        int yEnd = end(seen.bottom(), margin, y, down, block);
        try (Rect area = new Rect(x, y, xEnd - x, yEnd - y)) {
            Mat part = source.part(area);
            return block == 1
                    ? new SourcePart(part, 1, source.mean(), Affine.translation(-x, -y))
                    : new SourcePart(
                            averaged(part, block),
                            block,
                            block * source.mean(),
                            Affine.translation(-x, -y).then(Affine.scale(1.0 / block, 1.0 / block)));
        }
    }

    private static int aligned(int place, int block) {
        return place / block * block;
    }

    /** Whole blocks, except at the source's own end. */
    private static int end(double seen, int margin, int begin, int length, int block) {
        int wanted = Math.clamp((long) Math.ceil(seen) + margin, begin + 1, length);
        return Math.min(length, Math.ceilDiv(wanted, block) * block);
    }

    /** Beyond the source its edge goes on, to whole blocks. */
    private static Mat averaged(Mat part, int block) {
        int across = Math.ceilDiv(part.cols(), block);
        int down = Math.ceilDiv(part.rows(), block);
        Mat averaged = new Mat();
        try (part;
                Mat whole = extended(part, across * block, down * block);
                Size size = new Size(across, down)) {
            resize(whole, averaged, size, 0, 0, INTER_AREA);
        }
        return averaged;
    }

    private static Mat extended(Mat part, int width, int height) {
        int right = width - part.cols();
        int below = height - part.rows();
        if (right == 0 && below == 0) {
            return new Mat(part);
        }
        Mat extended = new Mat();
        try (Scalar unused = new Scalar()) {
            copyMakeBorder(part, extended, 0, below, 0, right, BORDER_REPLICATE, unused);
        }
        return extended;
    }

    /** From a tile's continuous pixels to the part's. */
    Mapping seenFrom(Mapping tileToSource) {
        return tileToSource.then(toPart);
    }

    ColourMaps seenFrom(ColourMaps tileToSource) {
        return tileToSource.then(toPart);
    }

    @Override
    public void close() {
        pixels.close();
    }
}
