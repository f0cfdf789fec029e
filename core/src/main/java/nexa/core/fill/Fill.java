package nexa.core.fill;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.told.InvalidException;

/** What goes where a frame shows no photo. */
public sealed interface Fill {
    Fill WHITE = new Colour(255, 255, 255);

    /**
     * One colour.
     *
     * @param red of sRGB, 0 to 255
     * @param green of sRGB, 0 to 255
     * @param blue of sRGB, 0 to 255
     */
    record Colour(int red, int green, int blue) implements Fill {
        public Colour {
            if (Math.min(red, Math.min(green, blue)) < 0 || Math.max(red, Math.max(green, blue)) > 255) {
                throw new InvalidException("told.fill.no-fill", red + ", " + green + ", " + blue);
            }
        }

        @Override
        public String text() {
            return equals(WHITE) ? "white" : String.format(Locale.ROOT, "#%02x%02x%02x", red, green, blue);
        }
    }

    /** Nothing, where a file can hold that; else white. */
    record Transparent() implements Fill {
        @Override
        public String text() {
            return "transparent";
        }
    }

    /** The photo as a mirror at its edge shows it. */
    record Mirror() implements Fill {
        @Override
        public String text() {
            return "mirror";
        }
    }

    /**
     * A strip of the photo along its edge, pulled out as far as the frame goes.
     *
     * @param reach of the strip into the photo, as a share of the frame's long side, in thousandths
     */
    record Stretch(double reach) implements Fill {
        public static final double USUAL = 0.1;
        public static final double MOST = 0.5;

        public Stretch {
            if (!(reach >= 0.005 && reach <= MOST)) {
                throw new InvalidException("told.fill.no-fill", reach);
            }
            reach = Math.round(1000 * reach) / 1000.0; // as it is written
        }

        @Override
        public String text() {
            return reach == USUAL ? "stretch" : "stretch " + Math.round(1000 * reach) / 10.0 + " %";
        }
    }

    /** The photo's surroundings, blurred. */
    record Blurred() implements Fill {
        @Override
        public String text() {
            return "blur";
        }
    }

    /** Pieces of the photo that go on what is at its edge. */
    record Surroundings() implements Fill {
        @Override
        public String text() {
            return "surroundings";
        }
    }

    /** As {@link #parse} reads it. */
    String text();

    /** Whether the photo's own pixels are used. */
    default boolean isOfPhoto() {
        return !(this instanceof Colour || this instanceof Transparent);
    }

    Pattern HEX = Pattern.compile("#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})");
    Pattern STRETCH = Pattern.compile("stretch(?: (\\d{1,2}(?:\\.\\d)?) ?%)?");

    /** @throws IllegalArgumentException with words for the user if it is no fill */
    static Fill parse(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        Matcher hex = HEX.matcher(plain);
        if (hex.matches()) {
            return new Colour(
                    Integer.parseInt(hex.group(1), 16),
                    Integer.parseInt(hex.group(2), 16),
                    Integer.parseInt(hex.group(3), 16));
        }
        Matcher stretch = STRETCH.matcher(plain);
        if (stretch.matches()) {
            return new Stretch(stretch.group(1) == null ? Stretch.USUAL : Double.parseDouble(stretch.group(1)) / 100);
        }
        return switch (plain) {
            case "white" -> WHITE;
            case "transparent" -> new Transparent();
            case "mirror" -> new Mirror();
            case "blur" -> new Blurred();
            case "surroundings" -> new Surroundings();
            default -> throw new InvalidException("told.fill.no-fill", text);
        };
    }
}
