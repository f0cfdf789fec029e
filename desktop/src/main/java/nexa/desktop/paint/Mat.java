package nexa.desktop.paint;

import javafx.scene.paint.Color;

/** The veil over what a frame leaves out. */
public enum Mat {
    LIGHT(Color.gray(0.97, 0.74)),
    DARK(Color.gray(0.13, 0.62)),
    /** For many photos side by side, where light and dark mats in turn would be restless. */
    WALL(Color.gray(0.93, 0.70));

    /** Photos brighter than this, of 1, get the dark mat: on them a light one hardly shows. */
    private static final double BRIGHT = 0.55;

    private final Color colour;

    Mat(Color colour) {
        this.colour = colour;
    }

    public Color colour() {
        return colour;
    }

    public static Mat forBrightness(double brightness) {
        return brightness > BRIGHT ? DARK : LIGHT;
    }
}
