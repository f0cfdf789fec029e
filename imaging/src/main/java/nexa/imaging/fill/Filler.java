package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.CV_64F;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.bitwise_not;
import static org.bytedeco.opencv.global.opencv_core.extractChannel;
import static org.bytedeco.opencv.global.opencv_core.insertChannel;
import static org.bytedeco.opencv.global.opencv_core.min;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import nexa.core.fill.Fill;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/** Fills what a rendered picture shows beyond the photo. */
public final class Filler {
    /** The long side at which surroundings are looked for, in pixels, whatever size is delivered. */
    public static final int LOOKED_AT = 480;

    private static final int DRAFTED_AT = 240;

    /** Pixels of the photo for one of those: more than one, so that no detail is lost that can be seen there. */
    private static final double FINER = 2;

    private final Fill fill;
    private final Function<PixelSize, List<Point>> photo;
    private final Function<PixelSize, Picture> rendered;
    private final int lookedAt;

    /**
     * @param photo the corners of the photo's outline in a picture's continuous pixels, for the picture's size
     * @param rendered the picture in another size, beyond the photo whatever; asked for surroundings only
     */
    public Filler(Fill fill, Function<PixelSize, List<Point>> photo, Function<PixelSize, Picture> rendered) {
        this(fill, photo, rendered, LOOKED_AT);
    }

    private Filler(
            Fill fill, Function<PixelSize, List<Point>> photo, Function<PixelSize, Picture> rendered, int lookedAt) {
        this.fill = fill;
        this.photo = photo;
        this.rendered = rendered;
        this.lookedAt = lookedAt;
    }

    /** Looks for surroundings in less detail and far sooner: what is found may be otherwise. */
    public Filler drafting() {
        return new Filler(fill, photo, rendered, DRAFTED_AT);
    }

    /**
     * A new picture of a photo, as large as looking for surroundings needs, which is soon rendered from.
     *
     * @param part of the photo's long edge that is rendered
     */
    public static Picture lookedAt(Picture photo, double part) {
        return photo.reducedTo((int) Math.ceil(FINER * LOOKED_AT / part));
    }

    /**
     * Takes a picture and gives the filled one, which may be the same.
     *
     * @param profile of its pixels; empty if they are taken for sRGB
     */
    public Picture fill(Picture picture, Optional<Profile> profile) {
        try (Mat mask = PhotoMask.of(picture.size(), photo.apply(picture.size()))) {
            switch (fill) {
                case Fill.Colour colour -> paint(picture, mask, of(colour, picture, profile));
                case Fill.Transparent transparent -> {
                    if (picture.channels() > 1 || profile.isEmpty()) { // a grey profile is for one channel
                        return cleared(picture, mask);
                    }
                    paint(picture, mask, of(new Fill.Colour(255, 255, 255), picture, profile));
                }
                case Fill.Mirror mirror -> EdgeFills.mirror(picture, mask);
                case Fill.Stretch(double reach) -> EdgeFills.stretch(picture, mask, reach);
                case Fill.Blurred blurred -> EdgeFills.blur(picture, mask);
                case Fill.Surroundings around -> surround(picture, mask);
            }
        }
        return picture;
    }

    private static void paint(Picture picture, Mat mask, Scalar colour) {
        try (Mat outside = new Mat();
                Mat value = new Mat(4, 1, CV_64F, Scalar.all(0))) {
            for (int c = 0; c < 4; c++) {
                value.ptr(c).putDouble(colour.get(c));
            }
            bitwise_not(mask, outside);
            picture.mat().setTo(value, outside);
        }
    }

    /** In the picture's own colours. */
    private static Scalar of(Fill.Colour colour, Picture picture, Optional<Profile> profile) {
        int most = picture.bits() == 16 ? 65535 : 255;
        if (colour.equals(Fill.WHITE)) {
            return Scalar.all(most);
        }
        double[] bgr = {colour.blue(), colour.green(), colour.red()};
        if (profile.isPresent() && picture.channels() >= 3) {
            bgr = converted(bgr, profile.get());
        }
        double unit = most / 255.0;
        double grey = 0.114 * bgr[0] + 0.587 * bgr[1] + 0.299 * bgr[2];
        return picture.channels() == 1
                ? Scalar.all(Math.round(unit * grey))
                : new Scalar(Math.round(unit * bgr[0]), Math.round(unit * bgr[1]), Math.round(unit * bgr[2]), most);
    }

    private static double[] converted(double[] bgr, Profile profile) {
        try (Picture one = new Picture(new Mat(1, 1, CV_8UC3, new Scalar(bgr[0], bgr[1], bgr[2], 0)));
                Picture own = ColourTransform.between(Profile.SRGB, profile).apply(one)) {
            Samples samples = Samples.of(own);
            return new double[] {samples.get(0), samples.get(1), samples.get(2)};
        }
    }

    /** With nothing beyond the photo; a new picture unless it had opacity. */
    private static Picture cleared(Picture picture, Mat mask) {
        Mat four = new Mat();
        switch (picture.channels()) {
            case 1 -> cvtColor(picture.mat(), four, COLOR_GRAY2BGRA);
            case 3 -> cvtColor(picture.mat(), four, COLOR_BGR2BGRA);
            default -> picture.mat().copyTo(four);
        }
        try (Mat opacity = new Mat();
                Mat limit = new Mat();
                Mat less = new Mat()) {
            extractChannel(four, opacity, 3);
            mask.convertTo(limit, opacity.type(), picture.bits() == 16 ? 257 : 1, 0);
            min(opacity, limit, less);
            insertChannel(less, four, 3);
        }
        picture.close();
        return new Picture(four);
    }

    /** Where there is too little photo to copy from, it is mirrored. */
    private void surround(Picture picture, Mat mask) {
        Optional<Surroundings> found = find(picture.size());
        if (found.isEmpty() || !Copying.into(picture, mask, found.get())) {
            EdgeFills.mirror(picture, mask);
        }
    }

    /** Where it shows in a picture that it filled. */
    public Seam seam(Picture filled) {
        try (Picture small = filled.reducedTo(LOOKED_AT);
                Mat mask = PhotoMask.of(small.size(), photo.apply(small.size()))) {
            return Seam.of(small, mask);
        }
    }

    private Optional<Surroundings> find(PixelSize size) {
        PixelSize less = less(size);
        try (Picture small = rendered.apply(less);
                Mat mask = PhotoMask.of(less, photo.apply(less))) {
            return Surroundings.find(small, mask);
        }
    }

    /** The same shape, no larger than what surroundings are looked for in. */
    private PixelSize less(PixelSize size) {
        double scale = Math.min(1, (double) lookedAt / size.longEdge());
        return new PixelSize((int) Math.max(1, Math.round(size.width() * scale)), (int)
                Math.max(1, Math.round(size.height() * scale)));
    }
}
