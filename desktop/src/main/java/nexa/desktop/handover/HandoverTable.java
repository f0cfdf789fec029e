package nexa.desktop.handover;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.print.Sense;
import nexa.core.print.SetSense;
import nexa.core.told.Told;
import nexa.desktop.delivering.HandoverModel;
import nexa.desktop.delivering.Outlook;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.SenseWords;
import nexa.shoot.handover.HandoverPlan.OnGrid;
import nexa.words.ShapeWords;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;

/** The brief's formats before a run: whether, as what and how large each is delivered, and what that is good for. */
final class HandoverTable extends GridPane {
    private final HandoverModel model;
    private final BiConsumer<Format, Node> edits;
    private final List<Row> rows = new ArrayList<>();
    private Brief shown = Brief.EMPTY;

    /** @param edits opens what a format's files are like, beside a button */
    HandoverTable(HandoverModel model, BiConsumer<Format, Node> edits) {
        super(18, 10);
        this.model = model;
        this.edits = edits;
        setId("handover-formats");
        getStyleClass().add("handover-table");
        for (Priority grow :
                new Priority[] {Priority.NEVER, Priority.SOMETIMES, Priority.SOMETIMES, Priority.ALWAYS, Priority.NEVER
                }) {
            ColumnConstraints column = new ColumnConstraints();
            column.setHgrow(grow);
            getColumnConstraints().add(column);
        }
    }

    /** Rows stay while the brief does: nothing is taken away from under the mouse. */
    void show(Brief brief, Outlook outlook) {
        if (!brief.equals(shown)) {
            shown = brief;
            fill(brief);
        }
        for (Row row : rows) {
            row.show(
                    outlook.onGrid().get(row.format.id()),
                    outlook.withoutProfile().get(row.format.id()));
            row.show(Optional.ofNullable(outlook.senses().get(row.format.id()))
                    .filter(known -> !model.choice().leftOut().contains(row.format.id())));
        }
    }

    private void fill(Brief brief) {
        getChildren().clear();
        rows.clear();
        addRow(
                0,
                head("handover.formats"),
                head("handover.delivered"),
                head("handover.largest"),
                head("handover.good"));
        for (Format format : brief.formats()) {
            Row row = new Row(format);
            rows.add(row);
            addRow(rows.size(), choice(format), row.delivered, row.largest, row.good, edit(format));
        }
    }

    /** What is known of one format's photos. */
    private static final class Row {
        private final Format format;
        private final Lines delivered = new Lines("note", "warned");
        private final Lines largest = new Lines("note");
        private final Lines good = new Lines("warned");

        Row(Format format) {
            this.format = format;
        }

        void show(@Nullable OnGrid onGrid, @Nullable Told withoutProfile) {
            delivered.show(
                    (ShapeWords.isSaidByName(format) ? "" : ShapeWords.of(format.shape()) + " · ")
                            + SenseWords.asked(format.target()),
                    FilesWords.of(format.files()) + (onGrid == null ? "" : " · " + SenseWords.onGrid(onGrid)),
                    withoutProfile == null ? "" : Words.of(withoutProfile));
        }

        void show(Optional<SetSense> sense) {
            largest.show(
                    sense.map(known -> largest(known, Sense.FINE_PPI)).orElse(""),
                    sense.map(known -> largest(known, Sense.GOOD_PPI)).orElse(""));
            good.show(
                    sense.map(SenseWords::verdict).orElse(""),
                    sense.map(SenseWords::warning).orElse(""));
        }

        private static String largest(SetSense sense, double ppi) {
            return Words.of("handover.largest.at", SenseWords.largest(sense.fewest(), ppi), Math.round(ppi));
        }
    }

    private static Label head(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("field-label");
        label.setMinWidth(USE_PREF_SIZE);
        return label;
    }

    private CheckBox choice(Format format) {
        CheckBox box = new CheckBox(Words.name(format.name()));
        box.setId("deliver-" + format.id());
        box.setSelected(!model.choice().leftOut().contains(format.id()));
        box.setOnAction(event -> {
            if (box.isSelected()) {
                model.choice().leftOut().remove(format.id());
            } else {
                model.choice().leftOut().add(format.id());
            }
        });
        GridPane.setValignment(box, VPos.TOP);
        return box;
    }

    /** One line, and others in their styles below; an empty one takes no room. */
    private static final class Lines extends VBox {
        private final List<Label> lines = new ArrayList<>(List.of(line()));

        Lines(String... styles) {
            super(2);
            for (String style : styles) {
                Label below = line();
                below.getStyleClass().add(style);
                lines.add(below);
            }
            getChildren().addAll(lines);
        }

        private static Label line() {
            Label line = new Label();
            line.setWrapText(true);
            line.managedProperty().bind(line.textProperty().isNotEmpty());
            line.visibleProperty().bind(line.managedProperty());
            return line;
        }

        void show(String... texts) {
            for (int i = 0; i < texts.length; i++) {
                lines.get(i).setText(texts[i]);
            }
        }
    }

    private Button edit(Format format) {
        Button button = Buttons.text("handover.files", () -> {});
        button.setId("files-" + format.id());
        button.setMinWidth(USE_PREF_SIZE);
        button.setOnAction(event -> edits.accept(format, button));
        Buttons.explain(button, Words.of("handover.files.tip", format.name()));
        GridPane.setValignment(button, VPos.TOP);
        return button;
    }
}
