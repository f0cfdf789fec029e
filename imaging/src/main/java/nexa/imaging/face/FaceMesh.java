package nexa.imaging.face;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_dnn.blobFromImage;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.getRotationMatrix2D;
import static org.bytedeco.opencv.global.opencv_imgproc.invertAffineTransform;
import static org.bytedeco.opencv.global.opencv_imgproc.warpAffine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.imaging.network.NetworkFile;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.global.opencv_dnn;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_core.StringVector;
import org.bytedeco.opencv.opencv_dnn.Net;

/**
 * The points of a face, by the network of Y. Kartynnik and others, "Real-time Facial Surface Geometry from Monocular Video on
 * Mobile GPUs" (2019).
 *
 * @param points {@value #POINTS}, in the picture's continuous pixels, in the network's order
 */
public record FaceMesh(List<Point> points) {
    private static final int POINTS = 468;

    /** Of the upper and the lower lid of each eye, from its left corner to its right one. */
    private static final List<Lids> EYES = List.of(
            new Lids(
                    List.of(33, 246, 161, 160, 159, 158, 157, 173, 133),
                    List.of(33, 7, 163, 144, 145, 153, 154, 155, 133)),
            new Lids(
                    List.of(362, 398, 384, 385, 386, 387, 388, 466, 263),
                    List.of(362, 382, 381, 380, 374, 373, 390, 249, 263)));

    /** Along the lids: where the eye's opening is measured. */
    private static final List<Integer> MEASURED = List.of(3, 5);

    private record Lids(List<Integer> upper, List<Integer> lower) {}

    /**
     * An eye's lids in the picture's pixels.
     *
     * @param upper from the eye's left corner to its right one
     * @param lower likewise, as many
     */
    public record Eye(List<Point> upper, List<Point> lower) {
        /** Between the lids, of the eye's width. */
        double opening() {
            double width = upper.getFirst().distance(upper.getLast());
            return MEASURED.stream()
                            .mapToDouble(at -> upper.get(at).distance(lower.get(at)))
                            .average()
                            .orElseThrow()
                    / width;
        }
    }

    public FaceMesh {
        points = List.copyOf(points);
    }

    /** Of a face; empty if it is too small, or not seen well enough. Thread-safe; one face at a time. */
    public static Optional<FaceMesh> of(Picture picture, Face face) {
        return Finder.of(picture, face);
    }

    /** The eye at the left of an upright face first. */
    public List<Eye> eyes() {
        return EYES.stream()
                .map(lids -> new Eye(at(lids.upper), at(lids.lower)))
                .toList();
    }

    private List<Point> at(List<Integer> which) {
        return which.stream().map(points::get).toList();
    }

    /**
     * How far the eyes are open on average: between the lids, of the eye's width (T. Soukupová and J. Čech, "Real-Time Eye
     * Blink Detection using Facial Landmarks", 2016). People differ, so it tells only the same person's eyes apart.
     */
    public double eyeOpening() {
        return eyes().stream().mapToDouble(Eye::opening).average().orElseThrow();
    }

    /** Runs the network. */
    private static final class Finder {
        /** Eyes that are nearer to each other can't be judged, in pixels. */
        private static final double NEAREST = 25;

        /** What the network is less sure of (a logit) is no face that it sees whole. */
        private static final double LEAST_SURE = 10;

        private static final int SIDE = 192;

        /** Of the face's longer side: what the network wants to see. */
        private static final double ABOUT = 1.5;

        private static final Finder ONLY = new Finder();

        private final Net network;
        private final StringVector outputs;

        private Finder() {
            network = NetworkFile.read(FaceMesh.class, "mesh.tflite", opencv_dnn::readNetFromTFLite);
            outputs = network.getUnconnectedOutLayersNames();
        }

        static Optional<FaceMesh> of(Picture picture, Face face) {
            return face.betweenEyes() < NEAREST ? Optional.empty() : ONLY.look(picture, face);
        }

        private synchronized Optional<FaceMesh> look(Picture picture, Face face) {
            try (Picture coloured = picture.plain();
                    Mat way = intoSquare(face);
                    Mat square = new Mat();
                    Size size = new Size(SIDE, SIDE);
                    Scalar none = Scalar.all(0)) {
                warpAffine(coloured.mat(), square, way, size, INTER_AREA, 0, none);
                try (Mat input = blobFromImage(square, 1 / 255.0, size, none, true, false, CV_32F);
                        MatVector results = new MatVector()) {
                    network.setInput(input);
                    network.forward(results, outputs);
                    return mesh(results, way);
                }
            }
        }

        /** The face, its eyes level, in the middle of the square that the network sees. */
        private static Mat intoSquare(Face face) {
            Point middle = face.middle();
            double side = ABOUT * Math.max(face.width(), face.height());
            double lean = face.eyes().get(1).minus(face.eyes().get(0)).degrees();
            try (Point2f about = new Point2f((float) middle.x(), (float) middle.y())) {
                Mat way = getRotationMatrix2D(about, lean, SIDE / side);
                try (DoubleIndexer cells = way.createIndexer()) {
                    cells.put(0, 2, cells.get(0, 2) + SIDE / 2.0 - middle.x());
                    cells.put(1, 2, cells.get(1, 2) + SIDE / 2.0 - middle.y());
                }
                return way;
            }
        }

        private static Optional<FaceMesh> mesh(MatVector results, Mat way) {
            float[] numbers = new float[3 * POINTS];
            double sure = Double.NEGATIVE_INFINITY;
            for (long i = 0; i < results.size(); i++) {
                try (FloatPointer output = new FloatPointer(results.get(i).data())) {
                    if (results.get(i).total() == numbers.length) {
                        output.get(numbers);
                    } else if (results.get(i).total() == 1) {
                        sure = output.get();
                    }
                }
            }
            return sure < LEAST_SURE ? Optional.empty() : Optional.of(new FaceMesh(outOfSquare(numbers, way)));
        }

        private static List<Point> outOfSquare(float[] numbers, Mat way) {
            List<Point> points = new ArrayList<>();
            try (Mat back = new Mat()) {
                invertAffineTransform(way, back);
                try (DoubleIndexer cells = back.createIndexer()) {
                    for (int i = 0; i < numbers.length; i += 3) {
                        double x = numbers[i];
                        double y = numbers[i + 1];
                        points.add(new Point(
                                cells.get(0, 0) * x + cells.get(0, 1) * y + cells.get(0, 2),
                                cells.get(1, 0) * x + cells.get(1, 1) * y + cells.get(1, 2)));
                    }
                }
            }
            return points;
        }
    }
}
