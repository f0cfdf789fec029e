package nexa.bench.sight;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REFLECT_101;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_COLOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imdecode;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencode;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imread;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.getRotationMatrix2D;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;
import static org.bytedeco.opencv.global.opencv_imgproc.warpAffine;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import nexa.imaging.detect.Likeness;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Near-repeats found by what photographs look like: each as a hand would have taken it a second time (shifted, turned, nearer,
 * in another light, compressed anew) must be found, and no two of different things.
 */
public final class RepeatTrial {
    private static final int LONG_EDGE = 1000;
    private static final int LOOKED_AT = 400;
    private static final int SEED = 17;

    /** Of the long edge, degrees, and as a share: how a hand takes it again. */
    private static final double SHIFT = 0.02;

    private static final double TURN = 1.0;
    private static final double NEARER = 0.03;
    private static final double LIGHTER = 0.2;

    private record Taken(Path file, Likeness first, Likeness second) {}

    private RepeatTrial() {}

    /** @param folder of photographs, each of another thing */
    public static void run(Path folder) throws IOException {
        List<Taken> all = new ArrayList<>();
        Random random = new Random(SEED);
        long begun = System.nanoTime();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                try (Mat read = imread(file.toString(), IMREAD_COLOR)) {
                    if (!read.empty()) {
                        all.add(taken(file, read, random));
                    }
                }
            }
        }
        long looked = System.nanoTime();
        int near = 0;
        int same = 0;
        for (Taken each : all) {
            near += each.first.isNear(each.second) ? 1 : 0;
            same += each.first.isSame(each.second) ? 1 : 0;
            if (!each.first.isSame(each.second)) {
                say("missed", each.file, each.file, each.first, each.second);
            }
        }
        int falselyNear = 0;
        int falselySame = 0;
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                Likeness one = all.get(i).first;
                Likeness other = all.get(j).first;
                falselyNear += one.isNear(other) ? 1 : 0;
                falselySame += one.isSame(other) ? 1 : 0;
                if (one.isNear(other) || one.isSame(other)) {
                    say("taken for one", all.get(i).file, all.get(j).file, one, other);
                }
            }
        }
        long pairs = (long) all.size() * (all.size() - 1) / 2;
        System.out.printf(
                Locale.ROOT,
                "%d photographs: taken again at once %d found, at any time %d; of %d pairs of different ones %d and %d taken for one; %.0f ms to look at one, %.2f µs to compare two%n",
                all.size(),
                near,
                same,
                pairs,
                falselyNear,
                falselySame,
                (looked - begun) / 1e6 / (2.0 * all.size()),
                (System.nanoTime() - looked) / 1e3 / pairs);
    }

    private static void say(String what, Path one, Path other, Likeness first, Likeness second) {
        System.out.printf(
                Locale.ROOT,
                "%s: %s %s, %.2f of the look from afar differs, %.2f of the corners lie alike%n",
                what,
                one.getFileName(),
                other.getFileName(),
                first.distance(second),
                first.agreement(second));
    }

    private static Taken taken(Path file, Mat read, Random random) {
        double scale = Math.min(1, (double) LONG_EDGE / Math.max(read.cols(), read.rows()));
        try (Mat photo = new Mat();
                Size size = new Size()) {
            resize(read, photo, size, scale, scale, INTER_AREA);
            try (Mat again = again(photo, random)) {
                return new Taken(file, look(photo), look(again));
            }
        }
    }

    private static Likeness look(Mat photo) {
        try (Picture picture = new Picture(photo.clone());
                Picture small = picture.reducedTo(LOOKED_AT)) {
            return Likeness.of(small);
        }
    }

    /** As a hand would take it a second time. */
    static Mat again(Mat photo, Random random) {
        double shift = SHIFT * Math.max(photo.cols(), photo.rows());
        try (Point2f middle = new Point2f(photo.cols() / 2f, photo.rows() / 2f);
                Mat way = getRotationMatrix2D(
                        middle, random.nextGaussian() * TURN, 1 + Math.abs(random.nextGaussian()) * NEARER);
                Mat moved = new Mat();
                Mat lit = new Mat();
                Scalar black = new Scalar();
                BytePointer bytes = new BytePointer();
                IntPointer quality = new IntPointer(IMWRITE_JPEG_QUALITY, 80)) {
            try (DoubleIndexer cells = way.createIndexer()) {
                cells.put(0, 2, cells.get(0, 2) + random.nextGaussian() * shift);
                cells.put(1, 2, cells.get(1, 2) + random.nextGaussian() * shift);
            }
            warpAffine(photo, moved, way, photo.size(), INTER_LINEAR, BORDER_REFLECT_101, black);
            moved.convertTo(lit, -1, 1 + random.nextGaussian() * LIGHTER, 0);
            imencode(".jpg", lit, bytes, quality);
            try (Mat encoded = new Mat(bytes)) {
                return imdecode(encoded, IMREAD_COLOR);
            }
        }
    }
}
