package nexa.desktop.paint;

import javafx.scene.paint.Color;

/** Colours that canvases share with the stylesheet. */
public final class Palette {
    /** The one accent, for what is active; {@code -nx-accent} in nexa.css. */
    public static final Color ACCENT = Color.web("#8a2a5b");

    private Palette() {}
}
