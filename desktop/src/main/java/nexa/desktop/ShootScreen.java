package nexa.desktop;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.geometry.Turn;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.HandoverModel;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.view.BenchView;
import nexa.desktop.view.DeskView;
import nexa.desktop.view.HandoverView;
import nexa.desktop.view.HeaderView;
import nexa.desktop.view.KeySheet;
import nexa.desktop.view.RailView;
import nexa.desktop.view.WallView;
import nexa.desktop.words.Words;

/** An open shoot: header, brief rail, one of the main views, desk; and the keys that work in all of them. */
final class ShootScreen extends StackPane {
    private final Session session;
    private final BooleanProperty tiltAdjusting = new SimpleBooleanProperty();
    private final HeaderView header;
    private final RailView rail;
    private final WallView wall;
    private final BenchView bench;
    private final DeskView desk;
    private final HandoverView handover;
    private final HeaderView.Actions actions;
    private final BorderPane layout = new BorderPane();
    private final Label notice = new Label();
    private final Subscription subscriptions;
    private Optional<KeySheet> keySheet = Optional.empty();

    ShootScreen(
            Session session, PhotoLoader loader, HandoverModel handoverModel, Executor fx, HeaderView.Actions actions) {
        this.session = session;
        this.actions = actions;
        header = new HeaderView(session, actions);
        rail = new RailView(session, loader, fx);
        wall = new WallView(session, loader, fx);
        bench = new BenchView(session, loader, fx, tiltAdjusting);
        desk = new DeskView(session, bench.levellingProperty(), tiltAdjusting);
        handover = new HandoverView(session, handoverModel);
        notice.getStyleClass().add("notice");
        notice.setMaxWidth(Double.MAX_VALUE);
        layout.setTop(new VBox(header, notice));
        layout.setLeft(rail);
        layout.setBottom(desk);
        getChildren().add(layout);
        bench.levellingProperty().subscribe(on -> showBenchIf(on));
        subscriptions = Subscription.combine(
                session.viewProperty().subscribe(this::show),
                session.editsProperty().subscribe(count -> showNotice()));
    }

    void dispose() {
        subscriptions.unsubscribe();
        header.dispose();
        rail.dispose();
        wall.dispose();
        bench.dispose();
        desk.dispose();
        handover.dispose();
    }

    private void show(MainView view) {
        Node shown =
                switch (view) {
                    case WALL -> wall;
                    case BENCH -> bench;
                    case HANDOVER -> handover;
                };
        layout.setCenter(shown);
        boolean framing = view != MainView.HANDOVER;
        desk.setVisible(framing);
        desk.setManaged(framing);
        if (view != MainView.BENCH) {
            bench.levellingProperty().set(false);
        }
    }

    private void showBenchIf(boolean levelling) {
        if (levelling) {
            session.viewProperty().set(MainView.BENCH);
        }
    }

    private void showNotice() {
        String words = session.shoot().mayEdit()
                ? session.shoot()
                        .savingTrouble()
                        .map(t -> Words.of("notice.saving", t))
                        .orElse("")
                : Words.of("notice.readonly");
        notice.setText(words);
        notice.setVisible(!words.isEmpty());
        notice.setManaged(!words.isEmpty());
    }

    void toggleKeys() {
        keySheet.ifPresentOrElse(this::closeKeys, () -> {
            KeySheet sheet = new KeySheet(this::toggleKeys);
            keySheet = Optional.of(sheet);
            getChildren().add(sheet);
        });
    }

    private void closeKeys(KeySheet sheet) {
        getChildren().remove(sheet);
        keySheet = Optional.empty();
    }

    /** Does what a key stands for; false if it stands for nothing here. */
    boolean pressed(KeyEvent event) {
        if (keySheet.isPresent()) {
            toggleKeys();
            return true;
        }
        if (event.isShortcutDown()) {
            return shortcut(event);
        }
        if (event.isAltDown() || event.isMetaDown()) {
            return false;
        }
        return typed(event) || viewKey(event.getCode()) || photoKey(event) || arrow(event.getCode());
    }

    private boolean shortcut(KeyEvent event) {
        if (event.getCode() != KeyCode.Z) {
            return false;
        }
        if (event.isShiftDown()) {
            session.redo();
        } else {
            session.undo();
        }
        return true;
    }

    private boolean typed(KeyEvent event) {
        KeyCode code = event.getCode();
        if (code.isDigitKey() && !event.isShiftDown()) {
            session.chooseFormat(code.ordinal() - KeyCode.DIGIT0.ordinal());
            return true;
        }
        if (event.getText().equals("+")) {
            rail.openAdding();
            return true;
        }
        return false;
    }

    private boolean viewKey(KeyCode code) {
        switch (code) {
            case W -> session.viewProperty().set(MainView.WALL);
            case B -> session.viewProperty().set(MainView.BENCH);
            case V -> session.viewProperty().set(MainView.HANDOVER);
            case U -> actions.nextSurround();
            case F1 -> toggleKeys();
            case ESCAPE -> {
                if (!bench.escape()) {
                    session.viewProperty().set(MainView.WALL);
                }
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private boolean photoKey(KeyEvent event) {
        boolean shift = event.isShiftDown();
        if (session.viewProperty().get() == MainView.HANDOVER) {
            return false;
        }
        switch (event.getCode()) {
            case N -> session.step(shift ? -1 : 1);
            case ENTER -> accept();
            case BACK_SPACE -> session.clear();
            case COMMA -> session.tiltBy(shift ? -1 : -0.1);
            case PERIOD -> session.tiltBy(shift ? 1 : 0.1);
            case Q -> session.turn(shift ? Turn.COUNTERCLOCKWISE : Turn.CLOCKWISE);
            case M -> session.turn(Turn.MIRROR);
            case L -> bench.levellingProperty().set(!bench.levellingProperty().get());
            case G ->
                session.overlayProperty()
                        .set(shift ? overlay().turned() : overlay().next());
            case S -> session.toggleSetAside();
            default -> {
                return false;
            }
        }
        return true;
    }

    private nexa.desktop.session.OverlayChoice overlay() {
        return session.overlayProperty().get();
    }

    /** Enter opens the photo from the Wall and accepts its frame in the Bench. */
    private void accept() {
        if (session.viewProperty().get() == MainView.WALL) {
            session.viewProperty().set(MainView.BENCH);
        } else {
            session.checkAndNext();
        }
    }

    private boolean arrow(KeyCode code) {
        boolean onWall = session.viewProperty().get() == MainView.WALL;
        switch (code) {
            case LEFT -> session.step(onWall ? -1 : 0);
            case RIGHT -> session.step(onWall ? 1 : 0);
            case UP -> wallRow(onWall, -1);
            case DOWN -> wallRow(onWall, 1);
            case PAGE_DOWN -> session.step(1);
            case PAGE_UP -> session.step(-1);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void wallRow(boolean onWall, int direction) {
        if (onWall) {
            wall.stepRow(direction);
        }
    }
}
