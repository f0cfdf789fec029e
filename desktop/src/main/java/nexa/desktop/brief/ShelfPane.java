package nexa.desktop.brief;

import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import nexa.core.brief.Format;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.KeptRow;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Rows;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.BriefFile;
import nexa.shoot.exchange.Shelf;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.words.ShapeWords;
import nexa.words.Words;

/** Formats and whole briefs kept for other shoots, and briefs as files. */
public final class ShelfPane implements PaneLayer.Content {
    private final Session session;
    private final Shelf shelf;
    private final Runnable done;
    private final VBox briefs = new VBox(2);
    private final VBox formats = new VBox(2);
    private final TextField name = new TextField();
    private final Label message = new Label();
    private final Button forget;
    private final VBox node;

    /** @param done closes the pane */
    public ShelfPane(Session session, Shelf shelf, Runnable done) {
        this.session = session;
        this.shelf = shelf;
        this.done = done;
        name.setId("shelf-name");
        name.setPromptText(Words.of("shelf.name"));
        name.setAccessibleText(Words.of("shelf.name"));
        name.setOnAction(event -> keep());
        HBox.setHgrow(name, Priority.ALWAYS);
        Button keep = Buttons.text("shelf.keep", this::keep);
        keep.setId("shelf-keep");
        message.setWrapText(true);
        message.managedProperty().bind(message.textProperty().isNotEmpty());
        forget = Buttons.text("shelf.forget", this::forget);
        forget.setId("shelf-forget");
        Buttons.explain(forget, Words.of("shelf.forget.tip"));
        Button save = Buttons.text("shelf.export", this::exportFile);
        Button load = Buttons.text("shelf.import", this::importFile);
        save.setId("shelf-export");
        load.setId("shelf-import");
        node = new VBox(
                9,
                Labels.field("shelf.briefs"),
                briefs,
                new HBox(8, name, keep),
                Labels.field("shelf.formats"),
                formats,
                Labels.field("shelf.files"),
                new HBox(8, save, load),
                forget,
                message);
        node.setPrefWidth(330);
        fill();
    }

    private void fill() {
        briefs.getChildren()
                .setAll(shelf.briefs().stream()
                        .map(brief -> row(
                                brief.name(),
                                Words.of("shelf.count", brief.formats().size()),
                                () -> use(brief),
                                () -> shelf.drop(brief)))
                        .toList());
        if (briefs.getChildren().isEmpty()) {
            briefs.getChildren().add(quiet("shelf.briefs.none"));
        }
        formats.getChildren()
                .setAll(shelf.formats().stream()
                        .map(format -> row(format.name(), shape(format), () -> use(format), () -> shelf.drop(format)))
                        .toList());
        if (formats.getChildren().isEmpty()) {
            formats.getChildren().add(quiet("shelf.formats.none"));
        }
        long withRemoved = session.briefEdits().withRemoved();
        forget.setText(Words.of("shelf.forget", withRemoved));
        forget.setDisable(withRemoved == 0 || !session.shoot().mayEdit());
    }

    /** Nothing where the name says it. */
    private static String shape(Format format) {
        return ShapeWords.isSaidByName(format) ? "" : ShapeWords.of(format.shape());
    }

    private static Label quiet(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("note");
        label.setWrapText(true);
        return label;
    }

    private Node row(String title, String words, Runnable use, Runnable drop) {
        Button add = Buttons.text("shelf.use", use);
        add.setId("use-" + KeptRow.id(title));
        add.setDisable(!session.shoot().mayEdit());
        return KeptRow.of(title, words, Rows.of(), add, () -> {
            drop.run();
            fill();
        });
    }

    private void use(BriefFile brief) {
        session.briefEdits().addAll(brief.formats());
        done.run();
    }

    private void use(Format format) {
        session.briefEdits().addAll(List.of(format));
        done.run();
    }

    private void keep() {
        try {
            shelf.keep(new BriefFile(name.getText(), session.brief().formats()));
            say(Words.of("shelf.kept", name.getText().strip()), "note");
            name.clear();
            fill();
        } catch (IllegalArgumentException refused) {
            say(Words.of(refused), "refusal");
        }
    }

    private void forget() {
        session.briefEdits().forgetRemoved();
        fill();
    }

    private static FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of(title));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(Words.of("shelf.file.kind"), "*.nexabrief", "*.json"));
        return chooser;
    }

    private void exportFile() {
        FileChooser chooser = chooser("shelf.export");
        chooser.setInitialFileName(session.shoot().name() + ".nexabrief");
        File chosen = chooser.showSaveDialog(node.getScene().getWindow());
        if (chosen != null) {
            write(chosen.toPath());
        }
    }

    private void importFile() {
        File chosen = chooser("shelf.import").showOpenDialog(node.getScene().getWindow());
        if (chosen != null) {
            read(chosen.toPath());
        }
    }

    private void write(Path file) {
        try {
            Shoot shoot = session.shoot();
            new BriefFile(shoot.name(), session.brief().formats())
                    .write(file, shoot.guard(), IfTaken.REPLACE); // the system's dialog asked
            say(Words.of("shelf.written", file), "note");
        } catch (IOException failed) {
            say(Words.of("shelf.failed", file, Words.of(failed)), "refusal");
        }
    }

    private void read(Path file) {
        try {
            use(BriefFile.read(file));
        } catch (IOException failed) {
            say(Words.of("shelf.failed", file, Words.of(failed)), "refusal");
        }
    }

    private void say(String words, String style) {
        message.setText(words);
        message.getStyleClass().setAll("label", style);
    }

    @Override
    public String title() {
        return Words.of("shelf.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void focus() {
        name.requestFocus();
    }

    @Override
    public void dispose() {}
}
