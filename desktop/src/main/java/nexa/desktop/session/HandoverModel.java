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
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;
import nexa.shoot.Photo;
import nexa.shoot.Shoot;
import nexa.shoot.handover.Collision;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.HandoverRequest;
import nexa.shoot.handover.Outcome;

/** What is to be handed over, and how far a run is. */
public final class HandoverModel {
    /** Where a run is. */
    public sealed interface State {
        record Planning() implements State {}

        /** Files that are there would be replaced; {@link HandoverModel#replace} does so. */
        record Asking(long replaced) implements State {}

        /** @param secondsLeft negative while it can't be told */
        record Running(int done, int of, double secondsLeft) implements State {}

        /** @param cancelled by the photographer before all were written */
        record Done(
                long written,
                long there,
                List<Outcome.Failed> failed,
                boolean cancelled,
                Path folder,
                Optional<String> listTrouble)
                implements State {}

        record NotStarted(String reason) implements State {}
    }

    private static final String FOLDER = "handover folder";
    private static final String NAMES = "handover names";

    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final ObservableSet<Integer> formats = FXCollections.observableSet();
    private final ObjectProperty<Path> folder;
    private final ObjectProperty<Integer> longEdge = new SimpleObjectProperty<>(0);
    private final ObjectProperty<Optional<FileSettings>> settings = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<DeliveredColour>> colour = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<NameTemplate> names;
    private final ObjectProperty<Collision> collision = new SimpleObjectProperty<>(Collision.NUMBER);
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
        this.names = new SimpleObjectProperty<>(
                shoot.setting(NAMES).flatMap(HandoverModel::template).orElse(NameTemplate.DEFAULT));
        shoot.brief().formats().forEach(format -> formats.add(format.id()));
    }

    private static Optional<NameTemplate> template(String text) {
        try {
            return Optional.of(new NameTemplate(text));
        } catch (IllegalArgumentException ofAnotherVersion) {
            return Optional.empty();
        }
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

    public ObjectProperty<NameTemplate> namesProperty() {
        return names;
    }

    /** What to do where a name is taken. */
    public ObjectProperty<Collision> collisionProperty() {
        return collision;
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
        start(false, false);
    }

    /** The same, when it was asked whether files are to be replaced. */
    public void replace() {
        start(false, true);
    }

    /** Goes on with a run that did not come to its end. */
    public void resume() {
        start(true, false);
    }

    private void start(boolean resuming, boolean allowed) {
        HandoverRequest request = request();
        shoot.remember(FOLDER, folder.get().toString());
        cancelled.set(false);
        shoot.remember(NAMES, request.names().text());
        state.set(new State.Running(0, (int) deliverable() * request.formats().size(), -1));
        work.execute(() -> run(request, resuming, allowed));
    }

    private HandoverRequest request() {
        return new HandoverRequest(folder.get(), chosenFormats(), longEdge.get(), settings.get())
                .coloured(colour.get())
                .named(names.get(), collision.get());
    }

    /** Whether a run into the chosen folder did not come to its end. */
    public boolean isUnfinished() {
        return HandoverPlan.isUnfinished(folder.get());
    }

    /** The first file's name with a template; empty if there would be none. */
    public Optional<String> example(NameTemplate template) {
        return shoot.photos().stream().filter(Photo::isReadable).findFirst().flatMap(photo -> chosenFormats().stream()
                .findFirst()
                .map(format -> HandoverPlan.example(shoot, request().named(template, collision.get()), photo, format)));
    }

    private void run(HandoverRequest request, boolean resuming, boolean allowed) {
        try {
            HandoverPlan plan = resuming ? HandoverPlan.resumed(shoot, request) : HandoverPlan.of(shoot, request);
            long replaced = plan.replaced();
            if (replaced > 0 && !allowed) {
                show(new State.Asking(replaced));
                return;
            }
            long begun = System.nanoTime();
            AtomicInteger done = new AtomicInteger();
            int all = plan.deliveries().size();
            Handover handover =
                    new Handover(plan, outcome -> show(running(done.incrementAndGet(), all, begun)), cancelled::get);
            List<Outcome> outcomes = handover.run(shoot);
            show(result(outcomes, plan, handover.listTrouble()));
        } catch (IOException | RuntimeException failed) {
            show(new State.NotStarted(String.valueOf(failed.getMessage())));
        }
    }

    private static State running(int done, int of, long begun) {
        double each = (System.nanoTime() - begun) / 1e9 / done;
        return new State.Running(done, of, each * (of - done));
    }

    private static State.Done result(List<Outcome> outcomes, HandoverPlan plan, Optional<String> listTrouble) {
        List<Outcome.Failed> failed = new ArrayList<>();
        long written = 0;
        for (Outcome outcome : outcomes) {
            switch (outcome) {
                case Outcome.Written w -> written++;
                case Outcome.Failed f -> failed.add(f);
            }
        }
        boolean cancelled = outcomes.size() < plan.deliveries().size();
        return new State.Done(
                written,
                plan.there().size(),
                List.copyOf(failed),
                cancelled,
                plan.request().folder(),
                listTrouble);
    }

    private void show(State next) {
        fx.execute(() -> state.set(next));
    }

    /** Files being written are finished; no further ones are begun. */
    public void cancel() {
        cancelled.set(true);
    }
}
