package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_CONSTANT;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LINEAR;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_NEAREST;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.IntBuffer;
import java.util.List;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.imaging.boxes.PixelRectangle;
import nexa.imaging.pixels.Raster;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.jspecify.annotations.Nullable;

/**
 * Shows a picture through any mapping in the pixels of a screen, fast enough to follow a hand. Keeps the last picture in
 * native memory, and reduced to the size it is shown in. To be used by one thread at a time.
 */
public final class ScreenWarp implements AutoCloseable {
    /** How a screen's pixel is taken from the picture. */
    public enum Quality {
        /** While something moves. */
        DRAFT,
        /** At rest. */
        FINE,
        /** Each of the picture's pixels as a square. */
        PIXELS
    }

    /**
     * What is to be seen of a picture.
     *
     * @param toSource from the screen's pixels to the picture's, both continuous
     * @param beyond what shows where the picture is not: 0xAARRGGBB, the colours already times the opacity
     */
    public record View(Mapping toSource, Quality quality, int beyond) {}

    /**
     * A screen's pixels.
     *
     * @param pixels width × height, 0xAARRGGBB, the colours times the opacity, row by row, in direct memory
     */
    public record Screen(IntBuffer pixels, int width, int height) {}

    /** A picture that is shown smaller by more than this is averaged to the size first. */
    private static final double REDUCED = 1.2;

    /** From this reduction on the four pixels that a draft takes miss some between them. */
    private static final double GRAINS = 2;

    /** Reductions that differ by less share an averaged picture. */
    private static final double ALIKE = 0.01;

    private final VeiledPart veiled = new VeiledPart();
    private @Nullable Raster source;
    private @Nullable Mat whole;
    private @Nullable Mat averaged;
    private double reduction = 1;

    /** Fills the screen. */
    public void show(Raster picture, View view, Screen screen) {
        keep(picture);
        Mat shown = shown(view, screen);
        try (IntPointer pixels = new IntPointer(screen.pixels);
                Mat all = new Mat(screen.height, screen.width, CV_8UC4, pixels)) {
            new Taking(shown, toShown(view, shown), view.quality, view.beyond).fill(all);
        }
    }

    /**
     * Fills the screen with the picture under a veil that is open in one part. The veil is laid over the picture, once for
     * many views of it, instead of over each view; no pixel is taken twice.
     *
     * @param veil its colour and opacity, see {@link Veil}
     * @param open in the screen's pixels; may be empty
     */
    public void show(Raster picture, View view, int veil, PixelRectangle open, Screen screen) {
        keep(picture);
        Mat shown = shown(view, screen);
        Mapping toShown = toShown(view, shown);
        try (IntPointer pixels = new IntPointer(screen.pixels);
                Mat all = new Mat(screen.height, screen.width, CV_8UC4, pixels)) {
            Mat below = veiled.covering(shown, veil, Seen.of(toShown, screen.width, screen.height));
            Taking under = new Taking(
                    below, toShown.then((Mapping) veiled.toPart()), view.quality, new Veil(veil).over(view.beyond));
            int step = Sampling.stepOnScreen(toShown, screen.width, screen.height);
            around(open, screen).forEach(part -> under.fill(all, part, step));
            new Taking(shown, toShown, view.quality, view.beyond).fill(all, open, step);
        }
    }

    /** What is left of the screen: above, below, and at both sides. */
    private static List<PixelRectangle> around(PixelRectangle open, Screen screen) {
        int right = open.x() + open.width();
        int bottom = open.y() + open.height();
        return List.of(
                new PixelRectangle(0, 0, screen.width, open.y()),
                new PixelRectangle(0, bottom, screen.width, screen.height - bottom),
                new PixelRectangle(0, open.y(), open.x(), open.height()),
                new PixelRectangle(right, open.y(), screen.width - right, open.height()));
    }

    private Mat shown(View view, Screen screen) {
        double wanted = LowPass.reduction(view.toSource.tangent(new Point(screen.width / 2.0, screen.height / 2.0)));
        if (wanted <= REDUCED) {
            return whole();
        }
        return view.quality == Quality.DRAFT ? ready(wanted) : averaged(wanted);
    }

    private Mapping toShown(View view, Mat shown) {
        Mat all = whole();
        Mapping smaller = Affine.scale((double) shown.cols() / all.cols(), (double) shown.rows() / all.rows());
        return view.toSource.then(smaller);
    }

    /**
     * How samples are taken.
     *
     * @param toSource from the screen's pixels
     * @param beyond see {@link View}
     */
    private record Taking(Mat source, Mapping toSource, Quality quality, int beyond) {
        void fill(Mat screen) {
            fill(screen, toSource, Sampling.stepOnScreen(toSource, screen.cols(), screen.rows()));
        }

        /** @param step of the whole screen, see {@link Sampling} */
        void fill(Mat screen, PixelRectangle part, int step) {
            if (part.width() > 0 && part.height() > 0) {
                try (Rect area = new Rect(part.x(), part.y(), part.width(), part.height());
                        Mat filled = new Mat(screen, area)) {
                    fill(filled, Affine.translation(part.x(), part.y()).then(toSource), step);
                }
            }
        }

        private void fill(Mat filled, Mapping toSource, int step) {
            try (Sampling sampling = Sampling.onScreen(toSource, filled.cols(), filled.rows(), step);
                    Scalar outside = colour(beyond)) {
                sampling.sample(source, filled, interpolation(quality), BORDER_CONSTANT, outside);
            }
        }
    }

    private static int interpolation(Quality quality) {
        return switch (quality) {
            case DRAFT -> INTER_LINEAR;
            case FINE -> INTER_CUBIC;
            case PIXELS -> INTER_NEAREST;
        };
    }

    /** In memory a pixel's bytes are blue, green, red, opacity. */
    private static Scalar colour(int argb) {
        return new Scalar(argb & 0xFF, argb >> 8 & 0xFF, argb >> 16 & 0xFF, argb >>> 24);
    }

    private void keep(Raster picture) {
        if (picture != source) {
            close();
            source = picture;
            whole = new Mat(picture.height(), picture.width(), CV_8UC4);
            try (IntPointer pixels = new IntPointer(whole.data())) {
                pixels.put(picture.argb(), 0, picture.argb().length);
            }
        }
    }

    private Mat whole() {
        if (whole == null) {
            throw new IllegalStateException("There is no picture");
        }
        return whole;
    }

    /** A draft that is soon gone takes what is there, and is not averaged for unless it would fall into grains. */
    private Mat ready(double wanted) {
        Mat known = averaged;
        if (known != null && reduction <= wanted * (1 + ALIKE) && wanted <= reduction * REDUCED) {
            return known;
        }
        return wanted < GRAINS ? whole() : averaged(wanted);
    }

    private boolean isAveraged(double wanted) {
        return averaged != null && Math.abs(wanted / reduction - 1) < ALIKE;
    }

    private Mat averaged(double wanted) {
        Mat known = averaged;
        if (known != null && isAveraged(wanted)) {
            return known;
        }
        if (known != null) {
            known.close();
        }
        Mat made = new Mat();
        int width = Math.max(1, (int) Math.round(whole().cols() / wanted));
        int height = Math.max(1, (int) Math.round(whole().rows() / wanted));
        try (Size size = new Size(width, height)) {
            resize(whole(), made, size, 0, 0, INTER_AREA);
        }
        averaged = made;
        reduction = wanted;
        return made;
    }

    /** Gives the picture's memory back; another may be shown afterwards. */
    @Override
    public void close() {
        if (whole != null) {
            whole.close();
        }
        if (averaged != null) {
            averaged.close();
        }
        veiled.close();
        whole = null;
        averaged = null;
        source = null;
    }
}
