package nexa.desktop.brief;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.shape.Shape;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.FrameEdits;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.words.ShapeWords;
import nexa.words.Words;

/** The shape this photo's frame is held to: the format's, free, a common one, or one typed. */
public final class ShapePane implements PaneLayer.BesideView {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");
    private static final double WIDTH = 300;

    private final Session session;
    private final FrameEdits frame;
    private final FlowPane common = new FlowPane(5, 5);
    private final FlowPane typed = new FlowPane(5, 5);
    private final Label typedTitle = new Label(Words.of("shape.typed"));
    private final TextField field = new TextField();
    private final Label refusal = new Label();
    private final CheckBox outside = new CheckBox(Words.of("shape.outside"));
    private final VBox node;
    private final Subscription subscriptions;

    public ShapePane(Session session) {
        this.session = session;
        this.frame = session.frameEdits();
        field.setId("shape-typed");
        field.setPromptText(Words.of("shape.field"));
        field.setAccessibleText(Words.of("shape.field"));
        field.setOnAction(event -> holdTyped());
        refusal.getStyleClass().add("refusal");
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        outside.setId("outside");
        outside.setOnAction(event -> frame.allowOutside(outside.isSelected()));
        Buttons.explain(outside, Words.of("shape.outside.tip"));
        typedTitle.getStyleClass().add("note");
        Button turn = Buttons.text("shape.swap", frame::swap);
        turn.setId("shape-swap");
        node = new VBox(10, common, typedTitle, typed, field, refusal, new HBox(8, turn), outside);
        node.setPrefWidth(WIDTH);
        subscriptions = Subscription.combine(
                session.framingProperty().subscribe(framing -> refresh()),
                session.formatProperty().subscribe(format -> refresh()),
                session.settings().shapesProperty().subscribe(shapes -> refresh()));
    }

    @Override
    public String title() {
        return Words.of("shape.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscriptions.unsubscribe();
    }

    private void holdTyped() {
        try {
            Shape shape = ShapeWords.parse(field.getText());
            if (shape instanceof Shape.Ratio) { // the others are always there
                session.settings().rememberShape(field.getText());
            }
            refusal.setText("");
            field.clear();
            frame.hold(shape);
        } catch (IllegalArgumentException refused) {
            refusal.setText(Words.of(refused));
        }
    }

    private void refresh() {
        Optional<Format> format = session.format();
        common.getChildren().clear();
        format.ifPresent(
                f -> common.getChildren().add(chip(Words.of("shape.formats", ShapeWords.of(f.shape())), f.shape())));
        Stream.concat(
                        Stream.of(Shape.FREE, Shape.AS_PHOTO),
                        FrameEdits.COMMON.stream().map(Shape::parse))
                .filter(shape -> format.filter(f -> f.shape().equals(shape)).isEmpty())
                .forEach(shape -> common.getChildren().add(chip(ShapeWords.of(shape), shape)));
        List<String> remembered = session.settings().shapesProperty().get();
        typed.getChildren()
                .setAll(remembered.stream()
                        .map(text -> chip(text, Shape.parse(text)))
                        .toList());
        typedTitle.setVisible(!remembered.isEmpty());
        typedTitle.setManaged(!remembered.isEmpty());
        outside.setSelected(frame.isOutsideAllowed());
        boolean editable = session.frame().isPresent() && session.shoot().mayEdit();
        node.setDisable(!editable);
    }

    private Button chip(String text, Shape shape) {
        Button chip = new Button(text);
        chip.getStyleClass().add("chip");
        chip.setId("shape-" + shape.text().replace(' ', '-').replace(':', '-'));
        chip.setFocusTraversable(false);
        chip.setOnAction(event -> frame.hold(shape));
        boolean active = frame.held().filter(f -> f.shape().equals(shape)).isPresent();
        chip.pseudoClassStateChanged(ACTIVE, active);
        return chip;
    }
}
