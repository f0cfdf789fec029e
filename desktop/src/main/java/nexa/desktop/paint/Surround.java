package nexa.desktop.paint;

import java.util.Arrays;
import javafx.scene.paint.Color;

/** The grey around photos; never tinted, so that it does not sway the eye. */
public enum Surround {
    LIGHT(0.91),
    GREY(0.50),
    DARK(0.16);

    private final Color colour;

    Surround(double grey) {
        colour = Color.gray(grey);
    }

    public Color colour() {
        return colour;
    }

    public Surround next() {
        return values()[(ordinal() + 1) % values().length];
    }

    /** By its name; one that a later version has gives the light one. */
    public static Surround named(String name) {
        return Arrays.stream(values())
                .filter(surround -> surround.name().equals(name))
                .findFirst()
                .orElse(LIGHT);
    }

    /** The stylesheet class that goes with it. */
    public String styleClass() {
        return "surround-" + name().toLowerCase(java.util.Locale.ROOT);
    }
}
