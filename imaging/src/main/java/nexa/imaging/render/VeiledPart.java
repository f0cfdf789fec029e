package nexa.imaging.render;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import nexa.core.geometry.Affine;
import nexa.imaging.boxes.PixelRectangle;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.jspecify.annotations.Nullable;

/**
 * What a screen sees of a picture, under a veil, with some more around it: the veil is laid again only when something
 * else is seen. So it takes as much memory as the screen needs, however large the picture is.
 */
final class VeiledPart implements AutoCloseable {
    /** Pixels around what is seen that samples reach. */
    private static final int MARGIN = 2;

    /** The part of its own width and height that is veiled besides on each side. */
    private static final int MORE = 8;

    private @Nullable Mat picture;
    private int veil;
    private @Nullable Mat veiled;
    private PixelRectangle area = new PixelRectangle(0, 0, 0, 0);

    /**
     * @param picture four channels of 8 bits, blue first, the colours times the opacity
     * @param veil its colour and opacity, see {@link Veil}
     * @return a part of it that holds all that is seen; valid until the next call
     */
    Mat covering(Mat picture, int veil, Seen seen) {
        PixelRectangle needed = within(picture, seen, MARGIN, MARGIN);
        Mat known = veiled;
        if (known != null && picture == this.picture && veil == this.veil && area.contains(needed)) {
            return known;
        }
        close();
        area = within(picture, seen, MARGIN + needed.width() / MORE, MARGIN + needed.height() / MORE);
        Mat made = part(picture, area);
        IntBuffer pixels = ((ByteBuffer) made.createBuffer())
                .order(ByteOrder.nativeOrder())
                .asIntBuffer();
        new Veil(veil).over(pixels, pixels, made.cols(), made.rows());
        this.picture = picture;
        this.veil = veil;
        this.veiled = made;
        return made;
    }

    /** From the picture's pixels to those of the part that was asked for last. */
    Affine toPart() {
        return Affine.translation(-area.x(), -area.y());
    }

    private static PixelRectangle within(Mat picture, Seen seen, int across, int down) {
        int left = Math.clamp((long) Math.floor(seen.left()) - across, 0, picture.cols() - 1);
        int top = Math.clamp((long) Math.floor(seen.top()) - down, 0, picture.rows() - 1);
        int right = Math.clamp((long) Math.ceil(seen.right()) + across, left + 1, picture.cols());
        int bottom = Math.clamp((long) Math.ceil(seen.bottom()) + down, top + 1, picture.rows());
        return new PixelRectangle(left, top, right - left, bottom - top);
    }

    /** Pixels of its own, one row after the other. */
    private static Mat part(Mat picture, PixelRectangle area) {
        try (Rect rect = new Rect(area.x(), area.y(), area.width(), area.height());
                Mat seen = new Mat(picture, rect)) {
            return seen.clone();
        }
    }

    @Override
    public void close() {
        if (veiled != null) {
            veiled.close();
        }
        veiled = null;
        picture = null;
    }
}
