package nexa.desktop.hint;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import nexa.core.brief.FrameState;
import nexa.desktop.model.Counts;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Hint;

/** Which first step is pointed out in an open shoot. Steps that were taken are remembered for all shoots. */
public final class HintModel {
    private final Session session;
    private final Counts counts;
    private final ObjectProperty<Set<Hint>> taken;
    private final ReadOnlyObjectWrapper<Optional<Hint>> shown = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Subscription subscriptions;

    public HintModel(Session session, Counts counts) {
        this.session = session;
        this.counts = counts;
        this.taken = session.settings().hintsTakenProperty();
        subscriptions = Subscription.combine(
                taken.subscribe((before, now) -> refresh()),
                session.viewProperty().subscribe((before, now) -> refresh()),
                Follow.each(
                        this::refresh,
                        session.briefProperty(),
                        session.framingProperty(),
                        session.carry().planProperty(),
                        counts.countedProperty()));
    }

    public ReadOnlyObjectProperty<Optional<Hint>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Points all steps out once more. */
    public void again() {
        taken.set(Set.of());
    }

    /** The step that is pointed out is not any more. */
    public void understood() {
        shown.get().ifPresent(hint -> {
            Set<Hint> more = new HashSet<>(taken.get());
            more.add(hint);
            taken.set(Set.copyOf(more));
        });
    }

    public void dispose() {
        subscriptions.unsubscribe();
    }

    private void refresh() {
        Situation now = situation();
        Set<Hint> all = now.taken(taken.get());
        if (!all.equals(taken.get())) {
            taken.set(all); // comes here again
            return;
        }
        shown.set(session.shoot().mayEdit() ? now.pointedOut(all) : Optional.empty());
    }

    private Situation situation() {
        return new Situation(
                session.viewProperty().get(),
                !session.brief().formats().isEmpty(),
                session.list().photos().size() > 1,
                session.photo()
                        .flatMap(photo -> session.format()
                                .map(format -> session.framing(photo).state(format)))
                        .orElse(FrameState.DERIVED),
                !session.carry().planProperty().get().isEmpty(),
                session.format()
                                .map(format -> counts.counted().in(FrameState.CHECKED, format))
                                .orElse(0)
                        > 0);
    }
}
