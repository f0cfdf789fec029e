package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_calib3d.RANSAC;
import static org.bytedeco.opencv.global.opencv_calib3d.estimateAffinePartial2D;
import static org.bytedeco.opencv.global.opencv_core.CV_32FC2;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.NORM_HAMMING;
import static org.bytedeco.opencv.global.opencv_core.countNonZero;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import nexa.core.geometry.Point;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.opencv_core.DMatch;
import org.bytedeco.opencv.opencv_core.DMatchVectorVector;
import org.bytedeco.opencv.opencv_core.KeyPointVector;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_features2d.BFMatcher;
import org.bytedeco.opencv.opencv_features2d.ORB;

/**
 * Corners of a picture, each with a description of what is about it (E. Rublee and others, "ORB: an efficient alternative to
 * SIFT or SURF", 2011). Those of two pictures of one thing match, and lie alike up to a shift, a turn and a scale.
 *
 * @param places in pixels
 * @param looks {@value #BYTES} bytes for each
 */
record Corners(List<Point> places, byte[] looks) {
    private static final int MOST = 250;
    private static final int BYTES = 32;

    /** In pixels: nearer to a side the library finds no corner, and of a picture that is no more it may make none smaller. */
    private static final int BORDER = 31;

    /** In grey levels: as much a corner must differ from what is about it. */
    private static final int FAINTEST = 8;

    /** Of the second-best match's distance: less is no chance (D. Lowe, 2004). */
    private static final double RATIO = 0.8;

    /** In pixels: as near a matched corner must come to where the others say it is. */
    private static final double OFF = 4;

    /** Fewer lie alike by chance. */
    private static final int FEWEST = 10;

    /** As many of the corners must lie alike. */
    private static final double ENOUGH = 0.2;

    /** How much nearer, and by how many degrees turned, the same thing is taken again. */
    private static final double NEARER = 1.5;

    private static final double TURNED = 20;

    private static final int TRIES = 500;
    private static final double SURE = 0.99;
    private static final int REFINED = 10;

    static Corners of(Picture grey) {
        if (Math.min(grey.size().width(), grey.size().height()) <= 2 * BORDER) {
            return new Corners(List.of(), new byte[0]);
        }
        try (ORB orb = ORB.create();
                KeyPointVector found = new KeyPointVector();
                Mat descriptions = new Mat();
                Mat everywhere = new Mat()) {
            orb.setMaxFeatures(MOST);
            orb.setFastThreshold(FAINTEST);
            orb.detectAndCompute(grey.mat(), everywhere, found, descriptions);
            List<Point> places = new ArrayList<>();
            for (long i = 0; i < found.size(); i++) {
                places.add(new Point(found.get(i).pt().x(), found.get(i).pt().y()));
            }
            byte[] looks = new byte[places.size() * BYTES];
            if (looks.length > 0) {
                descriptions.data().get(looks);
            }
            return new Corners(places, looks);
        }
    }

    boolean lieAlike(Corners other) {
        return agreement(other) >= ENOUGH;
    }

    /** How many lie alike, as a share of the fewer; 0 if that may be by chance. */
    double agreement(Corners other) {
        int fewer = Math.min(places.size(), other.places.size());
        if (fewer < FEWEST) {
            return 0;
        }
        int alike = alike(other);
        return alike < FEWEST ? 0 : (double) alike / fewer;
    }

    /** A corner of this picture, and how far its look is from one of the other's. */
    private record Match(int mine, float distance) {
        Match nearer(Match other) {
            return distance <= other.distance ? this : other;
        }
    }

    private int alike(Corners other) {
        Map<Integer, Match> byOther = new HashMap<>();
        try (BFMatcher matcher = new BFMatcher(NORM_HAMMING, false);
                DMatchVectorVector pairs = new DMatchVectorVector();
                Mat these = matrix();
                Mat those = other.matrix()) {
            matcher.knnMatch(these, those, pairs, 2);
            for (long i = 0; i < pairs.size(); i++) {
                DMatch best = pairs.get(i).get(0);
                if (best.distance() < RATIO * pairs.get(i).get(1).distance()) {
                    byOther.merge(best.trainIdx(), new Match(best.queryIdx(), best.distance()), Match::nearer);
                }
            }
        }
        List<Point> from =
                byOther.values().stream().map(match -> places.get(match.mine)).toList();
        List<Point> to = byOther.keySet().stream().map(other.places::get).toList();
        return from.size() < FEWEST ? 0 : agreeing(from, to);
    }

    /** How many are moved in one way, if that is a way in which a hand may move a camera. */
    private static int agreeing(List<Point> from, List<Point> to) {
        try (Mat source = points(from);
                Mat target = points(to);
                Mat inside = new Mat();
                Mat way = estimateAffinePartial2D(source, target, inside, RANSAC, OFF, TRIES, SURE, REFINED)) {
            return way.empty() || !isByHand(way) ? 0 : countNonZero(inside);
        }
    }

    private static boolean isByHand(Mat way) {
        try (DoubleIndexer cells = way.createIndexer()) {
            double scale = Math.hypot(cells.get(0, 0), cells.get(1, 0));
            double turn = Math.toDegrees(Math.atan2(cells.get(1, 0), cells.get(0, 0)));
            return scale >= 1 / NEARER && scale <= NEARER && Math.abs(turn) <= TURNED;
        }
    }

    private Mat matrix() {
        Mat matrix = new Mat(places.size(), BYTES, CV_8UC1);
        try (BytePointer bytes = matrix.data()) {
            bytes.put(looks);
        }
        return matrix;
    }

    private static Mat points(List<Point> points) {
        Mat matrix = new Mat(points.size(), 1, CV_32FC2);
        try (FloatPointer numbers = new FloatPointer(matrix.data())) {
            for (int i = 0; i < points.size(); i++) {
                numbers.put(2L * i, (float) points.get(i).x());
                numbers.put(2L * i + 1, (float) points.get(i).y());
            }
        }
        return matrix;
    }
}
