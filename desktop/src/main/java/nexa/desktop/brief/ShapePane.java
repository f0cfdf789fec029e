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
import nexa.desktop.session.Follow;
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

    private record Offered(String words, Shape shape) {}

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
        subscriptions = Follow.each(
                this::refresh,
                session.framingProperty(),
                session.formatProperty(),
                session.settings().shapesProperty());
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
        Stream<Offered> formats =
                format.stream().map(f -> new Offered(Words.of("shape.formats", ShapeWords.of(f.shape())), f.shape()));
        Stream<Offered> others = Stream.concat(
                        Stream.of(Shape.FREE, Shape.AS_PHOTO),
                        FrameEdits.COMMON.stream().map(Shape::parse))
                .filter(shape -> format.filter(f -> f.shape().equals(shape)).isEmpty())
                .map(shape -> new Offered(ShapeWords.of(shape), shape));
        show(common, Stream.concat(formats, others).toList());
        List<String> remembered = session.settings().shapesProperty().get();
        show(
                typed,
                remembered.stream()
                        .map(text -> new Offered(text, Shape.parse(text)))
                        .toList());
        typedTitle.setVisible(!remembered.isEmpty());
        typedTitle.setManaged(!remembered.isEmpty());
        outside.setSelected(frame.isOutsideAllowed());
        boolean editable = session.frame().isPresent() && session.shoot().mayEdit();
        node.setDisable(!editable);
    }

    /** Chips stay while they offer the same, so that whoever came to one by Tab still has the keyboard there. */
    private void show(FlowPane chips, List<Offered> offered) {
        if (!offered.equals(chips.getUserData())) {
            chips.setUserData(offered);
            chips.getChildren().setAll(offered.stream().map(this::chip).toList());
        }
        Optional<Shape> held = frame.held().map(Format::shape);
        for (int i = 0; i < offered.size(); i++) {
            boolean active = held.equals(Optional.of(offered.get(i).shape()));
            chips.getChildren().get(i).pseudoClassStateChanged(ACTIVE, active);
        }
    }

    private Button chip(Offered offered) {
        Shape shape = offered.shape();
        Button chip = new Button(offered.words());
        chip.getStyleClass().add("chip");
        chip.setId("shape-" + shape.text().replace(' ', '-').replace(':', '-'));
        chip.setOnAction(event -> frame.hold(shape));
        return chip;
    }
}
