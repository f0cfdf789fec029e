package nexa.desktop.desk;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.lens.LensAmounts;
import nexa.core.lens.LensUse;
import nexa.core.lens.data.LensMatch;
import nexa.core.lens.data.LensProfile;
import nexa.desktop.desk.area.AmountSlider;
import nexa.desktop.model.LensModel;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.LensWords;
import nexa.desktop.widget.Nodes;
import nexa.shoot.lens.LensOffer;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;

/** What is done about the lens of the current photo, or of all that are adjusted together. */
public final class LensPane implements PaneLayer.BesideView {
    private static final double WIDE = 400;
    private static final double LIST = 132;

    private final Session session;
    private final LensModel lens;
    private final Label camera = new Label();
    private final Label found = new Label();
    private final Label why = new Label();
    private final ToggleButton off;
    private final ToggleButton byFile;
    private final ToggleButton chosen;
    private final ToggleButton byHand;
    private final TextField search = new TextField();
    private final ListView<LensProfile> lenses = new ListView<>();
    private final VBox searching = new VBox(6, search, lenses);
    private final VBox amounts;
    private final VBox hand;
    private final AmountSlider distortion;
    private final AmountSlider fringes;
    private final AmountSlider corners;
    private final AmountSlider bend;
    private final AmountSlider stops;
    private final AmountSlider midpoint;
    private final VBox node;
    private final Subscription subscription;
    private boolean choosing;

    /**
     * Where else the pane leads to.
     *
     * @param list opens the list of the whole shoot's lenses
     * @param straighten lets a line be drawn along something straight
     */
    public record Ways(Runnable list, Runnable straighten) {}

    public LensPane(ShootModels models, Ways ways) {
        session = models.session();
        lens = models.lens();
        off = toggle("lens.use.off", () -> lens.off());
        byFile = toggle("lens.use.found", lens::find);
        chosen = toggle("lens.use.chosen", () -> choose(true));
        byHand = toggle("lens.use.by-hand", () -> lens.set(now -> now.handled(now.hand())));
        distortion = amount("lens.distortion", (now, value) -> new LensAmounts(value, now.fringes(), now.corners()));
        fringes = amount("lens.fringes", (now, value) -> new LensAmounts(now.distortion(), value, now.corners()));
        corners = amount("lens.corners", (now, value) -> new LensAmounts(now.distortion(), now.fringes(), value));
        bend = byHand("lens.bend", ByHand.MOST_BEND, 0, LensPane::percent, ByHand::withBend);
        stops = byHand(
                "lens.stops",
                ByHand.MOST_STOPS,
                0,
                LensPane::stops,
                (now, value) -> new ByHand(now.bend(), value, now.midpoint()));
        midpoint = slider(
                "lens.midpoint",
                ByHand.LEAST_MIDPOINT,
                ByHand.MOST_MIDPOINT,
                ByHand.NONE.midpoint(),
                LensPane::percent,
                value -> now ->
                        now.withHand(new ByHand(now.hand().bend(), now.hand().stops(), value)));
        amounts = new VBox(8, distortion, fringes, corners);
        hand = new VBox(8, bend, stops, midpoint, straighten(ways));
        search();
        node = new VBox(12, says(), new HBox(6, off, byFile, chosen, byHand), searching, amounts, hand, whole(ways));
        node.setPrefWidth(WIDE);
        subscription = Subscription.combine(
                session.photoProperty().subscribe(photo -> {
                    choosing = false;
                    lens.look();
                    refresh();
                }),
                Follow.each(this::refresh, session.framingProperty(), lens.offerProperty(), lens.unreadableProperty()));
    }

    private static Button straighten(Ways ways) {
        Button straighten = Buttons.text("lens.straighten", ways.straighten());
        straighten.setId("lens-straighten");
        Buttons.explain(straighten, Words.of("lens.straighten.tip"));
        return straighten;
    }

    private static Button whole(Ways ways) {
        Button whole = Buttons.text("lens.all", ways.list());
        whole.setId("lens-all");
        return whole;
    }

    private VBox says() {
        found.setId("lens-name");
        found.getStyleClass().add("lens-name");
        found.setWrapText(true);
        camera.getStyleClass().add("note");
        why.setId("lens-why");
        why.getStyleClass().add("note");
        why.setWrapText(true);
        return new VBox(3, found, camera, why);
    }

    private ToggleButton toggle(String words, Runnable action) {
        ToggleButton button = new ToggleButton(Words.of(words));
        button.setId(words.replace('.', '-'));
        button.setOnAction(event -> {
            if (!words.equals("lens.use.chosen")) {
                choosing = false;
            }
            action.run();
            refresh();
        });
        return button;
    }

    // ---- choosing ----

    private void choose(boolean open) {
        choosing = open;
        if (open) {
            lenses.getItems().setAll(lens.search(search.getText()));
            search.requestFocus();
        }
    }

    private void search() {
        search.setId("lens-search");
        search.setPromptText(Words.of("lens.search"));
        search.textProperty().subscribe((before, text) -> lenses.getItems().setAll(lens.search(text)));
        search.setOnAction(event ->
                take(lenses.getItems().isEmpty() ? null : lenses.getItems().getFirst()));
        lenses.setId("lens-list");
        lenses.setPrefHeight(LIST);
        lenses.setCellFactory(list -> new Named());
        lenses.setOnMouseClicked(event -> take(lenses.getSelectionModel().getSelectedItem()));
        searching.managedProperty().bind(searching.visibleProperty());
    }

    private static final class Named extends ListCell<LensProfile> {
        @Override
        protected void updateItem(@Nullable LensProfile lens, boolean empty) {
            super.updateItem(lens, empty);
            setText(empty || lens == null ? null : lens.name());
        }
    }

    private void take(@Nullable LensProfile named) {
        if (named != null) {
            choosing = false;
            lens.choose(named);
            refresh();
        }
    }

    // ---- amounts ----

    private AmountSlider amount(String name, BiFunction<LensAmounts, Double, LensAmounts> change) {
        return slider(
                name,
                0,
                LensAmounts.MOST,
                1,
                LensPane::percent,
                value -> now -> now.withAmounts(change.apply(now.amounts(), value)));
    }

    private AmountSlider byHand(
            String name,
            double most,
            double usual,
            DoubleFunction<String> words,
            BiFunction<ByHand, Double, ByHand> change) {
        return slider(name, -most, most, usual, words, value -> now -> now.withHand(change.apply(now.hand(), value)));
    }

    private AmountSlider slider(
            String name,
            double least,
            double most,
            double usual,
            DoubleFunction<String> words,
            DoubleFunction<UnaryOperator<Lens>> change) {
        return new AmountSlider(
                name,
                least,
                most,
                usual,
                words,
                new AmountSlider.Doing(
                        value -> lens.preview(change.apply(value)), value -> lens.set(change.apply(value))));
    }

    private static String percent(double value) {
        return Words.of("desk.percent", Long.toString(Math.round(100 * value)).replace('-', '−'));
    }

    private static String stops(double value) {
        return Words.of("lens.stops.value", Words.number("%+.1f", value));
    }

    // ---- showing ----

    private void refresh() {
        Lens now = lens.lens();
        Optional<LensOffer> offer = lens.offerProperty().get();
        boolean several =
                offer.filter(each -> each.match() instanceof LensMatch.Several).isPresent();
        camera.setText(session.photo()
                .flatMap(photo -> photo.facts())
                .map(facts -> LensWords.camera(facts.camera()))
                .orElse(""));
        found.setText(
                now.isMeasured()
                        ? now.name()
                        : offer.map(LensWords::name)
                                .orElse(Words.of(
                                        lens.unreadableProperty().get() ? "lens.unreadable" : "lens.looking")));
        why.setText(offer.map(LensWords::why).orElse(""));
        boolean mayEdit = session.shoot().mayEdit() && session.space().isPresent();
        Stream.of(off, byFile, chosen, byHand).forEach(button -> button.setDisable(!mayEdit));
        byFile.setDisable(!mayEdit
                || offer.filter(each -> each.match() instanceof LensMatch.One).isEmpty());
        chosen.setDisable(!mayEdit || offer.isEmpty());
        off.setSelected(now.use() == LensUse.OFF && !choosing);
        byFile.setSelected(now.use() == LensUse.FOUND && !choosing);
        chosen.setSelected(now.use() == LensUse.CHOSEN || choosing);
        byHand.setSelected(now.use() == LensUse.BY_HAND && !choosing);
        searching.setVisible(choosing || several && now.use() == LensUse.OFF);
        if (several && lenses.getItems().isEmpty() && search.getText().isEmpty()) {
            lenses.getItems().setAll(((LensMatch.Several) offer.orElseThrow().match()).lenses());
        }
        Nodes.show(amounts, now.isMeasured());
        Nodes.show(hand, now.use() == LensUse.BY_HAND);
        distortion.show(now.amounts().distortion());
        fringes.show(now.amounts().fringes());
        corners.show(now.amounts().corners());
        bend.show(now.hand().bend());
        stops.show(now.hand().stops());
        midpoint.show(now.hand().midpoint());
    }

    @Override
    public String title() {
        return session.together().isOn()
                ? Words.of("lens.title.together", session.selection().adjusted().size())
                : Words.of("lens.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        session.gestures().abandon();
    }
}
