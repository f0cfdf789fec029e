package nexa.desktop.desk;

import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.Alternate;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.ResultPicture;
import nexa.desktop.session.Follow;
import nexa.desktop.session.FrameEdits;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Nodes;
import nexa.desktop.widget.PictureRow;
import nexa.desktop.widget.Rows;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;

/** The other crops of this photo in this format: keep the present one under a name, take another, drop one. */
public final class AlternatesPane implements PaneLayer.BesideView {
    private static final double PICTURE = 64;

    private final Session session;
    private final FrameEdits frame;
    private final PhotoLoader loader;
    private final Executor fx;
    private final VBox list = new VBox(4);
    private final TextField name = new TextField();
    private final Label refusal = new Label();
    private final VBox node;
    private final Subscription subscriptions;

    public AlternatesPane(Session session, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.frame = session.frameEdits();
        this.loader = loader;
        this.fx = fx;
        name.setId("alternate-name");
        name.setPromptText(Words.of("alternate.name"));
        name.setOnAction(event -> keep());
        HBox.setHgrow(name, Priority.ALWAYS);
        Button keep = Buttons.text("alternate.keep", this::keep);
        keep.setId("alternate-keep");
        refusal.getStyleClass().add("refusal");
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        node = new VBox(10, list, new HBox(6, name, keep), refusal);
        node.setPrefWidth(290);
        subscriptions =
                Follow.each(this::refresh, session.editsProperty(), session.photoProperty(), session.formatProperty());
    }

    private void keep() {
        try {
            String text = name.getText().isBlank()
                    ? Words.of("alternate.usual", frame.alternates().size() + 1)
                    : name.getText();
            frame.keep(text);
            name.clear();
            refusal.setText("");
            node.requestFocus();
        } catch (IllegalArgumentException refused) {
            refusal.setText(Words.of(refused));
        }
    }

    private void refresh() {
        Optional<Node> focused = buttons().filter(Node::isFocused).findFirst();
        boolean seen = focused.filter(Node::isFocusVisible).isPresent();
        list.getChildren().setAll(frame.alternates().stream().map(this::row).toList());
        focused.map(Node::getId)
                .map(id -> buttons()
                        .filter(button -> id.equals(button.getId()))
                        .findFirst()
                        .orElse(name))
                .ifPresent(button -> Nodes.focus(button, seen));
        if (list.getChildren().isEmpty()) {
            Label none = new Label(Words.of("alternate.none"));
            none.getStyleClass().add("note");
            none.setWrapText(true);
            list.getChildren().add(none);
        }
        node.setDisable(session.frame().isEmpty() || !session.shoot().mayEdit());
    }

    private Stream<Node> buttons() {
        return list.getChildren().stream().filter(HBox.class::isInstance).flatMap(row -> ((HBox) row)
                .getChildren().stream());
    }

    private HBox row(Alternate alternate) {
        PictureRow choose = new PictureRow(Optional.of(picture(alternate)), PICTURE, alternate.name(), "");
        choose.offer(frame.isShown(alternate), () -> frame.use(alternate));
        choose.setId("alternate-" + alternate.name());
        HBox.setHgrow(choose, Priority.ALWAYS);
        Button drop = Buttons.icon(MaterialDesignC.CLOSE, "alternate.drop", () -> frame.drop(alternate));
        drop.getStyleClass().add("small");
        drop.setId("drop-" + alternate.name());
        return Rows.of(choose, drop);
    }

    private Region picture(Alternate alternate) {
        Photo photo = session.photo().orElseThrow();
        Format format = session.format().orElseThrow();
        Framing framing = session.framing().withCrop(format, alternate.crop());
        return new ResultPicture(session, photo, framing, format, loader, fx, PICTURE);
    }

    @Override
    public String title() {
        return Words.of("alternate.title");
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
    public void dispose() {
        subscriptions.unsubscribe();
    }
}
