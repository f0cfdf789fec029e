package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_imgproc.LSD_REFINE_STD;
import static org.bytedeco.opencv.global.opencv_imgproc.createLineSegmentDetector;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_imgproc.LineSegmentDetector;

/**
 * Finds straight line segments (R. Grompone von Gioi et al., LSD: a Line Segment Detector, Image Processing On Line 2,
 * 2012, as OpenCV has it), and lines that are level though no edge says so: a faint horizon, a mirror of water. Thread-safe.
 */
public final class LineDetector {
    /** More pixels take longer and bring no evidence: leans of 240 photographs were found as well as with 1280. */
    public static final int LONG_EDGE = 960;

    /** Shorter segments, of the long edge, are texture. */
    private static final double SHORTEST = 0.02;

    private LineDetector() {}

    /**
     * Segments of a photo in pixels as shot.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public static List<LevelLine> segments(PreviewMaker previews, Path file, PhotoFacts facts)
            throws UnreadablePhotoException {
        try (Picture small = previews.picture(file, facts, LONG_EDGE)) {
            double scale = (double) facts.asShot().longEdge() / small.size().longEdge();
            return segments(small, scale);
        }
    }

    /**
     * Segments of a picture, of any size.
     *
     * @param scale that their places are given in: 1 = the picture's own continuous pixels
     */
    public static List<LevelLine> segments(Picture picture, double scale) {
        try (Picture grey = picture.grey();
                Mat found = new Mat();
                LineSegmentDetector detector = detector()) {
            detector.detect(grey.mat(), found);
            double shortest = SHORTEST * scale * picture.size().longEdge();
            List<LevelLine> lines = new ArrayList<>(found.empty() ? List.of() : lines(found, scale, shortest));
            Stream.of(HorizonFinder.find(grey), MirrorFinder.find(grey))
                    .flatMap(Optional::stream)
                    .map(line -> line.times(scale))
                    .forEach(lines::add);
            return lines;
        }
    }

    private static LineSegmentDetector detector() {
        return createLineSegmentDetector(LSD_REFINE_STD, 0.8, 0.6, 2.0, 22.5, 0, 0.7, 1024);
    }

    /** Rows of x1, y1, x2, y2, counted from pixel centres. */
    private static List<LevelLine> lines(Mat found, double scale, double shortest) {
        List<LevelLine> lines = new ArrayList<>();
        try (FloatIndexer ends = found.createIndexer()) {
            for (long row = 0; row < found.rows(); row++) {
                Point from = new Point(ends.get(row, 0, 0) + 0.5, ends.get(row, 0, 1) + 0.5).times(scale);
                Point to = new Point(ends.get(row, 0, 2) + 0.5, ends.get(row, 0, 3) + 0.5).times(scale);
                if (from.distance(to) >= shortest) {
                    lines.add(new LevelLine(from, to));
                }
            }
        }
        return lines;
    }
}
