package nexa.desktop.bench;

import javafx.scene.Cursor;
import nexa.core.gesture.Grip;

/** What the pointer would do, as a cursor. */
final class Cursors {
    /** Outside the frame a drag turns the photo. */
    static final Cursor TILT = Cursor.OPEN_HAND;

    private Cursors() {}

    static Cursor of(Grip grip) {
        return switch (grip) {
            case TOP_LEFT -> Cursor.NW_RESIZE;
            case TOP_RIGHT -> Cursor.NE_RESIZE;
            case BOTTOM_RIGHT -> Cursor.SE_RESIZE;
            case BOTTOM_LEFT -> Cursor.SW_RESIZE;
            case TOP, BOTTOM -> Cursor.V_RESIZE;
            case LEFT, RIGHT -> Cursor.H_RESIZE;
            case INSIDE -> Cursor.MOVE;
        };
    }
}
