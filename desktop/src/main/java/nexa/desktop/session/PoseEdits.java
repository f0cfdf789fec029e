package nexa.desktop.session;

import nexa.core.brief.Framing;
import nexa.core.carry.Change;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;

/** Tilting, turning and mirroring: of the current photo, or of all that are adjusted together. */
public final class PoseEdits {
    /** Tilts are kept to thousandths of a degree when they are added up. */
    private static final double STEPS = 1000;

    private final Session session;
    private final TogetherModel together;

    PoseEdits(Session session, TogetherModel together) {
        this.session = session;
        this.together = together;
    }

    /** The framing with another tilt. */
    public Framing tilted(Tilt tilt) {
        Framing framing = session.framing();
        return framing.withPose(framing.pose().withTilt(tilt));
    }

    /** Of several chosen photos each is tilted by as much as the current one. */
    public void tilt(Tilt tilt, String label) {
        if (together.isOn()) {
            together.add(tiltedTo(tilt));
        } else {
            session.gestures().edit(label, tilted(tilt));
        }
    }

    /** Shows a tilt without storing it. */
    public void preview(Tilt tilt) {
        if (together.isOn()) {
            together.preview(tiltedTo(tilt));
        } else {
            session.gestures().preview(tilted(tilt));
        }
    }

    /** Makes the tilt that is shown one edit. */
    public void commitTilt() {
        if (together.isOn()) {
            together.commit();
        } else {
            session.gestures().commit("edit.tilt");
        }
    }

    private Change tiltedTo(Tilt tilt) {
        double stored = session.photo()
                .map(photo -> session.shoot().framing(photo).pose().tilt().degrees())
                .orElse(0.0);
        return Change.tilted(tilt.degrees() - stored);
    }

    public void tiltBy(double degrees) {
        if (together.isOn()) {
            together.add(Change.tilted(degrees));
            return;
        }
        double exact = session.framing().pose().tilt().degrees() + degrees;
        tilt(Tilt.clamped(Math.round(exact * STEPS) / STEPS), "edit.tilt");
    }

    public void turn(Turn by) {
        session.gestures()
                .editAll(
                        by.mirrored() ? "edit.mirror" : "edit.turn",
                        (photo, before) -> before.withPose(before.pose().turned(by)));
    }
}
