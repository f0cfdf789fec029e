package nexa.words;

import java.util.Comparator;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.exact.Unit;
import nexa.core.print.SizeTarget;

/**
 * How large a format is delivered, as it is said and typed in the user's language; what is stored and exchanged is
 * {@link SizeTarget#text}.
 */
public final class SizeWords {
    /** What stands for the words of {@link SizeTarget#text}. */
    private static final Map<String, String> TYPED = Map.of(
            "size.none",
            "none",
            "size.long",
            "long edge",
            "size.short",
            "short edge",
            "size.at",
            "at",
            "unit.inch",
            "in");

    private static final Pattern DECIMAL_COMMA = Pattern.compile("(?<=\\d),(?=\\d)");

    /** Sides of prints are known to the nearest thousandth of a millimetre. */
    private static final double KNOWN = 0.0005;

    private static final int MOST_DECIMALS = 3;

    private SizeWords() {}

    /** Such as <em>long edge 2048 px</em>, or <em>8 x 10 in at 300 ppi</em> in the unit that needs the fewest digits. */
    public static String of(SizeTarget target) {
        return switch (target) {
            case SizeTarget.None() -> Words.of("size.none");
            case SizeTarget.Pixels(int width, int height) -> width + " x " + height + " px";
            case SizeTarget.LongEdge(int pixels) -> Words.of("size.long") + " " + pixels + " px";
            case SizeTarget.ShortEdge(int pixels) -> Words.of("size.short") + " " + pixels + " px";
            case SizeTarget.Print print -> said(print);
        };
    }

    private static String said(SizeTarget.Print print) {
        Unit unit = Stream.of(Lengths.unit(), Unit.CENTIMETRE, Unit.INCH, Unit.MILLIMETRE)
                .min(Comparator.comparingInt(each -> decimals(print.width(), each) + decimals(print.height(), each)))
                .orElseThrow();
        return "%s x %s %s %s %s ppi"
                .formatted(
                        number(print.width(), unit),
                        number(print.height(), unit),
                        Words.of("unit", unit),
                        Words.of("size.at"),
                        number(print.ppi(), Unit.MILLIMETRE));
    }

    private static String number(double millimetres, Unit unit) {
        int decimals = Math.min(MOST_DECIMALS, decimals(millimetres, unit));
        return Words.number("%." + decimals + "f", Lengths.in(unit, millimetres));
    }

    /** How many digits behind the point say a length exactly; one more than may be shown if those do not. */
    private static int decimals(double millimetres, Unit unit) {
        double value = Lengths.in(unit, millimetres);
        return IntStream.rangeClosed(0, MOST_DECIMALS)
                .filter(decimals -> {
                    double power = Math.pow(10, decimals);
                    return Math.abs(Math.rint(value * power) / power - value) * Lengths.millimetres(unit) < KNOWN;
                })
                .findFirst()
                .orElse(2 * MOST_DECIMALS + 1);
    }

    /**
     * Reads what {@link SizeTarget#parse} reads, and the language's own words and decimal sign.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    public static SizeTarget parse(String typed) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        for (Map.Entry<String, String> word : TYPED.entrySet()) {
            text = text.replace(Words.of(word.getKey()).toLowerCase(Locale.ROOT), word.getValue());
        }
        return SizeTarget.parse(
                Words.hasDecimalComma() ? DECIMAL_COMMA.matcher(text).replaceAll(".") : text);
    }
}
