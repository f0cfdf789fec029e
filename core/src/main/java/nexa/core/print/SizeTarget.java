package nexa.core.print;

import java.util.Locale;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.told.InvalidException;

/** How large a format is delivered. Sides are laid as the frame lies. */
public sealed interface SizeTarget {
    int MOST_PIXELS = 60_000;
    double MOST_MILLIMETRES = 10_000;
    double MOST_PPI = 2400;
    double MILLIMETRES_PER_INCH = 25.4;

    /** The frame's own pixels. */
    record None() implements SizeTarget {}

    /** Exactly so many pixels, as far as the frame has the shape; else inside them. */
    record Pixels(int width, int height) implements SizeTarget {
        public Pixels {
            requireSide(width, MOST_PIXELS, "pixels");
            requireSide(height, MOST_PIXELS, "pixels");
        }
    }

    record LongEdge(int pixels) implements SizeTarget {
        public LongEdge {
            requireSide(pixels, MOST_PIXELS, "pixels");
        }
    }

    record ShortEdge(int pixels) implements SizeTarget {
        public ShortEdge {
            requireSide(pixels, MOST_PIXELS, "pixels");
        }
    }

    /** A print of so many millimetres, to the nearest thousandth. */
    record Print(double width, double height, double ppi) implements SizeTarget {
        public Print {
            requireSide(width, MOST_MILLIMETRES, "mm");
            requireSide(height, MOST_MILLIMETRES, "mm");
            requireSide(ppi, MOST_PPI, "ppi");
            width = rounded(width);
            height = rounded(height);
        }
    }

    SizeTarget NONE = new None();

    private static void requireSide(double value, double most, String unit) {
        if (!(value > 0 && value <= most)) {
            throw new InvalidException("told.print.size-at-most", most, unit);
        }
    }

    /** So that inches are whole thousandths too, and read back as they are written. */
    private static double rounded(double millimetres) {
        return Math.max(1, Math.round(millimetres * 1000)) / 1000.0;
    }

    // ---- what it asks for ----

    /** The pixels asked for; empty if the frame's own will do. */
    default Optional<PixelSize> asked(Frame frame) {
        return switch (this) {
            case None() -> Optional.empty();
            case LongEdge(int pixels) -> Optional.of(OutputSize.ofLongEdge(pixels, frame.aspect()));
            case ShortEdge(int pixels) -> Optional.of(OutputSize.ofShortEdge(pixels, frame.aspect()));
            case Pixels(int width, int height) -> Optional.of(OutputSize.inside(width, height, frame.aspect()));
            case Print(double width, double height, double ppi) ->
                Optional.of(OutputSize.inside(pixels(width, ppi), pixels(height, ppi), frame.aspect()));
        };
    }

    private static int pixels(double millimetres, double ppi) {
        return (int) Math.max(1, Math.round(millimetres / MILLIMETRES_PER_INCH * ppi));
    }

    /** Whether the frame has fewer pixels than are asked for. */
    default boolean lacksPixels(Frame frame, PixelSize photo) {
        return asked(frame)
                .filter(size -> OutputSize.natural(frame, photo).longEdge() < size.longEdge())
                .isPresent();
    }

    /** Pixels asked for to the frame's own along a side; below 1 if it has more than are asked for. */
    default double enlargement(Frame frame, PixelSize photo) {
        return asked(frame)
                .map(size -> (double) size.longEdge()
                        / OutputSize.natural(frame, photo).longEdge())
                .orElse(1.0);
    }

    /** The delivered size: what is asked for, or the frame's own pixels where it has fewer. Never enlarges. */
    default PixelSize output(Frame frame, PixelSize photo) {
        return output(frame, photo, 1);
    }

    /**
     * The delivered size: what is asked for, or as near to it as the frame's own pixels may be enlarged.
     *
     * @param most delivered pixels to the frame's own along a side; 1 = never enlarges
     */
    default PixelSize output(Frame frame, PixelSize photo, double most) {
        PixelSize natural = OutputSize.natural(frame, photo);
        return asked(frame)
                .map(size -> size.longEdge() <= Math.max(natural.longEdge(), most * natural.longEdge())
                        ? size
                        : OutputSize.enlarged(natural, frame.aspect(), most))
                .orElse(natural);
    }

    // ---- as text ----

    /** The text that {@link #parse} reads back. */
    default String text() {
        return switch (this) {
            case None() -> "none";
            case Pixels(int width, int height) -> width + " x " + height + " px";
            case LongEdge(int pixels) -> "long edge " + pixels + " px";
            case ShortEdge(int pixels) -> "short edge " + pixels + " px";
            case Print(double width, double height, double ppi) ->
                plain(width) + " x " + plain(height) + " mm at " + plain(ppi) + " ppi";
        };
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    /**
     * Reads {@code 1080 x 1350 px}, {@code long edge 2048}, {@code short edge 1080 px}, {@code 20 x 30 cm at 300 ppi},
     * {@code 8 x 10 in} (300 ppi) or {@code none}.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    static SizeTarget parse(String text) {
        return TargetText.parse(text.strip().toLowerCase(Locale.ROOT));
    }
}
