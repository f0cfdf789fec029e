package nexa.imaging.colour;

import static org.bytedeco.opencv.global.opencv_core.extractChannel;
import static org.bytedeco.opencv.global.opencv_core.insertChannel;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import nexa.core.files.Conversion;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;

/**
 * From one profile's numbers to another's, in 8 or 16 bits: small pictures exactly as the engine converts them, whole
 * photos by curves and a matrix, or by a table read off the engine, if no eye sees the difference. Between profiles of
 * primaries and curves all intents but the absolute are the same. Thread-safe.
 */
public final class ColourTransform {
    /** Profiles are few, and setting the engine up for two takes as long as a small picture. */
    private static final Map<Pair, ColourTransform> KNOWN = new ConcurrentHashMap<>();

    private static final int MOST_KNOWN = 64;

    /** Pixels of which the engine needs longer than it takes to make a table of it. */
    private static final long WORTH_IT = 1_000_000;

    /** Levels a channel that are tried to tell whether a conversion changes anything. */
    private static final int[] LEVELS = {0, 40, 90, 140, 200, 255};

    private record Pair(Profile from, Profile to, Conversion how) {}

    private final Profile from;
    private final Profile to;
    private final Conversion how;
    private final Engine engine;
    private final int channelsFrom;
    private final int channelsTo;
    private final boolean changes;
    private @Nullable Optional<FastColours> fast;

    private ColourTransform(Profile from, Profile to, Conversion how) {
        this.from = from;
        this.to = to;
        this.how = how;
        this.channelsFrom = from.space().channels();
        this.channelsTo = to.space().channels();
        this.engine = AdjustedEngine.between(from, to, how);
        this.changes = changesColours();
    }

    /**
     * By the perceptual intent, without black-point compensation.
     *
     * @throws RuntimeException the engine's own, if a profile is damaged
     */
    public static ColourTransform between(Profile from, Profile to) {
        return between(from, to, Conversion.DEFAULT);
    }

    /**
     * @throws RuntimeException the engine's own, if a profile is damaged, or has no way to its numbers
     */
    public static ColourTransform between(Profile from, Profile to, Conversion how) {
        if (KNOWN.size() > MOST_KNOWN) {
            KNOWN.clear();
        }
        return KNOWN.computeIfAbsent(
                new Pair(from, to, how), pair -> new ColourTransform(pair.from, pair.to, pair.how));
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
        byte[] after = engine.convert(before, colours, 1, false); // some damage shows only now
        if (channelsFrom != channelsTo) {
            return true;
        }
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

    /**
     * New ink values of a picture.
     *
     * @param picture of as many channels as the first profile has, without alpha
     * @throws IllegalStateException if the second profile is for no inks
     */
    public InkPicture inks(Picture picture) {
        if (channelsTo != Profile.Space.INK.channels()) {
            throw new IllegalStateException(to + " is for no inks");
        }
        return new InkPicture(converted(picture.mat()));
    }

    /**
     * What inks look like.
     *
     * @throws IllegalStateException if the first profile is for no inks, or the second for some
     */
    public Picture shown(InkPicture inks) {
        if (channelsFrom != Profile.Space.INK.channels() || channelsTo != 3) {
            throw new IllegalStateException(from + " is for no inks, or " + to + " is");
        }
        return new Picture(converted(inks.mat()));
    }

    private Mat converted(Mat source) {
        if (source.total() < WORTH_IT) {
            return exactly(source);
        }
        return fast().map(fast -> FastPixels.converted(source, fast)).orElseGet(() -> exactly(source));
    }

    /** Found out when it is first needed. */
    private synchronized Optional<FastColours> fast() {
        if (fast == null) {
            UnaryOperator<short[]> exact = colours -> engine.convert(colours, channelsFrom);
            fast = kinds(exact)
                    .flatMap(kind -> kind.get().stream())
                    .filter(kind -> kind.isCloseTo(exact, this::shown))
                    .findFirst();
        }
        return fast;
    }

    /** The best first. Grey is nearly always made coloured before, and between inks nobody converts. */
    private Stream<Supplier<Optional<FastColours>>> kinds(UnaryOperator<short[]> exact) {
        if (channelsFrom == 3 && channelsTo >= 3) {
            return Stream.of(this::matrix, () -> Optional.of(new ColourTable(exact, channelsTo, ColourTable.STEPS)));
        }
        return channelsFrom == Profile.Space.INK.channels() && channelsTo == 3
                ? Stream.of(() -> Optional.of(new InkTable(exact)))
                : Stream.empty();
    }

    private short[] shown(short[] converted) {
        return channelsTo == 3 ? converted : new DirectEngine(to.engine(), Profile.SRGB.engine()).convert(converted, 4);
    }

    private Optional<FastColours> matrix() {
        return how.intent() == Conversion.Intent.ABSOLUTE
                ? Optional.empty()
                : ColourMatrix.between(from, to).map(matrix -> matrix);
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
                    to.put(engine.convert(bytes, source.cols(), source.rows(), true));
                }
            } else {
                short[] deep = new short[samples * channelsFrom];
                try (ShortPointer from = new ShortPointer(packed.data());
                        ShortPointer to = new ShortPointer(target.data())) {
                    from.get(deep);
                    to.put(engine.convert(deep, source.cols(), source.rows(), true));
                }
            }
            return target;
        }
    }
}
