package nexa.desktop.view;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.collections.SetChangeListener;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.util.StringConverter;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;
import nexa.desktop.session.HandoverModel;
import nexa.desktop.session.HandoverModel.State;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import nexa.shoot.handover.Collision;
import nexa.shoot.handover.Outcome;

/** Deliver formats as files: what, where, how large; then a run with progress. */
public final class HandoverView extends StackPane {
    private static final int USUAL_LONG_EDGE = 2048;

    private final Session session;
    private final HandoverModel model;
    private final VBox formats = new VBox(8);
    private final TextField folder = new TextField();
    private final CheckBox limit = new CheckBox(Words.of("handover.size.limit"));
    private final Spinner<Integer> longEdge = new Spinner<>(16, 65_000, USUAL_LONG_EDGE, 16);
    private final ChoiceBox<Optional<FileType>> type = new ChoiceBox<>();
    private final Spinner<Integer> quality = new Spinner<>(1, 100, FileSettings.DEFAULT.quality());
    private final TextField names = new TextField();
    private final Label example = new Label();
    private final Choices<Collision> taken;
    private final Label plan = new Label();
    private final Label exceptions = new Label();
    private final Button start = new Button();
    private final Button cancel;
    private final Button resume;
    private final Button replace;
    private final ProgressBar progress = new ProgressBar(0);
    private final Label status = new Label();
    private final ListView<String> failures = new ListView<>();
    private final SetChangeListener<Integer> chosen = change -> refresh();
    private final Subscription subscriptions;

    public HandoverView(Session session, HandoverModel model) {
        this.session = session;
        this.model = model;
        this.cancel = Buttons.text("handover.cancel", model::cancel);
        this.resume = Buttons.text("handover.resume", model::resume);
        resume.setId("handover-resume");
        this.replace = Buttons.text("handover.replace", model::replace);
        replace.setId("handover-replace");
        Buttons.explain(resume, Words.of("handover.resume.tip"));
        this.taken = new Choices<>("taken", Collision.values(), model.collisionProperty());
        getStyleClass().add("handover");
        VBox sheet = new VBox(18, title(), fields(), summary(), run());
        sheet.getStyleClass().add("sheet");
        sheet.setMaxSize(640, USE_PREF_SIZE);
        getChildren().add(sheet);
        StackPane.setAlignment(sheet, Pos.TOP_CENTER);
        model.formats().addListener(chosen);
        subscriptions = Subscription.combine(
                session.briefProperty().subscribe(this::showFormats),
                session.editsProperty().subscribe(count -> refresh()),
                model.stateProperty().subscribe(this::showState));
    }

    public void dispose() {
        subscriptions.unsubscribe();
        taken.dispose();
        model.formats().removeListener(chosen);
    }

    private static Node title() {
        Label title = new Label(Words.of("handover.title"));
        title.getStyleClass().add("sheet-title");
        return title;
    }

    private Node fields() {
        GridPane grid = new GridPane(16, 14);
        grid.addRow(0, label("handover.formats"), formats);
        grid.addRow(1, label("handover.folder"), folderRow());
        grid.addRow(2, label("handover.size"), sizeRow());
        grid.addRow(3, label("handover.type"), typeRow());
        grid.addRow(4, label("handover.colour"), colour());
        grid.addRow(5, label("handover.names"), namesRow());
        grid.addRow(6, label("handover.taken"), taken);
        return grid;
    }

    private static Label label(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("field-label");
        label.setMinWidth(96);
        GridPane.setValignment(label, words.equals("handover.formats") ? VPos.TOP : VPos.CENTER);
        return label;
    }

    private Node folderRow() {
        folder.setId("handover-folder");
        folder.setText(model.folderProperty().get().toString());
        folder.setAccessibleText(Words.of("handover.folder.tip"));
        folder.setPrefColumnCount(30);
        folder.textProperty().subscribe(text -> pathOf(text).ifPresent(model.folderProperty()::set));
        HBox.setHgrow(folder, Priority.ALWAYS);
        Button choose = Buttons.text("handover.folder.choose", this::chooseFolder);
        choose.setMinWidth(USE_PREF_SIZE);
        HBox row = new HBox(8, folder, choose);
        GridPane.setHgrow(row, Priority.ALWAYS);
        return row;
    }

    /** Half-typed paths may not be paths. */
    private static Optional<Path> pathOf(String text) {
        try {
            return text.isBlank()
                    ? Optional.empty()
                    : Optional.of(Path.of(text.strip()).toAbsolutePath());
        } catch (java.nio.file.InvalidPathException notYet) {
            return Optional.empty();
        }
    }

    private void chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Words.of("handover.folder.tip"));
        File picked = chooser.showDialog(getScene().getWindow());
        if (picked != null) {
            folder.setText(picked.toString());
        }
    }

    private Node sizeRow() {
        limit.setId("handover-limit");
        longEdge.setId("handover-long-edge");
        longEdge.setEditable(true);
        longEdge.setPrefWidth(110);
        longEdge.disableProperty().bind(limit.selectedProperty().not());
        longEdge.getEditor().setAccessibleText(Words.of("handover.size"));
        limit.selectedProperty().subscribe(on -> model.longEdgeProperty().set(on ? longEdge.getValue() : 0));
        longEdge.valueProperty().subscribe(pixels -> model.longEdgeProperty().set(limit.isSelected() ? pixels : 0));
        longEdge.focusedProperty().subscribe(focused -> longEdge.commitValue());
        HBox row = new HBox(8, limit, longEdge, new Label(Words.of("handover.size.px")));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Node typeRow() {
        type.setId("handover-type");
        type.getItems().add(Optional.empty());
        Stream.of(FileType.values()).map(Optional::of).forEach(type.getItems()::add);
        type.setConverter(new TypeWords());
        type.setValue(model.settingsProperty().get().map(FileSettings::type));
        type.setAccessibleText(Words.of("handover.type"));
        quality.setEditable(true);
        quality.setPrefWidth(90);
        quality.getEditor().setAccessibleText(Words.of("handover.quality.tip"));
        quality.setTooltip(new javafx.scene.control.Tooltip(Words.of("handover.quality.tip")));
        Label qualityLabel = new Label(Words.of("handover.quality"));
        quality.disableProperty().bind(type.valueProperty().isNotEqualTo(Optional.of(FileType.JPEG)));
        qualityLabel.disableProperty().bind(quality.disableProperty());
        type.valueProperty().subscribe(t -> settingsChanged());
        quality.valueProperty().subscribe(q -> settingsChanged());
        HBox row = new HBox(10, type, qualityLabel, quality);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Node namesRow() {
        names.setId("handover-names");
        names.setText(model.namesProperty().get().text());
        names.setAccessibleText(Words.of("handover.names"));
        names.setTooltip(new javafx.scene.control.Tooltip(Words.of("handover.names.tip")));
        names.textProperty().subscribe(text -> showExample());
        example.setId("handover-example");
        example.setWrapText(true);
        return new VBox(4, names, example);
    }

    /** A template that can't be used is said at once, and the one before holds. */
    private void showExample() {
        try {
            NameTemplate typed = new NameTemplate(names.getText());
            model.namesProperty().set(typed);
            example.setText(model.example(typed).orElse(""));
            example.getStyleClass().setAll("label", "note");
        } catch (IllegalArgumentException refused) {
            example.setText(String.valueOf(refused.getMessage()));
            example.getStyleClass().setAll("label", "refusal");
        }
    }

    private Node colour() {
        ColourBox box = new ColourBox(Optional.empty(), "handover-colour");
        box.valueProperty().subscribe(model.colourProperty()::set);
        return box;
    }

    private void settingsChanged() {
        model.settingsProperty().set(type.getValue().map(chosen -> new FileSettings(chosen, quality.getValue())));
    }

    private static final class TypeWords extends StringConverter<Optional<FileType>> {
        @Override
        public String toString(Optional<FileType> type) {
            return type.map(FileType::name).orElseGet(() -> Words.of("handover.type.own"));
        }

        @Override
        public Optional<FileType> fromString(String words) {
            throw new UnsupportedOperationException("This list is not typed into");
        }
    }

    private Node summary() {
        plan.getStyleClass().add("plan");
        exceptions.getStyleClass().add("note");
        exceptions.setWrapText(true);
        Label keeps = new Label(Words.of("handover.plan.keeps"));
        keeps.getStyleClass().add("note");
        keeps.setWrapText(true);
        return new VBox(4, plan, exceptions, keeps);
    }

    private Node run() {
        start.setId("handover-start");
        start.getStyleClass().add("primary");
        start.setOnAction(event -> model.start());
        cancel.setId("handover-cancel");
        status.setId("handover-status");
        status.getStyleClass().add("plan");
        status.setWrapText(true);
        progress.setMaxWidth(Double.MAX_VALUE);
        progress.setAccessibleText(Words.of("handover.title"));
        for (Node node : new Node[] {cancel, resume, replace, progress, status, failures}) {
            node.managedProperty().bind(node.visibleProperty());
        }
        failures.setPrefHeight(120);
        failures.setAccessibleText(Words.of("handover.log"));
        return new VBox(10, new HBox(10, start, replace, resume, cancel), progress, status, failures);
    }

    private void showFormats(Brief brief) {
        formats.getChildren().setAll(brief.formats().stream().map(this::choice).toList());
        refresh();
    }

    private CheckBox choice(Format format) {
        CheckBox box = new CheckBox(format.name() + "   " + format.shape().text());
        box.setSelected(model.formats().contains(format.id()));
        box.selectedProperty().subscribe(on -> {
            if (on) {
                model.formats().add(format.id());
            } else {
                model.formats().remove(format.id());
            }
        });
        return box;
    }

    private void refresh() {
        int chosenCount = model.chosenFormats().size();
        long photos = model.deliverable();
        long files = photos * chosenCount;
        boolean briefEmpty = session.briefProperty().get().formats().isEmpty();
        plan.setText(
                briefEmpty
                        ? Words.of("handover.plan.brief")
                        : chosenCount == 0
                                ? Words.of("handover.plan.nothing")
                                : Words.of("handover.plan", files, photos, chosenCount));
        String left = (model.unreadable() > 0 ? Words.of("handover.plan.unreadable", model.unreadable()) + ". " : "")
                + (model.setAside() > 0 ? Words.of("handover.plan.aside", model.setAside()) + "." : "");
        exceptions.setText(left);
        exceptions.setManaged(!left.isEmpty());
        showExample();
        resume.setVisible(!(model.stateProperty().get() instanceof State.Running) && files > 0 && model.isUnfinished());
        start.setText(Words.of("handover.start", files));
        start.setDisable(files == 0 || model.stateProperty().get() instanceof State.Running);
    }

    private void showState(State state) {
        boolean running = state instanceof State.Running;
        cancel.setVisible(running);
        replace.setVisible(state instanceof State.Asking);
        progress.setVisible(!(state instanceof State.Planning || state instanceof State.Asking));
        status.setVisible(!(state instanceof State.Planning));
        failures.getItems().clear();
        switch (state) {
            case State.Planning() -> status.setText("");
            case State.Asking(long replaced) -> status.setText(Words.of("handover.asking", replaced));
            case State.Running(int done, int of, double left) -> {
                progress.setProgress(of == 0 ? 0 : (double) done / of);
                String rest = left < 0 ? "" : Words.of("handover.left", Math.round(left));
                status.setText(Words.of("handover.running", done, of) + rest);
            }
            case State.Done done -> showDone(done);
            case State.NotStarted(String reason) -> status.setText(Words.of("handover.failed", reason));
        }
        failures.setVisible(!failures.getItems().isEmpty());
        refresh();
    }

    private void showDone(State.Done done) {
        String key = done.cancelled() ? "handover.done.cancelled" : "handover.done";
        String failed = done.failed().isEmpty()
                ? ""
                : " · " + Words.of("handover.done.failed", done.failed().size());
        String there = done.there() == 0 ? "" : " · " + Words.of("handover.done.there", done.there());
        status.setText(Words.of(key, done.written(), done.folder()) + there + failed);
        progress.setProgress(1);
        done.listTrouble().ifPresent(why -> failures.getItems().add(Words.of("handover.list.failed", why)));
        for (Outcome.Failed each : done.failed()) {
            failures.getItems()
                    .add(Words.of(
                            "handover.file.failed",
                            each.delivery().photo().name(),
                            each.delivery().format().name(),
                            each.reason()));
        }
    }
}
