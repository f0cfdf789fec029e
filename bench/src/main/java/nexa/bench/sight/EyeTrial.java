package nexa.bench.sight;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_COLOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imread;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.remap;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import nexa.imaging.detect.Merit;
import nexa.imaging.face.Face;
import nexa.imaging.face.FaceFinder;
import nexa.imaging.face.FaceMesh;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Closed eyes among near-repeats: on photographs of people whose eyes are open, the lids are drawn over the eyes (the skin above
 * them is stretched), which must be told; and the same faces taken again in another light and size must not be.
 */
public final class EyeTrial {
    /** Eyes that are open less are closed, or behind dark glasses, to begin with. */
    private static final double OPEN = 0.27;

    private static final int SEED = 17;

    /** In openings of the eye: how much skin is stretched. */
    private static final double SKIN = 1.6;

    private static int faces;
    private static int told;
    private static int wronglyTold;
    private static int lost;

    private EyeTrial() {}

    /** @param folder of photographs of people */
    public static void run(Path folder) throws IOException {
        Random random = new Random(SEED);
        long looking = 0;
        int looked = 0;
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                try (Mat read = imread(file.toString(), IMREAD_COLOR)) {
                    for (Face face : read.empty() ? List.<Face>of() : faces(read)) {
                        long begun = System.nanoTime();
                        Optional<FaceMesh> mesh = mesh(read, face);
                        looking += System.nanoTime() - begun;
                        looked++;
                        if (mesh.filter(open -> open.eyeOpening() >= OPEN).isPresent()) {
                            judge(file, read, face, mesh.get(), random);
                        }
                    }
                }
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%d faces with open eyes: closed by hand told %d, taken again told closed %d, not seen well enough then %d; %.1f ms a face%n",
                faces,
                told,
                wronglyTold,
                lost,
                looking / 1e6 / Math.max(1, looked));
    }

    private static List<Face> faces(Mat photo) {
        try (Picture picture = new Picture(photo.clone())) {
            return FaceFinder.find(picture);
        }
    }

    private static Optional<FaceMesh> mesh(Mat photo, Face face) {
        try (Picture picture = new Picture(photo.clone())) {
            return FaceMesh.of(picture, face);
        }
    }

    private static void judge(Path file, Mat photo, Face face, FaceMesh mesh, Random random) {
        faces++;
        OptionalDouble closed;
        OptionalDouble again;
        try (Mat shut = shut(photo, mesh);
                Mat taken = RepeatTrial.again(photo, random)) {
            closed = opening(shut, face);
            again = opening(taken, face);
        }
        told += isAsleep(closed, mesh) ? 1 : 0;
        wronglyTold += isAsleep(again, mesh) ? 1 : 0;
        lost += closed.isEmpty() || again.isEmpty() ? 1 : 0;
        System.out.printf(
                Locale.ROOT,
                "%s: open %.3f, closed %.3f, again %.3f%n",
                file.getFileName(),
                mesh.eyeOpening(),
                closed.orElse(Double.NaN),
                again.orElse(Double.NaN));
    }

    /** As it is judged among near-repeats. */
    private static boolean isAsleep(OptionalDouble opening, FaceMesh open) {
        return opening.isPresent()
                && new Merit(0, List.of(new Merit.Eyes(Point.ORIGIN, 1, opening.orElseThrow())))
                        .isAsleepBeside(new Merit(0, List.of(new Merit.Eyes(Point.ORIGIN, 1, open.eyeOpening()))));
    }

    /** By a face that is found anew. */
    private static OptionalDouble opening(Mat photo, Face before) {
        Optional<Face> there = faces(photo).stream()
                .filter(face -> face.middle().distance(before.middle()) < before.width())
                .findFirst();
        Optional<FaceMesh> mesh = there.flatMap(face -> mesh(photo, face));
        return mesh.isPresent() ? OptionalDouble.of(mesh.get().eyeOpening()) : OptionalDouble.empty();
    }

    /** The skin above each eye, stretched down to its lower lid. */
    private static Mat shut(Mat photo, FaceMesh mesh) {
        Mat shut = new Mat();
        try (Mat fromX = new Mat(photo.rows(), photo.cols(), CV_32F);
                Mat fromY = new Mat(photo.rows(), photo.cols(), CV_32F);
                FloatIndexer xs = fromX.createIndexer();
                FloatIndexer ys = fromY.createIndexer()) {
            for (int y = 0; y < photo.rows(); y++) {
                for (int x = 0; x < photo.cols(); x++) {
                    xs.put(y, x, x);
                    ys.put(y, x, y);
                }
            }
            mesh.eyes().forEach(eye -> stretch(eye, ys, photo));
            remap(photo, shut, fromX, fromY, INTER_LINEAR);
        }
        return shut;
    }

    private static void stretch(FaceMesh.Eye eye, FloatIndexer ys, Mat photo) {
        double width = eye.upper().getFirst().distance(eye.upper().getLast());
        int left = (int) Math.max(0, Math.ceil(eye.upper().getFirst().x()));
        int right = (int) Math.min(photo.cols() - 1, eye.upper().getLast().x());
        for (int x = left; x <= right; x++) {
            double upper = height(eye.upper(), x) - width / 30;
            double lower = height(eye.lower(), x) + width / 100;
            double skin = upper - Math.max(width / 4, SKIN * (lower - upper));
            for (int y = (int) Math.max(0, skin); y < Math.min(photo.rows(), lower); y++) {
                if (y > skin && lower > upper) {
                    ys.put(y, x, (float) (skin + (y - skin) * (upper - skin) / (lower - skin)));
                }
            }
        }
    }

    /** Of a lid over a place. */
    private static double height(List<Point> lid, double x) {
        for (int i = 1; i < lid.size(); i++) {
            Point from = lid.get(i - 1);
            Point to = lid.get(i);
            if (x <= to.x()) {
                double along = to.x() > from.x() ? Math.clamp((x - from.x()) / (to.x() - from.x()), 0, 1) : 0;
                return from.y() + along * (to.y() - from.y());
            }
        }
        return lid.getLast().y();
    }
}
