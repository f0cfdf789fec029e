package nexa.desktop.repair;

import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.desktop.session.Session;
import nexa.imaging.neutral.GreySpot;
import nexa.shoot.neutral.GreyPicker;
import nexa.shoot.photo.Photo;

/** Which light is neutral: picked on a grey place of the current photo, or typed; of all photos that are adjusted together. */
public final class Neutrals {
    /** What picking came to. */
    public sealed interface Verdict {
        record Reading() implements Verdict {}

        record Picked(GreySpot spot) implements Verdict {}

        record Failed() implements Verdict {}
    }

    private static final String LABEL = "edit.neutral";

    private final Session session;
    private final Looking looking;
    private final ReadOnlyObjectWrapper<Optional<Verdict>> verdict = new ReadOnlyObjectWrapper<>(Optional.empty());

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Neutrals(Session session, Executor work, Executor fx) {
        this.session = session;
        this.looking = new Looking(work, fx);
        session.onOtherPhoto(this::forget);
    }

    public ReadOnlyObjectProperty<Optional<Verdict>> verdictProperty() {
        return verdict.getReadOnlyProperty();
    }

    public Neutral current() {
        return session.framing().pose().neutral();
    }

    /** Takes the place that is touched for grey. */
    public Touch touch() {
        return new Touch() {
            @Override
            public Framing at(Framing framing, Point asShot) {
                return framing;
            }

            @Override
            public void done(Point asShot, boolean clicked) {
                pick(asShot);
            }
        };
    }

    /** Reads a place of the current photo; what can't be told, or comes too late, changes nothing. */
    public void pick(Point asShot) {
        session.photo().filter(Photo::isReadable).ifPresent(photo -> {
            verdict.set(Optional.of(new Verdict.Reading()));
            looking.at(
                    photo,
                    of -> GreyPicker.pick(session.shoot(), of, asShot),
                    spot -> take(photo, spot, asShot),
                    () -> verdict.set(Optional.of(new Verdict.Failed())));
        });
    }

    private void take(Photo from, GreySpot spot, Point asShot) {
        verdict.set(Optional.of(new Verdict.Picked(spot)));
        if (!spot.doubt().refuses()) {
            session.gestures()
                    .editAll(
                            LABEL,
                            (photo, before) -> changed(
                                    before,
                                    neutral -> photo.equals(from)
                                            ? neutral.picked(spot.white(), asShot)
                                            : neutral.withWhite(spot.white())));
        }
    }

    private static Framing changed(Framing framing, UnaryOperator<Neutral> change) {
        return framing.withPose(
                framing.pose().withNeutral(change.apply(framing.pose().neutral())));
    }

    /** Shows the light of a temperature, without storing it. */
    public void previewKelvin(double kelvin) {
        preview(neutral -> kelvin(neutral, kelvin));
    }

    public void storeKelvin(double kelvin) {
        store(neutral -> kelvin(neutral, kelvin));
    }

    private static Neutral kelvin(Neutral neutral, double kelvin) {
        return neutral.withWhite(White.of(kelvin, neutral.white().tint()));
    }

    public void previewTint(double tint) {
        preview(neutral -> tint(neutral, tint));
    }

    public void storeTint(double tint) {
        store(neutral -> tint(neutral, tint));
    }

    private static Neutral tint(Neutral neutral, double tint) {
        return neutral.withWhite(White.of(neutral.white().kelvin(), tint));
    }

    public void previewStops(double stops) {
        preview(neutral -> neutral.withStops(stops));
    }

    public void storeStops(double stops) {
        store(neutral -> neutral.withStops(stops));
    }

    /** As the files have it. */
    public void clear() {
        forget();
        store(neutral -> Neutral.AS_FILED);
    }

    private void preview(UnaryOperator<Neutral> change) {
        session.gestures().preview(changed(session.framing(), change));
    }

    private void store(UnaryOperator<Neutral> change) {
        session.gestures().abandon();
        session.gestures().editAll(LABEL, (photo, before) -> changed(before, change));
    }

    /** Takes what was said out of view; the neutral stays. */
    public void forget() {
        looking.forget();
        verdict.set(Optional.empty());
    }
}
