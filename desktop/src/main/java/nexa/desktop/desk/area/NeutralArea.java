package nexa.desktop.desk.area;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.repair.Neutrals;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Labels;
import nexa.words.Words;

/** Which light is neutral, and how much lighter the photo gets. */
final class NeutralArea extends WorkArea {
    /** Temperatures stand evenly by their reciprocals, as they look; higher ones to the right. */
    private static final double RECIPROCAL = -1e6;

    private static final double MOST_STOPS = 2;

    private final Session session;
    private final Neutrals neutrals;
    private final AmountSlider kelvin;
    private final AmountSlider tint;
    private final AmountSlider stops;
    private final Button clear;
    private final Subscription subscription;

    NeutralArea(ShootModels models, Keys keys, ObjectProperty<BenchMode> mode) {
        super(22);
        session = models.session();
        neutrals = models.neutrals();
        kelvin = new AmountSlider(
                        "desk.neutral.kelvin",
                        RECIPROCAL / White.COLDEST,
                        RECIPROCAL / White.HOTTEST,
                        RECIPROCAL / White.D65.kelvin(),
                        value -> Words.of("desk.neutral.kelvin.value", Math.round(RECIPROCAL / value / 10) * 10),
                        new AmountSlider.Doing(
                                value -> neutrals.previewKelvin(RECIPROCAL / value),
                                value -> neutrals.storeKelvin(RECIPROCAL / value)))
                .typed(typed -> RECIPROCAL / typed);
        tint = new AmountSlider(
                        "desk.neutral.tint",
                        -White.MOST_TINT,
                        White.MOST_TINT,
                        0,
                        value -> Words.number("%+.1f", value),
                        new AmountSlider.Doing(neutrals::previewTint, neutrals::storeTint))
                .typed(typed -> typed);
        stops = new AmountSlider(
                        "desk.neutral.stops",
                        -MOST_STOPS,
                        MOST_STOPS,
                        0,
                        value -> Words.of("desk.neutral.stops.value", Words.number("%+.2f", value)),
                        new AmountSlider.Doing(neutrals::previewStops, neutrals::storeStops))
                .typed(typed -> typed);
        clear = Buttons.text("desk.neutral.clear", neutrals::clear);
        clear.setId("neutral-clear");
        Buttons.explain(clear, Words.of("desk.neutral.clear.tip"));
        VBox sliders = new VBox(kelvin, tint, stops);
        sliders.getStyleClass().add("amounts");
        sliders.setPrefWidth(430);
        sliders.setMinWidth(260);
        sliders.setAlignment(Pos.CENTER_LEFT);
        setAlignment(Pos.CENTER_LEFT);
        Label title = Labels.title("desk.neutral.title");
        getChildren().addAll(title, sliders, buttons(keys, mode));
        subscription = session.framingProperty().when(visibleProperty()).subscribe(framing -> refresh());
    }

    private VBox buttons(Keys keys, ObjectProperty<BenchMode> mode) {
        Button done = DoneButton.of("neutral-done", Command.NEUTRAL, keys, mode);
        Label note = Labels.field("desk.neutral.note");
        note.getStyleClass().add("desk-verdict");
        VBox area = new VBox(6, new HBox(8, clear, done), note);
        area.setAlignment(Pos.CENTER_LEFT);
        return area;
    }

    private void refresh() {
        Neutral now = neutrals.current();
        boolean editable = session.space().isPresent() && session.shoot().mayEdit();
        kelvin.show(RECIPROCAL / now.white().kelvin());
        tint.show(now.white().tint());
        stops.show(now.stops());
        kelvin.setDisable(!editable);
        tint.setDisable(!editable);
        stops.setDisable(!editable);
        clear.setDisable(now.equals(Neutral.AS_FILED) || !editable);
    }

    @Override
    void dispose() {
        subscription.unsubscribe();
    }
}
