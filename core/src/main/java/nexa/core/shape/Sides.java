package nexa.core.shape;

import java.math.BigDecimal;
import java.util.regex.Pattern;

/** The two typed numbers of a ratio. */
final class Sides {
    /** Up to nine digits a side, so that scaling decimals to whole numbers can't overflow a long. */
    static final Pattern PATTERN =
            Pattern.compile("(\\d{1,5}(?:\\.\\d{1,4})?)\\s*[:x×/]\\s*(\\d{1,5}(?:\\.\\d{1,4})?)");

    private Sides() {}

    static Shape.Ratio ratio(BigDecimal width, BigDecimal height) {
        int decimals = Math.max(width.scale(), height.scale());
        return new Shape.Ratio(
                width.movePointRight(decimals).longValueExact(),
                height.movePointRight(decimals).longValueExact());
    }
}
