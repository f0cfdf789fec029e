package nexa.desktop.desk.area;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEye.Glow;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.repair.EyeMending;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.words.Words;

/** Eyes that glow: finding them, what glows in the chosen one and how much of it goes, taking one away. */
final class EyesArea extends WorkArea {
    private static final double PERCENT = 100;

    private final Session session;
    private final EyeMending eyes;
    private final Label count = new Label();
    private final ObjectProperty<Glow> glow = new SimpleObjectProperty<>(Glow.RED);
    private final Choices<Glow> kind;
    private final AmountSlider strength;
    private final Button remove;
    private final Button clear;
    private final Subscription subscriptions;
    private boolean showing;

    EyesArea(ShootModels models, Keys keys, ObjectProperty<BenchMode> mode) {
        super(22);
        session = models.session();
        eyes = models.eyes();
        kind = new Choices<>("glow", Glow.values(), glow);
        glow.subscribe((before, now) -> {
            if (!showing) {
                eyes.setGlow(now);
            }
        });
        strength = new AmountSlider(
                "desk.eyes.strength",
                0,
                PERCENT,
                PERCENT,
                value -> Words.number("%.0f %%", value),
                new AmountSlider.Doing(
                        value -> eyes.previewStrength(value / PERCENT), value -> eyes.storeStrength(value / PERCENT)));
        strength.setPrefWidth(360);
        remove = Buttons.text("desk.eyes.remove", eyes::remove);
        remove.setId("eyes-remove");
        Buttons.explain(remove, Words.of("desk.eyes.remove.tip"));
        clear = Buttons.text("desk.eyes.clear", eyes::clear);
        clear.setId("eyes-clear");
        Buttons.explain(clear, Words.of("desk.eyes.clear.tip"));
        count.setId("eyes-count");
        count.getStyleClass().add("desk-figure");
        Label title = Labels.title("desk.eyes.title");
        VBox head = new VBox(4, title, count);
        head.setAlignment(Pos.CENTER_LEFT);
        head.setMinWidth(80);
        VBox chosen = new VBox(8, kind, strength);
        chosen.setAlignment(Pos.CENTER_LEFT);
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, chosen, buttons(keys, mode));
        subscriptions = Subscription.combine(
                session.framingProperty().when(visibleProperty()).subscribe(framing -> refresh()),
                eyes.chosenProperty().subscribe(which -> refresh()));
    }

    private VBox buttons(Keys keys, ObjectProperty<BenchMode> mode) {
        Button find = Buttons.text("desk.eyes.find", eyes::automatic);
        find.setId("eyes-find");
        Buttons.explain(find, Words.of("desk.eyes.find.tip"));
        Button done = DoneButton.of("eyes-done", Command.EYES, keys, mode);
        Label note = Labels.field("desk.eyes.note");
        note.getStyleClass().add("desk-verdict");
        VBox area = new VBox(6, new HBox(8, find, remove, clear, done), note);
        area.setAlignment(Pos.CENTER_LEFT);
        return area;
    }

    private void refresh() {
        boolean editable = session.space().isPresent() && session.shoot().mayEdit();
        boolean none = eyes.eyes().isNone();
        showing = true;
        glow.set(eyes.glow());
        showing = false;
        strength.show(PERCENT * eyes.chosen().map(GlowingEye::strength).orElse(1.0));
        strength.setDisable(eyes.chosen().isEmpty() || !editable);
        kind.setDisable(!editable);
        remove.setDisable(none || !editable);
        clear.setDisable(none || !editable);
        count.setText(
                none
                        ? Words.of("desk.eyes.none")
                        : Words.of("desk.eyes.count", eyes.eyes().all().size()));
    }

    @Override
    void dispose() {
        subscriptions.unsubscribe();
        kind.dispose();
    }
}
