package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_imgproc.equalizeHist;

import java.io.File;
import java.io.IOException;
import java.net.URL;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.Loader;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.RectVector;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_objdetect.CascadeClassifier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Finds the eyes of the largest face seen from the front, by the cascades that ship with OpenCV (P. Viola and M. Jones,
 * "Robust Real-Time Face Detection", International Journal of Computer Vision 57, 2004). A face counts only where both
 * eyes are found in it, so that pots and clouds are not taken for one. Thread-safe; one photo at a time.
 */
final class FaceDetector {
    private static final Logger LOG = LoggerFactory.getLogger(FaceDetector.class);
    private static final double STEP = 1.1;
    private static final double EYE_STEP = 1.05;
    private static final int NEIGHBOURS = 5;

    /** A face is at least this share of the long edge. */
    private static final double SMALLEST = 0.06;

    /** Eyes are in this upper part of a face, and on about one line. */
    private static final double UPPER = 0.62;

    private static final double MOST_LEAN = 0.35;

    /** Empty where the cascades can't be had: then no faces are found. */
    private static final Optional<FaceDetector> ONLY = load();

    private final CascadeClassifier faces;
    /** The stricter one first. */
    private final List<CascadeClassifier> eyes;

    private FaceDetector(CascadeClassifier faces, List<CascadeClassifier> eyes) {
        this.faces = faces;
        this.eyes = List.copyOf(eyes);
    }

    private static Optional<FaceDetector> load() {
        try {
            return Optional.of(new FaceDetector(
                    cascade("haarcascade_frontalface_alt2.xml"),
                    List.of(cascade("haarcascade_eye_tree_eyeglasses.xml"), cascade("haarcascade_eye.xml"))));
        } catch (IOException | RuntimeException missing) {
            LOG.warn("Faces are not looked for: {}", missing.toString());
            return Optional.empty();
        }
    }

    private static CascadeClassifier cascade(String name) throws IOException {
        Loader.load(CascadeClassifier.class);
        String path = "/org/bytedeco/opencv/" + Loader.getPlatform() + "/share/opencv4/haarcascades/" + name;
        URL resource = CascadeClassifier.class.getResource(path);
        if (resource == null) {
            throw new ToldException("told.detect.no", path);
        }
        File file = Loader.cacheResource(resource);
        CascadeClassifier cascade = new CascadeClassifier(file.getPath());
        if (cascade.empty()) {
            throw new ToldException("told.detect.cannot-read", name);
        }
        return cascade;
    }

    /** The eye at the left and the one at the right, in the picture's pixels; empty if there is no such face. */
    static List<Point> eyes(Picture picture) {
        return ONLY.map(detector -> detector.find(picture)).orElse(List.of());
    }

    private synchronized List<Point> find(Picture picture) {
        try (Picture lightness = picture.grey();
                Mat grey = new Mat();
                RectVector found = new RectVector();
                Size least = square(SMALLEST * picture.size().longEdge());
                Size most = new Size()) {
            equalizeHist(lightness.mat(), grey);
            faces.detectMultiScale(grey, found, STEP, NEIGHBOURS, 0, least, most);
            return boxes(found).stream()
                    .sorted(Comparator.comparingInt((Box box) -> box.width).reversed())
                    .map(face -> eyes(grey, face))
                    .filter(pair -> !pair.isEmpty())
                    .findFirst()
                    .orElse(List.of());
        }
    }

    private static Size square(double side) {
        int pixels = (int) Math.max(8, Math.round(side));
        return new Size(pixels, pixels);
    }

    private List<Point> eyes(Mat grey, Box face) {
        try (Rect upper = new Rect(face.x, face.y, face.width, (int) Math.round(face.height * UPPER));
                Mat part = grey.apply(upper)) {
            return eyes.stream()
                    .map(cascade -> pair(eyes(part, cascade, face.width), face))
                    .filter(pair -> !pair.isEmpty())
                    .findFirst()
                    .orElse(List.of());
        }
    }

    private static List<Box> eyes(Mat part, CascadeClassifier cascade, int faceWidth) {
        try (RectVector found = new RectVector();
                Size least = square(faceWidth * 0.12);
                Size most = square(faceWidth * 0.5)) {
            cascade.detectMultiScale(part, found, EYE_STEP, 2, 0, least, most);
            return boxes(found);
        }
    }

    /** One on each side of the face's middle, the largest that stand on about one line. */
    private static List<Point> pair(List<Box> found, Box face) {
        List<Point> best = List.of();
        double bestSize = 0;
        for (Box left : found) {
            for (Box right : found) {
                Point way = right.middle().minus(left.middle());
                boolean apart =
                        left.middle().x() < face.width / 2.0 && right.middle().x() > face.width / 2.0;
                boolean level = Math.abs(way.y()) <= MOST_LEAN * way.x();
                if (apart && level && left.width + right.width > bestSize) {
                    bestSize = left.width + right.width;
                    Point corner = new Point(face.x, face.y);
                    best = List.of(corner.plus(left.middle()), corner.plus(right.middle()));
                }
            }
        }
        return best;
    }

    private record Box(int x, int y, int width, int height) {
        Point middle() {
            return new Point(x + width / 2.0, y + height / 2.0);
        }
    }

    private static List<Box> boxes(RectVector found) {
        List<Box> boxes = new ArrayList<>();
        for (long i = 0; i < found.size(); i++) {
            Rect box = found.get(i);
            boxes.add(new Box(box.x(), box.y(), box.width(), box.height()));
        }
        return boxes;
    }
}
