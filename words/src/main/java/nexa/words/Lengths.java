package nexa.words;

import java.util.Locale;
import java.util.function.Supplier;
import nexa.core.exact.Unit;
import nexa.core.print.SizeTarget;
import org.jspecify.annotations.Nullable;

/** Lengths on paper as the user measures. */
public final class Lengths {
    private static Supplier<PrintUnit> setting = () -> PrintUnit.AS_SYSTEM;
    private static @Nullable Unit known;

    private Lengths() {}

    /** Sets where the user's unit is known from; asked when the first length is said. */
    public static synchronized void measure(Supplier<PrintUnit> unit) {
        setting = unit;
        known = null;
    }

    /** Centimetres or inches. */
    static synchronized Unit unit() {
        Unit unit = known == null ? setting.get().in(Locale.getDefault().getCountry()) : known;
        known = unit;
        return unit;
    }

    /** Such as {@code 30.5 × 20.3 cm}, of millimetres. */
    public static String size(double width, double height) {
        Unit unit = unit();
        return Words.of("length.size", tenths(in(unit, width)), tenths(in(unit, height)), Words.of("unit", unit));
    }

    private static String tenths(double value) {
        return Words.number("%.1f", value);
    }

    /** A distance to the nearest whole unit, such as {@code 30 cm}. */
    public static String about(double millimetres) {
        Unit unit = unit();
        return Words.of("length", Math.round(in(unit, millimetres)), Words.of("unit", unit));
    }

    /** Millimetres in another unit. */
    static double in(Unit unit, double millimetres) {
        return millimetres / millimetres(unit);
    }

    /** How many millimetres one of a unit is. */
    static double millimetres(Unit unit) {
        return unit.pixels(SizeTarget.MILLIMETRES_PER_INCH, 0); // as many pixels as millimetres
    }
}
