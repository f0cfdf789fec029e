package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_CONSTANT;
import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.util.List;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.outline.Region;
import nexa.core.pixel.PixelSteps;
import nexa.core.space.ColourMaps;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.eye.MendedEye;
import nexa.imaging.neutral.Neutralizer;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/**
 * A picture for the screen, corrected.
 *
 * @param box what it shows, in the corrected photo's isotropic unit; where the photo is not, nothing is opaque
 */
public record CorrectedRaster(Raster raster, Frame box) {
    /** What a correction pulls apart is shown with at most so many times the picture's pixels along a side. */
    private static final double MOST = 1.5;

    /**
     * The whole photo, corrected but not turned.
     *
     * @param plain as shot, of any size
     * @param light of its numbers
     */
    public static CorrectedRaster of(Raster plain, PhotoSpace space, PictureLight light) {
        PhotoSpace corrected = new PhotoSpace(
                space.asShot(), Pose.AS_SHOT.withCorrection(space.pose().correction()));
        Frame box = corrected.outline() instanceof Region bent ? bent.bounds() : corrected.extent();
        double edge = Math.max(plain.width(), plain.height());
        double scale = Math.min(edge, MOST * edge / Math.max(box.width(), box.height()));
        PixelSize size = new PixelSize(
                Math.max(1, (int) Math.ceil(box.width() * scale)), Math.max(1, (int) Math.ceil(box.height() * scale)));
        Mapping toAsShot = Affine.scale(1 / scale, 1 / scale)
                .then(Affine.translation(box.left(), box.top()))
                .then(corrected.asShotToLevel().inverse());
        try (Mat lit = lit(plain, space, light, toPicture(space, plain))) {
            return new CorrectedRaster(
                    sampled(lit, space.colours(toAsShot, toPicture(space, plain)), size, BORDER_CONSTANT),
                    wholePixels(box, size, scale));
        }
    }

    /** As large as its pixels are; its top left stays. */
    private static Frame wholePixels(Frame box, PixelSize size, double scale) {
        double width = size.width() / scale;
        double height = size.height() / scale;
        return new Frame(box.left() + width / 2, box.top() + height / 2, width, height);
    }

    /** The photo as shot with its corners' light and its colours where they belong; everything else is left where it is. */
    public static Raster lit(Raster plain, PhotoSpace space, PictureLight light) {
        Affine toPicture = toPicture(space, plain);
        ColourMaps colours = space.colours(toPicture.inverse(), toPicture);
        try (Mat lit = lit(plain, space, light, toPicture)) {
            PixelSize size = new PixelSize(plain.width(), plain.height());
            return colours.areAlike() ? raster(lit) : sampled(lit, colours, size, BORDER_REPLICATE);
        }
    }

    /**
     * A frame as it will look; beyond the photo its edge goes on.
     *
     * @param plain as shot, of any size
     * @param frame in level space
     * @param light of its numbers
     */
    public static Picture framed(Raster plain, PhotoSpace space, Frame frame, PixelSize size, PictureLight light) {
        Affine toPicture = toPicture(space, plain);
        Mapping toAsShot = Affine.scale(frame.width() / size.width(), frame.height() / size.height())
                .then(Affine.translation(frame.left(), frame.top()))
                .then(space.asShotToLevel().inverse());
        try (Mat lit = lit(plain, space, light, toPicture);
                Sampling sampling = Sampling.of(space.colours(toAsShot, toPicture), size.width(), size.height());
                Mat sampled = new Mat();
                Scalar nothing = new Scalar(0, 0, 0, 0)) {
            sampling.sample(lit, sampled, INTER_CUBIC, BORDER_REPLICATE, nothing);
            Mat opaque = new Mat();
            cvtColor(sampled, opaque, COLOR_BGRA2BGR);
            return new Picture(opaque);
        }
    }

    /** From the as-shot isotropic unit to a picture's pixels; the picture's sides are rounded each for itself. */
    public static Affine toPicture(PhotoSpace space, Raster picture) {
        double longEdge = space.asShot().longEdge();
        return Affine.scale(
                        longEdge / space.asShot().width() * picture.width(),
                        longEdge / space.asShot().height() * picture.height())
                .then(Affine.translation(picture.width() / 2.0, picture.height() / 2.0));
    }

    private static Mat lit(Raster plain, PhotoSpace space, PictureLight light, Affine toPicture) {
        Mat mat = new Mat(plain.height(), plain.width(), CV_8UC4);
        try (IntPointer pixels = new IntPointer(mat.data())) {
            pixels.put(plain.argb(), 0, plain.argb().length);
        }
        PixelSteps steps = space.pose().correction().steps(List.of());
        if (steps.isNone()) {
            return mat;
        }
        try (Picture whole = new Picture(mat)) {
            MendedEye.mend(whole, steps.eyes(), toPicture);
            LeftOut.paint(whole, steps.bands(), toPicture);
            Picture lit = LightSteps.apply(whole, light.profile(), steps.light());
            new Neutralizer(steps.neutral(), light).apply(lit);
            return lit.mat();
        }
    }

    private static Raster sampled(Mat source, ColourMaps maps, PixelSize size, int border) {
        try (Sampling sampling = Sampling.of(maps, size.width(), size.height());
                Mat sampled = new Mat();
                Scalar nothing = new Scalar(0, 0, 0, 0)) {
            sampling.sample(source, sampled, INTER_CUBIC, border, nothing);
            return raster(sampled);
        }
    }

    private static Raster raster(Mat mat) {
        int[] argb = new int[mat.cols() * mat.rows()];
        try (IntPointer pixels = new IntPointer(mat.data())) {
            pixels.get(argb, 0, argb.length);
        }
        return new Raster(mat.cols(), mat.rows(), argb);
    }
}
