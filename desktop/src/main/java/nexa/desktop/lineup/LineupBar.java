package nexa.desktop.lineup;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.lineup.Spread;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.repair.LightModel;
import nexa.desktop.session.LineupModel;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Labels;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignF;
import org.kordamp.ikonli.materialdesign2.MaterialDesignM;
import org.kordamp.ikonli.materialdesign2.MaterialDesignP;

/** How alike the results are, which stand out, and what can be done about it. */
final class LineupBar extends HBox {
    private static final int MOST_NAMES = 4;

    /** With less room the figures and what can be done are more use than where the subjects lie. */
    private static final double ROOM_FOR_SCATTER = 640;

    private static final double SCATTER = 118;

    private final Session session;
    private final Keys keys;
    private final ScatterPane scatter;
    private final Label spread = new Label();
    private final Label outliers = new Label();
    private final Label note = new Label();
    private final Button propose;
    private final Button pull;
    private final LightModel light;
    private final Label lightWords = new Label();
    private final Button even;
    private final Subscription subscription;

    /**
     * @param flip shows two results in the same place, one at a time
     * @param ask has marks proposed for what is lined up
     */
    LineupBar(ShootModels models, Keys keys, Runnable flip, Runnable ask) {
        super(26);
        this.keys = keys;
        this.session = models.session();
        this.light = models.light();
        scatter = new ScatterPane(session);
        propose = action("lineup-propose", ask);
        pull = action("lineup-pull", session.lineup()::pullIn);
        even = action("lineup-even", light::pullIn);
        propose.setText(Words.of("lineup.propose"));
        Buttons.explain(propose, Command.MARKS, keys);
        Buttons.explain(pull, Command.PULL_IN, keys);
        Buttons.explain(even, Words.of("lineup.light.tip"));
        getStyleClass().add("lineup-bar");
        setAlignment(Pos.CENTER_LEFT);
        setMinWidth(0);
        sizeScatter();
        getChildren().addAll(scatter, figures(), actions(flip));
        subscription = Subscription.combine(
                session.lineup().shownProperty().subscribe(shown -> refresh()),
                light.shownProperty().subscribe(shown -> refreshLight()),
                session.selection().property().subscribe(selected -> {
                    refresh();
                    refreshLight();
                }));
    }

    private static Button action(String id, Runnable done) {
        Button button = new Button();
        button.setId(id);
        button.setOnAction(event -> done.run());
        button.managedProperty().bind(button.visibleProperty());
        return button;
    }

    private void sizeScatter() {
        scatter.setMinSize(160, SCATTER);
        scatter.setPrefSize(420, SCATTER);
        scatter.setMaxHeight(SCATTER);
        scatter.visibleProperty().bind(widthProperty().map(width -> width.doubleValue() >= ROOM_FOR_SCATTER));
        scatter.managedProperty().bind(scatter.visibleProperty());
    }

    private VBox figures() {
        spread.setId("lineup-spread");
        outliers.setId("lineup-outliers");
        lightWords.setId("lineup-light");
        spread.getStyleClass().add("desk-figure");
        note.getStyleClass().add("note");
        Stream.of(spread, outliers, lightWords, note).forEach(label -> label.setWrapText(true));
        VBox figures = new VBox(4, Labels.title("lineup.consistency"), spread, outliers, lightWords, note);
        figures.setAlignment(Pos.CENTER_LEFT);
        figures.setMinWidth(180);
        HBox.setHgrow(figures, Priority.ALWAYS);
        return figures;
    }

    private VBox actions(Runnable flip) {
        LineupModel model = session.lineup();
        Button exemplar = Buttons.command(MaterialDesignP.PIN_OUTLINE, Command.EXEMPLAR, keys, model::makeExemplar);
        exemplar.setId("lineup-exemplar");
        Button flipping = Buttons.command(MaterialDesignF.FLIP_TO_FRONT, Command.FLIP_RESULTS, keys, flip);
        flipping.setId("lineup-flip");
        Button guide = Buttons.icon(MaterialDesignM.MINUS, "lineup.guide.add", model::addGuide);
        guide.setId("lineup-guide");
        HBox icons = new HBox(4, exemplar, flipping, guide);
        icons.setAlignment(Pos.CENTER_RIGHT);
        VBox actions = new VBox(8, icons, propose, pull, even);
        actions.setAlignment(Pos.CENTER_RIGHT);
        actions.setMinWidth(Region.USE_PREF_SIZE);
        return actions;
    }

    private void refreshLight() {
        lightWords.setText(light.shownProperty().get().map(LineupBar::words).orElse(""));
        int pulled = light.pulled().size();
        even.setText(Words.of("lineup.light.pull", pulled));
        even.setDisable(pulled == 0 || !session.shoot().mayEdit());
    }

    private static String words(LightModel.Shown shown) {
        String spread = Words.of(
                "lineup.light",
                Words.number("%.1f", shown.even().lightness()),
                Words.number("%.1f", shown.even().colour()));
        return shown.standOut().isEmpty()
                ? spread
                : spread + " · " + Words.of("lineup.out", shown.standOut().size(), names(shown.standOut()));
    }

    void dispose() {
        subscription.unsubscribe();
        scatter.dispose();
    }

    private void refresh() {
        LineupModel.Shown shown = session.lineup().shownProperty().get();
        spread.setText(shown.spread().map(LineupBar::words).orElseGet(() -> Words.of("lineup.nothing")));
        List<Photo> out = inOrder(shown, shown.standingOut());
        outliers.setText(
                out.isEmpty()
                        ? shown.spread().isPresent() ? Words.of("lineup.alike") : ""
                        : Words.of("lineup.out", out.size(), names(out)) + reached(shown));
        outliers.getStyleClass().setAll("label", out.isEmpty() ? "note" : "refusal");
        long unmarked = shown.photos().size() - shown.deviations().size();
        note.setText(
                shown.spread().isEmpty()
                        ? Words.of("lineup.hint", keys.label(Command.MARK), keys.label(Command.MARKS))
                        : Words.of(
                                "lineup.note",
                                shown.exemplar().map(Photo::name).orElse(""),
                                shown.photos().size(),
                                unmarked > 0 ? Words.of("lineup.note.unmarked", unmarked) : ""));
        int pulled = session.lineup().pulled().size();
        pull.setText(Words.of("lineup.pull", pulled));
        pull.setDisable(pulled == 0 || !session.shoot().mayEdit());
        propose.setVisible(shown.spread().isEmpty());
        pull.setVisible(shown.spread().isPresent());
    }

    private static String reached(LineupModel.Shown shown) {
        return shown.reached().isEmpty()
                ? ""
                : " · " + Words.of("lineup.reached", names(inOrder(shown, shown.reached())));
    }

    private static List<Photo> inOrder(LineupModel.Shown shown, Set<Photo> some) {
        return shown.photos().stream().filter(some::contains).toList();
    }

    private static String names(List<Photo> photos) {
        String names = photos.stream()
                .limit(MOST_NAMES)
                .map(photo -> Words.name(photo.stem()))
                .collect(Collectors.joining(", "));
        return photos.size() > MOST_NAMES ? names + ", …" : names;
    }

    private static String words(Spread spread) {
        return Words.of("lineup.spread", percent(spread.place()))
                + value("lineup.spread.size", spread.size(), 100, "%.1f")
                + value("lineup.spread.lean", spread.lean(), 1, "%.2f");
    }

    private static String percent(double fraction) {
        return Words.number("%.1f", 100 * fraction);
    }

    private static String value(String words, OptionalDouble figure, double factor, String pattern) {
        return figure.isEmpty() ? "" : Words.of(words, Words.number(pattern, factor * figure.getAsDouble()));
    }
}
