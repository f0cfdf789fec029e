package nexa.desktop.desk;

import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.files.FileSettings;
import nexa.core.trim.Side;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.FillBox;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.repair.Filling;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Numbers;
import nexa.shoot.handover.FillLook;
import nexa.words.Words;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;

/** What goes where the current frame shows no photo, where it will show, and making room on one side. */
public final class FillPane implements PaneLayer.BesideView {
    private final Session session;
    private final Filling filling;
    private final FillBox fill;
    private final Button asFormat;
    private final Label figures = new Label();
    private final Spinner<Integer> percent = Numbers.whole("fill-percent", "fill.room", 1, 100, 10);
    private final VBox node = new VBox(12);
    private final Subscription subscriptions;
    private boolean showing;

    public FillPane(ShootModels models) {
        session = models.session();
        filling = models.filling();
        fill = new FillBox("fill", filling.fill());
        asFormat = Buttons.text("fill.format", () -> filling.choose(Optional.empty()));
        asFormat.setId("fill-format");
        Buttons.explain(asFormat, Words.of("fill.format.tip"));
        percent.setPrefWidth(80);
        figures.setWrapText(true);
        figures.getStyleClass().add("note");
        figures.setId("fill-figures");
        GridPane grid = new GridPane(12, 10);
        grid.addRow(0, Labels.field("fill.with"), fill);
        grid.add(asFormat, 1, 1);
        grid.addRow(2, Labels.field("fill.room"), room());
        node.getChildren().addAll(grid, figures);
        node.setPrefWidth(390);
        fill.valueProperty().subscribe((before, now) -> {
            if (!showing && !fill.isDragged()) {
                filling.choose(Optional.of(now));
            }
        });
        subscriptions = Follow.each(
                this::refresh, session.framingProperty(), session.formatProperty(), filling.shownProperty());
    }

    private Node room() {
        HBox row = new HBox(
                6,
                side(Side.TOP, MaterialDesignA.ARROW_UP),
                side(Side.BOTTOM, MaterialDesignA.ARROW_DOWN),
                side(Side.LEFT, MaterialDesignA.ARROW_LEFT),
                side(Side.RIGHT, MaterialDesignA.ARROW_RIGHT),
                percent,
                new Label(Words.of("files.percent")));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Button side(Side side, Ikon icon) {
        Button button = Buttons.icon(
                icon,
                "fill.room." + side.name().toLowerCase(Locale.ROOT),
                () -> filling.makeRoom(
                        side, percent.getValue() / 100.0, fill.valueProperty().get()));
        button.setId("room-" + side);
        return button;
    }

    private void refresh() {
        showing = true;
        fill.show(filling.fill());
        showing = false;
        asFormat.setDisable(!filling.isOwn());
        figures.setText(words());
        node.setDisable(session.frame().isEmpty() || !session.shoot().mayEdit());
    }

    private String words() {
        if (!session.frameEdits().showsBlank()) {
            return Words.of("fill.none");
        }
        return filling.current().map(shown -> words(shown.look())).orElseGet(() -> Words.of("fill.making"));
    }

    /** Of the frame, that the format lets pass. */
    private double mostFill() {
        return session.format().map(format -> format.files().mostFill()).orElse(FileSettings.USUAL_MOST_FILL) / 100.0;
    }

    private String words(FillLook look) {
        long share = Math.max(1, Math.round(100 * look.blank()));
        String much = look.blank() > mostFill() ? " " + Words.of("fill.much") : "";
        if (!filling.fill().isOfPhoto()) {
            return Words.of("fill.share", share) + much;
        }
        return Words.of("fill.share", share)
                + " "
                + (look.seam().shows()
                        ? Words.of("fill.shows", Math.round(100 * look.seam().share()))
                        : Words.of("fill.passes"))
                + much;
    }

    @Override
    public String title() {
        return Words.of("fill.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscriptions.unsubscribe();
    }
}
