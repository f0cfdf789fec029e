package nexa.desktop.handover;

import java.io.File;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.Subscription;
import nexa.core.told.Told;
import nexa.desktop.delivering.ExchangeModel;
import nexa.desktop.delivering.ExchangeModel.State;
import nexa.desktop.model.InStep;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.TroubleWords;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.Exchanged;
import nexa.words.Words;

/** Crops as files: a sidecar beside each photo, or one table. */
public final class ExchangePane implements PaneLayer.Content {
    private final Shoot shoot;
    private final ExchangeModel model;
    private final InStep inStep;
    private final CheckBox keep = new CheckBox(Words.of("exchange.in-step"));
    private final Label message = new Label();
    private final VBox node;
    private final Subscription subscriptions;

    public ExchangePane(Shoot shoot, ExchangeModel model, InStep inStep) {
        this.shoot = shoot;
        this.model = model;
        this.inStep = inStep;
        keep.setId("exchange-in-step");
        keep.selectedProperty().bindBidirectional(inStep.onProperty());
        message.setId("exchange-message");
        message.setWrapText(true);
        message.getStyleClass().add("note");
        message.managedProperty().bind(message.textProperty().isNotEmpty());
        Button read = button("exchange.read", "exchange-read", model::readSidecars);
        Button readTable = button("exchange.table.read", "exchange-table-read", this::readTable);
        read.setDisable(!shoot.mayEdit());
        readTable.setDisable(!shoot.mayEdit());
        node = new VBox(
                18,
                part(
                        "exchange.sidecars",
                        "exchange.sidecars.tip",
                        new HBox(8, button("exchange.write", "exchange-write", model::writeSidecars), read),
                        keep),
                part(
                        "exchange.table",
                        "exchange.table.tip",
                        new HBox(
                                8,
                                button("exchange.table.write", "exchange-table-write", this::writeTable),
                                readTable)),
                message);
        node.setPrefWidth(430);
        subscriptions = model.stateProperty().subscribe(this::show);
    }

    private static Button button(String words, String id, Runnable action) {
        Button button = Buttons.text(words, action);
        button.setId(id);
        return button;
    }

    private static VBox part(String title, String tip, Region... content) {
        Label name = new Label(Words.of(title));
        name.getStyleClass().add("format-name");
        Label explained = new Label(Words.of(tip));
        explained.getStyleClass().add("note");
        explained.setWrapText(true);
        VBox part = new VBox(8, name, explained);
        part.getChildren().addAll(content);
        return part;
    }

    private static FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of(title));
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("CSV", "*.csv"));
        return chooser;
    }

    private void writeTable() {
        FileChooser chooser = chooser("exchange.table.write");
        chooser.setInitialFileName(shoot.name() + ".csv");
        File chosen = chooser.showSaveDialog(node.getScene().getWindow());
        if (chosen != null) {
            model.writeTable(chosen.toPath());
        }
    }

    private void readTable() {
        File chosen =
                chooser("exchange.table.read").showOpenDialog(node.getScene().getWindow());
        if (chosen != null) {
            model.readTable(chosen.toPath());
        }
    }

    private void show(State state) {
        message.setText(
                switch (state) {
                    case State.Idle() -> "";
                    case State.Busy() -> Words.of("exchange.busy");
                    case State.Wrote(Exchanged done) -> words("exchange.wrote", done);
                    case State.Read(Exchanged done) -> words("exchange.did-read", done);
                    case State.WroteTable(int rows, var file) -> Words.of("exchange.table.wrote", rows, file);
                    case State.Failed(Told reason) -> Words.of(reason);
                });
    }

    private static String words(String key, Exchanged done) {
        return TroubleWords.below(Words.of(key, done.photos(), done.same()), done.troubles());
    }

    @Override
    public String title() {
        return Words.of("exchange.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscriptions.unsubscribe();
        keep.selectedProperty().unbindBidirectional(inStep.onProperty());
    }
}
