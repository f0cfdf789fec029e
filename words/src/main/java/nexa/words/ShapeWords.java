package nexa.words;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.brief.Preset;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;

/** Shapes as they are said and typed in the user's language; what is stored and exchanged is {@link Shape#text}. */
public final class ShapeWords {
    /** Nobody knows a ratio of whole numbers beyond this by them, but many by a decimal. */
    private static final int WELL_KNOWN = 20;

    /** As many decimals as {@link Shape#parse} reads. */
    private static final int MOST_DECIMALS = 4;

    /** What the trade calls ratios that have smaller numbers, by how often those go into its own: 7:3 is 21:9. */
    private static final Map<Shape.Ratio, Double> TRADE = Map.of(
            new Shape.Ratio(7, 3),
            3.0,
            new Shape.Ratio(8, 5),
            2.0,
            new Shape.Ratio(12, 5),
            0.2,
            new Shape.Ratio(22, 17),
            0.5);

    private ShapeWords() {}

    /** Such as 4:5, 1.91:1, 21:9 or <em>as photo</em>; {@link #parse} reads the same shape back. */
    public static String of(Shape shape) {
        return switch (shape) {
            case Shape.Free() -> Words.of("shape.free");
            case Shape.AsPhoto() -> Words.of("shape.as-photo");
            case Shape.Ratio ratio -> said(ratio);
        };
    }

    private static String said(Shape.Ratio ratio) {
        double times = timesInTrade(ratio);
        String width = plain(ratio.width() * times);
        String height = plain(ratio.height() * times);
        return width + ":" + height;
    }

    /** What both sides are multiplied by to be said; for one that only a decimal is known of, what makes the shorter side 1. */
    private static double timesInTrade(Shape.Ratio ratio) {
        boolean isTall = ratio.height() > ratio.width();
        Double trade = TRADE.get(isTall ? ratio.turned() : ratio);
        if (trade != null) {
            return trade;
        }
        long shorter = Math.min(ratio.width(), ratio.height());
        long longer = Math.max(ratio.width(), ratio.height());
        return longer > WELL_KNOWN && hasFewDecimals(longer, shorter) ? 1.0 / shorter : 1;
    }

    private static boolean hasFewDecimals(long longer, long shorter) {
        return longer * Math.round(Math.pow(10, MOST_DECIMALS)) % shorter == 0;
    }

    /** With no more decimals than it has. */
    private static String plain(double side) {
        int decimals = new BigDecimal(side)
                .setScale(MOST_DECIMALS, RoundingMode.HALF_EVEN)
                .stripTrailingZeros()
                .scale();
        return Words.number("%." + Math.max(0, decimals) + "f", side);
    }

    /**
     * Reads what {@link Shape#parse} reads, and the language's own words.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    public static Shape parse(String text) {
        return Stream.of(Shape.FREE, Shape.AS_PHOTO)
                .filter(shape -> of(shape).equalsIgnoreCase(text.strip()))
                .findFirst()
                .orElseGet(() -> Shape.parse(text));
    }

    /** A new format that is named by its shape. */
    public static Format format(Shape shape) {
        return Format.of(shape).named(of(shape));
    }

    /** Whether a format's name says its shape already: it is the shape, or what a paper of that shape is called. */
    public static boolean isSaidByName(Format format) {
        Optional<Shape> paper = Preset.named(format.name())
                .map(Preset::format)
                .filter(preset -> preset.target() instanceof SizeTarget.Print)
                .map(Format::shape);
        try {
            return paper.orElseGet(() -> parse(format.name())).equals(format.shape());
        } catch (IllegalArgumentException another) { // most names are words
            return false;
        }
    }
}
