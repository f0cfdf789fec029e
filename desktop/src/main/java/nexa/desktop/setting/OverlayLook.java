package nexa.desktop.setting;

/**
 * How overlay lines are drawn.
 *
 * @param strength opacity, 0.1 to 1
 * @param thickness in pixels, 0.5 to 4
 */
public record OverlayLook(Ink ink, double strength, double thickness) {
    public static final OverlayLook DEFAULT = new OverlayLook(Ink.AUTO, 0.95, 1.2);

    /** The colour of the lines; each has a halo of the opposite brightness. */
    public enum Ink {
        /** White on dark photos, black on bright ones. */
        AUTO,
        WHITE,
        BLACK,
        YELLOW,
        RED,
        BLUE
    }

    /** Values out of range come to the nearest in range. */
    public OverlayLook {
        strength = Math.clamp(strength, 0.1, 1);
        thickness = Math.clamp(thickness, 0.5, 4);
    }

    public OverlayLook withInk(Ink other) {
        return new OverlayLook(other, strength, thickness);
    }

    public OverlayLook withStrength(double other) {
        return new OverlayLook(ink, other, thickness);
    }

    public OverlayLook withThickness(double other) {
        return new OverlayLook(ink, strength, other);
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        return ink + " " + strength + " " + thickness;
    }

    /** @throws IllegalArgumentException if the text is of another version */
    public static OverlayLook parse(String text) {
        String[] parts = text.split(" ");
        if (parts.length != 3) {
            throw new IllegalArgumentException(text);
        }
        return new OverlayLook(Ink.valueOf(parts[0]), Kept.number(parts[1]), Kept.number(parts[2]));
    }
}
