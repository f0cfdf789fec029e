package nexa.desktop.delivering;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.handover.Estimate;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.RunControl;
import nexa.shoot.handover.request.HandoverRequest;

/** What is to be handed over, what would come of it, and how far a run is. */
public final class HandoverModel {
    /** Where a run is. */
    public sealed interface State {
        record Planning() implements State {}

        /** Files that are there would be replaced; {@link HandoverModel#replace} does so. */
        record Asking(long replaced) implements State {}

        /**
         * @param aSecond files a second so far; 0 = none is done yet
         * @param paused whether no further file is begun for now
         */
        record Running(int done, int of, double aSecond, boolean paused) implements State {
            /** Negative while it can't be told. */
            public double secondsLeft() {
                return aSecond == 0 ? -1 : (of - done) / aSecond;
            }
        }

        /** @param cancelled by the photographer before all were written */
        record Done(
                List<Outcome.Written> written,
                long there,
                List<Outcome.Failed> failed,
                boolean cancelled,
                Path folder,
                Optional<Told> listTrouble)
                implements State {}

        record NotStarted(Told reason) implements State {}
    }

    private final Shoot shoot;
    private final HandoverChoice choice;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(new State.Planning());
    private final ReadOnlyObjectWrapper<Outlook> outlook = new ReadOnlyObjectWrapper<>(Outlook.NOTHING);
    private final AtomicLong looks = new AtomicLong();
    private RunControl control = new RunControl();
    private boolean closed;

    /**
     * @param work runs a whole handover, off the interface's thread
     * @param fx the interface's thread
     */
    public HandoverModel(Shoot shoot, HandoverChoice.Around around, Executor work, Executor fx) {
        this.shoot = shoot;
        this.choice = new HandoverChoice(shoot, around);
        this.work = work;
        this.fx = fx;
    }

    /** What is asked for. */
    public HandoverChoice choice() {
        return choice;
    }

    /** Nothing is looked at any more; a run that goes on comes to its end. */
    public void dispose() {
        closed = true;
        looks.incrementAndGet();
    }

    // ---- what would come of it ----

    /** What a run would do, as far as that is known. */
    public ReadOnlyObjectProperty<Outlook> outlookProperty() {
        return outlook.getReadOnlyProperty();
    }

    /** Looks ahead anew, off the interface's thread; first what is known at once, then what takes samples. */
    public void look() {
        if (closed) {
            return;
        }
        long mine = looks.incrementAndGet();
        HandoverRequest request = choice.request();
        work.execute(() -> look(request, mine));
    }

    private void look(HandoverRequest request, long mine) {
        HandoverPlan plan = HandoverPlan.of(shoot, request);
        Outlook known = Outlook.of(plan);
        showLook(known, mine);
        try {
            Estimate estimate = Estimate.of(plan, shoot.codecs(), () -> mine != looks.get());
            showLook(known.with(estimate), mine);
        } catch (IOException unreadable) { // the run says why; until then there is no estimate
            return;
        }
    }

    private void showLook(Outlook next, long mine) {
        fx.execute(() -> {
            if (mine == looks.get()) {
                outlook.set(next);
            }
        });
    }

    // ---- the run ----

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Begins a run; progress and end show in {@link #stateProperty}. */
    public void start() {
        start(false, false);
    }

    /** The same, when it was asked whether files are to be replaced. */
    public void replace() {
        start(false, true);
    }

    /** Goes on with a run that did not come to its end: what failed or was not begun is done. */
    public void resume() {
        start(true, false);
    }

    private void start(boolean resuming, boolean allowed) {
        looks.incrementAndGet();
        HandoverRequest request = choice.request();
        choice.remember();
        control = new RunControl();
        RunControl mine = control;
        state.set(new State.Running(0, (int) choice.count() * request.formats().size(), 0, false));
        work.execute(() -> run(request, resuming, allowed, mine));
    }

    private void run(HandoverRequest request, boolean resuming, boolean allowed, RunControl mine) {
        try {
            HandoverPlan plan = resuming ? HandoverPlan.resumed(shoot, request) : HandoverPlan.of(shoot, request);
            long replaced = plan.replaced();
            if (replaced > 0 && !allowed) {
                show(new State.Asking(replaced));
                return;
            }
            Pace pace = new Pace();
            AtomicInteger done = new AtomicInteger();
            int all = plan.deliveries().size();
            Handover handover =
                    new Handover(plan, outcome -> progressed(done.incrementAndGet(), all, pace.next()), mine);
            List<Outcome> outcomes = handover.run(shoot);
            show(result(outcomes, plan, handover.listTrouble()));
        } catch (IOException | RuntimeException failed) {
            show(new State.NotStarted(Told.of(failed)));
        }
    }

    private void progressed(int done, int of, double aSecond) {
        fx.execute(() -> {
            boolean paused = state.get() instanceof State.Running running && running.paused();
            state.set(new State.Running(done, of, aSecond, paused));
        });
    }

    private static State.Done result(List<Outcome> outcomes, HandoverPlan plan, Optional<Told> listTrouble) {
        List<Outcome.Written> written = new ArrayList<>();
        List<Outcome.Failed> failed = new ArrayList<>();
        for (Outcome outcome : outcomes) {
            switch (outcome) {
                case Outcome.Written w -> written.add(w);
                case Outcome.Failed f -> failed.add(f);
            }
        }
        boolean cancelled = outcomes.size() < plan.deliveries().size();
        return new State.Done(
                List.copyOf(written),
                plan.there().size(),
                List.copyOf(failed),
                cancelled,
                plan.request().folder(),
                listTrouble);
    }

    private void show(State next) {
        fx.execute(() -> {
            state.set(next);
            look();
        });
    }

    /** Files being written are finished; no further ones are begun until it goes on. */
    public void pause(boolean on) {
        if (state.get() instanceof State.Running(int done, int of, double aSecond, boolean paused) && paused != on) {
            control.pause(on);
            state.set(new State.Running(done, of, aSecond, on));
        }
    }

    /** Files being written are finished; no further ones are begun. */
    public void cancel() {
        control.cancel();
    }
}
