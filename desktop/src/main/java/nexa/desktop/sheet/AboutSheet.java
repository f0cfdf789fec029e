package nexa.desktop.sheet;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.desktop.widget.Buttons;
import nexa.shoot.Build;
import nexa.words.Words;

/** Which program this is, and the licences of all that ships with it: the list of libraries is made by the build. */
public final class AboutSheet extends StackPane {
    private static final double WIDTH = 760;
    private static final double HEIGHT = 380;

    /** @param done closes the sheet */
    public AboutSheet(Runnable done) {
        setId("about");
        getStyleClass().add("veil");
        setOnMousePressed(event -> done.run());
        Label title = new Label(Words.of("app.name"));
        title.getStyleClass().add("sheet-title");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Button close = Buttons.text("pane.close", done);
        close.setId("about-close");
        HBox head = new HBox(18, title, space, close);
        head.setAlignment(Pos.CENTER_LEFT);
        Label build = new Label(String.join("\n", Build.lines()));
        Label own = new Label(Words.of("about.own"));
        own.getStyleClass().add("note");
        own.setWrapText(true);
        VBox sheet = new VBox(14, head, build, own, licences());
        sheet.getStyleClass().add("sheet");
        sheet.setPrefWidth(WIDTH);
        sheet.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        sheet.setOnMousePressed(event -> event.consume());
        getChildren().add(sheet);
    }

    private static TextArea licences() {
        TextArea licences = new TextArea(read("third-party.txt").strip() + "\n\n" + read("licences.md"));
        licences.setId("about-licences");
        licences.setAccessibleText(Words.of("about.licences"));
        licences.setEditable(false);
        licences.setWrapText(true);
        licences.setPrefHeight(HEIGHT);
        return licences;
    }

    private static String read(String resource) {
        try (InputStream in = Objects.requireNonNull(AboutSheet.class.getResourceAsStream(resource))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) { // a resource of the program itself
            throw new UncheckedIOException(unreadable);
        }
    }
}
