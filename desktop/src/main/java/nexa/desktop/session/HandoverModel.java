package nexa.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableSet;
import nexa.core.brief.DeliveredColour;
import nexa.core.brief.FileSettings;
import nexa.core.brief.Format;
import nexa.shoot.Photo;
import nexa.shoot.Shoot;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.HandoverRequest;
import nexa.shoot.handover.Outcome;

/** What is to be handed over, and how far a run is. */
public final class HandoverModel {
    /** Where a run is. */
    public sealed interface State {
        record Planning() implements State {}

        record Running(int done, int of) implements State {}

        /** @param cancelled by the photographer before all were written */
        record Done(long written, List<Outcome.Failed> failed, boolean cancelled, Path folder) implements State {}

        record NotStarted(String reason) implements State {}
    }

    private static final String FOLDER = "handover folder";

    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final ObservableSet<Integer> formats = FXCollections.observableSet();
    private final ObjectProperty<Path> folder;
    private final ObjectProperty<Integer> longEdge = new SimpleObjectProperty<>(0);
    private final ObjectProperty<Optional<FileSettings>> settings = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<DeliveredColour>> colour = new SimpleObjectProperty<>(Optional.empty());
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(new State.Planning());
    private final AtomicBoolean cancelled = new AtomicBoolean();

    /**
     * @param work runs a whole handover, off the interface's thread
     * @param fx the interface's thread
     */
    public HandoverModel(Shoot shoot, Executor work, Executor fx) {
        this.shoot = shoot;
        this.work = work;
        this.fx = fx;
        this.folder = new SimpleObjectProperty<>(
                shoot.setting(FOLDER).map(Path::of).orElse(shoot.folder().resolve("delivered")));
        shoot.brief().formats().forEach(format -> formats.add(format.id()));
    }

    /** Ids of the formats to deliver. */
    public ObservableSet<Integer> formats() {
        return formats;
    }

    public ObjectProperty<Path> folderProperty() {
        return folder;
    }

    /** 0 = all the pixels there are. */
    public ObjectProperty<Integer> longEdgeProperty() {
        return longEdge;
    }

    /** How all formats become files; empty = as each format says. */
    public ObjectProperty<Optional<FileSettings>> settingsProperty() {
        return settings;
    }

    /** The colours of all formats' files; empty = as each format says. */
    public ObjectProperty<Optional<DeliveredColour>> colourProperty() {
        return colour;
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public List<Format> chosenFormats() {
        return shoot.brief().formats().stream()
                .filter(format -> formats.contains(format.id()))
                .toList();
    }

    /** How many photos would be delivered. */
    public long deliverable() {
        return shoot.photos().stream()
                .filter(photo -> photo.isReadable() && !shoot.framing(photo).setAside())
                .count();
    }

    public long unreadable() {
        return shoot.photos().stream().filter(photo -> !photo.isReadable()).count();
    }

    public long setAside() {
        return shoot.photos().stream()
                .filter(Photo::isReadable)
                .filter(photo -> shoot.framing(photo).setAside())
                .count();
    }

    /** Begins a run; progress and end show in {@link #stateProperty}. */
    public void start() {
        HandoverRequest request =
                new HandoverRequest(folder.get(), chosenFormats(), longEdge.get(), settings.get(), colour.get());
        shoot.remember(FOLDER, folder.get().toString());
        cancelled.set(false);
        state.set(new State.Running(0, (int) deliverable() * request.formats().size()));
        work.execute(() -> run(request));
    }

    private void run(HandoverRequest request) {
        try {
            HandoverPlan plan = HandoverPlan.of(shoot, request);
            AtomicInteger done = new AtomicInteger();
            int all = plan.deliveries().size();
            List<Outcome> outcomes = new Handover(
                            plan, outcome -> show(new State.Running(done.incrementAndGet(), all)), cancelled::get)
                    .run(shoot);
            show(result(outcomes, outcomes.size() < all, request.folder()));
        } catch (IOException | RuntimeException failed) {
            show(new State.NotStarted(String.valueOf(failed.getMessage())));
        }
    }

    private static State.Done result(List<Outcome> outcomes, boolean cancelled, Path folder) {
        List<Outcome.Failed> failed = new ArrayList<>();
        long written = 0;
        for (Outcome outcome : outcomes) {
            switch (outcome) {
                case Outcome.Written w -> written++;
                case Outcome.Failed f -> failed.add(f);
            }
        }
        return new State.Done(written, List.copyOf(failed), cancelled, folder);
    }

    private void show(State next) {
        fx.execute(() -> state.set(next));
    }

    /** Files being written are finished; no further ones are begun. */
    public void cancel() {
        cancelled.set(true);
    }
}
