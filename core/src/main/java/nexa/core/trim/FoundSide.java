package nexa.core.trim;

/**
 * A border at one side, and what speaks for it.
 *
 * @param depth of the border in the photo's pixels, in the middle of the side
 * @param red 0 to 255, the border's colour; of no use if it is transparent
 * @param green 0 to 255
 * @param blue 0 to 255
 * @param opacity 0 to 255
 * @param unevenness how much its pixels differ from that colour: a standard deviation in steps of 255
 * @param straight share of the side where the border ends on the line found
 * @param soft whether it ends over several pixels
 */
public record FoundSide(
        double depth, int red, int green, int blue, int opacity, double unevenness, double straight, boolean soft) {

    /** Blacker or whiter than this, in steps of 255, is black or white. */
    private static final int NEARLY = 24;

    public boolean isTransparent() {
        return opacity < 128;
    }

    public boolean isBlack() {
        return Math.max(red, Math.max(green, blue)) <= NEARLY;
    }

    public boolean isWhite() {
        return Math.min(red, Math.min(green, blue)) >= 255 - NEARLY;
    }

    /** Whether it is of a colour that borders mostly have. */
    public boolean isUsual() {
        return isTransparent() || isBlack() || isWhite();
    }
}
