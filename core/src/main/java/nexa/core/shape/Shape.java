package nexa.core.shape;

import java.util.Locale;
import nexa.core.told.InvalidException;

/** An aspect ratio, or the freedom from one. */
public sealed interface Shape {

    /** Any ratio; each frame keeps its own. */
    record Free() implements Shape {}

    /** The upright photo's own ratio. */
    record AsPhoto() implements Shape {}

    /**
     * Width to height, reduced: {@code 6:4} equals {@code 3:2}.
     *
     * @throws IllegalArgumentException if a side is below 1 or the ratio is beyond {@link #EXTREME}
     */
    record Ratio(long width, long height) implements Shape {
        /** No paper, screen or banner is longer than 100:1. */
        public static final int EXTREME = 100;

        public Ratio {
            if (width < 1 || height < 1) {
                throw new InvalidException("told.shape.ratio-positive-sides-not", width, height);
            }
            if (Math.max(width, height) / Math.min(width, height) > EXTREME) {
                throw new InvalidException("told.shape.ratio-most-not", EXTREME, width, height);
            }
            long divisor = gcd(width, height);
            width /= divisor;
            height /= divisor;
        }

        public double aspect() {
            return (double) width / height;
        }

        public Ratio turned() {
            return new Ratio(height, width);
        }

        private static long gcd(long a, long b) {
            return b == 0 ? a : gcd(b, a % b);
        }
    }

    Shape FREE = new Free();
    Shape AS_PHOTO = new AsPhoto();

    /**
     * Reads {@code 4:5}, {@code 4x5}, {@code 1.91:1}, {@code 1,91:1}, {@code 1080 x 1350 px}, {@code 20x30 cm}, {@code 8in x 10in},
     * {@code free} or {@code as photo}. An inch is 25.4 mm.
     *
     * @throws IllegalArgumentException with words for the user if the text is none of these
     */
    static Shape parse(String text) {
        String trimmed = text.strip().toLowerCase(Locale.ROOT);
        if (trimmed.equals("free")) {
            return FREE;
        }
        if (trimmed.matches("as[ -]photo")) {
            return AS_PHOTO;
        }
        Ratio ratio = Sides.parse(trimmed);
        if (ratio == null) {
            throw new InvalidException("told.shape.not-shape-write-width-height", text.strip());
        }
        return ratio;
    }

    /** The text that {@link #parse} reads back. */
    default String text() {
        return switch (this) {
            case Free() -> "free";
            case AsPhoto() -> "as photo";
            case Ratio(long width, long height) -> width + ":" + height;
        };
    }
}
