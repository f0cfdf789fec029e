package nexa.desktop.pane;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Subscription;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Orientation;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.Counts;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.Follow;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.shoot.review.PhotoFilter;
import nexa.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignF;
import org.kordamp.ikonli.materialdesign2.MaterialDesignH;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignU;

/** One line: the shoot, the views, where one is, stepping back and forward. */
public final class HeaderView extends HBox {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");

    /** What the header starts that is not the session's. */
    public interface Actions {
        void openAnother();

        /** Opens the open shoot once more. */
        void openAgain();

        void nextSurround();

        /** The whole screen, or a window again. */
        void toggleFullScreen();

        /** The result alone in a second window, or no longer. */
        void toggleResultWindow();

        void showKeys();
    }

    /** What the header starts in the open shoot. */
    public interface ShootActions {
        void toggleSteps();

        void toggleFilter();

        void prepare();

        void toggleSettings();
    }

    /** A shoot's name has at least so much room before there are chips, which the filter's pane has too. */
    private static final double NAME_FROM = 100;

    private final Session session;
    private final Keys keys;
    private final Counts counting;
    private final Label counts = new Label();
    private final Label place = new Label();
    private final Button undo;
    private final Button redo;
    private final Button steps;
    private final Button filter;
    private final Button settings;
    private final Button prepare;
    private final ToggleButton horizontal = chip("chip-horizontal", this::toggle, Orientation.HORIZONTAL);
    private final ToggleButton vertical = chip("chip-vertical", this::toggle, Orientation.VERTICAL);
    private final ToggleButton square = chip("chip-square", this::toggle, Orientation.SQUARE);
    private final ToggleButton unchecked = new ToggleButton();
    private final ToggleButton warned = new ToggleButton();
    private final Label name = new Label();
    private final HBox chips = new HBox(6, horizontal, vertical, square, unchecked, warned);
    private final Map<MainView, Button> views = new EnumMap<>(MainView.class);
    private final Subscription subscriptions;

    public HeaderView(ShootModels models, Keys keys, Actions actions, ShootActions shootActions) {
        this.keys = keys;
        super(8);
        this.session = models.session();
        this.counting = models.counts();
        undo = Buttons.icon(MaterialDesignU.UNDO, "header.undo.none", session.shoot()::undo);
        redo = Buttons.icon(MaterialDesignR.REDO, "header.redo.none", session.shoot()::redo);
        steps = Buttons.command(MaterialDesignH.HISTORY, Command.STEPS, keys, shootActions::toggleSteps);
        filter = Buttons.command(MaterialDesignF.FILTER_VARIANT, Command.FILTER, keys, shootActions::toggleFilter);
        settings = Buttons.command(MaterialDesignC.COG_OUTLINE, Command.SETTINGS, keys, shootActions::toggleSettings);
        prepare = Buttons.text("prepare.open", shootActions::prepare);
        getStyleClass().add("header");
        setAlignment(Pos.CENTER_LEFT);
        dressWords();
        dressPrepare();
        fillChips();
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        getChildren().addAll(name, counts, viewSwitch(), prepare, space, place, chips, icons(actions));
        subscriptions = Subscription.combine(
                session.viewProperty().subscribe(this::showView),
                Follow.each(
                        this::refresh,
                        session.photoProperty(),
                        session.list().photosProperty(),
                        session.editsProperty()),
                session.list().filterProperty().subscribe(this::showFilter),
                counting.countedProperty().subscribe(this::showCounts),
                session.formatProperty().subscribe(format -> showCounts(counting.counted())));
    }

    private void dressWords() {
        name.setText(Words.name(session.shoot().name()));
        name.getStyleClass().add("shoot-name");
        Stream.of(counts, place).forEach(label -> {
            label.getStyleClass().add("header-note");
            label.setMinWidth(Region.USE_PREF_SIZE);
        });
    }

    private void dressPrepare() {
        prepare.setId("prepare");
        prepare.setFocusTraversable(false);
        prepare.getStyleClass().add("header-action");
        prepare.setMinWidth(Region.USE_PREF_SIZE);
        Buttons.explain(prepare, Command.PREPARE, keys);
    }

    private HBox icons(Actions actions) {
        Button surround =
                Buttons.command(MaterialDesignC.CONTRAST_CIRCLE, Command.SURROUND, keys, actions::nextSurround);
        Button open = Buttons.icon(MaterialDesignF.FOLDER_OPEN_OUTLINE, "header.open", actions::openAnother);
        Button sheet = Buttons.command(MaterialDesignH.HELP_CIRCLE_OUTLINE, Command.KEYS, keys, actions::showKeys);
        undo.setId("undo");
        redo.setId("redo");
        steps.setId("steps");
        filter.setId("filter");
        settings.setId("settings");
        sheet.setId("keys");
        HBox icons = new HBox(filter, undo, redo, steps, surround, open, settings, sheet);
        icons.setAlignment(Pos.CENTER);
        icons.setMinWidth(Region.USE_PREF_SIZE);
        return icons;
    }

    /** Beside which the list of actions opens. */
    public Button stepsButton() {
        return steps;
    }

    /** Beside which the settings open. */
    public Button settingsButton() {
        return settings;
    }

    /** Beside which the filter opens. */
    public Button filterButton() {
        return filter;
    }

    public void dispose() {
        subscriptions.unsubscribe();
    }

    /** What shows a view. */
    public Node viewButton(MainView view) {
        return Objects.requireNonNull(views.get(view));
    }

    private HBox viewSwitch() {
        HBox box = new HBox(2);
        box.setAlignment(Pos.CENTER_LEFT);
        box.getStyleClass().add("view-switch");
        box.setMinWidth(Region.USE_PREF_SIZE);
        for (MainView view : MainView.values()) {
            String key = "view." + view.name().toLowerCase(java.util.Locale.ROOT);
            Button button = Buttons.text(key, () -> session.viewProperty().set(view));
            button.getStyleClass().add("view-button");
            button.setId(key.replace('.', '-'));
            button.setFocusTraversable(false);
            Buttons.explain(button, Words.of(key + ".tip"), Command.valueOf(view.name()), keys);
            views.put(view, button);
            box.getChildren().add(button);
        }
        return box;
    }

    private void showView(MainView shown) {
        views.forEach((view, button) -> button.pseudoClassStateChanged(ACTIVE, view == shown));
        prepare.setVisible(shown == MainView.WALL);
        prepare.setManaged(shown == MainView.WALL);
        prepare.setDisable(!session.shoot().mayEdit());
    }

    // ---- filters ----

    /** Chips take no more than what the rest leaves. */
    @Override
    protected double computeMinWidth(double height) {
        return super.computeMinWidth(height) - (chips.isManaged() ? widthOfChips() : 0);
    }

    private double widthOfChips() {
        return chips.minWidth(-1) + getSpacing();
    }

    @Override
    protected void layoutChildren() {
        double named = Math.max(0, Math.min(name.prefWidth(-1), NAME_FROM) - name.minWidth(-1));
        boolean haveRoom = computeMinWidth(-1) + named + widthOfChips() <= getWidth();
        chips.setVisible(haveRoom);
        chips.setManaged(haveRoom);
        super.layoutChildren();
    }

    private void fillChips() {
        unchecked.setId("chip-unchecked");
        unchecked.setOnAction(event -> {
            Set<FrameState> open = EnumSet.of(FrameState.DERIVED, FrameState.PLACED);
            set(filter().in(unchecked.isSelected() ? open : Set.of()));
        });
        warned.setId("chip-warned");
        warned.setOnAction(event -> set(filter().warned(warned.isSelected())));
        chips.setAlignment(Pos.CENTER_LEFT);
        for (ToggleButton chip : new ToggleButton[] {horizontal, vertical, square, unchecked, warned}) {
            chip.getStyleClass().add("filter-chip");
            chip.setFocusTraversable(false);
            chip.setMinWidth(Region.USE_PREF_SIZE);
        }
    }

    private static ToggleButton chip(String id, BiConsumer<ToggleButton, Orientation> toggle, Orientation orientation) {
        ToggleButton chip = new ToggleButton();
        chip.setId(id);
        chip.setOnAction(event -> toggle.accept(chip, orientation));
        return chip;
    }

    private void toggle(ToggleButton chip, Orientation orientation) {
        EnumSet<Orientation> lying = EnumSet.noneOf(Orientation.class);
        lying.addAll(filter().orientations());
        if (chip.isSelected()) {
            lying.add(orientation);
        } else {
            lying.remove(orientation);
        }
        set(filter().lying(lying));
    }

    private PhotoFilter filter() {
        return session.list().filterProperty().get();
    }

    private void set(PhotoFilter changed) {
        session.list().filterProperty().set(changed);
    }

    private void showFilter(PhotoFilter shown) {
        horizontal.setSelected(shown.orientations().contains(Orientation.HORIZONTAL));
        vertical.setSelected(shown.orientations().contains(Orientation.VERTICAL));
        square.setSelected(shown.orientations().contains(Orientation.SQUARE));
        unchecked.setSelected(!shown.states().isEmpty() && !shown.states().contains(FrameState.CHECKED));
        warned.setSelected(shown.warned());
        filter.pseudoClassStateChanged(ACTIVE, session.list().isFiltered());
    }

    private void showCounts(Counts.Counted counted) {
        counts.setText(Words.of(
                "header.counts",
                session.shoot().photos().size(),
                (counted.unreadable() > 0 ? Words.of("header.unreadable", counted.unreadable()) : "")
                        + (session.shoot().isWhole() ? "" : Words.of("header.more"))));
        horizontal.setText(Words.of("header.horizontal", counted.lying(Orientation.HORIZONTAL)));
        vertical.setText(Words.of("header.vertical", counted.lying(Orientation.VERTICAL)));
        int squares = counted.lying(Orientation.SQUARE);
        square.setText(Words.of("header.square", squares));
        square.setVisible(squares > 0 || square.isSelected());
        square.setManaged(square.isVisible());
        session.format().ifPresent(format -> {
            unchecked.setText(Words.of("header.unchecked", counted.working() - counted.in(FrameState.CHECKED, format)));
            warned.setText(Words.of("header.warned", counted.warned(format)));
        });
        boolean warns = session.format().filter(f -> counted.warned(f) > 0).isPresent() || warned.isSelected();
        warned.setVisible(warns);
        warned.setManaged(warns);
        unchecked.setVisible(session.format().isPresent());
    }

    private void refresh() {
        int at = session.list().place() + 1;
        int listed = session.list().photos().size();
        place.setText(session.photo().isPresent() ? Words.of("header.place", at, listed) : "");
        refresh(undo, session.shoot().history().nextUndo(), "header.undo", Command.UNDO);
        refresh(redo, session.shoot().history().nextRedo(), "header.redo", Command.REDO);
    }

    private void refresh(Button button, java.util.Optional<String> label, String words, Command command) {
        button.setDisable(label.isEmpty());
        label.ifPresentOrElse(
                step -> Buttons.explain(button, Words.of(words, Words.of(step)), command, keys),
                () -> Buttons.explain(button, Words.of(words + ".none")));
    }
}
