package nexa.desktop.bench.gesture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.gesture.FrameDrag;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.gesture.FrameDrag.Pivot;
import nexa.core.gesture.FrameDraw;
import nexa.core.gesture.Snap;
import nexa.core.gesture.TiltDrag;
import nexa.core.level.LevelLine;
import nexa.core.space.PhotoSpace;
import nexa.core.trim.Bands;
import nexa.core.trim.Side;
import nexa.core.trim.Trim;
import nexa.desktop.model.Marking;
import nexa.desktop.repair.Touch;
import nexa.desktop.session.Session;

/** What a pressed pointer does in the Bench, from press to release. Points are in level space at the press. */
public sealed interface BenchGesture {
    /**
     * What is held while dragging.
     *
     * @param shape keep the shape of a free frame
     * @param centre resize about the centre
     * @param snapping let lines catch the frame
     */
    record Held(boolean shape, boolean centre, boolean snapping) {}

    /** What to show for a pointer position: the framing, and the lines it caught. */
    record Shown(Framing framing, OptionalDouble caughtX, OptionalDouble caughtY) {
        static Shown of(Framing framing) {
            return new Shown(framing, OptionalDouble.empty(), OptionalDouble.empty());
        }
    }

    Shown at(Session session, Point pointer, Held held);

    /** The name of the edit. */
    String label();

    /**
     * Moves the frame, one of its sides or a corner; or the photo under the frame.
     *
     * @param drag begun with what the format holds
     * @param photoMoves whether the photo goes with the pointer and the frame the other way
     */
    record MoveFrame(FrameDrag drag, Snap snap, boolean photoMoves) implements BenchGesture {
        @Override
        public Shown at(Session session, Point pointer, Held held) {
            Point mirrored = drag.from().times(2).minus(pointer);
            Snap.Caught caught =
                    (held.snapping() ? snap : Snap.NONE).drag(dragged(held), photoMoves ? mirrored : pointer);
            return new Shown(session.gestures().placed(caught.frame()), caught.x(), caught.y());
        }

        private FrameDrag dragged(Held held) {
            Hold hold = held.shape() ? Hold.SHAPE : drag.hold();
            Pivot pivot = held.centre() ? Pivot.CENTRE : Pivot.OPPOSITE;
            return new FrameDrag(drag.room(), drag.start(), drag.grip(), drag.from(), hold, pivot);
        }

        @Override
        public String label() {
            return "edit.frame";
        }
    }

    /** Draws a new frame. */
    record DrawFrame(FrameDraw draw) implements BenchGesture {
        @Override
        public Shown at(Session session, Point pointer, Held held) {
            return Shown.of(draw.to(pointer).map(session.gestures()::placed).orElse(session.framing()));
        }

        @Override
        public String label() {
            return "edit.draw";
        }
    }

    /** Turns the photo about its centre. */
    record TurnPhoto(TiltDrag drag) implements BenchGesture {
        @Override
        public Shown at(Session session, Point pointer, Held held) {
            Tilt tilt = drag.to(pointer);
            return Shown.of(session.poseEdits().tilted(new Tilt(Math.round(tilt.degrees() * 100) / 100.0)));
        }

        @Override
        public String label() {
            return "edit.tilt";
        }
    }

    /** A line that grows while the photo stays as it is; what it is for follows on release. */
    sealed interface Drawn extends BenchGesture {
        /** With the pointer farther on. */
        Drawn extended(Point pointer);

        @Override
        default Shown at(Session session, Point pointer, Held held) {
            return Shown.of(session.framing());
        }
    }

    /** Drawn while the photo stays as it is; the tilt follows on release. */
    record DrawLevel(PhotoSpace space, Point from, Point to) implements Drawn {
        @Override
        public DrawLevel extended(Point pointer) {
            return new DrawLevel(space, from, pointer);
        }

        /** The line in upright pixels; empty while it has no length. */
        public Optional<LevelLine> line() {
            return LevelLine.between(space.toUpright(from), space.toUpright(to));
        }

        @Override
        public String label() {
            return "edit.level";
        }
    }

    /** Drawn along something upright or level, while the photo stays as it is; it stands up on release. */
    record DrawPlumb(PhotoSpace space, Point from, Point to) implements Drawn {
        @Override
        public DrawPlumb extended(Point pointer) {
            return new DrawPlumb(space, from, pointer);
        }

        @Override
        public String label() {
            return "edit.plumb";
        }
    }

    /** Drawn across a band, from one of its sides to the other; it closes up on release. */
    record DrawBand(PhotoSpace space, Point from, Point to) implements Drawn {
        @Override
        public DrawBand extended(Point pointer) {
            return new DrawBand(space, from, pointer);
        }

        /** What it goes across, as shot; empty while it has no length. */
        public Optional<Bands.Band> band() {
            return Bands.between(space.asShot(), space.toAsShot(from), space.toAsShot(to));
        }

        @Override
        public String label() {
            return "edit.bands";
        }
    }

    /** Drawn freely along something straight that the lens bends; the bend follows on release. */
    record DrawEdge(PhotoSpace space, List<Point> points) implements Drawn {
        public DrawEdge {
            points = List.copyOf(points);
        }

        @Override
        public DrawEdge extended(Point pointer) {
            List<Point> longer = new ArrayList<>(points);
            longer.add(pointer);
            return new DrawEdge(space, longer);
        }

        @Override
        public String label() {
            return "edit.lens";
        }
    }

    /** Moves a side of what counts as photo; at the photo's own edge there is no border. */
    record MoveTrimSide(PhotoSpace space, Side side) implements BenchGesture {
        /** So near to the photo's edge, in long edges, is at it. */
        private static final double AT_EDGE = 0.001;

        @Override
        public Shown at(Session session, Point pointer, Held held) {
            Trim trim = space.pose().trim();
            Point own = trim.onAxes(space.toAsShot(pointer));
            double place = side.isUpright() ? own.x() : own.y();
            Frame whole = Trim.NONE.within(space.asShot());
            double edge = Math.abs(side.isUpright() ? whole.right() : whole.bottom());
            boolean out = (side.isFar() ? place : -place) > edge - AT_EDGE;
            Trim moved = trim.with(side, out ? Trim.NONE.place(side) : place);
            Framing framing = session.framing();
            return Shown.of(framing.withPose(framing.pose().withTrim(moved)));
        }

        @Override
        public String label() {
            return "edit.trim";
        }

        /** Whether it goes from left to right on the photo as it is turned. */
        boolean isAcross() {
            return side.isUpright() != space.pose().turn().swapsSides();
        }

        /**
         * The side that a pointer takes hold of.
         *
         * @param reach how near to it, in long edges
         */
        static Optional<MoveTrimSide> at(PhotoSpace space, Point pointer, double reach) {
            Trim trim = space.pose().trim();
            Frame kept = trim.within(space.asShot());
            Point own = trim.onAxes(space.toAsShot(pointer));
            Frame grown = Frame.around(kept.centre(), kept.width() + 2 * reach, kept.height() + 2 * reach);
            return Stream.of(Side.values())
                    .filter(side -> grown.contains(own) && off(kept, own, side) <= reach)
                    .min(Comparator.comparingDouble(side -> off(kept, own, side)))
                    .map(side -> new MoveTrimSide(space, side));
        }

        private static double off(Frame kept, Point own, Side side) {
            return Math.abs(
                    switch (side) {
                        case LEFT -> own.x() - kept.left();
                        case TOP -> own.y() - kept.top();
                        case RIGHT -> own.x() - kept.right();
                        case BOTTOM -> own.y() - kept.bottom();
                    });
        }
    }

    /** Touches a place of the photo. */
    record Touching(PhotoSpace space, Touch touch) implements BenchGesture {
        public static Touching at(PhotoSpace space, Point pointer, Function<Point, Touch> touched) {
            return new Touching(space, touched.apply(space.toAsShot(pointer)));
        }

        @Override
        public Shown at(Session session, Point pointer, Held held) {
            return Shown.of(touch.at(session.framing(), space.toAsShot(pointer)));
        }

        void done(Point pointer, boolean clicked) {
            touch.done(space.toAsShot(pointer), clicked);
        }

        @Override
        public String label() {
            return "edit.eyes";
        }
    }

    /** From one mark to the other; nearly without a way it is one more mark. */
    record DrawMarks(PhotoSpace space, Point from) implements BenchGesture {
        @Override
        public Shown at(Session session, Point pointer, Held held) {
            return Shown.of(Marking.marked(session.framing(), space, List.of(from, pointer)));
        }

        @Override
        public String label() {
            return "edit.mark";
        }
    }

    /**
     * Moves one mark.
     *
     * @param marks as they were
     */
    record MoveMark(PhotoSpace space, List<Point> marks, int which) implements BenchGesture {
        @Override
        public Shown at(Session session, Point pointer, Held held) {
            List<Point> moved = new ArrayList<>(marks);
            moved.set(which, pointer);
            return Shown.of(Marking.marked(session.framing(), space, moved));
        }

        @Override
        public String label() {
            return "edit.mark";
        }
    }
}
