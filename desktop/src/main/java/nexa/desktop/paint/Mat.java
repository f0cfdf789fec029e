package nexa.desktop.paint;

import javafx.scene.paint.Color;

/** The veil over what a frame leaves out. */
public enum Mat {
    LIGHT(0.97),
    DARK(0.13);

    /** Photos brighter than this, of 1, get the dark mat: on them a light one hardly shows. */
    private static final double BRIGHT = 0.55;

    private final double grey;

    Mat(double grey) {
        this.grey = grey;
    }

    /** @param strength 0 = clear, 1 = opaque */
    public Color colour(double strength) {
        return Color.gray(grey, strength);
    }

    public static Mat forBrightness(double brightness) {
        return isBright(brightness) ? DARK : LIGHT;
    }

    /** @param brightness a photo's mean, 0 = black, 1 = white */
    public static boolean isBright(double brightness) {
        return brightness > BRIGHT;
    }
}
