package nexa.desktop.paint;

import javafx.scene.paint.Color;

/** Colours that canvases share with the stylesheet. */
public final class Palette {
    /** The one accent, for what is active; {@code -nx-accent} in nexa.css. */
    public static final Color ACCENT = Color.web("#8a2a5b");

    /** Where a photo is still to come: seen on every surround, and never bright in a dark room. */
    public static final Color WAITING = Color.gray(0.3, 0.2);

    private Palette() {}
}
