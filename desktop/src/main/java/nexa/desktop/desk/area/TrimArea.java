package nexa.desktop.desk.area;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.trim.Side;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.repair.Trimming;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Numbers;
import nexa.words.Words;

/** What is adjusted while a photo is trimmed: how much of each side, and laying it straight. */
final class TrimArea extends WorkArea {
    private final Session session;
    private final Trimming trimming;
    private final Map<Side, TextField> fields = new EnumMap<>(Side.class);
    private final Button clear;
    private final Button straighten;
    private final Subscription subscription;

    TrimArea(ShootModels models, Keys keys, ObjectProperty<BenchMode> mode, Runnable find) {
        super(22);
        session = models.session();
        trimming = models.trimming();
        clear = Buttons.text("desk.trim.clear", trimming::clear);
        clear.setId("trim-clear");
        Buttons.explain(clear, Words.of("desk.trim.clear.tip"));
        straighten = Buttons.text("desk.trim.straighten", trimming::straighten);
        straighten.setId("trim-straighten");
        Buttons.explain(straighten, Words.of("desk.trim.straighten.tip"));
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(sides(), buttons(keys, mode, find));
        subscription = session.framingProperty().when(visibleProperty()).subscribe(framing -> refresh());
    }

    private Node sides() {
        GridPane grid = new GridPane(8, 6);
        grid.setAlignment(Pos.CENTER_LEFT);
        for (Side side : Side.values()) {
            TextField field = field(side);
            fields.put(side, field);
            int column = side.isUpright() ? 0 : 2;
            int row = side.isFar() ? 1 : 0;
            grid.add(Labels.field("trim.side." + side.name().toLowerCase(Locale.ROOT)), column, row);
            grid.add(field, column + 1, row);
        }
        Label title = Labels.title("desk.trim.title");
        title.setTooltip(new Tooltip(Words.of("desk.trim.note")));
        HBox area = new HBox(18, title, grid, Labels.field("desk.trim.pixels"));
        area.setAlignment(Pos.CENTER_LEFT);
        return area;
    }

    private TextField field(Side side) {
        TextField field = new TextField();
        field.setPrefColumnCount(5);
        field.setId("trim-" + side.name().toLowerCase(Locale.ROOT));
        field.setAccessibleText(Words.of("trim.side", side));
        field.setOnAction(event -> {
            Numbers.typed(field.getText()).ifPresent(pixels -> trimming.depth(side, pixels));
            refresh();
            requestFocus();
        });
        field.focusedProperty().subscribe((was, focused) -> refresh());
        return field;
    }

    private Node buttons(Keys keys, ObjectProperty<BenchMode> mode, Runnable find) {
        Button search = Buttons.text("desk.trim.find", find);
        search.setId("trim-find");
        Buttons.explain(search, Command.AUTO_TRIM, keys);
        Button split = Buttons.text("desk.trim.split", trimming::split);
        split.setId("trim-split");
        Buttons.explain(split, Words.of("desk.trim.split.tip"));
        Button close = Buttons.text("desk.trim.close", trimming::closeUp);
        close.setId("trim-close");
        Buttons.explain(close, Words.of("desk.trim.close.tip"));
        Button done = DoneButton.of("trim-done", Command.TRIM, keys, mode);
        VBox area = new VBox(6, new HBox(8, search, split, close), new HBox(8, straighten, clear, done));
        area.setAlignment(Pos.CENTER_LEFT);
        return area;
    }

    private void refresh() {
        boolean editable = session.space().isPresent() && session.shoot().mayEdit();
        fields.forEach((side, field) -> {
            double depth = trimming.depth(side);
            if (!field.isFocused()) {
                field.setText(depth == 0 ? Words.of("desk.trim.none") : Numbers.text(depth, 1));
            }
            field.setDisable(!editable);
        });
        clear.setDisable(!trimming.isTrimmed() || !editable);
        straighten.setDisable(trimming.isStraight() || !editable);
    }

    @Override
    void dispose() {
        subscription.unsubscribe();
    }
}
