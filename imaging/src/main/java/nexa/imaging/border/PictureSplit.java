package nexa.imaging.border;

import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.nio.FloatBuffer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.trim.Side;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Several pictures in one scan: cut along bands of the border's colour that go right through, and so on within the parts
 * (recursive XY cut: G. Nagy and S. Seth, 1984). A part is a picture only if hardly anything in it is border; things on a
 * backdrop are none.
 */
public final class PictureSplit {
    private static final int LOOKED_AT = 420;

    /** A band is at least so wide, as a share of the long side. */
    private static final double NARROWEST = 0.008;

    /** A picture is at least so long on each side, as a share of the long side. */
    private static final double SMALLEST = 0.08;

    /** Of a line, for it to be part of a band. */
    private static final double BAND = 0.985;

    /** Of a picture, that is not border: it may lie a little crooked. */
    private static final double FULL = 0.85;

    /** How far around a part its edges are looked for. */
    private static final double AROUND = 0.02;

    private static final float NEAR = 26;

    private final boolean[] border;
    private final int width;
    private final int height;

    private PictureSplit(boolean[] border, int width, int height) {
        this.border = border;
        this.width = width;
        this.height = height;
    }

    /** In pixels of the small picture; right and bottom are the first beyond. */
    private record Box(int left, int top, int right, int bottom) {}

    /** The pictures in a scan, row by row; fewer than two if it is none of several. */
    public static List<Trim> pieces(Picture scan) {
        double edge = Math.max(scan.size().width(), scan.size().height());
        PictureSplit split = looked(scan, Math.min(1, LOOKED_AT / edge));
        List<Box> found = new ArrayList<>();
        split.cut(new Box(0, 0, split.width, split.height), found);
        if (found.size() < 2 || !found.stream().allMatch(split::isPicture)) {
            return List.of();
        }
        return found.stream()
                .sorted(Comparator.comparingInt((Box box) -> box.top * 4 / split.height)
                        .thenComparingInt(box -> box.left))
                .map(box -> split.piece(scan, box))
                .toList();
    }

    private static PictureSplit looked(Picture scan, double scale) {
        int width = (int) Math.max(1, Math.round(scan.size().width() * scale));
        int height = (int) Math.max(1, Math.round(scan.size().height() * scale));
        boolean[] border = new boolean[width * height];
        try (Mat bgra = BorderFinder.premultiplied(scan);
                Mat small = new Mat();
                Size size = new Size(width, height)) {
            resize(bgra, small, size, 0, 0, INTER_AREA);
            float[] values = new float[width * height * Strip.CHANNELS];
            FloatBuffer buffer = small.createBuffer();
            buffer.get(values);
            float[] colour = colour(values, width, height);
            for (int i = 0; i < border.length; i++) {
                border[i] = distance(values, i, colour) < NEAR;
            }
        }
        return new PictureSplit(border, width, height);
    }

    /** The middle one of the outermost pixels. */
    private static float[] colour(float[] values, int width, int height) {
        List<Integer> outer = new ArrayList<>();
        for (int x = 0; x < width; x++) {
            outer.add(x);
            outer.add((height - 1) * width + x);
        }
        for (int y = 0; y < height; y++) {
            outer.add(y * width);
            outer.add(y * width + width - 1);
        }
        float[] colour = new float[Strip.CHANNELS];
        for (int c = 0; c < colour.length; c++) {
            int channel = c;
            colour[c] = (float) outer.stream()
                    .mapToDouble(i -> values[i * Strip.CHANNELS + channel])
                    .sorted()
                    .skip(outer.size() / 2)
                    .findFirst()
                    .orElse(0);
        }
        return colour;
    }

    private static double distance(float[] values, int pixel, float[] colour) {
        double sum = 0;
        for (int c = 0; c < colour.length; c++) {
            sum += Math.pow(values[pixel * Strip.CHANNELS + c] - colour[c], 2);
        }
        return Math.sqrt(sum);
    }

    /** Cuts a box along its bands; what can't be cut is a part. */
    private void cut(Box box, List<Box> found) {
        List<Box> rows = parts(box, true);
        List<Box> parts = rows.size() == 1 ? parts(rows.getFirst(), false) : rows;
        if (parts.size() == 1 && parts.getFirst().equals(box)) {
            found.add(box);
        } else {
            parts.forEach(part -> cut(part, found));
        }
    }

    /** What is left between the bands, along one direction. */
    private List<Box> parts(Box box, boolean down) {
        int from = down ? box.top : box.left;
        int to = down ? box.bottom : box.right;
        double narrowest = NARROWEST * Math.max(width, height);
        List<Box> parts = new ArrayList<>();
        int start = -1;
        int band = 0;
        for (int at = from; at <= to; at++) {
            boolean inBand = at == to || isBand(box, at, down);
            band = inBand ? band + 1 : 0;
            if (!inBand && start < 0) {
                start = at;
            } else if (start >= 0 && inBand && (at == to || band >= narrowest)) {
                add(parts, box, start, at - band + 1, down);
                start = -1;
            }
        }
        return parts.isEmpty() ? List.of(box) : parts;
    }

    private void add(List<Box> parts, Box box, int from, int to, boolean down) {
        if (to - from >= SMALLEST * Math.max(width, height)) {
            parts.add(down ? new Box(box.left, from, box.right, to) : new Box(from, box.top, to, box.bottom));
        }
    }

    private boolean isBand(Box box, int at, boolean down) {
        int from = down ? box.left : box.top;
        int to = down ? box.right : box.bottom;
        int count = 0;
        for (int i = from; i < to; i++) {
            count += border[down ? at * width + i : i * width + at] ? 1 : 0;
        }
        return count >= BAND * (to - from);
    }

    private boolean isPicture(Box box) {
        int full = 0;
        for (int y = box.top; y < box.bottom; y++) {
            for (int x = box.left; x < box.right; x++) {
                full += border[y * width + x] ? 0 : 1;
            }
        }
        double area = (double) (box.right - box.left) * (box.bottom - box.top);
        return full >= FULL * area
                && Math.min(box.right - box.left, box.bottom - box.top) >= SMALLEST * Math.max(width, height);
    }

    /** A part's edges, found to parts of a pixel where they can be. */
    private Trim piece(Picture scan, Box box) {
        double scaleX = (double) scan.size().width() / width;
        double scaleY = (double) scan.size().height() / height;
        double edge = scan.size().longEdge();
        int around = (int) Math.ceil(AROUND * edge);
        int left = (int) Math.max(0, box.left * scaleX - around);
        int top = (int) Math.max(0, box.top * scaleY - around);
        int right = (int) Math.min(scan.size().width(), Math.ceil(box.right * scaleX) + around);
        int bottom = (int) Math.min(scan.size().height(), Math.ceil(box.bottom * scaleY) + around);
        try (Rect area = new Rect(left, top, right - left, bottom - top);
                Picture part = new Picture(new Mat(scan.mat(), area))) {
            TrimFinding found = BorderFinder.find(part, part.size().longEdge());
            Point middle = new Point((left + right) / 2.0, (top + bottom) / 2.0)
                    .minus(new Point(scan.size().width() / 2.0, scan.size().height() / 2.0))
                    .times(1 / edge);
            double size = part.size().longEdge() / edge;
            boolean whole = found.sides().size() == Side.values().length;
            return whole ? moved(found.trim(), middle, size) : plain(box);
        }
    }

    /** From the part's own unit to that of the scan; turned about the scan's centre. */
    private static Trim moved(Trim own, Point middle, double size) {
        Point off = own.lean().negated().rotate(middle);
        return new Trim(
                own.left() * size + off.x(),
                own.top() * size + off.y(),
                own.right() * size + off.x(),
                own.bottom() * size + off.y(),
                own.lean(),
                Math.max(0, own.round() * size));
    }

    private Trim plain(Box box) {
        double edge = Math.max(width, height);
        return new Trim(
                (box.left - width / 2.0) / edge,
                (box.top - height / 2.0) / edge,
                (box.right - width / 2.0) / edge,
                (box.bottom - height / 2.0) / edge,
                Tilt.NONE,
                0);
    }
}
