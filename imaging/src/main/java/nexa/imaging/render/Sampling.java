package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_64F;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_core.split;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.WARP_INVERSE_MAP;
import static org.bytedeco.opencv.global.opencv_imgproc.remap;

import java.util.function.IntSupplier;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Chain;
import nexa.core.geometry.Closing;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Projective;
import nexa.core.geometry.Radial;
import nexa.core.space.ColourMaps;
import nexa.imaging.render.BentMap.Places;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/** Takes a sample at the centre of each of a tile's pixels. */
sealed interface Sampling extends AutoCloseable {
    /**
     * @param interpolation OpenCV's number of it
     * @param border what is beyond the part, OpenCV's number of it
     * @param outside the colour of what is, where the border is one
     */
    void sample(Mat part, Mat sampled, int interpolation, int border, Scalar outside);

    /** Bicubic; beyond the edge the edge goes on. */
    default void sample(Mat part, Mat sampled) {
        sample(part, sampled, INTER_CUBIC);
    }

    private void sample(Mat part, Mat sampled, int interpolation) {
        try (Scalar unused = new Scalar()) {
            sample(part, sampled, interpolation, BORDER_REPLICATE, unused);
        }
    }

    /**
     * Of what a filter makes of a part.
     *
     * @param tile of the size and the kind of values that are wanted
     */
    default void sampleFiltered(Mat part, LowPass filter, Mat tile) {
        try (Mat filtered = filter.filtered(part)) {
            if (filtered.depth() == tile.depth()) {
                sample(filtered, tile, filter.interpolation());
                return;
            }
            try (Mat sampled = new Mat()) {
                sample(filtered, sampled, filter.interpolation());
                sampled.convertTo(tile, tile.depth());
            }
        }
    }

    @Override
    void close();

    /** @param tileToPart both in continuous pixels, centres at +0.5; OpenCV counts from pixel centres */
    static Sampling of(Mapping tileToPart, int width, int height) {
        return of(tileToPart, width, height, () -> BentMap.step(tileToPart, width, height));
    }

    /**
     * The same for a part of a screen: where a mapping bends it is followed less exactly, and sooner.
     *
     * @param step {@link #stepOnScreen} of the whole screen
     */
    static Sampling onScreen(Mapping partToPicture, int width, int height, int step) {
        return of(partToPicture, width, height, () -> step);
    }

    /** Pixels from one node of a mapping that bends to the next; 1 for one that does not. */
    static int stepOnScreen(Mapping screenToPicture, int width, int height) {
        return switch (screenToPicture) {
            case Affine _, Projective _ -> 1;
            case Radial _, Closing _, Chain _ -> BentMap.stepOnScreen(screenToPicture, width, height);
        };
    }

    private static Sampling of(Mapping tileToPart, int width, int height, IntSupplier step) {
        return switch (tileToPart) {
            case Affine map -> new ByMatrix(opencv_imgproc::warpAffine, matrix(map), new Size(width, height));
            case Projective map -> new ByMatrix(opencv_imgproc::warpPerspective, matrix(map), new Size(width, height));
            case Radial map -> bent(map, width, height, step.getAsInt());
            case Closing map -> bent(map, width, height, step.getAsInt());
            case Chain map -> bent(map, width, height, step.getAsInt());
        };
    }

    /** Each colour from its own place. */
    static Sampling of(ColourMaps tileToPart, int width, int height) {
        return of(tileToPart, width, height, BentMap.step(tileToPart.green(), width, height));
    }

    /** @param step {@link BentMap#step} of the picture that the tile is part of */
    static Sampling of(ColourMaps tileToPart, int width, int height, int step) {
        if (tileToPart.areAlike()) {
            return of(tileToPart.green(), width, height, () -> step);
        }
        Places green = new BentMap(tileToPart.green(), width, height, step).places();
        return new ByColour(
                bent(tileToPart.blue(), tileToPart.green(), green),
                new Bent(green),
                bent(tileToPart.red(), tileToPart.green(), green));
    }

    private static Bent bent(Mapping map, Mapping green, Places known) {
        return new Bent(map == green ? known : BentMap.beside(map, green, known));
    }

    /** In memory a pixel's values are blue, green, red, opacity; or grey alone. */
    record ByColour(Sampling blue, Sampling green, Sampling red) implements Sampling {
        @Override
        public void sample(Mat part, Mat sampled, int interpolation, int border, Scalar outside) {
            if (part.channels() == 1) {
                green.sample(part, sampled, interpolation, border, outside);
                return;
            }
            try (MatVector channels = new MatVector()) {
                split(part, channels);
                for (int i = 0; i < channels.size(); i++) {
                    try (Mat one = new Mat()) {
                        of(i).sample(channels.get(i), one, interpolation, border, outside);
                        channels.put(i, one);
                    }
                }
                merge(channels, sampled);
            }
        }

        /** Colours are parted while they are small, before they are filtered, and meet when they are small again. */
        @Override
        public void sampleFiltered(Mat part, LowPass filter, Mat tile) {
            if (part.channels() == 1) {
                green.sampleFiltered(part, filter, tile);
                return;
            }
            try (MatVector channels = new MatVector()) {
                split(part, channels);
                for (int i = 0; i < channels.size(); i++) {
                    try (Mat one = channels.get(i);
                            Mat sampled = new Mat(tile.rows(), tile.cols(), tile.depth())) {
                        of(i).sampleFiltered(one, filter, sampled);
                        channels.put(i, sampled);
                    }
                }
                merge(channels, tile);
            }
        }

        private Sampling of(int channel) {
            return channel == 0 ? blue : channel == 2 ? red : green;
        }

        @Override
        public void close() {
            blue.close();
            green.close();
            red.close();
        }
    }

    /** OpenCV's warp by a matrix of one kind. */
    interface Warp {
        void apply(Mat part, Mat sampled, Mat matrix, Size size, int flags, int border, Scalar outside);
    }

    record ByMatrix(Warp warp, Mat matrix, Size size) implements Sampling {
        @Override
        public void sample(Mat part, Mat sampled, int interpolation, int border, Scalar outside) {
            warp.apply(part, sampled, matrix, size, interpolation | WARP_INVERSE_MAP, border, outside);
        }

        @Override
        public void close() {
            matrix.close();
            size.close();
        }
    }

    record Bent(Places places) implements Sampling {
        @Override
        public void sample(Mat part, Mat sampled, int interpolation, int border, Scalar outside) {
            remap(part, sampled, places.xs(), places.ys(), interpolation, border, outside);
        }

        @Override
        public void close() {
            places.close();
        }
    }

    private static Sampling bent(Mapping map, int width, int height, int step) {
        return new Bent(new BentMap(map, width, height, step).places());
    }

    private static Mat matrix(Affine continuous) {
        Affine centres = Affine.translation(0.5, 0.5).then(continuous).then(Affine.translation(-0.5, -0.5));
        Mat matrix = new Mat(2, 3, CV_64F);
        try (DoubleIndexer cells = matrix.createIndexer()) {
            cells.put(0, 0, centres.xx(), centres.xy(), centres.dx());
            cells.put(1, 0, centres.yx(), centres.yy(), centres.dy());
        }
        return matrix;
    }

    private static Mat matrix(Projective continuous) {
        Projective centres = Projective.of(Affine.translation(0.5, 0.5))
                .then(continuous)
                .then(Projective.of(Affine.translation(-0.5, -0.5)));
        Mat matrix = new Mat(3, 3, CV_64F);
        try (DoubleIndexer cells = matrix.createIndexer()) {
            cells.put(0, 0, centres.xx(), centres.xy(), centres.dx());
            cells.put(1, 0, centres.yx(), centres.yy(), centres.dy());
            cells.put(2, 0, centres.wx(), centres.wy(), centres.w1());
        }
        return matrix;
    }
}
