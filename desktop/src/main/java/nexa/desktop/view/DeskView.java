package nexa.desktop.view;

import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.print.OutputSize;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignS;

/** What is adjusted on the current photo: tilt, turns, overlay, the frame's size, and accepting it. */
public final class DeskView extends HBox {
    private static final double SHARP_PPI = 300;
    private static final double CM_PER_INCH = 2.54;

    private final Session session;
    private final TiltRuler ruler;
    private final OverlayPicker picker;
    private final TextField tilt = new TextField();
    private final Label formatName = new Label();
    private final Label pixels = new Label();
    private final Label print = new Label();
    private final Button clear;
    private final Button check;
    private final Subscription subscriptions;

    /**
     * @param levelling whether the next drag in the Bench draws a level line
     * @param tiltAdjusting set while the ruler is scrubbed
     */
    public DeskView(Session session, BooleanProperty levelling, BooleanProperty tiltAdjusting) {
        this.session = session;
        this.ruler = new TiltRuler(session, tiltAdjusting);
        this.picker = new OverlayPicker(session);
        this.clear = Buttons.text("desk.clear", session::clear);
        this.check = Buttons.text("desk.check", session::checkAndNext);
        getStyleClass().add("desk");
        setAlignment(Pos.CENTER_LEFT);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        getChildren().addAll(tiltArea(), turnArea(levelling), overlayArea(), figures(), space, actions());
        subscriptions = Subscription.combine(
                session.formatProperty().subscribe(f -> refresh()),
                session.framingProperty().subscribe(f -> refresh()),
                session.photoProperty().subscribe(p -> refresh()));
    }

    public void dispose() {
        subscriptions.unsubscribe();
        ruler.dispose();
        picker.dispose();
    }

    private Node tiltArea() {
        tilt.setId("tilt-value");
        tilt.getStyleClass().add("tilt-value");
        tilt.setAlignment(Pos.CENTER);
        tilt.setAccessibleText(Words.of("desk.tilt.field"));
        tilt.setTooltip(new javafx.scene.control.Tooltip(Words.of("desk.tilt.field")));
        tilt.setOnAction(event -> typedTilt());
        tilt.focusedProperty().subscribe(focused -> refresh());
        ruler.setId("tilt-ruler");
        ruler.setPrefSize(316, 44);
        Label title = title("desk.tilt");
        HBox head = new HBox(title, tilt);
        HBox.setHgrow(tilt, Priority.ALWAYS);
        title.setMinWidth(44);
        Region balance = new Region();
        balance.setMinWidth(44);
        head.getChildren().add(balance);
        VBox area = new VBox(2, head, ruler);
        area.setAlignment(Pos.CENTER);
        area.setMinWidth(260);
        return area;
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
                session.tilt(Tilt.clamped(degrees), "edit.tilt");
            }
        } catch (NumberFormatException notANumber) {
            // the field shows the tilt again below
        }
        getParent().requestFocus();
        refresh();
    }

    private Node turnArea(BooleanProperty levelling) {
        ToggleButton level = Buttons.toggle(MaterialDesignS.SPIRIT_LEVEL, "desk.level");
        level.setId("level");
        level.selectedProperty().bindBidirectional(levelling);
        Button left = Buttons.icon(
                MaterialDesignR.ROTATE_LEFT, "desk.quarter.left", () -> session.turn(Turn.COUNTERCLOCKWISE));
        Button right =
                Buttons.icon(MaterialDesignR.ROTATE_RIGHT, "desk.quarter.right", () -> session.turn(Turn.CLOCKWISE));
        Button mirror =
                Buttons.icon(MaterialDesignR.REFLECT_HORIZONTAL, "desk.mirror", () -> session.turn(Turn.MIRROR));
        left.setId("quarter-left");
        right.setId("quarter-right");
        mirror.setId("mirror");
        VBox area = new VBox(6, new HBox(6, level, mirror), new HBox(6, left, right));
        area.setAlignment(Pos.CENTER);
        return area;
    }

    private Node overlayArea() {
        Button turn = Buttons.icon(
                MaterialDesignA.AXIS_Z_ROTATE_CLOCKWISE, "desk.overlay.turn", () -> session.overlayProperty()
                        .set(session.overlayProperty().get().turned()));
        turn.getStyleClass().add("small");
        turn.setId("overlay-turn");
        Label key = new Label("G");
        key.getStyleClass().add("key");
        HBox head = new HBox(8, title("desk.overlay"), key, turn);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox area = new VBox(6, head, picker);
        area.setAlignment(Pos.CENTER_LEFT);
        return area;
    }

    private Node figures() {
        formatName.getStyleClass().add("desk-title");
        pixels.getStyleClass().add("desk-figure");
        print.getStyleClass().add("desk-verdict");
        print.setTooltip(new javafx.scene.control.Tooltip(Words.of("desk.frame.print.tip")));
        VBox area = new VBox(4, formatName, pixels, print);
        area.setAlignment(Pos.CENTER_LEFT);
        area.setMinWidth(180);
        return area;
    }

    private Node actions() {
        clear.setId("clear");
        check.setId("check");
        check.getStyleClass().add("primary");
        Buttons.explain(clear, Words.of("desk.clear.tip"));
        Buttons.explain(check, Words.of("desk.check.tip"));
        HBox area = new HBox(10, clear, check);
        area.setAlignment(Pos.CENTER_RIGHT);
        area.setMinWidth(Region.USE_PREF_SIZE);
        return area;
    }

    private static Label title(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("desk-title");
        return label;
    }

    private void refresh() {
        if (!tilt.isFocused()) {
            tilt.setText(Words.of(
                    "desk.tilt.value",
                    BenchDrawing.degrees(session.framing().pose().tilt().degrees())));
        }
        formatName.setText(
                session.format().map(f -> f.name() + " · " + f.shape().text()).orElse(""));
        Optional<PixelSize> size =
                session.frame().flatMap(frame -> session.asShot().map(asShot -> OutputSize.natural(frame, asShot)));
        pixels.setText(size.map(s -> Words.of("desk.frame.size", text(s.width()), text(s.height())))
                .orElse(""));
        print.setText(size.map(s -> Words.of("desk.frame.print", centimetres(s.width()), centimetres(s.height())))
                .orElse(""));
        boolean editable = size.isPresent() && session.shoot().mayEdit();
        check.setDisable(!editable);
        clear.setDisable(!editable
                || session.format().flatMap(f -> session.framing().crop(f)).isEmpty());
    }

    private static String text(int number) {
        return Integer.toString(number);
    }

    private static String centimetres(int pixels) {
        return String.format(Locale.ROOT, "%.1f", pixels / SHARP_PPI * CM_PER_INCH);
    }
}
