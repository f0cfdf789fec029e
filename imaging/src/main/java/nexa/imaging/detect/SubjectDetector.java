package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.bitwise_and;
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
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Proposes a subject's top and foot: what stands out from the colours along the photo's border (C. Rother et al.,
 * "GrabCut", ACM Transactions on Graphics 23, 2004, as OpenCV has it). Thread-safe.
 */
public final class SubjectDetector {
    private static final int LONG_EDGE = 320;

    private static final int ROUNDS = 4;
    private static final int SEED = 1;

    /** The border that is taken for background, of each side. */
    private static final double BORDER = 0.05;

    /** Less compact is no one thing. */
    private static final double LEAST = 0.8;

    /**
     * What was found.
     *
     * @param top in pixels as shot
     * @param foot in pixels as shot
     */
    public record Proposal(Point top, Point foot) {}

    private SubjectDetector() {}

    /**
     * The subject of a photo as shot, if one stands out.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public static Optional<Proposal> find(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        try (Picture small = PreviewMaker.make(file, facts, LONG_EDGE);
                Mat colour = colour(small);
                Mat byRows = foreground(colour, Backdrop.of(colour).seeds());
                Mat byBorder = foreground(colour, border(colour))) {
            double scale = (double) facts.asShot().longEdge() / small.size().longEdge();
            return Stream.of(byRows, byBorder)
                    .flatMap(mask -> Piece.best(mask).stream())
                    .max(Comparator.comparingDouble(Piece::compactness))
                    .filter(piece -> piece.compactness() >= LEAST)
                    .map(piece -> scaled(piece, scale));
        }
    }

    private static Proposal scaled(Piece piece, double scale) {
        return new Proposal(piece.top().times(scale), piece.foot().times(scale));
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

    /** 1 where the subject is; the seeds become that. */
    private static Mat foreground(Mat colour, Mat seeds) {
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
