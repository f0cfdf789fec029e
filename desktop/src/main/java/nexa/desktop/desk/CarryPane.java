package nexa.desktop.desk;

import java.util.EnumSet;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.carry.By;
import nexa.core.carry.Carried;
import nexa.core.carry.Loss;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.CarryModel;
import nexa.desktop.session.Session;
import nexa.desktop.setting.CarryTo;
import nexa.desktop.setting.Settings;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Numbers;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** What of this photo's crop is carried to which photos, and what will not be the same there. */
public final class CarryPane implements PaneLayer.BesideView {
    private static final int MOST_NEXT = 999;

    private final Session session;
    private final CarryModel carry;
    private final Choices<CarryTo> to;
    private final Spinner<Integer> next;
    private final Choices<By> by;
    private final Choices<Opposite> opposite;
    private final Label summary = new Label();
    private final Label losses = new Label();
    private final Button apply;
    private final VBox node;
    private final Subscription subscription;

    public CarryPane(Session session) {
        this.session = session;
        this.carry = session.carry();
        Settings settings = session.settings();
        GridPane parts = new GridPane(24, 7);
        for (Part part : Part.values()) {
            parts.add(box(part, settings), part.ordinal() % 2, part.ordinal() / 2);
        }
        to = new Choices<>("to", CarryTo.values(), settings.carryToProperty());
        next = next(settings);
        by = new Choices<>("by", By.values(), settings.carryByProperty());
        opposite = new Choices<>("opposite", Opposite.values(), settings.carryOppositeProperty());
        losses.getStyleClass().add("note");
        losses.setWrapText(true);
        losses.setId("carry-losses");
        apply = Buttons.text("carry.apply", carry::apply);
        apply.setId("carry-apply");
        apply.getStyleClass().add("primary");
        HBox targets = new HBox(8, to, next);
        targets.setAlignment(Pos.CENTER_LEFT);
        node = new VBox(
                9,
                parts,
                Labels.field("carry.to"),
                targets,
                Labels.field("carry.by"),
                by,
                Labels.field("carry.opposite"),
                opposite,
                summary,
                losses,
                apply);
        node.setPrefWidth(372);
        carry.prepare();
        subscription = Subscription.combine(
                carry.planProperty().subscribe(this::show),
                settings.carryToProperty().subscribe(chosen -> next.setVisible(chosen == CarryTo.NEXT)));
    }

    private static Spinner<Integer> next(Settings settings) {
        Spinner<Integer> next = Numbers.whole(
                "carry-next",
                "to.next",
                1,
                MOST_NEXT,
                settings.carryNextProperty().get());
        next.setPrefWidth(84);
        next.valueProperty().subscribe(settings.carryNextProperty()::set);
        next.managedProperty().bind(next.visibleProperty());
        return next;
    }

    private static CheckBox box(Part part, Settings settings) {
        CheckBox box = new CheckBox(Words.of("part", part));
        box.setId("part-" + part);
        box.setSelected(settings.carryPartsProperty().get().contains(part));
        box.setOnAction(event -> {
            EnumSet<Part> changed = EnumSet.noneOf(Part.class);
            changed.addAll(settings.carryPartsProperty().get());
            if (box.isSelected()) {
                changed.add(part);
            } else {
                changed.remove(part);
            }
            settings.carryPartsProperty().set(changed);
        });
        return box;
    }

    private void show(Map<Photo, Carried> plan) {
        long alone = carry.count(Loss.LEFT_ALONE);
        long unmarked = carry.count(Loss.NO_MARK);
        long carried = plan.size() - alone - unmarked;
        String format = session.format().map(f -> f.name()).orElse("");
        summary.setText(Words.of("carry.summary", format, carried));
        losses.setText(Words.of("carry.losses", carry.count(Loss.SMALLER), carry.count(Loss.MOVED), alone)
                + (unmarked > 0 ? Words.of("carry.unmarked", unmarked) : "")
                + error());
        apply.setDisable(carried == 0 || !session.shoot().mayEdit());
    }

    /** How far the marks that are worst off will lie from their places. */
    private String error() {
        double worst = carry.worstError();
        return worst < 0.0005 ? "" : Words.of("carry.error", Words.number("%.1f", 100 * worst));
    }

    @Override
    public String title() {
        return Words.of("carry.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        carry.stop();
        to.dispose();
        by.dispose();
        opposite.dispose();
    }
}
