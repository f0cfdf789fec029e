package nexa.words;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import nexa.core.brief.Format;
import nexa.core.brief.Preset;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;

/** New formats as they are typed: by a shape, by a size with its unit, or by what a paper or screen is called. */
public final class FormatWords {
    private static final double THOUSANDTHS = 1000;

    /** What says that numbers are a size: two of them alone are a shape. */
    private static final Pattern UNIT = Pattern.compile("[^0-9.,:;/x×\\s]");

    private static final Pattern SEPARATOR = Pattern.compile("\\s*(?:;|,(?=\\s|$))\\s*");

    private FormatWords() {}

    /**
     * Reads {@code 4:5}, {@code free}, {@code 20x30 cm}, {@code 8x10 in at 240 ppi}, {@code 1080x1350 px}, {@code long edge 2048}
     * (which leaves photos their own shape) or {@code A4}.
     *
     * @return named as it was typed, or as the shape or the paper is called
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    public static Format typed(String text) {
        return Preset.named(text)
                .map(Preset::format)
                .or(() -> sized(text))
                .orElseGet(() -> ShapeWords.format(ShapeWords.parse(text)));
    }

    /**
     * Reads several, separated by semicolons or by commas with a blank behind them: without one it is a decimal's.
     *
     * @throws IllegalArgumentException with words for the user if one of them is none
     */
    public static List<Format> typedAll(String text) {
        return SEPARATOR.splitAsStream(text.strip()).map(FormatWords::typed).toList();
    }

    private static Optional<Format> sized(String text) {
        return UNIT.matcher(text).find() ? size(text).flatMap(size -> of(text.strip(), size)) : Optional.empty();
    }

    private static Optional<SizeTarget> size(String text) {
        try {
            return Optional.of(SizeWords.parse(text));
        } catch (IllegalArgumentException another) { // it may be a shape, which says what is wrong if it is none
            return Optional.empty();
        }
    }

    private static Optional<Format> of(String name, SizeTarget size) {
        return shape(size).map(shape -> new Format(
                        0, name.replaceAll("(?<=\\d)\\s*x\\s*(?=\\d)", "×"), shape, OrientationRule.FOLLOW_PHOTO)
                .sized(size));
    }

    private static Optional<Shape> shape(SizeTarget size) {
        return switch (size) {
            case SizeTarget.None() -> Optional.empty();
            case SizeTarget.Pixels(int width, int height) -> Optional.of(new Shape.Ratio(width, height));
            case SizeTarget.LongEdge _, SizeTarget.ShortEdge _ -> Optional.of(Shape.AS_PHOTO);
            case SizeTarget.Print(double width, double height, double _) ->
                Optional.of(new Shape.Ratio(Math.round(width * THOUSANDTHS), Math.round(height * THOUSANDTHS)));
        };
    }
}
