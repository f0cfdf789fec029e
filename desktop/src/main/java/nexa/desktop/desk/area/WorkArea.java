package nexa.desktop.desk.area;

import javafx.scene.layout.HBox;

/** What the desk shows for one of the Bench's modes. */
abstract class WorkArea extends HBox {
    WorkArea(double spacing) {
        super(spacing);
    }

    /** It will not show any more. */
    abstract void dispose();
}
