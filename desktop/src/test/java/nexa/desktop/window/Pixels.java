package nexa.desktop.window;

import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import nexa.desktop.paint.Palette;

/** What is counted in pictures of the window. */
public final class Pixels {
    private Pixels() {}

    /** Pixels in the accent colour. */
    public static int accented(Image picture) {
        int count = 0;
        for (int y = 0; y < picture.getHeight(); y++) {
            for (int x = 0; x < picture.getWidth(); x++) {
                Color colour = picture.getPixelReader().getColor(x, y);
                count +=
                        Math.abs(colour.getHue() - Palette.ACCENT.getHue()) < 6 && colour.getSaturation() > 0.5 ? 1 : 0;
            }
        }
        return count;
    }
}
