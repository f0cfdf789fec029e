package nexa.desktop.view;

import java.util.EnumSet;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.carry.Carried;
import nexa.core.carry.Loss;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.desktop.session.CarryModel;
import nexa.desktop.session.Session;
import nexa.desktop.session.Settings;
import nexa.desktop.words.Words;
import nexa.shoot.Photo;

/** What of this photo's crop is carried to which photos, and what will not be the same there. */
final class CarryPane implements PaneLayer.Content {
    private final Session session;
    private final CarryModel carry;
    private final Choices<Opposite> opposite;
    private final Label summary = new Label();
    private final Label losses = new Label();
    private final Button apply;
    private final VBox node;
    private final Subscription subscription;

    CarryPane(Session session) {
        this.session = session;
        this.carry = session.carry();
        Settings settings = session.settings();
        GridPane parts = new GridPane(24, 7);
        for (Part part : Part.values()) {
            parts.add(box(part, settings), part.ordinal() % 2, part.ordinal() / 2);
        }
        opposite = new Choices<>("opposite", Opposite.values(), settings.carryOppositeProperty());
        losses.getStyleClass().add("note");
        losses.setWrapText(true);
        apply = Buttons.text("carry.apply", carry::apply);
        apply.setId("carry-apply");
        apply.getStyleClass().add("primary");
        node = new VBox(11, parts, Labels.field("carry.opposite"), opposite, summary, losses, apply);
        node.setPrefWidth(340);
        carry.prepare();
        subscription = carry.planProperty().subscribe(this::show);
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
        String format = session.format().map(f -> f.name()).orElse("");
        summary.setText(Words.of("carry.summary", format, plan.size() - alone));
        losses.setText(Words.of("carry.losses", carry.count(Loss.SMALLER), carry.count(Loss.MOVED), alone));
        apply.setDisable(plan.size() == alone || !session.shoot().mayEdit());
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
        opposite.dispose();
    }
}
