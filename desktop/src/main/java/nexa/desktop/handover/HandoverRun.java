package nexa.desktop.handover;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.told.Told;
import nexa.desktop.delivering.HandoverModel;
import nexa.desktop.delivering.HandoverModel.State;
import nexa.desktop.delivering.Outlook;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.shoot.handover.Estimate;
import nexa.words.Words;

/** What a run would do, the run itself, and what came of it. */
final class HandoverRun extends VBox {
    private static final double MEGABYTE = 1e6;
    private static final double GIGABYTE = 1e9;

    private final Session session;
    private final HandoverModel model;
    private final Label plan = new Label();
    private final Label room = note();
    private final Label exceptions = note();
    private final Button start = new Button();
    private final Button pause = new Button();
    private final Button cancel;
    private final Button resume = new Button();
    private final Button replace;
    private final ProgressBar progress = new ProgressBar(0);
    private final Label status = new Label();
    private final ResultList results;
    private final Subscription subscriptions;

    /** @param open opens a folder or file with what the system has for it */
    HandoverRun(Session session, HandoverModel model, Consumer<Path> open, boolean canOpen) {
        super(10);
        this.results = new ResultList(session::look, open, canOpen);
        this.session = session;
        this.model = model;
        this.cancel = button("handover.cancel", "handover-cancel", model::cancel);
        this.replace = button("handover.replace", "handover-replace", model::replace);
        plan.getStyleClass().add("plan");
        plan.setId("handover-plan");
        plan.setWrapText(true);
        room.setId("handover-room");
        status.setId("handover-status");
        status.getStyleClass().add("plan");
        status.setWrapText(true);
        start.setId("handover-start");
        start.getStyleClass().add("primary");
        start.setOnAction(event -> model.start());
        pause.setId("handover-pause");
        pause.setOnAction(event -> model.pause(!isPaused()));
        resume.setId("handover-resume");
        resume.setOnAction(event -> model.resume());
        Buttons.explain(resume, Words.of("handover.resume.tip"));
        progress.setId("handover-progress");
        progress.setMaxWidth(Double.MAX_VALUE);
        progress.setAccessibleText(Words.of("handover.title"));
        for (Node node : new Node[] {pause, cancel, resume, replace, progress, status, start, room, exceptions}) {
            node.managedProperty().bind(node.visibleProperty());
        }
        Label keeps = note();
        keeps.setText(Words.of("handover.plan.keeps"));
        getChildren()
                .addAll(
                        new VBox(3, plan, room, exceptions, keeps),
                        new FlowPane(10, 8, start, replace, resume, pause, cancel),
                        progress,
                        status,
                        results);
        subscriptions = Subscription.combine(
                model.outlookProperty().subscribe(outlook -> refresh()),
                model.stateProperty().subscribe(this::showState));
    }

    private static Label note() {
        Label label = new Label();
        label.getStyleClass().add("note");
        label.setWrapText(true);
        return label;
    }

    private static Button button(String words, String id, Runnable action) {
        Button button = Buttons.text(words, action);
        button.setId(id);
        return button;
    }

    void dispose() {
        subscriptions.unsubscribe();
    }

    // ---- before ----

    void refresh() {
        Outlook outlook = model.outlookProperty().get();
        int formats = model.choice().chosenFormats().size();
        plan.setText(planWords(outlook, formats));
        Optional<Estimate> estimate = outlook.estimate().filter(known -> outlook.files() > 0);
        room.setText(estimate.map(HandoverRun::roomWords).orElseGet(() -> Words.of("handover.room.unknown")));
        room.setVisible(outlook.files() > 0);
        room.getStyleClass().setAll("label", estimate.filter(Estimate::isTight).isPresent() ? "refusal" : "note");
        exceptions.setText(exceptionWords(outlook));
        exceptions.setVisible(!exceptions.getText().isEmpty());
        State state = model.stateProperty().get();
        boolean running = state instanceof State.Running;
        boolean failed = state instanceof State.Done done && !done.failed().isEmpty();
        resume.setText(Words.of(failed ? "handover.retry" : "handover.resume"));
        resume.setVisible(!running && formats > 0 && (failed || outlook.unfinished()));
        start.setVisible(!running);
        start.setText(outlook.isKnown() ? Words.of("handover.start", outlook.files()) : Words.of("handover.start.yet"));
        start.setDisable(outlook.files() == 0);
    }

    private String planWords(Outlook outlook, int formats) {
        if (session.brief().formats().isEmpty()) {
            return Words.of("handover.plan.brief");
        }
        if (formats == 0) {
            return Words.of("handover.plan.nothing");
        }
        return outlook.isKnown()
                ? Words.of("handover.plan", outlook.files(), outlook.photos(), formats)
                : Words.of("handover.plan.yet");
    }

    private String exceptionWords(Outlook outlook) {
        StringBuilder words = new StringBuilder();
        add(words, "handover.plan.unchecked", outlook.unchecked());
        add(words, "handover.plan.unreadable", model.choice().unreadable());
        add(words, "handover.plan.aside", model.choice().setAside());
        add(words, "handover.plan.there", outlook.there());
        add(words, "handover.plan.replaced", outlook.replaced());
        return words.toString();
    }

    private static void add(StringBuilder words, String key, long count) {
        if (count > 0) {
            words.append(words.isEmpty() ? "" : " ").append(Words.of(key, count));
        }
    }

    private static String roomWords(Estimate estimate) {
        String key = estimate.isTight() ? "handover.room.tight" : "handover.room";
        return Words.of(key, bytes(estimate.bytes()), bytes(estimate.free()));
    }

    private static String bytes(long bytes) {
        if (bytes < MEGABYTE) {
            return Words.of("handover.kilobytes", Math.ceilDiv(bytes, 1000));
        }
        return bytes < GIGABYTE
                ? Words.of("handover.megabytes", Words.number("%.1f", bytes / MEGABYTE))
                : Words.of("handover.gigabytes", Words.number("%.1f", bytes / GIGABYTE));
    }

    // ---- while and after ----

    private boolean isPaused() {
        return model.stateProperty().get() instanceof State.Running running && running.paused();
    }

    private void showState(State state) {
        boolean running = state instanceof State.Running;
        cancel.setVisible(running);
        pause.setVisible(running);
        pause.setText(Words.of(isPaused() ? "handover.go-on" : "handover.pause"));
        replace.setVisible(state instanceof State.Asking);
        progress.setVisible(running || state instanceof State.Done);
        status.setVisible(!(state instanceof State.Planning));
        results.clear();
        switch (state) {
            case State.Planning() -> status.setText("");
            case State.Asking(long replaced) -> status.setText(Words.of("handover.asking", replaced));
            case State.Running now -> showRunning(now);
            case State.Done done -> showDone(done);
            case State.NotStarted(Told reason) -> status.setText(Words.of("handover.failed", reason));
        }
        refresh();
    }

    private void showRunning(State.Running now) {
        progress.setProgress(now.of() == 0 ? 0 : (double) now.done() / now.of());
        String rest = "";
        if (now.paused()) {
            rest = Words.of("handover.paused");
        } else if (now.secondsLeft() >= 0) {
            String rate = Words.number("%.1f", now.aSecond());
            rest = Words.of("handover.left", rate, time(Math.round(now.secondsLeft())));
        }
        status.setText(Words.of("handover.running", now.done(), now.of()) + rest);
    }

    private static String time(long seconds) {
        return seconds < 90 ? Words.of("handover.seconds", seconds) : Words.of("handover.minutes", (seconds + 30) / 60);
    }

    private void showDone(State.Done done) {
        String key = done.cancelled() ? "handover.done.cancelled" : "handover.done";
        String failed = done.failed().isEmpty()
                ? ""
                : " · " + Words.of("handover.done.failed", done.failed().size());
        String there = done.there() == 0 ? "" : " · " + Words.of("handover.done.there", done.there());
        status.setText(Words.of(key, done.written().size(), done.folder()) + there + failed);
        progress.setProgress(1);
        results.show(done, HandoverRun::bytes);
    }
}
