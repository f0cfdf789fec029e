package nexa.desktop.view;

import java.util.Optional;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.gesture.FrameDrag;
import nexa.core.gesture.TiltDrag;
import nexa.core.level.LevelLine;
import nexa.desktop.session.Session;

/** What a pressed pointer does in the Bench, from press to release. Points are in level space at the press. */
sealed interface BenchGesture {
    /** The framing to show for a pointer position. */
    Framing at(Session session, Point pointer);

    /** The name of the edit. */
    String label();

    record MoveFrame(FrameDrag drag) implements BenchGesture {
        @Override
        public Framing at(Session session, Point pointer) {
            return session.placed(drag.to(pointer));
        }

        @Override
        public String label() {
            return "edit.frame";
        }
    }

    record TurnPhoto(TiltDrag drag) implements BenchGesture {
        @Override
        public Framing at(Session session, Point pointer) {
            Tilt tilt = drag.to(pointer);
            return session.tilted(new Tilt(Math.round(tilt.degrees() * 100) / 100.0));
        }

        @Override
        public String label() {
            return "edit.tilt";
        }
    }

    /** Drawn while the photo stays as it is; the tilt follows on release. */
    record DrawLevel(PhotoSpace space, Point from, Point to) implements BenchGesture {
        DrawLevel extended(Point pointer) {
            return new DrawLevel(space, from, pointer);
        }

        /** The line in upright pixels; empty while it has no length. */
        Optional<LevelLine> line() {
            return from.equals(to)
                    ? Optional.empty()
                    : Optional.of(new LevelLine(space.toUpright(from), space.toUpright(to)));
        }

        @Override
        public Framing at(Session session, Point pointer) {
            return session.framing();
        }

        @Override
        public String label() {
            return "edit.level";
        }
    }

    /** A drag of a frame keeps its shape if its format has one. */
    static MoveFrame moveFrame(
            Session session, Frame frame, nexa.core.gesture.Grip grip, Point pointer, PhotoSpace space) {
        boolean locked = session.format().orElseThrow().keepsShape();
        FrameDrag.Hold hold = locked ? FrameDrag.Hold.SHAPE : FrameDrag.Hold.NOTHING;
        return new MoveFrame(new FrameDrag(space.outline(), frame, grip, pointer, hold));
    }
}
