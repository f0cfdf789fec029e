package nexa.imaging.eye;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.geometry.Point;
import nexa.imaging.eye.GlowMask.Blob;
import nexa.imaging.face.Face;
import nexa.imaging.face.FaceFinder;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/** Finds people's red eyes: a round red pupil where a face has an eye. Animals' eyes are drawn round by hand. */
public final class GlowFinder {
    /** How far about an eye's place its pupil is looked for, between the eyes. */
    private static final double REACH = 0.3;

    /** Radii of pupils, between the eyes. */
    private static final double SMALLEST = 0.022;

    private static final double LARGEST = 0.17;

    /** Less red may be a brown iris or a shaded lid. */
    private static final double LEAST_GLOW = 0.5;

    /** Than what is around: under warm light all skin is red. */
    private static final double LEAST_MORE = 0.1;

    /** From where the face has its eye, of the circle's radius: farther out are corners and lids. */
    private static final double FARTHEST = 0.5;

    /** The circle around a pupil, so that its soft rim has room. */
    private static final double GENEROUS = 1.9;

    /** In pixels: less is noise. */
    private static final double LEAST_RADIUS = 1.2;

    private GlowFinder() {}

    /**
     * Red eyes of all faces.
     *
     * @param picture as shot
     */
    public static List<GlowingEye> find(Picture picture) {
        List<GlowingEye> found = new ArrayList<>();
        if (picture.channels() == 1) {
            return found;
        }
        for (Face face : FaceFinder.find(picture)) {
            for (Point eye : face.eyes()) {
                find(picture, face, eye).ifPresent(found::add);
            }
        }
        return List.copyOf(found);
    }

    private static Optional<GlowingEye> find(Picture picture, Face face, Point eye) {
        PixelCircle circle = new PixelCircle(eye.x(), eye.y(), REACH * face.betweenEyes());
        try (Rect box = circle.box(picture.mat().cols(), picture.mat().rows());
                Mat part = new Mat(picture.mat(), box)) {
            if (box.width() == 0 || box.height() == 0) {
                return Optional.empty();
            }
            Point corner = new Point(box.x(), box.y());
            GlowPixels pixels = GlowPixels.of(part, circle.in(box), Glow.RED);
            return GlowMask.blobs(pixels)
                    .filter(blob -> isPupil(blob, pixels, face.betweenEyes()))
                    .findFirst()
                    .map(blob -> eye(blob, corner, picture));
        }
    }

    private static boolean isPupil(Blob blob, GlowPixels pixels, double betweenEyes) {
        double off = Math.hypot(
                blob.x() - pixels.circle().x(), blob.y() - pixels.circle().y());
        return blob.radius() >= Math.max(LEAST_RADIUS, SMALLEST * betweenEyes)
                && blob.radius() <= LARGEST * betweenEyes
                && blob.isRound()
                && off <= FARTHEST * pixels.radius()
                && blob.glow() >= LEAST_GLOW
                && blob.glow() - blob.around() >= LEAST_MORE;
    }

    private static GlowingEye eye(Blob blob, Point corner, Picture picture) {
        double edge = picture.size().longEdge();
        Point middle = new Point(picture.size().width() / 2.0, picture.size().height() / 2.0);
        Point centre = corner.plus(new Point(blob.x(), blob.y())).minus(middle).times(1 / edge);
        double radius = Math.clamp(GENEROUS * blob.radius() / edge, GlowingEye.SMALLEST, GlowingEye.LARGEST);
        return new GlowingEye(centre, radius, Glow.RED);
    }
}
