package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * What a photo looks like. From afar: whether it becomes brighter to the right and downwards, in {@value #GRID} × {@value
 * #GRID} places (difference hash, after N. Krawetz, 2013), which light and exposure hardly change. From near: its
 * {@link Corners}, which must lie alike where the look from afar does not decide.
 */
public final class Likeness {
    private static final int GRID = 16;

    /** Enough for corners that are there again in a repeat. */
    private static final int LONG_EDGE = 400;

    /** Of all comparisons, how many may come out otherwise in a repeat. */
    private static final double NEAR = 0.32;

    /** The same of pictures taken one right after the other whose corners lie alike. */
    private static final double NEAR_WITH_CORNERS = 0.42;

    private final long[] brighter;
    private final Corners corners;

    private Likeness(long[] brighter, Corners corners) {
        this.brighter = brighter;
        this.corners = corners;
    }

    /** Empty if the photo can't be decoded. */
    public static Optional<Likeness> of(PreviewMaker previews, Path file, PhotoFacts facts) {
        try (Picture small = previews.picture(file, facts, LONG_EDGE)) {
            return Optional.of(of(small));
        } catch (UnreadablePhotoException unreadable) {
            return Optional.empty(); // the photo itself says why
        }
    }

    /** Of a picture of about {@value #LONG_EDGE} pixels. */
    public static Likeness of(Picture picture) {
        try (Picture eight = picture.to8Bits();
                Picture opaque = eight.onWhite();
                Picture grey = opaque.grey();
                Mat grid = new Mat();
                Size size = new Size(GRID + 1, GRID + 1)) {
            resize(grey.mat(), grid, size, 0, 0, INTER_AREA);
            return new Likeness(compared(grid), Corners.of(grey));
        }
    }

    private static long[] compared(Mat grid) {
        long[] brighter = new long[2 * GRID * GRID / Long.SIZE];
        try (UByteIndexer cells = grid.createIndexer()) {
            for (int y = 0; y < GRID; y++) {
                for (int x = 0; x < GRID; x++) {
                    int at = 2 * (y * GRID + x);
                    set(brighter, at, cells.get(y, x + 1) > cells.get(y, x));
                    set(brighter, at + 1, cells.get(y + 1, x) > cells.get(y, x));
                }
            }
        }
        return brighter;
    }

    private static void set(long[] bits, int at, boolean on) {
        bits[at / Long.SIZE] |= on ? 1L << at % Long.SIZE : 0;
    }

    /** Share of the comparisons that come out otherwise: 0 = the same, 0.5 = unrelated. */
    public double distance(Likeness other) {
        int differing = 0;
        for (int i = 0; i < brighter.length; i++) {
            differing += Long.bitCount(brighter[i] ^ other.brighter[i]);
        }
        return differing / (2.0 * GRID * GRID);
    }

    /** Whether two photos that were taken one right after the other are nearly the same. */
    public boolean isNear(Likeness other) {
        double distance = distance(other);
        return distance <= NEAR || distance <= NEAR_WITH_CORNERS && corners.lieAlike(other.corners);
    }

    /** Whether two photos are nearly the same, whenever they were taken. */
    public boolean isSame(Likeness other) {
        return distance(other) <= NEAR && corners.lieAlike(other.corners);
    }

    /** How many of the corners lie alike, as a share of the fewer. */
    public double agreement(Likeness other) {
        return corners.agreement(other.corners);
    }
}
