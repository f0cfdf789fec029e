package nexa.desktop.stage;

import javafx.scene.Scene;
import javafx.scene.input.MouseEvent;

/**
 * Keeps drags from what never saw them begin: a press that closed a menu is the menu's alone, and what is under it would be
 * pulled along, or fail as the toolkit's sliders do.
 */
public final class BegunDrags {
    private boolean begun;

    private BegunDrags() {}

    public static void guard(Scene scene) {
        BegunDrags drags = new BegunDrags();
        scene.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> drags.begun = true);
        scene.addEventFilter(MouseEvent.MOUSE_DRAGGED, drags::dragged);
        scene.addEventFilter(MouseEvent.DRAG_DETECTED, drags::dragged);
        scene.addEventFilter(MouseEvent.MOUSE_RELEASED, drags::released);
    }

    private void released(MouseEvent event) {
        begun = event.isPrimaryButtonDown() || event.isSecondaryButtonDown() || event.isMiddleButtonDown();
    }

    private void dragged(MouseEvent event) {
        if (!begun) {
            event.consume();
        }
    }
}
