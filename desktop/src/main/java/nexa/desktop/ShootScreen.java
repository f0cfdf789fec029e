package nexa.desktop;

import java.util.Map;
import java.util.concurrent.Executor;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.beside.SideView;
import nexa.desktop.brief.FormatCard;
import nexa.desktop.brief.RailView;
import nexa.desktop.desk.DeskView;
import nexa.desktop.desk.DeskView.DeskPane;
import nexa.desktop.desk.LensPane;
import nexa.desktop.find.CommandMenu;
import nexa.desktop.find.Findables;
import nexa.desktop.handover.HandoverView;
import nexa.desktop.hint.FirstSteps;
import nexa.desktop.keys.Keys;
import nexa.desktop.lineup.LineupView;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.HeaderView;
import nexa.desktop.pane.NoticeBar;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.sheet.Sheets;
import nexa.desktop.wall.WallView;
import nexa.desktop.widget.LentKeyboard;

/** An open shoot: header, brief rail, one of the main views, desk; and what lies over them. */
final class ShootScreen extends StackPane implements HeaderView.ShootActions {
    private final ShootModels models;
    private final Session session;
    private final Keys keys;
    private final PhotoLoader loader;
    private final Executor work;
    private final Executor fx;
    private final HeaderView.Actions actions;
    private final Panes panes;
    private final BooleanProperty tiltAdjusting = new SimpleBooleanProperty();
    private final HeaderView header;
    private final RailView rail;
    private final WallView wall;
    private final BenchView bench;
    private final LineupView lineup;
    private final DeskView desk;
    private final HandoverView handover;
    private final BorderPane layout = new BorderPane();
    private final Middle middle;
    private final PaneLayer layer = new PaneLayer();
    private final FirstSteps firstSteps;
    private final NoticeBar notices;
    private final Furniture furniture;
    private final ShootKeys shootKeys;
    private final Sheets sheets;
    private final Subscription subscriptions;
    private final ReviewLists lists;
    private final Automatics automatics;
    private final Zooming zooming;
    private final LentKeyboard keyboard = new LentKeyboard(this);

    ShootScreen(ShootModels models, PhotoLoader loader, Program program, HeaderView.Actions actions) {
        this.models = models;
        this.session = models.session();
        this.keys = program.keys();
        this.loader = loader;
        this.work = program.work();
        this.fx = program.fx();
        this.actions = actions;
        LensPane.Ways lensWays = new LensPane.Ways(this::openLenses, () -> toggleMode(BenchMode.STRAIGHTENING));
        panes = new Panes(models, keys, loader, layer, work, fx, lensWays);
        header = new HeaderView(models, keys, actions, this);
        rail = new RailView(models, loader, fx, new FromRail());
        wall = new WallView(models, keys, loader, fx);
        bench = new BenchView(models, keys, loader, fx, tiltAdjusting);
        lineup = new LineupView(models, keys, loader, fx, () -> open(DeskPane.MARKS));
        desk = new DeskView(models, keys, bench.modeProperty(), tiltAdjusting, new FromDesk());
        handover = new HandoverView(session, models.handover(), panes, loader, fx);
        middle = new Middle(
                layout,
                Map.of(
                        MainView.WALL,
                        wall,
                        MainView.BENCH,
                        bench,
                        MainView.LINEUP,
                        lineup,
                        MainView.HANDOVER,
                        handover),
                () -> new SideView(session, loader, fx, this::toggleSideBySide));
        lists = new ReviewLists(models, loader, program.patient(), fx, this::showList, this::listClosed);
        automatics = new Automatics(models, lists, keys, bench.modeProperty());
        zooming = new Zooming(session, wall, bench, middle::side);
        shootKeys = new ShootKeys(session, keys, this, actions);
        CommandMenu menu = new CommandMenu(keys, shootKeys);
        menu.on(bench, CommandMenu.BENCH);
        menu.on(wall, CommandMenu.WALL);
        notices = new NoticeBar(
                session.shoot(), models.raw().messageProperty(), models.raw()::understood, actions::openAgain);
        firstSteps = new FirstSteps(models, rail, header::viewButton, desk);
        furniture = new Furniture(header, notices, firstSteps, rail, desk);
        furniture.putInto(layout);
        sheets = new Sheets(this, keys, new Findables(session, keys, shootKeys), firstSteps::again);
        layout.setRight(layer.room());
        getChildren().addAll(layout, layer);
        subscriptions = Subscription.combine(
                session.viewProperty().subscribe(this::show),
                layer.crowdedProperty().subscribe(rail.crowdedProperty()::set),
                session.editsProperty().subscribe(count -> notices.refresh()),
                bench.modeProperty().subscribe(this::showBenchFor),
                bench.bareProperty().subscribe(this::showFurniture));
    }

    /** What the desk starts. */
    private final class FromDesk implements DeskView.Actions {
        @Override
        public void autoLevel() {
            automatics.level();
        }

        @Override
        public void autoTrim() {
            automatics.trim();
        }

        @Override
        public void toggle(DeskPane pane, Node beside) {
            if (pane == DeskPane.CARRY) {
                session.viewProperty().set(MainView.WALL); // where its ghosts show
            }
            layer.toggle(panes.of(pane), beside);
        }
    }

    /** What the rail starts. */
    private final class FromRail implements RailView.Actions {
        @Override
        public void edit(Format format, FormatCard beside) {
            layer.toggle(panes.format(format, layer::close), beside);
        }

        @Override
        public void shelf(Button beside) {
            layer.toggle(panes.shelf(layer::close), beside);
        }
    }

    void dispose() {
        subscriptions.unsubscribe();
        firstSteps.dispose();
        layer.close();
        lists.close();
        middle.closeSide();
        header.dispose();
        rail.dispose();
        wall.dispose();
        bench.dispose();
        lineup.dispose();
        desk.dispose();
        handover.dispose();
    }

    BenchView bench() {
        return bench;
    }

    // ---- what is in the middle ----

    private void show(MainView view) {
        lists.close();
        middle.show(view);
        showFurniture(bench.bareProperty().get());
        if (view != MainView.BENCH) {
            bench.modeProperty().set(BenchMode.FRAMING);
            bench.bareProperty().set(false);
            layer.close();
        }
    }

    private void showFurniture(boolean bare) {
        boolean listed = lists.isOpen();
        furniture.show(bare, session.viewProperty().get() != MainView.HANDOVER && !listed, !listed);
    }

    /** What waits for a drag or a click takes the arrow keys too, whichever control it was begun by. */
    private void showBenchFor(BenchMode mode) {
        if (mode == BenchMode.FRAMING) {
            keyboard.giveBack();
        } else {
            middle.closeSide();
            session.viewProperty().set(MainView.BENCH);
            keyboard.lend();
        }
    }

    // ---- what keys and buttons do ----

    void toggleMode(BenchMode mode) {
        if (session.shoot().mayEdit()) {
            ObjectProperty<BenchMode> now = bench.modeProperty();
            now.set(now.get() == mode ? BenchMode.FRAMING : mode);
        }
    }

    void toggleSideBySide() {
        layer.close();
        bench.modeProperty().set(BenchMode.FRAMING);
        session.viewProperty().set(MainView.BENCH);
        middle.toggleSide();
    }

    Zooming zooming() {
        return zooming;
    }

    void toggleBare() {
        if (session.viewProperty().get() == MainView.BENCH) {
            layer.close();
            bench.bareProperty().set(!bench.bareProperty().get());
        }
    }

    void open(DeskPane pane) {
        if (session.viewProperty().get() != MainView.HANDOVER && desk.isVisible()) {
            desk.open(pane);
        }
    }

    @Override
    public void toggleSteps() {
        layer.toggle(panes.steps(), header.stepsButton());
    }

    @Override
    public void prepare() {
        layer.close();
        automatics.prepare();
    }

    @Override
    public void toggleFilter() {
        layer.toggle(panes.filter(false), header.filterButton());
    }

    @Override
    public void toggleSettings() {
        layer.toggle(panes.settings(actions::openAgain), header.settingsButton());
    }

    void search() {
        layer.close();
        layer.toggle(panes.filter(true), header.filterButton());
    }

    /** Selects the photos that are nearly the same as the current one. */
    void selectAlike() {
        session.viewProperty().set(MainView.WALL);
        models.repeats().select();
    }

    void flipResults() {
        session.viewProperty().set(MainView.LINEUP);
        lineup.flip();
    }

    void addFormat() {
        rail.openAdding();
    }

    void stepWallRow(int direction) {
        wall.stepRow(direction);
    }

    void stepWallScreen(int direction) {
        wall.stepScreen(direction);
    }

    Automatics automatics() {
        return automatics;
    }

    private void openLenses() {
        layer.close();
        lists.openLenses();
    }

    private void showList(Node list) {
        middle.show(list);
        showFurniture(false);
    }

    private void listClosed() {
        middle.show(session.viewProperty().get());
        showFurniture(bench.bareProperty().get());
        requestFocus();
    }

    /** Closes what lies on top, or gives up what goes on; false if there is nothing. */
    boolean closeTopmost() {
        if (furniture.leaveField(this, layout) || layer.close() || lists.close() || middle.closeSide()) {
            return true;
        }
        if (bench.bareProperty().get()) {
            bench.bareProperty().set(false);
            return true;
        }
        return switch (session.viewProperty().get()) {
            case WALL -> wall.escape();
            case BENCH -> bench.escape();
            case LINEUP -> lineup.escape();
            case HANDOVER -> false;
        };
    }

    // ---- keys ----

    Sheets sheets() {
        return sheets;
    }

    /** Does what a key stands for; false if it stands for nothing here. */
    boolean pressed(KeyEvent event) {
        if (sheets.isOpen()) {
            return sheets.pressed(event);
        }
        Node owner = getScene().getFocusOwner();
        boolean inControl = owner != null && (layer.holdsControl(owner) || isReachedByKeys(owner));
        return lists.pressed(event) || shootKeys.pressed(event, inControl);
    }

    /** Whoever went to a control by Tab wants to use it by keys; a click on one leaves all keys to the shoot. */
    private boolean isReachedByKeys(Node owner) {
        return owner != this && owner != wall && owner.isFocusVisible();
    }
}
