package nexa.core.shape;

import java.math.BigDecimal;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.told.InvalidException;
import org.jspecify.annotations.Nullable;

/** The two typed numbers of a ratio, plain, in pixels or as lengths. */
final class Sides {
    /** Up to nine digits a side, so that scaling decimals to whole numbers can't overflow a long. */
    private static final String SIDE = "(\\d{1,5}(?:[.,]\\d{1,4})?)\\s*(px|mm|cm|in|\")?";

    private static final Pattern PATTERN = Pattern.compile(SIDE + "\\s*[:x×/]\\s*" + SIDE);

    /** Millimetres. Pixels have none; they only ever stand against pixels. */
    private static final Map<String, BigDecimal> LENGTHS = Map.of(
            "mm", BigDecimal.ONE, "cm", BigDecimal.TEN, "in", new BigDecimal("25.4"), "\"", new BigDecimal("25.4"));

    private Sides() {}

    /**
     * Null if the text is not two numbers. A unit behind the second number only counts for both.
     *
     * @throws IllegalArgumentException if pixels stand against lengths, or sides make no ratio
     */
    static Shape.@Nullable Ratio parse(String text) {
        Matcher sides = PATTERN.matcher(text);
        if (!sides.matches()) {
            return null;
        }
        String last = sides.group(4);
        String first = sides.group(2) == null ? last : sides.group(2);
        if (isLength(first) != isLength(last)) {
            throw new InvalidException("told.shape.sets-length-against-pixels-or", text);
        }
        return ratio(inUnit(sides.group(1), first), inUnit(sides.group(3), last));
    }

    private static boolean isLength(@Nullable String unit) {
        return unit != null && LENGTHS.containsKey(unit);
    }

    private static BigDecimal inUnit(String number, @Nullable String unit) {
        BigDecimal plain = new BigDecimal(number.replace(',', '.'));
        return isLength(unit) ? plain.multiply(LENGTHS.get(unit)) : plain;
    }

    private static Shape.Ratio ratio(BigDecimal width, BigDecimal height) {
        int decimals = Math.max(0, Math.max(width.scale(), height.scale()));
        return new Shape.Ratio(
                width.movePointRight(decimals).longValueExact(),
                height.movePointRight(decimals).longValueExact());
    }
}
