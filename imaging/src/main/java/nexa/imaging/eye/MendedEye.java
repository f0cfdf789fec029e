package nexa.imaging.eye;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Affine;
import nexa.imaging.pixels.Patch;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * The pixels of an eye with its glow taken out: the pupil is darkened to a grey that goes on from its own shades, a
 * highlight stays, and nothing changes beyond the pupil's soft rim or outside the circle.
 */
public final class MendedEye {
    /** How light a pupil is, of all light that a stored value can say. */
    private static final double PUPIL = 0.13;

    /** What of a shade a pupil keeps at most. */
    private static final double MOST_KEPT = 0.8;

    private MendedEye() {}

    /** Writes into a picture all eyes that glow. */
    public static void mend(Picture picture, GlowingEyes eyes, Affine toPicture) {
        for (Patch eye : of(picture, eyes, toPicture)) {
            try (eye) {
                eye.paste(picture);
            }
        }
    }

    /**
     * Those of the eyes that do glow; of a grey picture none.
     *
     * @param toPicture from the isotropic unit of the photo as shot to the picture's pixels
     */
    public static List<Patch> of(Picture picture, GlowingEyes eyes, Affine toPicture) {
        List<Patch> mended = new ArrayList<>();
        for (GlowingEye eye : eyes.all()) {
            of(picture, eye, PixelCircle.of(eye, toPicture)).ifPresent(mended::add);
        }
        return mended;
    }

    private static Optional<Patch> of(Picture picture, GlowingEye eye, PixelCircle circle) {
        Rect box = circle.box(picture.mat().cols(), picture.mat().rows());
        if (picture.channels() == 1 || box.width() == 0 || box.height() == 0) {
            return Optional.empty();
        }
        try (Mat own = new Mat(picture.mat(), box)) {
            GlowPixels glow = GlowPixels.of(own, circle.in(box), eye.glow());
            return GlowMask.of(glow).map(mask -> {
                try (mask) {
                    return new Patch(box, drained(own, glow, mask, eye.strength()));
                }
            });
        }
    }

    private static Mat drained(Mat own, GlowPixels glow, Mat mask, double strength) {
        Mat changed = new Mat();
        try (Mat floats = new Mat()) {
            own.convertTo(floats, CV_32F, 1 / GlowPixels.unit(own), 0);
            try (FloatIndexer values = floats.createIndexer();
                    FloatIndexer part = mask.createIndexer()) {
                double kept = kept(glow, part);
                for (int row = 0; row < glow.height(); row++) {
                    for (int column = 0; column < glow.width(); column++) {
                        double share = strength * part.get(row, column) * (1 - highlight(glow, column, row));
                        float grey = (float) (kept * shade(glow, column, row));
                        for (int c = 0; c < 3 && share > 0; c++) {
                            float value = values.get(row, column, c);
                            values.put(row, column, c, (float) (value + share * (grey - value)));
                        }
                    }
                }
            }
            floats.convertTo(changed, own.type(), GlowPixels.unit(own), 0);
        }
        return changed;
    }

    /** What a pupil would be without its glow, but for how light it is. */
    private static double shade(GlowPixels glow, int column, int row) {
        return glow.glow() == Glow.RED
                ? (glow.green(column, row) + glow.blue(column, row)) / 2
                : glow.brightest(column, row);
    }

    /** What of its shades the pupil keeps, so that it is as dark as pupils are. */
    private static double kept(GlowPixels glow, FloatIndexer part) {
        double[] shades = IntStream.range(0, glow.width() * glow.height())
                .filter(i -> part.get(i / glow.width(), i % glow.width()) > 0.5)
                .mapToDouble(i -> shade(glow, i % glow.width(), i / glow.width()))
                .sorted()
                .toArray();
        double middle = shades.length == 0 ? 1 : shades[shades.length / 2];
        return Math.min(MOST_KEPT, PUPIL / Math.max(PUPIL, middle));
    }

    /** How far a pixel is the light that the eye mirrors: nearly white. */
    private static double highlight(GlowPixels glow, int column, int row) {
        double white = rising(0.4, 0.2, glow.saturation(column, row));
        double bright = glow.glow() == Glow.RED
                ? rising(0.72, 0.9, glow.brightest(column, row))
                : rising(0.95, 0.99, glow.brightest(column, row));
        return white * bright;
    }

    /** 0 at one value, 1 at the other. */
    private static double rising(double from, double to, double value) {
        double t = Math.clamp((value - from) / (to - from), 0, 1);
        return t * t * (3 - 2 * t);
    }
}
