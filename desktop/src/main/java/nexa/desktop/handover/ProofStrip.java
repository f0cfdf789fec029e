package nexa.desktop.handover;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import nexa.core.brief.Format;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.ResultPicture;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.shoot.handover.Delivery;
import nexa.words.Words;

/** A few results of each format as they will be delivered; each leads to its photo. */
final class ProofStrip extends FlowPane {
    private static final double PICTURE = 48;
    private static final double NAME = 105;

    /** Between formats, which stand side by side where there is room. */
    private static final double APART = 40;

    private final Session session;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Consumer<Delivery> open;
    private final List<ResultPicture> pictures = new ArrayList<>();
    private List<Delivery> shown = List.of();

    /** @param open goes to where a result is made */
    ProofStrip(Session session, PhotoLoader loader, Executor fx, Consumer<Delivery> open) {
        super(APART, 6);
        this.session = session;
        this.loader = loader;
        this.fx = fx;
        this.open = open;
        setId("handover-proofs");
    }

    /** @param proofs of one format after the other */
    void show(List<Delivery> proofs) {
        if (shown.equals(proofs)) {
            return;
        }
        clear();
        shown = proofs;
        proofs.stream().map(Delivery::format).distinct().forEach(format -> getChildren()
                .add(row(
                        format,
                        proofs.stream()
                                .filter(proof -> proof.format().equals(format))
                                .toList())));
        setVisible(!proofs.isEmpty());
        setManaged(!proofs.isEmpty());
    }

    private Node row(Format format, List<Delivery> proofs) {
        Label name = new Label(Words.name(format.name()));
        name.getStyleClass().add("field-label");
        name.setPrefWidth(NAME);
        name.setMinWidth(NAME);
        HBox row = new HBox(6, name);
        row.setAlignment(Pos.CENTER_LEFT);
        proofs.forEach(proof -> row.getChildren().add(button(proof)));
        return row;
    }

    private Button button(Delivery proof) {
        ResultPicture picture =
                new ResultPicture(session, proof.photo(), proof.framing(), proof.format(), loader, fx, PICTURE);
        pictures.add(picture);
        Button button = new Button("", picture);
        button.getStyleClass().add("proof");
        button.setMinSize(PICTURE, PICTURE);
        button.setPrefSize(PICTURE, PICTURE);
        button.setOnAction(event -> open.accept(proof));
        Buttons.explain(
                button,
                Words.of(
                        "handover.proof",
                        Words.name(proof.photo().stem()),
                        Words.name(proof.format().name()),
                        proof.size()));
        return button;
    }

    /** Gives up what is still being loaded. */
    void clear() {
        pictures.forEach(ResultPicture::dispose);
        pictures.clear();
        getChildren().clear();
        shown = List.of();
    }
}
