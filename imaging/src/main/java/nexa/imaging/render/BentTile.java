package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_32FC;
import static org.bytedeco.opencv.global.opencv_core.add;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_core.multiply;

import nexa.core.geometry.Affine;
import nexa.core.space.ColourMaps;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;

/**
 * A tile that is reduced by more in one place than in another. Filters come in steps of {@link ReductionMap#FACTOR} between reductions; each
 * pixel is mixed of the two on either side of its own reduction, so that neither inside a tile nor between tiles a seam
 * shows where one filter ends and another begins.
 */
final class BentTile {
    /** A tile in which the reduction varies by more than this factor is taken in four, where it has blocks of its own. */
    private static final double MOST_UNLIKE = 1.5;

    /**
     * Reductions that differ by less than this share a filter: its neighbour's differs as little, and half a step in the
     * middle of a filter's slope is less than a level of 256.
     */
    private static final double ALIKE = 1.02;

    /** Output pixels along the side of a tile that is not taken in four for its filter's sake. */
    private static final int SMALL = 2 * ReductionMap.CELL;

    private final Looked source;
    private final int step;
    private final int block;

    /**
     * @param step {@link BentMap#step} of the picture that the tiles are of
     * @param least {@link ReductionMap#least(nexa.core.geometry.Mapping, int, int)} of it: all tiles average alike, so that no seam shows
     */
    BentTile(Looked source, int step, double least) {
        this.source = source;
        this.step = step;
        this.block = SourcePart.block(least);
    }

    void render(ColourMaps tileToSource, Mat tile) {
        ReductionMap reductions = ReductionMap.of(tileToSource.green(), tile.cols(), tile.rows());
        if (isBetterInQuarters(reductions, Math.max(tile.cols(), tile.rows()))) {
            quarters(tileToSource, tile);
        } else {
            whole(tileToSource, reductions, tile);
        }
    }

    /** A quarter's own filter costs less than two filters that are mixed, until what lies around it outweighs it. */
    private boolean isBetterInQuarters(ReductionMap reductions, int side) {
        return SourcePart.needsLarger(block, reductions.most())
                ? side > ReductionMap.CELL && reductions.most() > MOST_UNLIKE * reductions.least()
                : side > SMALL && !isAlike(reductions) && LowPass.isNeededAt(reductions.most());
    }

    private static boolean isAlike(ReductionMap reductions) {
        return reductions.most() <= ALIKE * reductions.least();
    }

    private void quarters(ColourMaps tileToSource, Mat tile) {
        int width = half(tile.cols());
        int height = half(tile.rows());
        for (int top = 0; top < tile.rows(); top += height) {
            for (int left = 0; left < tile.cols(); left += width) {
                try (Rect area = new Rect(
                                left, top, Math.min(width, tile.cols() - left), Math.min(height, tile.rows() - top));
                        Mat quarter = new Mat(tile, area)) {
                    render(tileToSource.after(Affine.translation(left, top)), quarter);
                }
            }
        }
    }

    /** On the grid of the reductions, so that neighbours know the same ones. */
    private static int half(int length) {
        return Math.ceilDiv(Math.ceilDiv(length, 2), ReductionMap.CELL) * ReductionMap.CELL;
    }

    private void whole(ColourMaps tileToSource, ReductionMap reductions, Mat tile) {
        int block = SourcePart.block(this.block, reductions.most());
        double most = ReductionMap.ofStep(reductions.lastStep()) / block;
        Seen seen = Seen.of(tileToSource, tile.cols(), tile.rows());
        int reach = LowPass.forPlace(most, block * source.mean()).reach();
        try (SourcePart part = SourcePart.of(source, seen, block, reach);
                Sampling sampling = Sampling.of(part.seenFrom(tileToSource), tile.cols(), tile.rows(), step)) {
            if (!LowPass.isNeededAt(most)) {
                sampling.sample(part.pixels(), tile);
                return;
            }
            if (isAlike(reductions)) {
                alike(part, sampling, Math.sqrt(reductions.most() * reductions.least()), tile);
                return;
            }
            try (Mat mixed = new Mat(tile.rows(), tile.cols(), CV_32FC(tile.channels()), Scalar.all(0))) {
                for (int step = reductions.firstStep(); step <= reductions.lastStep(); step++) {
                    addStep(part, sampling, reductions, step, mixed);
                }
                mixed.convertTo(tile, tile.depth());
            }
        }
    }

    /** One filter serves the whole tile. */
    private static void alike(SourcePart part, Sampling sampling, double reduction, Mat tile) {
        sampling.sampleFiltered(part.pixels(), LowPass.forPlace(reduction / part.block(), part.mean()), tile);
    }

    private static void addStep(SourcePart part, Sampling sampling, ReductionMap reductions, int step, Mat mixed) {
        try (Mat sampled = new Mat(mixed.rows(), mixed.cols(), mixed.type());
                Mat share = reductions.share(step, mixed.cols(), mixed.rows());
                Mat shares = repeated(share, mixed.channels())) {
            sampling.sampleFiltered(
                    part.pixels(), LowPass.forPlace(ReductionMap.ofStep(step) / part.block(), part.mean()), sampled);
            multiply(sampled, shares, sampled);
            add(mixed, sampled, mixed);
        }
    }

    private static Mat repeated(Mat share, int channels) {
        Mat repeated = new Mat();
        try (MatVector copies = new MatVector(channels)) {
            for (int channel = 0; channel < channels; channel++) {
                copies.put(channel, share);
            }
            merge(copies, repeated);
        }
        return repeated;
    }
}
