package nexa.desktop.handover;

import java.util.List;
import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.files.Finish;
import nexa.desktop.delivering.FinishExample;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** What one format's files are like. Nothing changes before it is kept; what is refused is said and stays as typed. */
public final class FilesPane implements PaneLayer.Content {
    /** An example takes a whole decode, so there is none for every letter that is typed. */
    private final PauseTransition soon = new PauseTransition(Duration.millis(150));

    private final Session session;
    private final Format format;
    private final Runnable done;
    private final PixelsForm pixels;
    private final FinishForm finish;
    private final SaidForm said;
    private final Label message = new Label();
    private final VBox node;

    /** @param done closes the pane */
    public FilesPane(Session session, FinishExample example, Format format, Runnable done) {
        this.session = session;
        this.format = format;
        this.done = done;
        pixels = new PixelsForm(format);
        finish = new FinishForm(format.files().finish(), example);
        said = new SaidForm(format.files().description());
        message.setWrapText(true);
        message.setId("files-message");
        message.getStyleClass().setAll("label", "refusal");
        message.managedProperty().bind(message.textProperty().isNotEmpty());
        HBox both = new HBox(28, pixels, new VBox(14, finish, said));
        node = new VBox(14, both, message, buttons());
        pixels.onEnter(() -> keep(List.of(format)));
        soon.setOnFinished(event -> showExample());
        finish.valueProperty().subscribe(finished -> soon.playFromStart());
        pixels.sizeProperty().subscribe(size -> soon.playFromStart());
    }

    private Node buttons() {
        Button keep = Buttons.text("format.keep", () -> keep(List.of(format)));
        keep.setId("files-keep");
        keep.getStyleClass().add("primary");
        Button all = Buttons.text("files.keep.all", () -> keep(brief().formats()));
        all.setId("files-keep-all");
        Buttons.explain(all, Words.of("files.keep.all.tip"));
        keep.setDisable(!session.shoot().mayEdit());
        all.setDisable(!session.shoot().mayEdit());
        return new HBox(8, keep, all);
    }

    /** @throws IllegalArgumentException with words for the user if a field can't be read */
    private Format typed() {
        Finish finished = finish.valueProperty().get();
        return pixels.typed(said.typed(), finished);
    }

    private Brief brief() {
        return session.brief();
    }

    /** The size is this format's own; how files are made can be the same for others. */
    private void keep(List<Format> formats) {
        try {
            Format typed = typed();
            Brief after = brief().changed(typed);
            for (Format each : formats) {
                if (each.id() != typed.id()) {
                    after = after.changed(each.filed(typed.files()));
                }
            }
            session.briefEdits().change("edit.brief.edit", after);
            done.run();
        } catch (IllegalArgumentException refused) {
            message.setText(Words.of(refused));
        }
    }

    /** Of the current photo, if it can be read. */
    private void showExample() {
        try {
            Format typed = typed();
            message.setText("");
            session.photo().filter(Photo::isReadable).ifPresent(photo -> finish.show(photo, typed));
        } catch (IllegalArgumentException refused) {
            message.setText(Words.of(refused));
        }
    }

    @Override
    public String title() {
        return Words.of("files.title", format.name());
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        soon.stop();
        finish.dispose();
    }
}
