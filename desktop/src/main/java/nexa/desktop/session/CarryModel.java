package nexa.desktop.session;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import nexa.core.carry.Carried;
import nexa.core.carry.Carry;
import nexa.core.carry.Loss;
import nexa.core.carry.Part;
import nexa.core.space.Correction;
import nexa.core.space.Pose;
import nexa.desktop.setting.CarryTo;
import nexa.desktop.setting.Settings;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;

/**
 * Carrying the current photo's crop in the active format to others.
 * While it is prepared, what would become of each photo shows; nothing changes before it is done.
 */
public final class CarryModel {
    private final Session session;
    private final ReadOnlyObjectWrapper<Map<Photo, Carried>> plan = new ReadOnlyObjectWrapper<>(Map.of());
    private Optional<Carry> last = Optional.empty();
    private CarriedCorrections corrections = CarriedCorrections.NONE;
    private Optional<Subscription> preparing = Optional.empty();

    CarryModel(Session session) {
        this.session = session;
    }

    /** Sets what tells each photo's own correction. */
    public void correctBy(CarriedCorrections by) {
        corrections = by;
    }

    /** Called once the session stands. Photos that are selected are meant, until something else is chosen. */
    void follow() {
        session.selection().property().subscribe((before, now) -> session.settings()
                .carryToProperty()
                .set(
                        now.isEmpty() && to() == CarryTo.SELECTED
                                ? CarryTo.ALL
                                : now.isEmpty() ? to() : CarryTo.SELECTED));
    }

    private CarryTo to() {
        return session.settings().carryToProperty().get();
    }

    /** What would become of each photo, in the shoot's order; empty unless a carry is prepared. */
    public ReadOnlyObjectProperty<Map<Photo, Carried>> planProperty() {
        return plan.getReadOnlyProperty();
    }

    /** Follows every choice from now on. */
    public void prepare() {
        stop();
        Settings settings = session.settings();
        preparing = Optional.of(Follow.each(
                this::refresh,
                settings.carryPartsProperty(),
                settings.carryOppositeProperty(),
                settings.carryByProperty(),
                settings.carryToProperty(),
                settings.carryNextProperty(),
                session.list().photosProperty(),
                session.selection().property(),
                session.formatProperty(),
                session.framingProperty()));
    }

    /** Shows no plan any more. */
    public void stop() {
        preparing.ifPresent(Subscription::unsubscribe);
        preparing = Optional.empty();
        plan.set(Map.of());
    }

    /** Plans anew, if a carry is prepared. */
    public void refreshPlan() {
        if (preparing.isPresent()) {
            refresh();
        }
    }

    private void refresh() {
        plan.set(planned());
    }

    private Map<Photo, Carried> planned() {
        return carry().map(carry -> planned(carry, targets())).orElse(Map.of());
    }

    private Map<Photo, Carried> planned(Carry carry, List<Photo> photos) {
        Map<Photo, Carried> planned = new LinkedHashMap<>();
        for (Photo photo : photos) {
            photo.facts().ifPresent(facts -> own(carry, photo)
                    .ifPresent(own -> planned.put(photo, carry.to(facts.asShot(), session.framing(photo), own))));
        }
        return planned;
    }

    private Optional<Correction> own(Carry carry, Photo photo) {
        Pose target = session.framing(photo).pose();
        return carry.parts().contains(Part.LENS) || carry.parts().contains(Part.PLUMB)
                ? corrections.carried(carry.framing().pose(), photo, target)
                : Optional.of(target.correction());
    }

    private Optional<Carry> carry() {
        Settings settings = session.settings();
        return session.format().flatMap(format -> session.moment()
                .asShot()
                .map(size -> new Carry(
                        size,
                        session.framing().withOverlay(session.overlayProperty().get()),
                        format,
                        session.brief(),
                        settings.carryPartsProperty().get(),
                        settings.carryOppositeProperty().get(),
                        settings.carryByProperty().get())));
    }

    /** The photos carried to but for the one carried from; of those nobody selected, none that is set aside. */
    private List<Photo> targets() {
        Set<Photo> selected = session.selection().property().get();
        boolean chosen = to() == CarryTo.SELECTED && !selected.isEmpty();
        return meant().filter(photo -> session.photo().filter(photo::equals).isEmpty())
                .filter(photo -> chosen || !session.framing(photo).setAside())
                .toList();
    }

    private Stream<Photo> meant() {
        Set<Photo> selected = session.selection().property().get();
        List<Photo> listed = session.list().photos();
        return switch (to()) {
            case SELECTED -> session.shoot().photos().stream().filter(p -> selected.isEmpty() || selected.contains(p));
            case ALL -> session.shoot().photos().stream();
            case FILTERED -> listed.stream();
            case NEXT ->
                listed.stream()
                        .skip(session.list().place() + 1L)
                        .limit(session.settings().carryNextProperty().get());
        };
    }

    /** The largest remaining error of a carry by marks, in fractions of the frame. */
    public double worstError() {
        return plan.get().values().stream().mapToDouble(Carried::error).max().orElse(0);
    }

    /** How many photos of the plan have a loss. */
    public long count(Loss loss) {
        return plan.get().values().stream()
                .filter(carried -> carried.losses().contains(loss))
                .count();
    }

    /** Carries as one step, with what is chosen now; also without preparing. */
    public void apply() {
        if (!session.shoot().mayEdit()) {
            return;
        }
        last = carry();
        apply("edit.carry", planned());
    }

    /** Carries what was carried last to photos that arrived, as one step; nothing if nothing was carried yet. */
    void inherit(List<Photo> arrived) {
        if (last.isPresent() && session.shoot().mayEdit()) {
            apply("edit.carry.arrived", planned(last.get(), arrived));
        }
    }

    private void apply(String label, Map<Photo, Carried> planned) {
        List<FramingChange> changes = new ArrayList<>();
        planned.forEach((photo, carried) ->
                changes.add(new FramingChange(photo.id(), session.shoot().framing(photo), carried.framing())));
        session.shoot().apply(new Edit(label, changes, null));
    }
}
