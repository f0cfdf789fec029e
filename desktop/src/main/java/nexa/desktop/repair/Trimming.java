package nexa.desktop.repair;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.geometry.Turn;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.core.trim.Bands;
import nexa.core.trim.Side;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.desktop.session.Session;
import nexa.shoot.photo.Photo;
import nexa.shoot.trim.AutoTrimmer;

/** Leaving the current photo's borders out: by hand, or by what is found of them. */
public final class Trimming {
    /** What looking for borders came to. */
    public sealed interface Verdict {
        record Searching() implements Verdict {}

        record Found(TrimFinding finding) implements Verdict {}

        /** @param pieces how many pictures there are; fewer than two if it was not split */
        record Split(int pieces) implements Verdict {}

        /** @param bands how many bands inside the photo were found and closed up */
        record ClosedUp(int bands) implements Verdict {}

        record Failed() implements Verdict {}
    }

    private final Session session;
    private final Looking looking;
    private final ReadOnlyObjectWrapper<Optional<Verdict>> verdict = new ReadOnlyObjectWrapper<>(Optional.empty());

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Trimming(Session session, Executor work, Executor fx) {
        this.session = session;
        this.looking = new Looking(work, fx);
        session.onOtherPhoto(this::forget);
    }

    public ReadOnlyObjectProperty<Optional<Verdict>> verdictProperty() {
        return verdict.getReadOnlyProperty();
    }

    /** As it is seen on the photo as it is turned. */
    public Trim shown() {
        Pose pose = session.framing().pose();
        return pose.trim().turned(pose.turn());
    }

    /** Whether anything of the photo is left out, at its sides or inside. */
    public boolean isTrimmed() {
        return session.framing().pose().leavesOut();
    }

    /**
     * Puts a side somewhere.
     *
     * @param side as it is seen
     * @param pixels of the photo from its edge; 0 = not trimmed there
     */
    public void depth(Side side, double pixels) {
        session.space().ifPresent(space -> {
            Turn turn = space.pose().turn();
            double edge = space.asShot().longEdge();
            double place = (half(space, side) - pixels) / edge;
            double none = side.isFar() ? 1 : -1;
            Trim seen = shown().with(side, pixels <= 0 ? none : place * none);
            edit("edit.trim", seen.turned(turn.inverse()));
        });
    }

    /** How much of a side is trimmed, in the photo's pixels, in its middle; 0 if nothing. */
    public double depth(Side side) {
        return session.space()
                .map(space -> {
                    double edge = space.asShot().longEdge();
                    double place = shown().place(side) * edge;
                    return Math.max(0, half(space, side) - (side.isFar() ? place : -place));
                })
                .orElse(0.0);
    }

    /** From the photo's middle to a side, in pixels. */
    private static double half(PhotoSpace space, Side side) {
        return (side.isUpright() ? space.upright().width() : space.upright().height()) / 2.0;
    }

    private void edit(String label, Trim trim) {
        Framing framing = session.framing();
        session.gestures().edit(label, framing.withPose(framing.pose().withTrim(trim)));
    }

    /** The whole photo. */
    public void clear() {
        forget();
        Framing framing = session.framing();
        session.gestures()
                .edit(
                        "edit.trim",
                        framing.withPose(framing.pose().withTrim(Trim.NONE).withBands(Bands.NONE)));
    }

    // ---- bands inside ----

    /** Looks for bands of one colour inside the photo and closes them up, so that what lies beside them meets; says so either way. */
    public void closeUp() {
        Pose pose = session.framing().pose();
        look(photo -> AutoTrimmer.bands(session.shoot(), photo, pose.trim()), this::showBands);
    }

    private void showBands(Bands found) {
        verdict.set(Optional.of(new Verdict.ClosedUp(found.count())));
        close(found.all());
    }

    /** Closes a band up; not if hardly anything of the photo would be left, which is said. */
    public void closeUp(Bands.Band band) {
        forget();
        close(List.of(band));
    }

    private void close(List<Bands.Band> more) {
        session.space().ifPresent(space -> {
            Bands before = space.pose().bands();
            Optional<Bands> after =
                    before.plus(more, space.asShot(), space.pose().trim());
            if (after.isEmpty()) {
                verdict.set(Optional.of(new Verdict.ClosedUp(0)));
            }
            after.filter(bands -> !bands.equals(before)).ifPresent(this::edit);
        });
    }

    /** Shows what was left out there again. */
    public void open(Bands.Band band) {
        forget();
        session.space().ifPresent(space -> edit(space.pose().bands().minus(band)));
    }

    private void edit(Bands bands) {
        Framing framing = session.framing();
        session.gestures().edit("edit.bands", framing.withPose(framing.pose().withBands(bands)));
    }

    // ---- looking ----

    /** Whether the photo is tilted as its trim lies. */
    public boolean isStraight() {
        Pose pose = session.framing().pose();
        return pose.trim().lean().isNone() || pose.tilt().equals(AutoTrimmer.straight(pose, pose.trim()));
    }

    /** Tilts the photo so that what is trimmed lies straight. */
    public void straighten() {
        Framing framing = session.framing();
        Pose pose = framing.pose();
        session.gestures().edit("edit.trim", framing.withPose(pose.withTilt(AutoTrimmer.straight(pose, pose.trim()))));
    }

    /** Looks for the photo's borders and trims them if they leave no doubt; says so either way. */
    public void automatic() {
        look(photo -> AutoTrimmer.find(session.shoot(), photo), this::show);
    }

    private void show(TrimFinding found) {
        verdict.set(Optional.of(new Verdict.Found(found)));
        if (found.accepted()) {
            session.gestures().edit("edit.trim.found", AutoTrimmer.trimmed(session.framing(), found.trim()));
        }
    }

    /** Looks for several pictures in the photo and gives each a crop of its own in the active format; says so either way. */
    public void split() {
        look(photo -> AutoTrimmer.pieces(session.shoot(), photo), this::showPieces);
    }

    private void showPieces(List<Trim> found) {
        verdict.set(Optional.of(new Verdict.Split(found.size())));
        if (found.size() > 1) {
            session.format().ifPresent(format -> session.gestures()
                    .edit(
                            "edit.split",
                            AutoTrimmer.split(
                                    session.moment().asShot().orElseThrow(), session.framing(), format, found)));
        }
    }

    /** What fails is said. */
    private <T> void look(Looking.Reading<T> reading, Consumer<T> show) {
        session.photo().filter(Photo::isReadable).ifPresent(photo -> {
            verdict.set(Optional.of(new Verdict.Searching()));
            looking.at(photo, reading, show, () -> verdict.set(Optional.of(new Verdict.Failed())));
        });
    }

    /** Takes a finding out of view; the trim stays. */
    public void forget() {
        looking.forget();
        verdict.set(Optional.empty());
    }
}
