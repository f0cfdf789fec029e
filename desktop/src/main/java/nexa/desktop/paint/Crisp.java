package nexa.desktop.paint;

/**
 * Puts lines along the canvas on whole screen pixels, so that they are sharp at any display scale; none moves by more
 * than half a pixel.
 *
 * @param scale screen pixels per canvas unit
 */
public record Crisp(double scale) {

    /** A line's width as whole screen pixels, at least one, in canvas units. */
    public double width(double wanted) {
        return pixels(wanted) / scale;
    }

    /** Where the middle of a line that wide goes, in canvas units. */
    public double place(double wanted, double width) {
        boolean odd = pixels(width) % 2 == 1;
        double exact = wanted * scale;
        return (odd ? Math.floor(exact) + 0.5 : Math.round(exact)) / scale;
    }

    private long pixels(double width) {
        return Math.max(1, Math.round(width * scale));
    }
}
