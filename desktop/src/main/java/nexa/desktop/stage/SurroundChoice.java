package nexa.desktop.stage;

import javafx.scene.Node;
import nexa.desktop.paint.Surround;
import nexa.shoot.Preferences;

/** The grey that surrounds photos, as the user left it; all of the window goes with it. */
public final class SurroundChoice {
    private static final String SETTING = "surround";

    private final Node root;
    private final Preferences preferences;
    private Surround surround;

    /** @param root gets the stylesheet's class for it */
    public SurroundChoice(Node root, Preferences preferences) {
        this.root = root;
        this.preferences = preferences;
        this.surround = preferences.get(SETTING).map(Surround::named).orElse(Surround.LIGHT);
        root.getStyleClass().add(surround.styleClass());
    }

    public void next() {
        root.getStyleClass().remove(surround.styleClass());
        surround = surround.next();
        root.getStyleClass().add(surround.styleClass());
        preferences.put(SETTING, surround.name());
    }
}
