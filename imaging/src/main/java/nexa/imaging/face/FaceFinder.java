package nexa.imaging.face;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_dnn.blobFromImage;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.imaging.network.NetworkFile;
import nexa.imaging.network.Surest;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_dnn;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_core.StringVector;
import org.bytedeco.opencv.opencv_dnn.Net;

/**
 * Finds faces with the network of V. Bazarevsky and others, "BlazeFace: Sub-millisecond Neural Face Detection on Mobile GPUs"
 * (2019), in its form for faces from near and far. It looks at a square of 192 pixels; for each of its 48 × 48 cells it says
 * how sure it is of a face about it, where the face's box is, and six points of it. Thread-safe; one picture at a time.
 */
public final class FaceFinder {
    /** What the network is less sure of is no face. */
    private static final double LEAST_CONFIDENCE = 0.5;

    /** Boxes that share more are of one face. */
    private static final double SAME = 0.3;

    private static final int SIDE = 192;
    private static final int CELLS = 48;

    /** Numbers of a cell: the box's middle, width and height, then the points. */
    private static final int NUMBERS = 16;

    private static final int POINTS_AT = 4;

    /** It sees values from −1 to 1. */
    private static final double MIDDLE = 127.5;

    private static final class Loaded {
        private static final FaceFinder ONLY = new FaceFinder();
    }

    private final Net network;
    private final StringVector outputs;

    private FaceFinder() {
        network = NetworkFile.read(FaceFinder.class, "faces.tflite", opencv_dnn::readNetFromTFLite);
        outputs = network.getUnconnectedOutLayersNames();
    }

    /** The surest first. */
    public static List<Face> find(Picture picture) {
        return Loaded.ONLY.look(picture);
    }

    private synchronized List<Face> look(Picture picture) {
        double scale = Math.min(1, (double) SIDE / picture.size().longEdge()); // smaller pictures keep their size
        try (Picture small = picture.reducedTo(SIDE);
                Picture coloured = small.plain();
                Mat square = square(coloured);
                Size size = new Size(SIDE, SIDE);
                Scalar middle = Scalar.all(MIDDLE);
                Mat input = blobFromImage(square, 1 / MIDDLE, size, middle, true, false, CV_32F);
                MatVector results = new MatVector()) {
            network.setInput(input);
            network.forward(results, outputs);
            return Surest.of(faces(results), Face::confidence, Face::box, SAME).stream()
                    .map(face -> face.times(1 / scale))
                    .toList();
        }
    }

    /** At the top left of black. */
    private static Mat square(Picture small) {
        Mat square = new Mat(SIDE, SIDE, CV_8UC3, Scalar.all(0));
        try (Rect place = new Rect(0, 0, small.size().width(), small.size().height());
                Mat there = new Mat(square, place)) {
            small.mat().copyTo(there);
        }
        return square;
    }

    /** In the square's pixels, of which the picture fills the top left. */
    private static List<Face> faces(MatVector results) {
        boolean firstIsSure = last(results.get(0)) == 1;
        Mat sure = results.get(firstIsSure ? 0 : 1);
        Mat boxes = results.get(firstIsSure ? 1 : 0);
        List<Face> faces = new ArrayList<>();
        try (FloatPointer confidence = new FloatPointer(sure.data());
                FloatPointer numbers = new FloatPointer(boxes.data())) {
            for (int cell = 0; cell < CELLS * CELLS; cell++) {
                double sureness = 1 / (1 + Math.exp(-confidence.get(cell)));
                if (sureness >= LEAST_CONFIDENCE && hasArea(cell, numbers)) {
                    faces.add(face(sureness, cell, numbers));
                }
            }
        }
        return faces;
    }

    private static boolean hasArea(int cell, FloatPointer numbers) {
        long at = (long) cell * NUMBERS;
        return numbers.get(at + 2) > 0 && numbers.get(at + 3) > 0;
    }

    private static int last(Mat mat) {
        return mat.size(mat.dims() - 1);
    }

    private static Face face(double sureness, int cell, FloatPointer numbers) {
        Point about = new Point(cell % CELLS + 0.5, cell / CELLS + 0.5).times((double) SIDE / CELLS);
        long at = (long) cell * NUMBERS;
        double width = numbers.get(at + 2);
        double height = numbers.get(at + 3);
        Point middle = about.plus(new Point(numbers.get(at), numbers.get(at + 1)));
        return new Face(
                sureness,
                middle.x() - width / 2,
                middle.y() - height / 2,
                width,
                height,
                List.of(point(numbers, at, 0, about), point(numbers, at, 1, about)),
                point(numbers, at, 2, about));
    }

    private static Point point(FloatPointer numbers, long at, int which, Point about) {
        long there = at + POINTS_AT + 2L * which;
        return about.plus(new Point(numbers.get(there), numbers.get(there + 1)));
    }
}
