package nexa.desktop.desk;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.exact.Measure;
import nexa.core.exact.Reference;
import nexa.core.exact.Unit;
import nexa.core.geometry.Frame;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Settings;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.ChoiceList;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Numbers;
import nexa.words.Words;

/** The frame's place and size as numbers that can be typed, counted from one of nine points. */
public final class NumbersPane implements PaneLayer.BesideView {
    private interface Typed {
        Frame frame(Measure measure, Frame frame, double value);
    }

    private final Session session;
    private final TextField x = field("x", (m, f, v) -> m.withX(f, v));
    private final TextField y = field("y", (m, f, v) -> m.withY(f, v));
    private final TextField wide = field("width", (m, f, v) -> m.withWidth(f, v, keepsShape()));
    private final TextField high = field("height", (m, f, v) -> m.withHeight(f, v, keepsShape()));
    private final TextField ppi = new TextField();
    private final ChoiceList<Unit> unit =
            ChoiceList.of("numbers-unit", Words.of("numbers.unit"), Unit.values(), "unit");
    private final VBox node = new VBox(10);
    private final Subscription subscriptions;

    public NumbersPane(Session session) {
        this.session = session;
        Settings settings = session.settings();
        unit.setValue(settings.unitProperty().get());
        unit.valueProperty().subscribe(chosen -> settings.unitProperty().set(chosen));
        ppi.setPrefColumnCount(4);
        ppi.setId("numbers-ppi");
        ppi.setAccessibleText(Words.of("numbers.ppi"));
        ppi.setOnAction(event -> typedPpi());
        GridPane grid = new GridPane(10, 7);
        grid.addRow(0, Labels.field("numbers.x"), x, Labels.field("numbers.width"), wide);
        grid.addRow(1, Labels.field("numbers.y"), y, Labels.field("numbers.height"), high);
        grid.addRow(2, Labels.field("numbers.unit"), unit, Labels.field("numbers.ppi"), ppi);
        HBox row = new HBox(12, references(settings), grid);
        row.setAlignment(Pos.CENTER_LEFT);
        Label note = new Label(Words.of("numbers.note"));
        note.getStyleClass().add("note");
        note.setWrapText(true);
        note.setPrefWidth(0); // as wide as the fields
        note.setMaxWidth(Double.MAX_VALUE);
        node.getChildren().addAll(row, note);
        subscriptions = Follow.each(
                this::refresh,
                session.framingProperty(),
                session.formatProperty(),
                settings.unitProperty(),
                settings.ppiProperty(),
                settings.referenceProperty());
    }

    private GridPane references(Settings settings) {
        GridPane nine = new GridPane(2, 2);
        ToggleGroup group = new ToggleGroup();
        for (Reference reference : Reference.values()) {
            ToggleButton point = new ToggleButton();
            point.getStyleClass().add("reference");
            point.setId("reference-" + reference);
            point.setToggleGroup(group);
            point.setSelected(settings.referenceProperty().get() == reference);
            point.setOnAction(event -> {
                point.setSelected(true);
                settings.referenceProperty().set(reference);
            });
            Buttons.explain(point, Words.of("numbers.reference", Words.of("reference", reference)));
            nine.add(point, reference.ordinal() % 3, reference.ordinal() / 3);
        }
        nine.setAlignment(Pos.CENTER);
        return nine;
    }

    private TextField field(String name, Typed typed) {
        TextField field = new TextField();
        field.setPrefColumnCount(5);
        field.setId("numbers-" + name);
        field.setAccessibleText(Words.of("numbers." + name));
        field.setOnAction(event -> typed(field, typed));
        field.focusedProperty().subscribe((was, focused) -> refresh());
        return field;
    }

    private boolean keepsShape() {
        return !session.frameEdits().isFree();
    }

    private Optional<Measure> measure() {
        Settings settings = session.settings();
        return session.space()
                .map(space -> new Measure(
                        space.upright(),
                        settings.referenceProperty().get(),
                        settings.unitProperty().get(),
                        settings.ppiProperty().get()));
    }

    /** What is no number, or no size, is put back. */
    private void typed(TextField field, Typed typed) {
        Numbers.typed(field.getText())
                .ifPresent(value -> session.frame().ifPresent(frame -> measure().ifPresent(measure -> {
                    try {
                        session.frameEdits().place("edit.numbers", typed.frame(measure, frame, value));
                    } catch (IllegalArgumentException noSize) { // shown as refused
                        field.selectAll();
                    }
                })));
        node.requestFocus();
        refresh();
    }

    private void typedPpi() {
        Numbers.typed(ppi.getText())
                .filter(value -> value >= 1 && value <= 10_000)
                .ifPresent(value -> session.settings().ppiProperty().set(value));
        node.requestFocus();
        refresh();
    }

    private void refresh() {
        show(x, Measure::x);
        show(y, Measure::y);
        show(wide, Measure::width);
        show(high, Measure::height);
        if (!ppi.isFocused()) {
            ppi.setText(Numbers.text(session.settings().ppiProperty().get(), 0));
        }
        node.setDisable(session.frame().isEmpty() || !session.shoot().mayEdit());
    }

    private interface Value {
        double of(Measure measure, Frame frame);
    }

    private void show(TextField field, Value value) {
        if (!field.isFocused()) {
            int decimals = session.settings().unitProperty().get() == Unit.PIXEL ? 0 : 2;
            field.setText(session.frame()
                    .flatMap(frame -> measure().map(measure -> Numbers.text(value.of(measure, frame), decimals)))
                    .orElse(""));
        }
    }

    @Override
    public String title() {
        return Words.of("numbers.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void focus() {
        x.requestFocus();
        x.selectAll();
    }

    @Override
    public void dispose() {
        subscriptions.unsubscribe();
    }
}
