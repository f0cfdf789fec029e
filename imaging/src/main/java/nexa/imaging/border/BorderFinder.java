package nexa.imaging.border;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.extractChannel;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_core.multiply;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_GRAY2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.trim.Side;
import nexa.core.trim.TrimFinding;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Scalar;

/** Finds the borders around a picture. */
public final class BorderFinder {
    /** The sides are looked at again where the others' borders leave the picture. */
    private static final int ROUNDS = 3;

    /** Lines next to another side's border that are left out: round corners, soft edges. */
    private static final double MARGIN = 0.01;

    private BorderFinder() {}

    /**
     * What is found in a picture of 1, 3 or 4 channels; depths are counted in a larger picture's pixels.
     *
     * @param longEdge of the picture that depths are said for
     */
    public static TrimFinding find(Picture picture, int longEdge) {
        try (Mat bgra = premultiplied(picture)) {
            List<Strip> strips =
                    Stream.of(Side.values()).map(side -> Strip.of(bgra, side)).toList();
            Sides sides = Sides.NONE;
            for (int round = 0; round < ROUNDS; round++) {
                Sides before = sides;
                sides = new Sides(
                        strips.stream().map(strip -> look(strip, before)).toList());
            }
            return new BorderVerdict(picture.size(), longEdge, sides).finding();
        }
    }

    private static LookedAt look(Strip strip, Sides before) {
        boolean upright = strip.side().isUpright();
        double from = inner(before.border(upright ? Side.TOP : Side.LEFT), strip.length());
        double to = strip.length() - inner(before.border(upright ? Side.BOTTOM : Side.RIGHT), strip.length());
        Departures seen = Departures.of(strip, strip.lineAt(from), strip.lineAt(to));
        return new LookedAt(strip, seen, SideBorder.of(strip, seen));
    }

    private static double inner(Optional<SideBorder> border, int length) {
        return border.map(found -> found.depth() + MARGIN * length).orElse(0.0);
    }

    /** Floats of blue, green, red and opacity, colour times opacity, all to 255. */
    static Mat premultiplied(Picture picture) {
        try (Picture eight = picture.to8Bits();
                Mat four = new Mat()) {
            switch (eight.channels()) {
                case 1 -> cvtColor(eight.mat(), four, COLOR_GRAY2BGRA);
                case 3 -> cvtColor(eight.mat(), four, COLOR_BGR2BGRA);
                default -> eight.mat().copyTo(four);
            }
            Mat floats = new Mat();
            four.convertTo(floats, CV_32F);
            if (eight.channels() == Strip.CHANNELS) {
                multiplyByOpacity(floats);
            }
            return floats;
        }
    }

    private static void multiplyByOpacity(Mat floats) {
        try (Mat opacity = new Mat();
                Mat whole = new Mat(floats.rows(), floats.cols(), CV_32F, Scalar.all(255));
                Mat factors = new Mat()) {
            extractChannel(floats, opacity, Strip.CHANNELS - 1);
            try (MatVector channels = new MatVector(opacity, opacity, opacity, whole)) {
                merge(channels, factors);
            }
            multiply(floats, factors, floats, 1.0 / 255, -1);
        }
    }
}
