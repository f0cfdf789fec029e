package nexa.desktop.desk;

import javafx.beans.property.BooleanProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.geometry.Tilt;
import nexa.desktop.desk.area.AngleRuler;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Looks;
import nexa.words.Words;

/** The tilt as a number and as a ruler to be scrubbed. */
final class TiltArea extends VBox {
    /** Whatever stands beside it, so that it lies still under the pointer. */
    private static final double WIDE = 190;

    private static final double NARROW = 140;

    private final Session session;
    private final AngleRuler ruler;
    private final TextField tilt = new TextField();
    private final Label title = new Label(Words.of("desk.tilt"));

    /** @param adjusting set while the ruler is scrubbed */
    TiltArea(Session session, BooleanProperty adjusting) {
        super(2);
        this.session = session;
        this.ruler = new AngleRuler(session, Words.of("desk.tilt.ruler"), adjusting, new PhotosTilt(session));
        title.getStyleClass().add("desk-title");
        tilt.setId("tilt-value");
        tilt.getStyleClass().add("tilt-value");
        tilt.setAlignment(Pos.CENTER);
        tilt.setAccessibleText(Words.of("desk.tilt.field"));
        tilt.setTooltip(new Tooltip(Words.of("desk.tilt.field")));
        tilt.setOnAction(event -> typedTilt());
        tilt.focusedProperty().subscribe(focused -> refresh());
        ruler.setId("tilt-ruler");
        StackPane head = new StackPane(tilt, title);
        StackPane.setAlignment(title, Pos.CENTER_LEFT);
        title.setMouseTransparent(true);
        tilt.setMaxWidth(84);
        getChildren().addAll(head, ruler);
        setAlignment(Pos.CENTER);
        narrow(false);
        setDisable(!session.shoot().mayEdit());
    }

    /** Whether there is little room: then the number makes way for the word beside it. */
    void narrow(boolean little) {
        Pos place = little ? Pos.CENTER_RIGHT : Pos.CENTER;
        StackPane.setAlignment(tilt, place);
        tilt.setAlignment(place);
        ruler.setPrefSize(little ? NARROW : WIDE, 44);
        setMinWidth(little ? NARROW : WIDE);
    }

    private record PhotosTilt(Session session) implements AngleRuler.Angle {
        @Override
        public double degrees() {
            return session.framing().pose().tilt().degrees();
        }

        @Override
        public void preview(double degrees) {
            session.poseEdits().preview(Tilt.clamped(degrees));
        }

        @Override
        public void commit() {
            session.poseEdits().commitTilt();
        }

        @Override
        public void zero() {
            session.poseEdits().tilt(Tilt.NONE, "edit.tilt");
        }
    }

    /** A number, with or without a degree sign or a typographic minus; anything else is put back. */
    private void typedTilt() {
        String text = tilt.getText()
                .replace("°", "")
                .replace('−', '-')
                .replace(',', '.')
                .strip();
        try {
            double degrees = Double.parseDouble(text);
            if (Double.isFinite(degrees)) {
                session.poseEdits().tilt(Tilt.clamped(degrees), "edit.tilt");
            }
        } catch (NumberFormatException notANumber) {
            // the field shows the tilt again below
        }
        getParent().requestFocus();
        refresh();
    }

    /** Shows the tilt as it is, unless somebody types another one. */
    void refresh() {
        if (!tilt.isFocused()) {
            tilt.setText(Words.of(
                    "desk.tilt.value",
                    Looks.degrees(session.framing().pose().tilt().degrees())));
        }
        title.setText(Words.of(session.together().isOn() ? "desk.tilt.together" : "desk.tilt"));
    }

    void dispose() {
        ruler.dispose();
    }
}
