package nexa.imaging.thing;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_dnn.blobFromImage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.network.NetworkFile;
import nexa.imaging.network.Surest;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.global.opencv_dnn;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_core.StringVector;
import org.bytedeco.opencv.opencv_dnn.Net;

/**
 * Finds things with the network NanoDet-g (RangiLyu, 2021; its head after X. Li and others, "Generalized Focal Loss", 2020),
 * trained on the 80 classes of COCO. Three grids of cells say of each class how sure they are of one about each cell.
 * Thread-safe; one picture at a time.
 */
public final class ThingFinder {
    /** What the network is less sure of is nothing. */
    private static final double LEAST_CONFIDENCE = 0.25;

    /** Boxes that share more are of one thing. */
    private static final double SAME = 0.6;

    /** Of the picture as the network sees it. */
    private static final int LONG_EDGE = 320;

    /** Its sides are multiples of the coarsest cell. */
    private static final int COARSEST = 32;

    /** Values are counted from the mean of the pictures it learned from, in their deviations. */
    private static final double[] MEAN = {103.53, 116.28, 123.675};

    private static final double DEVIATION = 57.6;
    private static final int AROUND = 114;

    private static final class Loaded {
        private static final ThingFinder ONLY = new ThingFinder();
    }

    private final Net network;
    private final StringVector outputs = new StringVector("fine", "middle", "coarse");

    private ThingFinder() {
        network = NetworkFile.read(ThingFinder.class, "things.onnx", opencv_dnn::readNetFromONNX);
    }

    /** The surest first. */
    public static List<Thing> find(Picture picture) {
        return Loaded.ONLY.look(picture);
    }

    private synchronized List<Thing> look(Picture picture) {
        try (Picture small = picture.reducedTo(LONG_EDGE);
                Picture coloured = small.plain();
                Mat whole = padded(coloured);
                Size size = new Size(whole.cols(), whole.rows());
                Scalar mean = new Scalar(MEAN[0], MEAN[1], MEAN[2], 0);
                Mat input = blobFromImage(whole, 1 / DEVIATION, size, mean, false, false, CV_32F);
                MatVector results = new MatVector()) {
            network.setInput(input);
            network.forward(results, outputs);
            return Surest.of(
                    things(results, whole, coloured.size(), picture.size()), Thing::confidence, Thing::box, SAME);
        }
    }

    /** At the top left of grey. */
    private static Mat padded(Picture small) {
        PixelSize size = small.size();
        Mat padded = new Mat(up(size.height()), up(size.width()), CV_8UC3, Scalar.all(AROUND));
        try (Rect place = new Rect(0, 0, size.width(), size.height());
                Mat there = new Mat(padded, place)) {
            small.mat().copyTo(there);
        }
        return padded;
    }

    private static int up(int side) {
        return (side + COARSEST - 1) / COARSEST * COARSEST;
    }

    private static List<Thing> things(MatVector results, Mat whole, PixelSize seen, PixelSize picture) {
        List<Thing> things = new ArrayList<>();
        double scale = (double) picture.longEdge() / seen.longEdge();
        for (int i = 0; i < results.size(); i++) {
            int cell = COARSEST >> (results.size() - 1 - i);
            CellGrid grid = CellGrid.of(results.get(i), cell, whole.cols() / cell);
            for (CellGrid.Found found : grid.found(LEAST_CONFIDENCE)) {
                within(found.box(), seen)
                        .ifPresent(box -> things.add(new Thing(found.kind(), found.confidence(), box.times(scale))));
            }
        }
        return things;
    }

    private static Optional<Frame> within(Frame box, PixelSize size) {
        double left = Math.clamp(box.left(), 0, size.width());
        double right = Math.clamp(box.right(), 0, size.width());
        double top = Math.clamp(box.top(), 0, size.height());
        double bottom = Math.clamp(box.bottom(), 0, size.height());
        return right - left < 1 || bottom - top < 1
                ? Optional.empty()
                : Optional.of(Frame.between(new Point(left, top), new Point(right, bottom)));
    }
}
