package nexa.desktop.handover;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.paper.Paper;
import nexa.core.told.Told;
import nexa.desktop.delivering.PaperModel;
import nexa.desktop.delivering.PaperModel.Kind;
import nexa.desktop.delivering.PaperModel.State;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.ChoiceList;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Numbers;
import nexa.desktop.widget.Rows;
import nexa.desktop.widget.TroubleWords;
import nexa.desktop.widget.TypedPath;
import nexa.shoot.paper.PaperJob.Printed;
import nexa.words.Words;

/** Contact sheets and print sheets, as PDF. */
public final class PaperPane implements PaneLayer.Content {
    private final PaperModel model;
    private final Supplier<List<Format>> formats;
    private final Choices<Kind> kind;
    private final ChoiceList<Paper> paper = new ChoiceList<>(
            "paper-paper",
            Words.of("paper.paper"),
            Paper.inCountry(Locale.getDefault().getCountry()),
            sheet -> Words.of("sheet", sheet));
    private final CheckBox lying = new CheckBox(Words.of("paper.lying"));
    private final Spinner<Integer> columns = Numbers.whole("paper-columns", "paper.columns", 1, 20, 5);
    private final Spinner<Double> bleed = Numbers.decimal("paper-bleed", "paper.bleed", 0, 50, 3, 0.5);
    private final CheckBox marks = new CheckBox(Words.of("paper.marks"));
    private final TextField file = new TextField();
    private final Button write = Buttons.text("paper.write", this::write);
    private final Button replace = Buttons.text("paper.replace", this::replace);
    private final Button cancel;
    private final ProgressBar progress = new ProgressBar(0);
    private final Label message = new Label();
    private final VBox node;
    private final Subscription subscriptions;

    /** @param formats those to print */
    public PaperPane(PaperModel model, Supplier<List<Format>> formats) {
        this.model = model;
        this.formats = formats;
        kind = new Choices<>("sheets", Kind.values(), model.kindProperty());
        cancel = Buttons.text("handover.cancel", model::cancel);
        fill();
        GridPane grid = new GridPane(12, 10);
        grid.addRow(0, Labels.field("paper.paper"), Rows.of(paper, lying));
        grid.addRow(1, Labels.field("paper.columns"), columns);
        grid.addRow(2, Labels.field("paper.bleed"), Rows.of(bleed, new Label(Words.of("paper.millimetres")), marks));
        grid.addRow(3, Labels.field("paper.file"), fileRow());
        for (Node of : grid.getChildren()) {
            int line = GridPane.getRowIndex(of);
            if (line == 1 || line == 2) {
                boolean forPrints = line == 2;
                of.visibleProperty().bind(model.kindProperty().map(chosen -> chosen == Kind.PRINTS == forPrints));
                of.managedProperty().bind(of.visibleProperty());
            }
        }
        node = new VBox(14, kind, grid, new HBox(8, write, replace, cancel), progress, message);
        node.setPrefWidth(530);
        subscriptions = Subscription.combine(
                model.kindProperty()
                        .subscribe(chosen -> file.setText(model.usualFile().toString())),
                model.stateProperty().subscribe(this::show));
    }

    private void fill() {
        paper.valueProperty().bindBidirectional(model.paperProperty());
        lying.selectedProperty().bindBidirectional(model.lyingProperty());
        lying.setId("paper-lying");
        marks.selectedProperty().bindBidirectional(model.marksProperty());
        marks.setId("paper-marks");
        columns.setPrefWidth(90);
        columns.getValueFactory().valueProperty().bindBidirectional(model.columnsProperty());
        bleed.setPrefWidth(90);
        bleed.getValueFactory().valueProperty().bindBidirectional(model.bleedProperty());
        write.setId("paper-write");
        write.getStyleClass().add("primary");
        replace.setId("paper-replace");
        progress.setMaxWidth(Double.MAX_VALUE);
        message.setId("paper-message");
        message.setWrapText(true);
        message.getStyleClass().add("note");
        for (Node each : new Node[] {replace, cancel, progress, message}) {
            each.managedProperty().bind(each.visibleProperty());
        }
    }

    private Node fileRow() {
        file.setId("paper-file");
        file.setAccessibleText(Words.of("paper.file"));
        HBox.setHgrow(file, Priority.ALWAYS);
        Button choose = Buttons.text("handover.folder.choose", this::choose);
        choose.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = Rows.of(file, choose);
        GridPane.setHgrow(row, Priority.ALWAYS);
        return row;
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of("paper.file"));
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("PDF", "*.pdf"));
        chooser.setInitialFileName(model.usualFile().getFileName().toString());
        File picked = chooser.showSaveDialog(node.getScene().getWindow());
        if (picked != null) {
            file.setText(picked.toString());
        }
    }

    private void write() {
        write(model::write);
    }

    private void replace() {
        write(model::replace);
    }

    private void write(BiConsumer<Path, List<Format>> how) {
        Optional<Path> target = TypedPath.of(file.getText());
        if (formats.get().isEmpty()) {
            message.setText(Words.of("handover.plan.nothing"));
        } else if (target.isEmpty()) {
            message.setText(Words.of("paper.no-file"));
        } else {
            how.accept(target.get(), formats.get());
        }
    }

    private void show(State state) {
        boolean running = state instanceof State.Running;
        write.setDisable(running);
        cancel.setVisible(running);
        replace.setVisible(state instanceof State.Taken);
        progress.setVisible(running);
        switch (state) {
            case State.Idle() -> message.setText(Words.of("paper.what"));
            case State.Running(int done, int of) -> {
                progress.setProgress(of == 0 ? 0 : (double) done / of);
                message.setText(Words.of("paper.running", done, of));
            }
            case State.Done(Printed printed) -> message.setText(words(printed));
            case State.Taken(Path taken) -> message.setText(Words.of("paper.taken", taken));
            case State.Failed(Told reason) -> message.setText(Words.of("paper.failed", reason));
        }
    }

    private static String words(Printed printed) {
        if (printed.cancelled()) {
            return Words.of("paper.cancelled");
        }
        String done = printed.pages() == 0
                ? Words.of("paper.none")
                : Words.of("paper.done", printed.pictures(), printed.pages(), printed.file());
        return TroubleWords.below(done, printed.troubles());
    }

    @Override
    public String title() {
        return Words.of("paper.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        kind.dispose();
        subscriptions.unsubscribe();
        paper.valueProperty().unbindBidirectional(model.paperProperty());
        lying.selectedProperty().unbindBidirectional(model.lyingProperty());
        marks.selectedProperty().unbindBidirectional(model.marksProperty());
        columns.getValueFactory().valueProperty().unbindBidirectional(model.columnsProperty());
        bleed.getValueFactory().valueProperty().unbindBidirectional(model.bleedProperty());
    }
}
