package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.file.Path;
import java.util.BitSet;
import java.util.Optional;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * How a photo looks from afar: whether it becomes brighter to the right and downwards, in {@value #GRID} × {@value
 * #GRID} places (difference hash, after N. Krawetz, 2013). Light and exposure hardly change it.
 */
public record Likeness(BitSet brighter) {
    private static final int GRID = 16;
    private static final int LONG_EDGE = 160;

    /** Of all comparisons, how many may come out otherwise in a repeat. */
    private static final double NEAR = 0.32;

    /** Like nothing. */
    public static final Likeness NONE = new Likeness(new BitSet());

    /** Empty if the photo can't be decoded. */
    public static Optional<Likeness> of(PreviewMaker previews, Path file, PhotoFacts facts) {
        try (Picture small = previews.picture(file, facts, LONG_EDGE);
                Picture grey = small.grey();
                Mat grid = new Mat();
                Size size = new Size(GRID + 1, GRID + 1)) {
            resize(grey.mat(), grid, size, 0, 0, INTER_AREA);
            return Optional.of(new Likeness(compared(grid)));
        } catch (UnreadablePhotoException unreadable) {
            return Optional.empty(); // the photo itself says why
        }
    }

    private static BitSet compared(Mat grid) {
        BitSet brighter = new BitSet(2 * GRID * GRID);
        try (UByteIndexer cells = grid.createIndexer()) {
            for (int y = 0; y < GRID; y++) {
                for (int x = 0; x < GRID; x++) {
                    int at = 2 * (y * GRID + x);
                    brighter.set(at, cells.get(y, x + 1) > cells.get(y, x));
                    brighter.set(at + 1, cells.get(y + 1, x) > cells.get(y, x));
                }
            }
        }
        return brighter;
    }

    /** Share of the comparisons that come out otherwise: 0 = the same, 0.5 = unrelated. */
    public double distance(Likeness other) {
        BitSet differing = (BitSet) brighter.clone();
        differing.xor(other.brighter);
        return differing.cardinality() / (2.0 * GRID * GRID);
    }

    public boolean isNear(Likeness other) {
        return distance(other) <= NEAR;
    }
}
