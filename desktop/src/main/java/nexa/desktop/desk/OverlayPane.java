package nexa.desktop.desk;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.core.shape.Shape;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.picture.Miniature;
import nexa.desktop.session.Follow;
import nexa.desktop.session.FrameEdits;
import nexa.desktop.session.Session;
import nexa.desktop.setting.OverlayLook;
import nexa.desktop.setting.OverlayShow;
import nexa.desktop.setting.Settings;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Looks;
import nexa.words.ShapeWords;
import nexa.words.Words;

/** All overlays, which of them take part when stepping to the next, when they show, and how they are drawn. */
public final class OverlayPane implements PaneLayer.BesideView {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");
    private static final int COLUMNS = 4;
    private static final double CELL = 106;

    private final Session session;
    private final Settings settings;
    private final Map<Overlay, Button> buttons = new EnumMap<>(Overlay.class);
    private final Map<Overlay, CheckBox> inCycle = new EnumMap<>(Overlay.class);
    private final Map<OverlayLook.Ink, Button> inks = new EnumMap<>(OverlayLook.Ink.class);
    private final FlowPane nested = new FlowPane(4, 4);
    private final Slider cells = slider(OverlayOptions.FEWEST_CELLS, OverlayOptions.MOST_CELLS, "overlay-cells");
    private final Slider bleed = slider(0, 0.25, "overlay-bleed");
    private final Slider caption = slider(0, 0.5, "overlay-caption");
    private final Slider strength = slider(0.1, 1, "overlay-strength");
    private final Slider thickness = slider(0.5, 4, "overlay-thickness");
    private final Choices<OverlayShow> show;
    private final VBox node;
    private final Subscription subscriptions;
    private double drawnAspect;

    public OverlayPane(Session session) {
        this.session = session;
        this.settings = session.settings();
        show = new Choices<>("show", OverlayShow.values(), settings.overlayShowProperty());
        node = new VBox(14, all(), note("overlay.pane.cycle"), options());
        bindSliders();
        subscriptions = Subscription.combine(
                Follow.each(
                        this::refresh,
                        settings.overlayProperty(),
                        settings.cycleProperty(),
                        settings.overlayOptionsProperty(),
                        settings.overlayLookProperty(),
                        settings.shapesProperty(),
                        session.briefProperty()),
                session.framingProperty().subscribe(now -> reshape()));
    }

    private GridPane all() {
        GridPane grid = new GridPane(2, 8);
        for (Overlay overlay : Overlay.values()) {
            grid.add(cell(overlay), overlay.ordinal() % COLUMNS, overlay.ordinal() / COLUMNS);
        }
        return grid;
    }

    private Node cell(Overlay overlay) {
        Button button = new Button(null, new Miniature(66, 50));
        button.getStyleClass().add("miniature");
        button.setId("all-overlay-" + overlay);
        button.setOnAction(event -> session.overlayProperty()
                .set(OverlayPicker.picked(session.overlayProperty().get(), overlay)));
        Buttons.explain(button, Words.of(overlay));
        CheckBox cycle = new CheckBox(Words.of(overlay));
        cycle.setMinWidth(Region.USE_PREF_SIZE);
        cycle.getStyleClass().add("cycle");
        cycle.setId("cycle-" + overlay);
        cycle.setOnAction(event ->
                settings.cycleProperty().set(settings.cycleProperty().get().toggled(overlay)));
        buttons.put(overlay, button);
        inCycle.put(overlay, cycle);
        VBox cell = new VBox(3, button, cycle);
        cell.setAlignment(Pos.TOP_CENTER);
        cell.setMinWidth(CELL);
        return cell;
    }

    private Node options() {
        nested.setPrefWrapLength(240);
        GridPane grid = new GridPane(12, 9);
        grid.addRow(0, Labels.field("overlay.pane.show"), show);
        grid.addRow(1, Labels.field("overlay.pane.ink"), inks());
        grid.addRow(2, Labels.field("overlay.pane.strength"), strength);
        grid.addRow(3, Labels.field("overlay.pane.thickness"), thickness);
        grid.addRow(4, Labels.field("overlay.pane.cells"), cells);
        grid.addRow(5, Labels.field("overlay.pane.nested"), nested);
        grid.addRow(6, Labels.field("overlay.pane.bleed"), bleed);
        grid.addRow(7, Labels.field("overlay.pane.caption"), caption);
        return grid;
    }

    private Node inks() {
        HBox row = new HBox(6);
        for (OverlayLook.Ink ink : OverlayLook.Ink.values()) {
            Circle dot = new Circle(7, Looks.colour(ink, 1));
            dot.getStyleClass().add("ink");
            Button button = ink == OverlayLook.Ink.AUTO ? new Button(Words.of("ink", ink)) : new Button(null, dot);
            button.getStyleClass().add("ink-button");
            button.setId("ink-" + ink);
            button.setOnAction(event -> settings.overlayLookProperty()
                    .set(settings.overlayLookProperty().get().withInk(ink)));
            Buttons.explain(button, Words.of("ink", ink));
            inks.put(ink, button);
            row.getChildren().add(button);
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Slider slider(double least, double most, String id) {
        Slider slider = new Slider(least, most, least);
        slider.setId(id);
        slider.setAccessibleText(Words.of(id.replace("overlay-", "overlay.pane.")));
        slider.setPrefWidth(170);
        return slider;
    }

    private static Label note(String words) {
        Label label = new Label(Words.of(words));
        label.getStyleClass().add("note");
        return label;
    }

    private void bindSliders() {
        refreshSliders();
        cells.valueProperty().subscribe((before, now) -> settings.overlayOptionsProperty()
                .set(drawnBy().withCells((int) Math.round(now.doubleValue()))));
        bleed.valueProperty().subscribe((before, now) -> settings.overlayOptionsProperty()
                .set(drawnBy().withMargins(now.doubleValue(), drawnBy().caption())));
        caption.valueProperty().subscribe((before, now) -> settings.overlayOptionsProperty()
                .set(drawnBy().withMargins(drawnBy().bleed(), now.doubleValue())));
        strength.valueProperty()
                .subscribe((before, now) -> settings.overlayLookProperty().set(look().withStrength(now.doubleValue())));
        thickness.valueProperty().subscribe((before, now) -> settings.overlayLookProperty()
                .set(look().withThickness(now.doubleValue())));
    }

    private OverlayOptions drawnBy() {
        return settings.overlayOptionsProperty().get();
    }

    private OverlayLook look() {
        return settings.overlayLookProperty().get();
    }

    private void refreshSliders() {
        cells.setValue(drawnBy().cells());
        bleed.setValue(drawnBy().bleed());
        caption.setValue(drawnBy().caption());
        strength.setValue(look().strength());
        thickness.setValue(look().thickness());
    }

    /** While a frame is moved its shape stays, and so do the miniatures. */
    private void reshape() {
        if (Miniature.looksDifferent(aspect(), drawnAspect)) {
            refresh();
        }
    }

    private double aspect() {
        return session.frame().map(Frame::aspect).orElse(1.5);
    }

    private void refresh() {
        double aspect = aspect();
        drawnAspect = aspect;
        OverlayChoice choice = session.overlayProperty().get();
        buttons.forEach((overlay, button) -> {
            boolean active = choice.overlay().filter(overlay::equals).isPresent();
            button.pseudoClassStateChanged(ACTIVE, active);
            ((Miniature) button.getGraphic()).show(overlay, drawnBy(), active ? choice.orientation() : 0, aspect);
        });
        inCycle.forEach(
                (overlay, box) -> box.setSelected(settings.cycleProperty().get().has(overlay)));
        inks.forEach((ink, button) -> button.pseudoClassStateChanged(ACTIVE, look().ink() == ink));
        nested.getChildren().setAll(nestable().stream().map(this::nestedChip).toList());
    }

    /** Shapes of the brief, those that show already, and those somebody typed. */
    private List<Shape.Ratio> nestable() {
        List<Shape.Ratio> shapes = new ArrayList<>();
        Stream<Shape> typed = settings.shapesProperty().get().stream().map(Shape::parse);
        Stream<Shape> offered = Stream.concat(
                session.brief().formats().stream().map(format -> format.shape()),
                Stream.concat(
                        drawnBy().nested().stream(),
                        Stream.of("1:1", "4:5", "5:7", "2:3", "16:9").map(Shape::parse)));
        Stream.concat(offered, typed).forEach(shape -> {
            if (shape instanceof Shape.Ratio ratio && !shapes.contains(ratio) && !shapes.contains(ratio.turned())) {
                shapes.add(ratio);
            }
        });
        return shapes.stream().limit(FrameEdits.COMMON.size()).toList();
    }

    private Button nestedChip(Shape.Ratio shape) {
        boolean shown = drawnBy().nested().contains(shape);
        Button chip = new Button(ShapeWords.of(shape));
        chip.getStyleClass().add("chip");
        chip.setId("nested-" + shape.text().replace(':', '-'));
        chip.pseudoClassStateChanged(ACTIVE, shown);
        chip.setOnAction(event -> {
            List<Shape.Ratio> changed = new ArrayList<>(drawnBy().nested());
            if (!changed.remove(shape)) {
                changed.add(shape);
            }
            settings.overlayOptionsProperty().set(drawnBy().withNested(changed));
        });
        return chip;
    }

    @Override
    public String title() {
        return Words.of("overlay.pane.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscriptions.unsubscribe();
        show.dispose();
    }
}
