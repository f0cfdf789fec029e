package nexa.desktop.repair;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Point;
import nexa.desktop.session.Session;
import nexa.shoot.eye.EyeLooker;
import nexa.shoot.photo.Photo;

/** The current photo's eyes that glow: found, drawn round by hand, moved, removed; one of them is chosen. */
public final class EyeMending {
    /** What looking for them came to. */
    public sealed interface Verdict {
        record Searching() implements Verdict {}

        /** @param eyes how many more there are now */
        record Found(int eyes) implements Verdict {}

        record Failed() implements Verdict {}
    }

    private static final String LABEL = "edit.eyes";

    /** Of an eye that is clicked and not drawn round, in long edges. */
    private static final double USUAL_RADIUS = 0.012;

    private final Session session;
    private final Looking looking;
    private final ReadOnlyObjectWrapper<Optional<Verdict>> verdict = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<OptionalInt> chosen = new ReadOnlyObjectWrapper<>(OptionalInt.empty());
    private Glow glow = Glow.RED;

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public EyeMending(Session session, Executor work, Executor fx) {
        this.session = session;
        this.looking = new Looking(work, fx);
        session.onOtherPhoto(this::forget);
    }

    public ReadOnlyObjectProperty<Optional<Verdict>> verdictProperty() {
        return verdict.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<OptionalInt> chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    public GlowingEyes eyes() {
        return session.framing().pose().eyes();
    }

    /** The chosen one; empty if none is, or it is gone. */
    public Optional<GlowingEye> chosen() {
        OptionalInt which = chosen.get();
        return which.isPresent() && which.getAsInt() < eyes().all().size()
                ? Optional.of(eyes().all().get(which.getAsInt()))
                : Optional.empty();
    }

    private static Framing with(Framing framing, GlowingEyes eyes) {
        return framing.withPose(framing.pose().withEyes(eyes));
    }

    private void edit(GlowingEyes eyes) {
        session.gestures().edit(LABEL, with(session.framing(), eyes));
    }

    /** Takes hold of the eye at a place, or begins to draw a circle around another. */
    public Touch touch(Point asShot) {
        OptionalInt there = eyes().at(asShot);
        if (there.isPresent()) {
            chosen.set(there);
            GlowingEye eye = eyes().all().get(there.getAsInt());
            return new Move(eyes(), there.getAsInt(), eye, asShot);
        }
        chosen.set(OptionalInt.of(eyes().all().size()));
        return new Draw(eyes(), asShot);
    }

    /** An eye goes with the pointer. */
    private final class Move implements Touch {
        private final GlowingEyes before;
        private final int which;
        private final GlowingEye eye;
        private final Point from;

        Move(GlowingEyes before, int which, GlowingEye eye, Point from) {
            this.before = before;
            this.which = which;
            this.eye = eye;
            this.from = from;
        }

        @Override
        public Framing at(Framing framing, Point asShot) {
            Point centre = eye.centre().plus(asShot.minus(from));
            return with(framing, before.with(which, new GlowingEye(centre, eye.radius(), eye.glow(), eye.strength())));
        }

        @Override
        public void done(Point asShot, boolean clicked) {
            if (clicked) {
                session.gestures().abandon();
            } else {
                session.gestures().commit(LABEL);
            }
        }
    }

    /** A circle grows from its centre. */
    private final class Draw implements Touch {
        private final GlowingEyes before;
        private final Point centre;

        Draw(GlowingEyes before, Point centre) {
            this.before = before;
            this.centre = centre;
        }

        @Override
        public Framing at(Framing framing, Point asShot) {
            return with(framing, before.with(eye(centre.distance(asShot))));
        }

        private GlowingEye eye(double radius) {
            return new GlowingEye(centre, Math.clamp(radius, GlowingEye.SMALLEST, GlowingEye.LARGEST), glow);
        }

        @Override
        public void done(Point asShot, boolean clicked) {
            edit(before.with(eye(clicked ? USUAL_RADIUS : centre.distance(asShot))));
        }
    }

    // ---- the chosen one ----

    /** What glows in eyes that are drawn from now on, and in the chosen one. */
    public void setGlow(Glow other) {
        glow = other;
        chosen().ifPresent(eye -> edit(eyes().with(chosen.get().getAsInt(), eye.withGlow(other))));
    }

    public Glow glow() {
        return chosen().map(GlowingEye::glow).orElse(glow);
    }

    public void previewStrength(double strength) {
        chosen().ifPresent(eye -> session.gestures()
                .preview(with(session.framing(), eyes().with(chosen.get().getAsInt(), eye.withStrength(strength)))));
    }

    public void storeStrength(double strength) {
        chosen().ifPresent(eye -> edit(eyes().with(chosen.get().getAsInt(), eye.withStrength(strength))));
    }

    /** The chosen one, or else the last. */
    public void remove() {
        if (!eyes().isNone()) {
            int which = chosen().isPresent()
                    ? chosen.get().getAsInt()
                    : eyes().all().size() - 1;
            chosen.set(OptionalInt.empty());
            edit(eyes().without(which));
        }
    }

    public void clear() {
        forget();
        edit(GlowingEyes.NONE);
    }

    // ---- finding ----

    /** Looks for red eyes and mends them; says how many there were. What comes too late is dropped. */
    public void automatic() {
        session.photo().filter(Photo::isReadable).ifPresent(photo -> {
            verdict.set(Optional.of(new Verdict.Searching()));
            looking.at(
                    photo,
                    of -> EyeLooker.find(session.shoot(), of),
                    this::take,
                    () -> verdict.set(Optional.of(new Verdict.Failed())));
        });
    }

    private void take(List<GlowingEye> found) {
        GlowingEyes more = eyes().and(found);
        int added = more.all().size() - eyes().all().size();
        if (added > 0) {
            session.gestures().edit("edit.eyes.found", with(session.framing(), more));
        }
        verdict.set(Optional.of(new Verdict.Found(added)));
    }

    /** Takes what was said, and the choice, out of view; the eyes stay mended. */
    public void forget() {
        looking.forget();
        verdict.set(Optional.empty());
        chosen.set(OptionalInt.empty());
    }
}
