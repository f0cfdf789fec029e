package nexa.desktop.wall;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.session.Session;
import nexa.imaging.file.FileKind;
import nexa.words.Words;

/** What the Wall says while it shows no photo, and why. */
final class EmptyWall extends VBox {
    private final Label what = new Label();
    private final Label hint = new Label();
    private final Keys keys;

    EmptyWall(Keys keys) {
        super(6);
        this.keys = keys;
        getChildren().addAll(what, hint);
        setAlignment(Pos.CENTER);
        getStyleClass().add("empty-state");
    }

    /** Shows itself where no photo is listed. */
    void refresh(Session session) {
        boolean none = session.shoot().photos().isEmpty();
        setVisible(session.list().photos().isEmpty());
        what.setText(Words.of(none ? "wall.empty" : "wall.filtered"));
        hint.setText(
                none
                        ? Words.of("wall.empty.hint", FileKind.titles())
                        : Words.of("wall.filtered.hint", keys.label(Command.FILTER)));
    }
}
