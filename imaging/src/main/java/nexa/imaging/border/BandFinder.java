package nexa.imaging.border;

import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.FloatBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.Gaps.Gap;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Bands of one colour that go right through a picture and have a picture on both sides: where a print was cut in two, or two
 * halves were scanned apart. What lies beside a band must be full: between things on a backdrop there is no band.
 */
public final class BandFinder {
    private static final int LOOKED_AT = 420;

    /** Of the side that a band is taken from. */
    private static final double WIDEST = 0.25;

    /** Of the same, that is left on both sides of a band. */
    private static final double SMALLEST = 0.08;

    /** Of the same, that is looked at beside a band. */
    private static final double BESIDE = 0.04;

    /** Of what is looked at beside it, that may have the band's colour. */
    private static final double EMPTY = 0.4;

    /** Of a line, for it to be part of a band. */
    private static final double BAND = 0.985;

    /** Lines of the small picture; one that is only seen mixed with what is beside it is none. */
    private static final int FEWEST = 2;

    /** Of the long side; the edge of a shelf is narrower. */
    private static final double NARROWEST = 0.008;

    private static final float NEAR = 26;

    /** A trim that lies more crooked, in degrees, has bands that are none along the photo's axes. */
    private static final double MOST_LEAN = 0.2;

    /** How much more like a band than like the picture a line is that is mixed of both. */
    private static final double MIXED = 0.7;

    private final Picture picture;
    private final Rect kept;

    private BandFinder(Picture picture, Rect kept) {
        this.picture = picture;
        this.kept = kept;
    }

    /**
     * Bands inside a photo as shot, with edges between its pixels.
     *
     * @param picture all of the photo's pixels
     * @param trim only inside it bands are looked for
     */
    public static Bands find(Picture picture, Trim trim) {
        if (Math.abs(trim.lean().degrees()) > MOST_LEAN) {
            return Bands.NONE;
        }
        try (Rect kept = kept(picture, trim)) {
            if (kept.width() < 1 || kept.height() < 1) { // a trim brought from a wider photo
                return Bands.NONE;
            }
            BandFinder finder = new BandFinder(picture, kept);
            Gaps across = finder.gaps(true);
            Gaps down = finder.gaps(false);
            return across.isNone() && down.isNone() ? Bands.NONE : new Bands(across, down);
        }
    }

    private static Rect kept(Picture picture, Trim trim) {
        Frame inside = trim.within(picture.size());
        double edge = picture.size().longEdge();
        int width = picture.size().width();
        int height = picture.size().height();
        int left = (int) Math.max(0, Math.ceil(inside.left() * edge + width / 2.0 - 0.01));
        int top = (int) Math.max(0, Math.ceil(inside.top() * edge + height / 2.0 - 0.01));
        int right = (int) Math.min(width, Math.floor(inside.right() * edge + width / 2.0 + 0.01));
        int bottom = (int) Math.min(height, Math.floor(inside.bottom() * edge + height / 2.0 + 0.01));
        return new Rect(left, top, right - left, bottom - top);
    }

    /** Pixel values of lines that lie across the bands' way: one after the other, each with the same number of pixels. */
    private record Lines(float[] values, int count, int length) {
        float value(int line, int at, int channel) {
            return values[(line * length + at) * Strip.CHANNELS + channel];
        }

        /** Of each channel the middle one of a line's values. */
        float[] colour(int line) {
            float[] colour = new float[Strip.CHANNELS];
            float[] sorted = new float[length];
            for (int c = 0; c < Strip.CHANNELS; c++) {
                for (int at = 0; at < length; at++) {
                    sorted[at] = value(line, at, c);
                }
                Arrays.sort(sorted);
                colour[c] = sorted[length / 2];
            }
            return colour;
        }

        double distance(int line, int at, float[] colour) {
            double sum = 0;
            for (int c = 0; c < Strip.CHANNELS; c++) {
                double off = value(line, at, c) - colour[c];
                sum += off * off;
            }
            return Math.sqrt(sum);
        }

        /** How much of a line has nearly a colour, 0 to 1. */
        double share(int line, float[] colour) {
            int near = 0;
            for (int at = 0; at < length; at++) {
                near += distance(line, at, colour) < NEAR ? 1 : 0;
            }
            return (double) near / length;
        }

        double meanDistance(int line, float[] colour) {
            double sum = 0;
            for (int at = 0; at < length; at++) {
                sum += distance(line, at, colour);
            }
            return sum / length;
        }

        boolean isBand(int line, float[] colour) {
            return share(line, colour) >= BAND;
        }
    }

    private Gaps gaps(boolean upright) {
        int pixels = upright ? kept.width() : kept.height();
        double scale = Math.min(1, (double) LOOKED_AT / Math.max(kept.width(), kept.height()));
        Lines small = lines(kept, scale, upright);
        List<Gap> found = new ArrayList<>();
        int from = (int) Math.ceil(SMALLEST * small.count);
        int to = (int) Math.floor((1 - SMALLEST) * small.count);
        for (int line = from; line < to; line++) {
            float[] colour = small.colour(line);
            int beyond = line;
            while (beyond < small.count && small.isBand(beyond, colour)) {
                beyond++;
            }
            if (beyond > line && beyond < to && isBand(small, line, beyond, colour)) {
                gap(upright, (double) line / small.count * pixels, (double) beyond / small.count * pixels, colour)
                        .ifPresent(found::add);
            }
            line = Math.max(line, beyond - 1);
        }
        return new Gaps(found);
    }

    private static boolean isBand(Lines lines, int from, int beyond, float[] colour) {
        int beside = (int) Math.max(FEWEST, BESIDE * lines.count);
        return beyond - from >= Math.max(FEWEST, NARROWEST * Math.max(lines.count, lines.length))
                && beyond - from <= WIDEST * lines.count
                && isFull(lines, Math.max(0, from - 1 - beside), from - 1, colour)
                && isFull(lines, beyond + 1, Math.min(lines.count, beyond + 1 + beside), colour);
    }

    private static boolean isFull(Lines lines, int from, int beyond, float[] colour) {
        double sum = 0;
        for (int line = from; line < beyond; line++) {
            sum += lines.share(line, colour);
        }
        return beyond > from && sum / (beyond - from) <= EMPTY;
    }

    /** Its edges, to the pixel; empty if it is not there when looked at closely. */
    private Optional<Gap> gap(boolean upright, double from, double to, float[] colour) {
        int around = (int) Math.ceil(3 * Math.max(1, Math.max(kept.width(), kept.height()) / (double) LOOKED_AT));
        int first = (int) Math.max(0, from - around);
        int pixels = upright ? kept.width() : kept.height();
        int beyond = (int) Math.min(pixels, to + around);
        try (Rect part = upright
                ? new Rect(kept.x() + first, kept.y(), beyond - first, kept.height())
                : new Rect(kept.x(), kept.y() + first, kept.width(), beyond - first)) {
            Lines lines = lines(part, 1, upright);
            int middle = (int) Math.round((from + to) / 2) - first;
            int low = edge(lines, middle, -1, colour);
            int high = edge(lines, middle, 1, colour);
            double place = first + (upright ? kept.x() : kept.y());
            double half = (upright ? picture.size().width() : picture.size().height()) / 2.0;
            double edge = picture.size().longEdge();
            return high > low
                    ? Optional.of(new Gap((place + low + 1 - half) / edge, (place + high - half) / edge))
                    : Optional.empty();
        }
    }

    /** The first line beyond the band; one that is mixed of band and picture belongs to the band. */
    private static int edge(Lines lines, int middle, int step, float[] colour) {
        int line = middle;
        while (line >= 0 && line < lines.count && lines.isBand(line, colour)) {
            line += step;
        }
        boolean hasNext = line + step >= 0 && line + step < lines.count;
        boolean isMixed = line >= 0
                && line < lines.count
                && hasNext
                && lines.meanDistance(line, colour) < MIXED * lines.meanDistance(line + step, colour);
        return isMixed ? line + step : line;
    }

    private Lines lines(Rect area, double scale, boolean upright) {
        int width = (int) Math.max(1, Math.round(area.width() * scale));
        int height = (int) Math.max(1, Math.round(area.height() * scale));
        try (Mat part = new Mat(picture.mat(), area);
                Size size = new Size(width, height)) {
            Mat small = new Mat();
            resize(part, small, size, 0, 0, INTER_AREA);
            try (Picture looked = new Picture(small);
                    Mat bgra = BorderFinder.premultiplied(looked);
                    Mat laid = upright ? bgra.t().asMat() : bgra.clone()) {
                float[] values = new float[width * height * Strip.CHANNELS];
                FloatBuffer buffer = laid.createBuffer();
                buffer.get(values);
                return upright ? new Lines(values, width, height) : new Lines(values, height, width);
            }
        }
    }
}
