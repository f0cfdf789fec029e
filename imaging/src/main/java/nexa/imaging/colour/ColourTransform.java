package nexa.imaging.colour;

import static org.bytedeco.opencv.global.opencv_core.extractChannel;
import static org.bytedeco.opencv.global.opencv_core.insertChannel;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.PixelInterleavedSampleModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;

/**
 * From one profile's numbers to another's, in 8 or 16 bits: small pictures exactly as the engine converts them, whole
 * photos by curves and a matrix, or by a table read off the engine, if no eye sees the difference. The engine uses the
 * perceptual intent, which between profiles of primaries and curves is the same as relative colorimetric, and has no
 * black-point compensation. Thread-safe.
 */
public final class ColourTransform {
    /** Profiles are few, and setting the engine up for two takes as long as a small picture. */
    private static final Map<Pair, ColourTransform> KNOWN = new ConcurrentHashMap<>();

    private static final int MOST_KNOWN = 64;

    /** Pixels of which the engine needs longer than it takes to make a table of it. */
    private static final long WORTH_IT = 1_000_000;

    /** As OpenCV has them. */
    private static final int[] BLUE_FIRST = {2, 1, 0};

    private static final int[] RED_FIRST = {0, 1, 2};

    /** Levels a channel that are tried to tell whether a conversion changes anything. */
    private static final int[] LEVELS = {0, 40, 90, 140, 200, 255};

    private record Pair(Profile from, Profile to) {}

    private final Profile from;
    private final Profile to;
    private final ColorConvertOp engine;
    private final int channelsFrom;
    private final int channelsTo;
    private final boolean changes;
    private @Nullable Optional<FastColours> fast;

    private ColourTransform(Profile from, Profile to) {
        this.from = from;
        this.to = to;
        this.channelsFrom = from.space() == Profile.Space.GREY ? 1 : 3;
        this.channelsTo = to.space() == Profile.Space.GREY ? 1 : 3;
        this.engine = new ColorConvertOp(new ICC_Profile[] {from.engine(), to.engine()}, null);
        this.changes = channelsFrom != channelsTo || changesColours();
    }

    /**
     * @throws RuntimeException the engine's own, if a profile is damaged
     */
    public static ColourTransform between(Profile from, Profile to) {
        if (KNOWN.size() > MOST_KNOWN) {
            KNOWN.clear();
        }
        return KNOWN.computeIfAbsent(new Pair(from, to), pair -> new ColourTransform(pair.from, pair.to));
    }

    /** Whether any colour becomes another one by more than rounding. */
    public boolean changes() {
        return changes;
    }

    private boolean changesColours() {
        int colours = (int) Math.pow(LEVELS.length, channelsFrom);
        byte[] before = new byte[colours * channelsFrom];
        for (int i = 0; i < colours; i++) {
            for (int channel = 0, rest = i; channel < channelsFrom; channel++, rest /= LEVELS.length) {
                before[i * channelsFrom + channel] = (byte) LEVELS[rest % LEVELS.length];
            }
        }
        byte[] after = convert(before, colours, 1);
        for (int i = 0; i < before.length; i++) {
            if (Math.abs((before[i] & 0xFF) - (after[i] & 0xFF)) > 1) {
                return true;
            }
        }
        return false;
    }

    /**
     * A new picture with its colours converted; alpha stays.
     *
     * @param picture of as many colour channels as the first profile has
     */
    public Picture apply(Picture picture) {
        if (!changes) {
            return picture.shared();
        }
        if (picture.channels() != 4) {
            return new Picture(converted(picture.mat()));
        }
        try (Mat opaque = new Mat();
                Mat alpha = new Mat()) {
            cvtColor(picture.mat(), opaque, COLOR_BGRA2BGR);
            extractChannel(picture.mat(), alpha, 3);
            try (Mat colours = converted(opaque)) {
                Mat whole = new Mat();
                cvtColor(colours, whole, COLOR_BGR2BGRA);
                insertChannel(alpha, whole, 3);
                return new Picture(whole);
            }
        }
    }

    private Mat converted(Mat source) {
        if (channelsFrom != 3 || channelsTo != 3 || source.total() < WORTH_IT) {
            return exactly(source);
        }
        return fast().map(fast -> FastPixels.converted(source, fast)).orElseGet(() -> exactly(source));
    }

    /** Found out when it is first needed. */
    private synchronized Optional<FastColours> fast() {
        if (fast == null) {
            UnaryOperator<short[]> exact = colours -> convert(colours, colours.length / 3, 1, RED_FIRST);
            fast = Stream.<Supplier<Optional<? extends FastColours>>>of(
                            () -> ColourMatrix.between(from, to), () -> Optional.of(new ColourTable(exact)))
                    .flatMap(kind -> kind.get().stream())
                    .<FastColours>map(kind -> kind)
                    .filter(kind -> kind.isCloseTo(exact))
                    .findFirst();
        }
        return fast;
    }

    private Mat exactly(Mat source) {
        try (Mat packed = source.isContinuous() ? new Mat(source) : source.clone()) {
            int depth = source.depth();
            Mat target = new Mat(source.rows(), source.cols(), opencv_core.CV_MAKETYPE(depth, channelsTo));
            int samples = source.rows() * source.cols();
            if (depth == opencv_core.CV_8U) {
                byte[] bytes = new byte[samples * channelsFrom];
                try (BytePointer from = packed.data();
                        BytePointer to = target.data()) {
                    from.get(bytes);
                    to.put(convert(bytes, source.cols(), source.rows()));
                }
            } else {
                short[] deep = new short[samples * channelsFrom];
                try (ShortPointer from = new ShortPointer(packed.data());
                        ShortPointer to = new ShortPointer(target.data())) {
                    from.get(deep);
                    to.put(convert(deep, source.cols(), source.rows()));
                }
            }
            return target;
        }
    }

    private byte[] convert(byte[] pixels, int width, int height) {
        byte[] converted = new byte[width * height * channelsTo];
        engine.filter(
                raster(new DataBufferByte(pixels, pixels.length), width, height, channelsFrom, BLUE_FIRST),
                raster(new DataBufferByte(converted, converted.length), width, height, channelsTo, BLUE_FIRST));
        return converted;
    }

    private short[] convert(short[] pixels, int width, int height) {
        return convert(pixels, width, height, BLUE_FIRST);
    }

    private short[] convert(short[] pixels, int width, int height, int[] order) {
        short[] converted = new short[width * height * channelsTo];
        engine.filter(
                raster(new DataBufferUShort(pixels, pixels.length), width, height, channelsFrom, order),
                raster(new DataBufferUShort(converted, converted.length), width, height, channelsTo, order));
        return converted;
    }

    /** Over the pixels themselves. */
    private static WritableRaster raster(DataBuffer pixels, int width, int height, int channels, int[] order) {
        int[] places = channels == 1 ? new int[] {0} : order;
        return Raster.createWritableRaster(
                new PixelInterleavedSampleModel(
                        pixels.getDataType(), width, height, channels, width * channels, places),
                pixels,
                null);
    }
}
