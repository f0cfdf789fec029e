package nexa.words;

import java.util.List;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.shape.Shape;

/** Shapes as they are said and typed in the user's language; what is stored and exchanged is {@link Shape#text}. */
public final class ShapeWords {
    /** Nobody knows a ratio of whole numbers beyond this by them, but many by a decimal. */
    private static final int WELL_KNOWN = 20;

    private static final int HUNDREDTHS = 100;

    private ShapeWords() {}

    /** Such as 4:5, 1.91:1 or <em>as photo</em>. */
    public static String of(Shape shape) {
        return switch (shape) {
            case Shape.Free() -> Words.of("shape.free");
            case Shape.AsPhoto() -> Words.of("shape.as-photo");
            case Shape.Ratio ratio -> said(ratio);
        };
    }

    private static String said(Shape.Ratio ratio) {
        long shorter = Math.min(ratio.width(), ratio.height());
        long longer = Math.max(ratio.width(), ratio.height());
        if (longer <= WELL_KNOWN || shorter == 1 || longer * HUNDREDTHS % shorter != 0) {
            return ratio.text();
        }
        boolean tenths = longer * HUNDREDTHS / shorter % 10 == 0;
        String decimal = Words.number(tenths ? "%.1f" : "%.2f", (double) longer / shorter);
        return ratio.width() > ratio.height() ? decimal + ":1" : "1:" + decimal;
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

    /**
     * Reads several, as {@link Shape#parseAll} does.
     *
     * @throws IllegalArgumentException with words for the user if one of them is none
     */
    public static List<Shape> parseAll(String text) {
        return Shape.SEPARATOR
                .splitAsStream(text.strip())
                .map(ShapeWords::parse)
                .toList();
    }

    /** A new format that is named by its shape. */
    public static Format format(Shape shape) {
        return Format.of(shape).named(of(shape));
    }

    /** Whether a format's name says its shape already. */
    public static boolean isSaidByName(Format format) {
        try {
            return parse(format.name()).equals(format.shape());
        } catch (IllegalArgumentException another) { // most names are words
            return false;
        }
    }
}
