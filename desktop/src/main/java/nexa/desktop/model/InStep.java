package nexa.desktop.model;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.util.Subscription;
import nexa.core.brief.Framing;
import nexa.desktop.session.Session;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.Exchanged;
import nexa.shoot.exchange.Sidecars;
import nexa.shoot.photo.Photo;

/**
 * Writes sidecars of the photos that changed, soon after each edit, if the shoot is to keep them in step. What was
 * missed at the end of the last time is made up for at the beginning of the next.
 */
public final class InStep {
    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final BooleanProperty on;
    private final ReadOnlyObjectWrapper<Optional<Exchanged>> last = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Map<Long, Framing> written = new HashMap<>();
    private final Subscription subscriptions;
    private boolean busy;

    public InStep(Session session, Executor work, Executor fx) {
        this.shoot = session.shoot();
        this.work = work;
        this.fx = fx;
        this.on = new SimpleBooleanProperty(Sidecars.areInStep(shoot));
        subscriptions = Subscription.combine(
                on.subscribe((before, now) -> {
                    Sidecars.keepInStep(shoot, now);
                    writeChanged();
                }),
                session.editsProperty().subscribe(count -> writeChanged()));
    }

    /** A setting of the shoot. */
    public BooleanProperty onProperty() {
        return on;
    }

    /** What came of the last writing; empty if there was none yet. */
    public ReadOnlyObjectProperty<Optional<Exchanged>> lastProperty() {
        return last.getReadOnlyProperty();
    }

    private void writeChanged() {
        if (!on.get() || busy) {
            return;
        }
        Set<Long> changed = new HashSet<>();
        for (Photo photo : shoot.photos()) {
            Framing now = shoot.framing(photo);
            if (!now.equals(written.put(photo.id(), now))) {
                changed.add(photo.id());
            }
        }
        if (!changed.isEmpty()) {
            busy = true;
            work.execute(() -> {
                Exchanged exchanged = Sidecars.write(shoot, photo -> changed.contains(photo.id()));
                fx.execute(() -> ended(exchanged));
            });
        }
    }

    private void ended(Exchanged exchanged) {
        busy = false;
        last.set(Optional.of(exchanged));
        writeChanged(); // what changed meanwhile
    }

    public void dispose() {
        subscriptions.unsubscribe();
    }
}
