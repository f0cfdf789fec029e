package nexa.desktop.bench.gesture;

import java.util.Optional;
import java.util.function.DoubleSupplier;
import javafx.scene.Cursor;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.gesture.Grip;
import nexa.core.space.PhotoSpace;

/** What the pointer would do, as a cursor. */
public final class Cursors {
    /** Outside the frame a drag turns the photo. */
    private static final Cursor TILT = Cursor.OPEN_HAND;

    private Cursors() {}

    /** @param reach how near to a side is on it, in long edges */
    public static Cursor trimming(Optional<PhotoSpace> space, Optional<Point> pointer, DoubleSupplier reach) {
        return space.flatMap(of -> pointer.flatMap(at -> BenchGesture.MoveTrimSide.at(of, at, reach.getAsDouble())))
                .map(side -> side.isAcross() ? Cursor.H_RESIZE : Cursor.V_RESIZE)
                .orElse(Cursor.DEFAULT);
    }

    /** @param reach the same for a frame's sides and corners */
    public static Cursor framing(Optional<Frame> frame, Optional<Point> pointer, DoubleSupplier reach) {
        return pointer.isEmpty() || frame.isEmpty()
                ? Cursor.DEFAULT
                : Grip.at(frame.get(), pointer.get(), reach.getAsDouble())
                        .map(Cursors::of)
                        .orElse(TILT);
    }

    private static Cursor of(Grip grip) {
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
