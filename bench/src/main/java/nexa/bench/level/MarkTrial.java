package nexa.bench.level;

import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;
import static org.bytedeco.opencv.global.opencv_imgproc.LINE_AA;
import static org.bytedeco.opencv.global.opencv_imgproc.circle;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.detect.SubjectDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/** Proposed marks on photographs, drawn to be judged by eye. */
public final class MarkTrial {
    private static final int SHOWN = 480;

    private MarkTrial() {}

    /** @param folder of photographs; small ones with their proposed marks come into {@code marks} beside them */
    public static void run(Path folder) throws IOException {
        Path out = Files.createDirectories(folder.resolve("marks"));
        PhotoCodecs codecs = PhotoCodecs.STANDARD;
        PreviewMaker previews = new PreviewMaker(codecs);
        long nanos = 0;
        int count = 0;
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                if (!(codecs.probe(file) instanceof Probe.Readable(PhotoFacts facts))) {
                    continue;
                }
                long begun = System.nanoTime();
                List<Point> marks = SubjectDetector.find(previews, file, facts);
                nanos += System.nanoTime() - begun;
                count++;
                draw(file, facts, marks, out);
                System.out.printf("%s: %s%n", file.getFileName(), marks.isEmpty() ? "none" : "proposed");
            }
        }
        System.out.printf(Locale.ROOT, "%.0f ms a photo, decoding included%n", nanos / 1e6 / count);
    }

    private static void draw(Path file, PhotoFacts facts, List<Point> marks, Path out) {
        try (Mat whole = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR);
                Picture photo = new Picture(whole.clone());
                Picture small = photo.reducedTo(SHOWN)) {
            double scale = (double) small.size().longEdge() / facts.asShot().longEdge();
            for (Point mark : marks) {
                try (var at = new org.bytedeco.opencv.opencv_core.Point(
                                (int) Math.round(mark.x() * scale), (int) Math.round(mark.y() * scale));
                        Scalar white = new Scalar(255, 255, 255, 0);
                        Scalar accent = new Scalar(90, 40, 200, 0)) {
                    circle(small.mat(), at, 9, white, 5, LINE_AA, 0);
                    circle(small.mat(), at, 9, accent, 3, LINE_AA, 0);
                }
            }
            imwrite(out.resolve(file.getFileName() + ".jpg").toString(), small.mat());
        }
    }
}
