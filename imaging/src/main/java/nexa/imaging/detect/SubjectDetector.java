package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CMP_EQ;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.bitwise_and;
import static org.bytedeco.opencv.global.opencv_core.compare;
import static org.bytedeco.opencv.global.opencv_core.countNonZero;
import static org.bytedeco.opencv.global.opencv_core.setRNGSeed;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.GC_BGD;
import static org.bytedeco.opencv.global.opencv_imgproc.GC_INIT_WITH_MASK;
import static org.bytedeco.opencv.global.opencv_imgproc.GC_PR_FGD;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_ELLIPSE;
import static org.bytedeco.opencv.global.opencv_imgproc.MORPH_OPEN;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;
import static org.bytedeco.opencv.global.opencv_imgproc.getStructuringElement;
import static org.bytedeco.opencv.global.opencv_imgproc.grabCut;
import static org.bytedeco.opencv.global.opencv_imgproc.morphologyEx;

import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import nexa.imaging.face.Face;
import nexa.imaging.face.FaceFinder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Proposes marks: the eyes of a face, the ends of a group, or a subject's top and foot, found as what stands out from the colours along the photo's border (C. Rother et al.,
 * "GrabCut", ACM Transactions on Graphics 23, 2004, as OpenCV has it). Thread-safe.
 */
public final class SubjectDetector {
    private static final int LONG_EDGE = 320;

    private static final int ROUNDS = 4;
    private static final int SEED = 1;

    /** The border that is taken for background, of each side. */
    private static final double BORDER = 0.05;

    /** Less compact is no one thing. */
    private static final double LEAST_ALONE = 0.87;

    private static final double LEAST_TOGETHER = 0.6;

    /** Where faces are looked for, in pixels of the long edge. */
    private static final int FACE_EDGE = 400;

    /** Of the largest face's width: as near people are a group. */
    private static final double OF_GROUP = 0.5;

    private SubjectDetector() {}

    /**
     * Two points of a photo's subject in pixels as shot: both eyes of a face, or the outermost faces of several, or else the top and foot of what
     * stands out; none if nothing does.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public static List<Point> find(PreviewMaker previews, Path file, PhotoFacts facts) throws UnreadablePhotoException {
        List<Point> eyes = eyes(previews, file, facts);
        return eyes.isEmpty() ? ends(previews, file, facts) : eyes;
    }

    private static List<Point> eyes(PreviewMaker previews, Path file, PhotoFacts facts)
            throws UnreadablePhotoException {
        try (Picture picture = previews.picture(file, facts, FACE_EDGE)) {
            double scale = (double) facts.asShot().longEdge() / picture.size().longEdge();
            return ofPeople(FaceFinder.find(picture)).stream()
                    .map(point -> point.times(scale))
                    .toList();
        }
    }

    /** One person's eyes, or where the group ends at the left and at the right. Small faces are of people farther back. */
    private static List<Point> ofPeople(List<Face> faces) {
        double largest = faces.stream().mapToDouble(Face::width).max().orElse(0);
        List<Face> group = faces.stream()
                .filter(face -> face.width() >= OF_GROUP * largest)
                .sorted(Comparator.comparingDouble(face -> face.middle().x()))
                .toList();
        if (group.size() > 1) {
            return List.of(group.getFirst().betweenBrows(), group.getLast().betweenBrows());
        }
        return group.stream().flatMap(face -> face.eyes().stream()).toList();
    }

    private static List<Point> ends(PreviewMaker previews, Path file, PhotoFacts facts)
            throws UnreadablePhotoException {
        try (Picture small = previews.picture(file, facts, LONG_EDGE);
                Mat colour = colour(small);
                Mat byRows = foreground(colour, Backdrop.of(colour).seeds());
                Mat byBorder = foreground(colour, border(colour))) {
            double scale = (double) facts.asShot().longEdge() / small.size().longEdge();
            List<Piece> pieces = Stream.of(byRows, byBorder)
                    .flatMap(mask -> Piece.best(mask).stream())
                    .toList();
            return best(pieces)
                    .map(piece -> List.of(piece.top().times(scale), piece.foot().times(scale)))
                    .orElse(List.of());
        }
    }

    /** Two that agree support each other; alone one must be compact, and a larger one is rather the whole subject. */
    private static Optional<Piece> best(List<Piece> pieces) {
        boolean agree = pieces.size() > 1 && pieces.getFirst().endsAs(pieces.getLast());
        double least = agree ? LEAST_TOGETHER : LEAST_ALONE;
        return pieces.stream()
                .filter(piece -> piece.compactness() >= least)
                .max(Comparator.comparingDouble(piece -> piece.compactness() * Math.pow(piece.share(), 0.2)));
    }

    private static boolean holdsSubject(Mat seeds) {
        try (Mat likely = new Mat(1, 1, CV_8UC1, new Scalar(GC_PR_FGD));
                Mat where = new Mat()) {
            compare(seeds, likely, where, CMP_EQ);
            return countNonZero(where) > 0;
        }
    }

    private static Mat colour(Picture picture) {
        Mat colour = new Mat();
        if (picture.channels() == 1) {
            cvtColor(picture.mat(), colour, COLOR_GRAY2BGR);
        } else {
            picture.mat().copyTo(colour);
        }
        return colour;
    }

    /** Background along the border, perhaps the subject inside it. */
    private static Mat border(Mat colour) {
        int marginX = (int) Math.round(colour.cols() * BORDER);
        int marginY = (int) Math.round(colour.rows() * BORDER);
        try (Rect inner = new Rect(marginX, marginY, colour.cols() - 2 * marginX, colour.rows() - 2 * marginY);
                Scalar outside = new Scalar(GC_BGD);
                Scalar inside = new Scalar(GC_PR_FGD)) {
            Mat seeds = new Mat(colour.rows(), colour.cols(), CV_8UC1, outside);
            try (Mat within = seeds.apply(inner)) {
                within.put(inside);
            }
            return seeds;
        }
    }

    /** 1 where the subject is; the seeds become that. Nothing where all may be background. */
    private static Mat foreground(Mat colour, Mat seeds) {
        if (!holdsSubject(seeds)) {
            seeds.put(new Scalar(GC_BGD));
            return seeds;
        }
        try (Rect whole = new Rect(0, 0, colour.cols(), colour.rows());
                Mat background = new Mat();
                Mat subject = new Mat();
                Mat one = new Mat(1, 1, CV_8UC1, new Scalar(1));
                Size size = new Size(5, 5);
                Mat brush = getStructuringElement(MORPH_ELLIPSE, size)) {
            setRNGSeed(SEED); // this thread's: the same photo gives the same proposal whenever it is asked for
            grabCut(colour, seeds, whole, background, subject, ROUNDS, GC_INIT_WITH_MASK);
            bitwise_and(seeds, one, seeds); // foreground and probable foreground are odd
            morphologyEx(seeds, seeds, MORPH_OPEN, brush);
        }
        return seeds;
    }
}
