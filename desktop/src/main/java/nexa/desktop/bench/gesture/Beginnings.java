package nexa.desktop.bench.gesture;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.gesture.FrameDrag;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.gesture.FrameDraw;
import nexa.core.gesture.Grip;
import nexa.core.gesture.Snap;
import nexa.core.overlay.Nested;
import nexa.core.overlay.Overlay;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.desktop.session.Session;

/** How gestures of the Bench begin: what a pointer takes hold of. */
public final class Beginnings {
    private Beginnings() {}

    /** A side of what counts as photo; elsewhere a band is drawn across. */
    public static BenchGesture trimming(PhotoSpace space, Point pointer, double reach) {
        return BenchGesture.MoveTrimSide.at(space, pointer, reach)
                .map(BenchGesture.class::cast)
                .orElseGet(() -> new BenchGesture.DrawBand(space, pointer, pointer));
    }

    /**
     * Takes hold of a mark, or begins to draw new ones.
     *
     * @param reach how near to a mark means it, in long edges
     */
    public static BenchGesture marks(Session session, Point pointer, double reach) {
        PhotoSpace space = session.space().orElseThrow();
        List<Point> marks = session.framing().marks().in(space);
        for (int i = 0; i < marks.size(); i++) {
            if (marks.get(i).distance(pointer) <= reach) {
                return new BenchGesture.MoveMark(space, marks, i);
            }
        }
        return new BenchGesture.DrawMarks(space, pointer);
    }

    /**
     * A drag of a frame keeps its shape if it is held to one.
     *
     * @param reach how near snapping lines are, in long edges
     */
    public static BenchGesture.MoveFrame moveFrame(
            Session session, Frame frame, Grip grip, Point pointer, double reach, boolean photoMoves) {
        Hold hold = session.frameEdits().isFree() ? Hold.NOTHING : Hold.SHAPE;
        PhotoSpace space = session.space().orElseThrow();
        FrameDrag drag = new FrameDrag(session.frameEdits().room().orElseThrow(), frame, grip, pointer, hold);
        return new BenchGesture.MoveFrame(
                drag,
                Snap.of(space.outline(), session.framing().marks().in(space), reach),
                photoMoves && grip == Grip.INSIDE);
    }

    /** A new frame from a point of level space, in the shape that is held if one is. */
    public static BenchGesture.DrawFrame drawFrame(Session session, Point pointer) {
        OptionalDouble aspect = session.frameEdits().isFree()
                ? OptionalDouble.empty()
                : OptionalDouble.of(session.frame().orElseThrow().aspect());
        return new BenchGesture.DrawFrame(
                new FrameDraw(session.frameEdits().room().orElseThrow(), pointer, aspect));
    }

    /**
     * The nested outline at a point of level space that a click would make the frame's shape; none where the frame itself
     * can be held, or where none shows.
     *
     * @param reach within which the frame is held
     * @param outlineReach within which an outline is meant
     */
    public static Optional<Shape.Ratio> nested(Session session, Point level, double reach, double outlineReach) {
        boolean shows = session.overlayProperty()
                .get()
                .overlay()
                .filter(Overlay.NESTED::equals)
                .isPresent();
        return session.frame().filter(frame -> shows).flatMap(frame -> {
            boolean onFrame = Grip.at(frame, level, reach)
                    .filter(grip -> grip != Grip.INSIDE)
                    .isPresent();
            return onFrame
                    ? Optional.empty()
                    : Nested.at(
                            frame,
                            session.settings().overlayOptionsProperty().get().nested(),
                            level,
                            outlineReach);
        });
    }
}
