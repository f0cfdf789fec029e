package nexa.desktop.paint;

import javafx.scene.paint.Color;

/**
 * What overlay lines are drawn with: a line on a halo of the opposite brightness, seen on any photo.
 *
 * @param width of the line in canvas units; the halo is wider
 */
public record Ink(Color line, Color halo, double width) {
    private static final double HALO_OPACITY = 0.45;
    private static final double HALO_WIDER = 1.8;

    public static final Ink USUAL = of(Color.WHITE, 0.95, 1.2);

    /** @param strength opacity of the line */
    public static Ink of(Color colour, double strength, double width) {
        boolean light = 0.2126 * colour.getRed() + 0.7152 * colour.getGreen() + 0.0722 * colour.getBlue() > 0.4;
        return new Ink(
                colour.deriveColor(0, 1, 1, strength), Color.gray(light ? 0 : 1, HALO_OPACITY * strength), width);
    }

    double haloWidth() {
        return width + HALO_WIDER;
    }
}
