package nexa.desktop.desk;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.geometry.PixelSize;
import nexa.core.print.OutputSize;
import nexa.core.print.Sense;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.desk.area.WorkAreas;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.SenseWords;
import nexa.shoot.photo.Photo;
import nexa.words.ShapeWords;
import nexa.words.Words;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;
import org.kordamp.ikonli.materialdesign2.MaterialDesignD;

/** What is adjusted on the current photo: tilt, turns, overlay, the frame's shape and size, and accepting it. */
public final class DeskView extends HBox {
    /** What the desk starts that needs the whole screen. */
    public interface Actions {
        void autoLevel();

        void autoTrim();

        /** Opens a pane beside its button, or closes it. */
        void toggle(DeskPane pane, Node beside);
    }

    /** The panes that belong to the desk's buttons. */
    public enum DeskPane {
        SHAPE,
        NUMBERS,
        OVERLAY,
        LOOK,
        ALTERNATES,
        CARRY,
        MARKS,
        PLUMB,
        LENS,
        FILL
    }

    /** From here on there is room for what is seldom used. */
    private static final double WIDE = 1690;

    /** Below this, signs have no words. */
    private static final double NARROW = 1200;

    private static final double USUAL = 1280;
    private static final PseudoClass WITHOUT_WORDS = PseudoClass.getPseudoClass("narrow");

    private final Session session;
    private final Keys keys;
    private final Actions actions;
    private final TiltArea tilting;
    private final OverlayPicker picker;
    private final Button shape = new Button();
    private final Button pixels = new Button();
    private final Label print = new Label();
    private final Tooltip sense = new Tooltip();
    private final Label overlayKey = new Label();
    private final HBox overlayHead = new HBox(8);
    private final Button overlays;
    private final DeskGroups groups;
    private final Region overlayArea;
    private final HBox usual;
    private final WorkAreas areas;
    private final Button clear;
    private final Button check;
    private final Subscription subscriptions;

    /**
     * @param mode what the next drag in the Bench does
     * @param tiltAdjusting set while the ruler is scrubbed
     */
    public DeskView(
            ShootModels models,
            Keys keys,
            ObjectProperty<BenchMode> mode,
            BooleanProperty tiltAdjusting,
            Actions actions) {
        this.session = models.session();
        this.keys = keys;
        this.actions = actions;
        this.tilting = new TiltArea(session, tiltAdjusting);
        this.picker = new OverlayPicker(session);
        this.clear = Buttons.text("desk.clear", session.frameEdits()::clear);
        this.check = Buttons.text("desk.check", session.going()::checkAndNext);
        this.overlays = pane(MaterialDesignD.DOTS_HORIZONTAL, "desk.overlay.more", DeskPane.OVERLAY);
        this.groups = new DeskGroups(
                session, keys, mode, actions, this::open, widthProperty().map(width -> width.doubleValue() >= WIDE));
        getStyleClass().add("desk");
        setAlignment(Pos.CENTER_LEFT);
        setMinWidth(0);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        overlayArea = overlayArea();
        usual = new HBox(groups.correct(), groups.turn(), overlayArea, groups.frame(), figures(), space, actionArea());
        usual.getStyleClass().add("desk-usual");
        usual.setAlignment(Pos.CENTER_LEFT);
        this.areas =
                new WorkAreas(usual, models, keys, mode, tiltAdjusting, () -> open(DeskPane.PLUMB), actions::autoTrim);
        getChildren().addAll(tilting, areas);
        subscriptions = Subscription.combine(
                widthProperty().subscribe(width -> fit(width.doubleValue() == 0 ? USUAL : width.doubleValue())),
                Follow.each(
                        this::refresh,
                        session.formatProperty(),
                        session.framingProperty(),
                        session.photoProperty(),
                        session.selection().property(),
                        session.viewProperty(),
                        session.settings().ppiProperty()));
    }

    private void fit(double width) {
        boolean isNarrow = width < NARROW;
        pseudoClassStateChanged(WITHOUT_WORDS, isNarrow);
        tilting.narrow(isNarrow);
        clear.setVisible(!isNarrow); // it is in the frame's menu, too
    }

    /** What is left beside all else is for the overlays: their key, and as many miniatures as there is room for. */
    @Override
    protected void layoutChildren() {
        if (usual.isVisible() && getWidth() > 0) {
            double room = getWidth() - snappedLeftInset() - snappedRightInset() - tilting.prefWidth(-1) - getSpacing();
            double forOverlays = room - usual.prefWidth(-1) + overlayArea.prefWidth(-1);
            picker.fit(forOverlays);
            overlayKey.setVisible(forOverlays >= headWithKey());
        }
        super.layoutChildren();
    }

    private double headWithKey() {
        double key = overlayKey.isVisible() ? 0 : overlayKey.prefWidth(-1) + overlayHead.getSpacing();
        return overlayHead.prefWidth(-1) + key;
    }

    private Button pane(Ikon icon, String words, DeskPane pane) {
        Button button = Buttons.icon(icon, words, () -> open(pane));
        button.setId("open-" + pane);
        return button;
    }

    /** Opens a pane beside its button, or closes it. */
    public void open(DeskPane pane) {
        actions.toggle(pane, areas.plumb().orElseGet(() -> button(pane)));
    }

    private Node button(DeskPane pane) {
        return switch (pane) {
            case SHAPE -> shape;
            case NUMBERS -> pixels;
            case OVERLAY -> overlays;
            case LOOK, MARKS, FILL -> groups.frame().more();
            case ALTERNATES -> groups.alternates();
            case CARRY -> groups.carry();
            case PLUMB -> areas;
            case LENS -> groups.lens();
        };
    }

    public void dispose() {
        subscriptions.unsubscribe();
        tilting.dispose();
        areas.dispose();
        picker.dispose();
    }

    private Region overlayArea() {
        Button turn = Buttons.command(
                MaterialDesignA.AXIS_Z_ROTATE_CLOCKWISE, Command.OVERLAY_TURN, keys, () -> session.overlayProperty()
                        .set(session.overlayProperty().get().turned()));
        turn.getStyleClass().add("small");
        overlays.getStyleClass().add("small");
        turn.setId("overlay-turn");
        overlayKey.setText(keys.label(Command.OVERLAY));
        overlayKey.getStyleClass().add("key");
        overlayKey.managedProperty().bind(overlayKey.visibleProperty());
        overlayHead.getChildren().addAll(Labels.title("desk.overlay"), overlayKey, turn, overlays);
        overlayHead.setAlignment(Pos.CENTER_LEFT);
        VBox area = new VBox(6, overlayHead, picker);
        area.setAlignment(Pos.CENTER_LEFT);
        area.setMinWidth(Region.USE_PREF_SIZE);
        return area;
    }

    private Node figures() {
        shape.getStyleClass().addAll("desk-button", "desk-title");
        shape.setId("open-SHAPE");
        shape.setOnAction(event -> open(DeskPane.SHAPE));
        Buttons.explain(shape, Command.SHAPES, keys);
        pixels.getStyleClass().addAll("desk-button", "desk-figure");
        pixels.setId("open-NUMBERS");
        pixels.setOnAction(event -> open(DeskPane.NUMBERS));
        Buttons.explain(pixels, Command.NUMBERS, keys);
        print.getStyleClass().add("desk-verdict");
        print.setTooltip(sense);
        sense.setWrapText(true);
        sense.setMaxWidth(380);
        VBox area = new VBox(3, shape, pixels, print);
        area.setAlignment(Pos.CENTER_LEFT);
        area.setMinWidth(150);
        return area;
    }

    private Node actionArea() {
        clear.setId("clear");
        clear.managedProperty().bind(clear.visibleProperty());
        check.setId("check");
        check.getStyleClass().add("primary");
        Buttons.explain(clear, Command.CLEAR, keys);
        Buttons.explain(check, Command.ACCEPT, keys);
        HBox area = new HBox(8, groups.goOn(), clear, check);
        area.setAlignment(Pos.CENTER_RIGHT);
        area.setMinWidth(Region.USE_PREF_SIZE);
        return area;
    }

    private void refresh() {
        tilting.refresh();
        shape.setText(session.format().map(this::shapeWords).orElse(""));
        groups.refresh();
        Optional<PixelSize> size = session.frame()
                .flatMap(frame -> session.moment().asShot().map(asShot -> OutputSize.natural(frame, asShot)));
        pixels.setText(size.map(s -> Words.of("desk.frame.size", text(s.width()), text(s.height())))
                .orElse(""));
        print.setText(size.map(this::printWords).orElse(""));
        Optional<String> lost = SenseWords.lost(session);
        sense.setText(size.map(this::senseWords).orElse("")
                + lost.map(words -> "\n" + words).orElse(""));
        lost.ifPresent(print::setText);
        boolean several = session.together().isOn();
        if (several) {
            showTogether();
        }
        check.setText(
                several
                        ? Words.of(
                                "desk.check.all", session.selection().adjusted().size())
                        : Words.of("desk.check"));
        boolean editable = size.isPresent() && session.shoot().mayEdit();
        check.setDisable(!editable);
        clear.setDisable(!editable
                || !several
                        && session.format()
                                .flatMap(f -> session.framing().crop(f))
                                .isEmpty());
    }

    /** How it does on the print that the format asks for, or else how large a print it is good for. */
    private String printWords(PixelSize own) {
        return session.format().map(Format::target).orElse(SizeTarget.NONE) instanceof SizeTarget.Print asked
                ? SenseWords.briefVerdict(Sense.ppi(own, asked))
                : Words.of(
                        "desk.frame.print",
                        SenseWords.largest(own, session.settings().ppiProperty().get()));
    }

    private String senseWords(PixelSize own) {
        return Words.of(
                "desk.frame.sense",
                SenseWords.largest(own, Sense.FINE_PPI),
                SenseWords.largest(own, Sense.GOOD_PPI),
                session.format()
                        .map(format -> SenseWords.asked(format.target()))
                        .orElse(""));
    }

    /** In place of the current photo's figures. */
    private void showTogether() {
        List<Photo> photos = session.selection().adjusted();
        pixels.setText(Words.of("desk.together", photos.size()));
        print.setText(LyingWords.of(session.shoot(), photos));
    }

    /** The format, and the frame's own shape if it has one. */
    private String shapeWords(Format format) {
        Shape held = session.frameEdits().held().orElse(format).shape();
        if (!held.equals(format.shape())) {
            return Words.of("desk.shape.own", format.name(), ShapeWords.of(held));
        }
        return ShapeWords.isSaidByName(format)
                ? Words.of("desk.shape.alone", format.name())
                : Words.of("desk.shape", format.name(), ShapeWords.of(held));
    }

    private static String text(int number) {
        return Integer.toString(number);
    }
}
