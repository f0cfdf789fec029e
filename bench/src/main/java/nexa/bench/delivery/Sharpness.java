package nexa.bench.delivery;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_GRAYSCALE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencode;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imread;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import nexa.bench.base.Peer;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.plumb.Plumb;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.codec.JpegCodec;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.render.SinglePass;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * How much of the sharpness survives tilt, crop and reduction in one pass, and how much detail turns up as false
 * patterns, against libvips: a slanted edge (ISO 12233) and a zone plate.
 */
public final class Sharpness {
    private static final PixelSize SOURCE = new PixelSize(3000, 3000);
    private static final double TILT = 2.3;
    private static final double EDGE = 5;
    private static final Frame FRAME = new Frame(0, 0, 0.8, 0.8);
    private static final PixelSize OUTPUT = new PixelSize(1000, 1000);

    /** Source pixels to an output pixel. */
    private static final double REDUCTION = 0.8 * 3000 / 1000;

    private static final double OVERSAMPLED = 4;
    private static final List<String> KERNELS = List.of("lanczos3", "lanczos2", "cubic", "mitchell");

    private Sharpness() {}

    public static void run() throws IOException {
        Path own = Files.createTempDirectory("nexa-sharpness");
        try (Mat edge = edge();
                Mat plate = plate()) {
            print("Nexa, one pass", rendered(edge), rendered(plate));
            Mapping corrected = map(new Correction(Lens.byHand(new ByHand(-0.04, 0, 0.5)), Plumb.of(6, 2, 0.8)));
            System.out.printf(
                    Locale.ROOT,
                    "%-36s MTF50 %.3f cycles a pixel in the middle%n",
                    "Nexa, lens and plumb too",
                    mtf50(rendered(edge, corrected), edgeAngle(corrected)));
            decodedSmaller(edge, plate);
            if (!Peer.has("vips")) {
                System.out.println("libvips' command line is not installed");
                return;
            }
            for (String kernel : KERNELS) {
                print("libvips, bicubic then " + kernel, vips(own, edge, kernel), vips(own, plate, kernel));
            }
        }
    }

    /** What it costs that a handover decodes smaller what leaves one and a half pixels to a delivered one. */
    private static void decodedSmaller(Mat edge, Mat plate) throws UnreadablePhotoException {
        for (int output : List.of(800, 600, 400)) {
            PixelSize size = new PixelSize(output, output);
            double reduction = FRAME.width() * SOURCE.width() / output;
            int most = SinglePass.mostAveraged(SinglePass.leastReduction(map(Correction.NONE, size), size));
            for (Reduction decoded : List.of(Reduction.NONE, Reduction.atMost(most))) {
                try (Picture decodedEdge = decoded(edge, decoded);
                        Picture decodedPlate = decoded(plate, decoded)) {
                    print(
                            String.format(
                                    Locale.ROOT, "Nexa, reduced by %.0f, decoded at 1/%d", reduction, decoded.factor()),
                            rendered(decodedEdge, decoded, size),
                            rendered(decodedPlate, decoded, size),
                            reduction);
                }
            }
        }
    }

    private static Picture decoded(Mat source, Reduction reduction) throws UnreadablePhotoException {
        try (BytePointer jpeg = new BytePointer();
                IntPointer best = new IntPointer(IMWRITE_JPEG_QUALITY, 100)) {
            imencode(".jpg", source, jpeg, best);
            byte[] bytes = new byte[(int) jpeg.limit()];
            jpeg.get(bytes);
            return JpegCodec.decode(Path.of("made.jpg"), bytes, reduction).picture();
        }
    }

    private static Mat rendered(Picture source, Reduction decoded, PixelSize output) {
        double scale = 1.0 / decoded.factor();
        Mapping map = map(Correction.NONE, output).then(Affine.scale(scale, scale));
        return SinglePass.render(source, map, output).mat();
    }

    private static void print(String who, Mat edge, Mat plate) {
        print(who, edge, plate, REDUCTION);
    }

    private static void print(String who, Mat edge, Mat plate, double reduction) {
        System.out.printf(
                Locale.ROOT,
                "%-36s MTF50 %.3f cycles a pixel, false patterns %.2f %% RMS%n",
                who,
                mtf50(edge, EDGE + TILT),
                100 * aliasing(plate, reduction));
    }

    private static Mat edge() {
        Mat mat = new Mat(SOURCE.height(), SOURCE.width(), CV_8UC1);
        double angle = Math.toRadians(EDGE);
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (int y = 0; y < SOURCE.height(); y++) {
                for (int x = 0; x < SOURCE.width(); x++) {
                    double across = (x + 0.5 - SOURCE.width() / 2.0) * Math.cos(angle)
                            + (y + 0.5 - SOURCE.height() / 2.0) * Math.sin(angle);
                    pixels.put(y, x, (int) Math.round(40 + 170 * Math.clamp(across + 0.5, 0, 1)));
                }
            }
        }
        return mat;
    }

    /** Cycles a source pixel grow from 0 in the middle to half a cycle at the nearest edge. */
    private static Mat plate() {
        Mat mat = new Mat(SOURCE.height(), SOURCE.width(), CV_8UC1);
        double half = SOURCE.width() / 2.0;
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (int y = 0; y < SOURCE.height(); y++) {
                for (int x = 0; x < SOURCE.width(); x++) {
                    double r = Math.hypot(x + 0.5 - half, y + 0.5 - half);
                    pixels.put(y, x, (int) Math.round(127.5 + 110 * Math.cos(Math.PI * 0.5 * r * r / half)));
                }
            }
        }
        return mat;
    }

    private static Mapping map(Correction correction) {
        return map(correction, OUTPUT);
    }

    private static Mapping map(Correction correction, PixelSize output) {
        return new PhotoSpace(SOURCE, new Pose(Turn.NONE, new Tilt(TILT)).withCorrection(correction))
                .outputToStored(Turn.NONE, FRAME, output);
    }

    /** How far the edge leans in the middle of the output, degrees. */
    private static double edgeAngle(Mapping outputToSource) {
        Affine toOutput = outputToSource
                .tangent(new Point(OUTPUT.width() / 2.0, OUTPUT.height() / 2.0))
                .inverse();
        double angle = Math.toRadians(EDGE);
        Point from = toOutput.apply(Point.ORIGIN);
        Point along =
                toOutput.apply(new Point(-Math.sin(angle), Math.cos(angle))).minus(from);
        return Math.toDegrees(Math.atan2(-along.x(), along.y()));
    }

    private static Mat rendered(Mat source) {
        return rendered(source, map(Correction.NONE));
    }

    private static Mat rendered(Mat source, Mapping map) {
        return SinglePass.render(new Picture(source), map, OUTPUT).mat();
    }

    private static Mat vips(Path own, Mat source, String kernel) throws IOException {
        Path in = own.resolve("in.png");
        Path turned = own.resolve("turned.v");
        Path cut = own.resolve("cut.v");
        Path out = own.resolve("out.png");
        imwrite(in.toString(), source);
        double angle = Math.toRadians(TILT);
        double wide = SOURCE.width() * (Math.cos(angle) + Math.sin(angle));
        long edge = Math.round(FRAME.width() * SOURCE.width());
        long corner = Math.round(wide / 2 - edge / 2.0);
        Peer.shell("vips similarity " + in + " " + turned + " --angle " + TILT + " --interpolate bicubic && vips crop "
                + turned + " " + cut + " " + corner + " " + corner + " " + edge + " " + edge + " && vips resize " + cut
                + " " + out + " " + OUTPUT.width() / (double) edge + " --kernel " + kernel);
        return imread(out.toString(), IMREAD_GRAYSCALE);
    }

    // ---- figures ----

    /** Frequency, in cycles an output pixel, where the edge's contrast has fallen to half (ISO 12233, annex D). */
    private static double mtf50(Mat picture, double angle) {
        double[] edge = edgeProfile(picture, Math.toRadians(angle));
        double[] line = new double[edge.length - 1];
        for (int i = 0; i < line.length; i++) {
            double window = 0.5 - 0.5 * Math.cos(2 * Math.PI * (i + 0.5) / line.length);
            line[i] = (edge[i + 1] - edge[i]) * window;
        }
        double whole = magnitude(line, 0);
        double last = 1;
        for (double f = 0.005; f < 1; f += 0.005) {
            double sinc = Math.sin(Math.PI * f / OVERSAMPLED) / (Math.PI * f / OVERSAMPLED); // of the bins' difference
            double now = magnitude(line, f / OVERSAMPLED) / whole / sinc;
            if (now < 0.5) {
                return f - 0.005 * (0.5 - now) / (last - now);
            }
            last = now;
        }
        return 1;
    }

    private static double magnitude(double[] values, double frequency) {
        double re = 0;
        double im = 0;
        for (int i = 0; i < values.length; i++) {
            re += values[i] * Math.cos(2 * Math.PI * frequency * i);
            im += values[i] * Math.sin(2 * Math.PI * frequency * i);
        }
        return Math.hypot(re, im);
    }

    /** Mean brightness by distance from the edge, four bins a pixel, 16 pixels to each side. */
    private static double[] edgeProfile(Mat picture, double angle) {
        int reach = 16;
        double[] sums = new double[(int) (2 * reach * OVERSAMPLED)];
        int[] counts = new int[sums.length];
        double middle = picture.cols() / 2.0;
        try (UByteIndexer pixels = picture.createIndexer()) {
            for (int y = picture.rows() / 2 - 150; y < picture.rows() / 2 + 150; y++) {
                for (int x = picture.cols() / 2 - 80; x < picture.cols() / 2 + 80; x++) {
                    double across = (x + 0.5 - middle) * Math.cos(angle) + (y + 0.5 - middle) * Math.sin(angle);
                    int bin = (int) Math.floor((across + reach) * OVERSAMPLED);
                    if (bin >= 0 && bin < sums.length) {
                        sums[bin] += pixels.get(y, x);
                        counts[bin]++;
                    }
                }
            }
        }
        for (int i = 0; i < sums.length; i++) {
            sums[i] /= Math.max(1, counts[i]);
        }
        return sums;
    }

    /** RMS of what shows where the plate's rings are finer than the output can hold, over the rings' amplitude. */
    private static double aliasing(Mat picture, double reduction) {
        double middle = picture.cols() / 2.0;
        double perPixel = 0.5 * reduction * reduction / (SOURCE.width() / 2.0); // cycles an output pixel, by radius
        double sum = 0;
        long count = 0;
        try (UByteIndexer pixels = picture.createIndexer()) {
            for (int y = 0; y < picture.rows(); y++) {
                for (int x = 0; x < picture.cols(); x++) {
                    double frequency = perPixel * Math.hypot(x + 0.5 - middle, y + 0.5 - middle);
                    if (frequency > 0.65 && frequency < 0.95) {
                        double off = pixels.get(y, x) - 127.5;
                        sum += off * off;
                        count++;
                    }
                }
            }
        }
        return Math.sqrt(sum / count) / (110 / Math.sqrt(2));
    }
}
