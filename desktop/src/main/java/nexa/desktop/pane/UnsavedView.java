package nexa.desktop.pane;

import java.io.File;
import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.Subscription;
import nexa.core.told.Told;
import nexa.desktop.model.Unsaved;
import nexa.desktop.model.Unsaved.State;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;

/** Asks, before a shoot is closed whose last changes are not stored. */
public final class UnsavedView extends StackPane {
    private static final double WIDTH = 660;

    private final Unsaved model;
    private final Label why = label("unsaved-why");
    private final Subscription subscription;

    /**
     * Shows until one of its buttons ends it.
     *
     * @param leave closes all the same
     * @param stay gives closing up
     */
    public UnsavedView(Unsaved model, Runnable leave, Runnable stay) {
        this.model = model;
        getStyleClass().add("veil");
        setId("unsaved");
        Label title = new Label(Words.of("unsaved.title"));
        title.getStyleClass().add("pane-title");
        Label what = label("unsaved-what");
        what.setText(Words.of("unsaved.what"));
        Button again = button("unsaved.again", model::tryAgain);
        again.getStyleClass().add("primary");
        HBox buttons = new HBox(
                8,
                again,
                button("unsaved.table", this::choose),
                button("unsaved.stay", stay),
                button("unsaved.leave", leave));
        buttons.setAlignment(Pos.CENTER_LEFT);
        VBox box = new VBox(12, title, why, what, buttons);
        box.getStyleClass().add("small-pane");
        box.setMaxSize(WIDTH, USE_PREF_SIZE);
        getChildren().add(box);
        subscription = model.stateProperty().subscribe(state -> show(state, leave));
    }

    private static Button button(String words, Runnable action) {
        Button button = Buttons.text(words, action);
        button.setId(words.replace('.', '-'));
        button.setMinWidth(USE_PREF_SIZE);
        return button;
    }

    private static Label label(String id) {
        Label label = new Label();
        label.setWrapText(true);
        label.setId(id);
        return label;
    }

    private void show(State state, Runnable leave) {
        switch (state) {
            case State.Unstored(Told reason) -> why.setText(Words.of("unsaved.why", reason));
            case State.Kept(int rows, Path file) -> why.setText(Words.of("unsaved.kept", rows, file));
            case State.NotKept(Told reason) -> why.setText(Words.of("unsaved.failed", reason));
            case State.Stored() -> leave.run();
        }
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of("unsaved.table"));
        chooser.setInitialFileName(model.usualName());
        File picked = chooser.showSaveDialog(getScene().getWindow());
        if (picked != null) {
            model.keep(picked.toPath());
        }
    }

    public void dispose() {
        subscription.unsubscribe();
    }
}
