package nexa.desktop.stage;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.Scene;
import nexa.desktop.paint.Surround;
import nexa.shoot.Preferences;

/** The grey that surrounds photos, as the user left it; all of the window goes with it. */
public final class SurroundChoice {
    private static final String SETTING = "surround";

    private final Node root;
    private final Preferences preferences;
    private final ObjectProperty<Surround> surround;

    /** @param root gets the stylesheet's class for it */
    public SurroundChoice(Node root, Preferences preferences) {
        this.root = root;
        this.preferences = preferences;
        this.surround = new SimpleObjectProperty<>(
                preferences.get(SETTING).map(Surround::named).orElse(Surround.LIGHT));
        surround.subscribe((before, now) -> root.getStyleClass().remove(before.styleClass()));
        surround.subscribe(now -> root.getStyleClass().add(now.styleClass()));
    }

    /** The scene's own ground: it is laid at every frame, and one of the root's would be laid over it. */
    public void fill(Scene scene) {
        scene.fillProperty().bind(surround.map(Surround::colour));
    }

    public void next() {
        surround.set(surround.get().next());
        preferences.put(SETTING, surround.get().name());
    }
}
