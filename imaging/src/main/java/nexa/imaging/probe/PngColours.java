package nexa.imaging.probe;

import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.png.PngChromaticitiesDirectory;
import com.drew.metadata.png.PngDirectory;
import java.util.HashMap;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.imaging.boxes.Nclx;
import nexa.imaging.colour.Profile;
import org.jspecify.annotations.Nullable;

/**
 * What a PNG says of its colours where it has no profile (PNG, third edition, 4.3): code points, that they are sRGB's, or a
 * gamma and primaries of its own; the first of them counts.
 */
public final class PngColours {
    static final String CODE_POINTS = "cICP";

    /** sRGB's curve is said as this power. */
    private static final double USUAL_GAMMA = 1 / 2.2;

    /** The bit of a PNG's kind of colours that is not there for grey. */
    private static final int COLOURS = 2;

    /** What differs by no more is a number rounded in another way. */
    private static final double SAME = 0.005;

    /** White, red, green and blue of ITU-R BT.709, x and y, as a PNG says them. */
    private static final double[] USUAL = {0.3127, 0.3290, 0.64, 0.33, 0.30, 0.60, 0.15, 0.06};

    private static final double STEPS = 100_000;

    private PngColours() {}

    /** Among a PNG's headers if it says code points. */
    static final class Said extends Directory {
        private final Nclx nclx;

        /** @param data primaries, transfer, matrix, and whether all values are used; of fewer nothing is read */
        Said(byte[] data) {
            this.nclx = data.length < 4 ? new Nclx(0, 0, 0, true) : new Nclx(data[0], data[1], data[2], data[3] == 1);
        }

        @Override
        public String getName() {
            return "PNG-" + CODE_POINTS;
        }

        @Override
        protected HashMap<Integer, String> getTagNameMap() {
            return new HashMap<>();
        }
    }

    /** Whether its light is meant for screens brighter than white paper. */
    public static boolean isHdr(Metadata headers) {
        Said coded = headers.getFirstDirectoryOfType(Said.class);
        return coded != null && coded.nclx.isHdr();
    }

    /** The profile that stands for what is said; empty if there is an embedded one, or nothing is said that makes sense. */
    public static Optional<Profile> profile(Metadata headers) {
        if (headers.containsDirectoryOfType(IccDirectory.class)) {
            return Optional.empty();
        }
        Said coded = headers.getFirstDirectoryOfType(Said.class);
        Optional<Profile> byCode = coded == null ? Optional.empty() : coded.nclx.profile();
        boolean isGrey = isGrey(headers);
        return byCode.isPresent() ? byCode.map(profile -> isGrey ? Profile.SRGB : profile) : byNumbers(headers, isGrey);
    }

    private static boolean isGrey(Metadata headers) {
        return headers.getDirectoriesOfType(PngDirectory.class).stream()
                .map(said -> said.getInteger(PngDirectory.TAG_COLOR_TYPE))
                .anyMatch(type -> type != null && (type & COLOURS) == 0);
    }

    private static Optional<Profile> byNumbers(Metadata headers, boolean isGrey) {
        if (says(headers, PngDirectory.TAG_SRGB_RENDERING_INTENT)) {
            return Optional.of(Profile.SRGB);
        }
        Optional<Double> said = gamma(headers);
        PngChromaticitiesDirectory own = headers.getFirstDirectoryOfType(PngChromaticitiesDirectory.class);
        double[] points = own == null || isGrey ? USUAL : points(own);
        if (own == null && said.isEmpty() || !isSensible(points)) {
            return Optional.empty();
        }
        double gamma = said.orElse(USUAL_GAMMA);
        if (Math.abs(gamma - USUAL_GAMMA) < SAME && areUsual(points)) {
            return Optional.of(Profile.SRGB);
        }
        return Optional.of(isGrey ? Profile.greyOfPower(1 / gamma) : Profile.ofNumbers(points, 1 / gamma));
    }

    private static boolean areUsual(double[] points) {
        return IntStream.range(0, USUAL.length).allMatch(i -> Math.abs(points[i] - USUAL[i]) < SAME);
    }

    private static boolean says(Metadata headers, int tag) {
        return headers.getDirectoriesOfType(PngDirectory.class).stream().anyMatch(said -> said.containsTag(tag));
    }

    /** Empty where none is said, or one that no picture has. */
    private static Optional<Double> gamma(Metadata headers) {
        return headers.getDirectoriesOfType(PngDirectory.class).stream()
                .flatMap(said -> Stream.ofNullable(said.getDoubleObject(PngDirectory.TAG_GAMMA)))
                .filter(gamma -> gamma > 0.1 && gamma < 10)
                .findFirst();
    }

    private static double[] points(PngChromaticitiesDirectory own) {
        return IntStream.rangeClosed(
                        PngChromaticitiesDirectory.TAG_WHITE_POINT_X, PngChromaticitiesDirectory.TAG_BLUE_Y)
                .mapToObj(own::getInteger)
                .mapToDouble(PngColours::part)
                .toArray();
    }

    private static double part(@Nullable Integer steps) {
        return steps == null ? 0 : steps / STEPS;
    }

    /** Whether each is a colour and the primaries span a triangle, without which nothing can be turned back. */
    private static boolean isSensible(double[] points) {
        boolean areColours = IntStream.of(0, 2, 4, 6)
                .allMatch(i -> points[i] >= 0 && points[i + 1] > 0 && points[i] + points[i + 1] <= 1.1);
        double twice =
                (points[4] - points[2]) * (points[7] - points[3]) - (points[6] - points[2]) * (points[5] - points[3]);
        return areColours && Math.abs(twice) > 0.01;
    }
}
