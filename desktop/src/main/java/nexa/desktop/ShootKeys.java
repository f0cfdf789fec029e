package nexa.desktop;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.geometry.Turn;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.bench.BenchView;
import nexa.desktop.desk.DeskView.DeskPane;
import nexa.desktop.find.Findables;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.KeyMap;
import nexa.desktop.keys.KeyPress;
import nexa.desktop.keys.Keys;
import nexa.desktop.pane.HeaderView;
import nexa.desktop.session.FrameEdits;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Settings;

/** From keys to what they do in an open shoot. */
final class ShootKeys implements Findables.Commands {
    /** What a step by keys moves, in the photo's pixels. */
    private static final int STEP = 1;

    private static final int LEAP = 10;

    /** What a step by keys looks farther, in canvas units. */
    private static final int PAN_STEP = 16;

    /** What growing by keys adds to the long side, in the photo's pixels. */
    private static final int GROWTH = 20;

    private final Session session;
    private final Keys keys;
    private final ShootScreen screen;
    private final Map<Command, Runnable> everywhere = new EnumMap<>(Command.class);
    private final Map<Command, Runnable> framing = new EnumMap<>(Command.class);

    ShootKeys(Session session, Keys keys, ShootScreen screen, HeaderView.Actions window) {
        this.session = session;
        this.keys = keys;
        this.screen = screen;
        going();
        set();
        frame();
        level();
        look(window);
    }

    private void going() {
        everywhere.put(Command.WALL, () -> show(MainView.WALL));
        everywhere.put(Command.BENCH, () -> show(MainView.BENCH));
        everywhere.put(Command.HANDOVER, () -> show(MainView.HANDOVER));
        everywhere.put(Command.UNDO, session.shoot()::undo);
        everywhere.put(Command.REDO, session.shoot()::redo);
        everywhere.put(Command.STEPS, screen::toggleSteps);
        everywhere.put(Command.ADD_FORMAT, screen::addFormat);
        framing.put(Command.NEXT, () -> session.going().step(1));
        framing.put(Command.PREVIOUS, () -> session.going().step(-1));
        framing.put(Command.FAR_ON, () -> far(1));
        framing.put(Command.FAR_BACK, () -> far(-1));
        framing.put(Command.FIRST, session.going()::first);
        framing.put(Command.LAST, session.going()::last);
        framing.put(Command.ACCEPT, this::accept);
        framing.put(Command.CLEAR, session.frameEdits()::clear);
        framing.put(Command.SET_ASIDE, session.frameEdits()::toggleSetAside);
        framing.put(Command.ALTERNATES, () -> screen.open(DeskPane.ALTERNATES));
        framing.put(Command.NEXT_ALTERNATE, frameEdits()::nextAlternate);
    }

    private void set() {
        everywhere.put(Command.LINEUP, () -> show(MainView.LINEUP));
        everywhere.put(Command.FILTER, screen::toggleFilter);
        everywhere.put(Command.SEARCH, screen::search);
        framing.put(Command.NEXT_UNCHECKED, session.going()::nextUnchecked);
        framing.put(Command.CHECK_ALL, session.frameEdits()::checkAll);
        framing.put(Command.SELECT, session.selection()::toggle);
        framing.put(Command.SELECT_TO, session.selection()::selectTo);
        framing.put(Command.SELECT_ALL, session.selection()::selectAll);
        framing.put(Command.SELECT_ALIKE, screen::selectAlike);
        framing.put(Command.PREPARE, screen::prepare);
        framing.put(Command.CARRY, () -> screen.open(DeskPane.CARRY));
        framing.put(Command.CARRY_AGAIN, session.carry()::apply);
        framing.put(Command.MARK, () -> screen.toggleMode(BenchMode.MARKING));
        framing.put(Command.MARKS, () -> screen.open(DeskPane.MARKS));
        framing.put(Command.EXEMPLAR, session.lineup()::makeExemplar);
        framing.put(Command.PULL_IN, session.lineup()::pullIn);
        framing.put(Command.FLIP_RESULTS, screen::flipResults);
    }

    private void frame() {
        framing.put(Command.LEFT_STEP, () -> arrow(-1, 0, STEP));
        framing.put(Command.RIGHT_STEP, () -> arrow(1, 0, STEP));
        framing.put(Command.UP_STEP, () -> arrow(0, -1, STEP));
        framing.put(Command.DOWN_STEP, () -> arrow(0, 1, STEP));
        framing.put(Command.LEFT_LEAP, () -> arrow(-1, 0, LEAP));
        framing.put(Command.RIGHT_LEAP, () -> arrow(1, 0, LEAP));
        framing.put(Command.UP_LEAP, () -> arrow(0, -1, LEAP));
        framing.put(Command.DOWN_LEAP, () -> arrow(0, 1, LEAP));
        framing.put(Command.GROW, () -> frameEdits().grow(GROWTH));
        framing.put(Command.SHRINK, () -> frameEdits().grow(-GROWTH));
        framing.put(Command.DRAW, () -> screen.toggleMode(BenchMode.DRAWING));
        framing.put(Command.NUMBERS, () -> screen.open(DeskPane.NUMBERS));
        framing.put(Command.SHAPES, () -> screen.open(DeskPane.SHAPE));
        framing.put(Command.MOVER, () -> settings()
                .moverProperty()
                .set(settings().moverProperty().get().other()));
        framing.put(Command.LOOKS, () -> screen.open(DeskPane.LOOK));
        framing.put(Command.FILL, () -> screen.open(DeskPane.FILL));
        framing.put(Command.SWAP, frameEdits()::swap);
        framing.put(Command.LOCK, frameEdits()::toggleLock);
    }

    private void level() {
        framing.put(Command.TILT_LESS, () -> session.poseEdits().tiltBy(-0.1));
        framing.put(Command.TILT_MORE, () -> session.poseEdits().tiltBy(0.1));
        framing.put(Command.TILT_MUCH_LESS, () -> session.poseEdits().tiltBy(-1));
        framing.put(Command.TILT_MUCH_MORE, () -> session.poseEdits().tiltBy(1));
        framing.put(Command.QUARTER, () -> session.poseEdits().turn(Turn.CLOCKWISE));
        framing.put(Command.QUARTER_BACK, () -> session.poseEdits().turn(Turn.COUNTERCLOCKWISE));
        framing.put(Command.MIRROR, () -> session.poseEdits().turn(Turn.MIRROR));
        framing.put(Command.FLIP, () -> session.poseEdits().turn(Turn.FLIP));
        framing.put(Command.LEVEL_LINE, () -> screen.toggleMode(BenchMode.LEVELLING));
        framing.put(Command.AUTO_LEVEL, screen.automatics()::level);
        framing.put(Command.PLUMB, () -> screen.toggleMode(BenchMode.PLUMB));
        framing.put(Command.AUTO_PLUMB, screen.automatics()::plumb);
        framing.put(Command.TRIM, () -> screen.toggleMode(BenchMode.TRIM));
        framing.put(Command.AUTO_TRIM, screen.automatics()::trim);
        framing.put(Command.NEUTRAL, () -> screen.toggleMode(BenchMode.NEUTRAL));
        framing.put(Command.EYES, () -> screen.toggleMode(BenchMode.EYES));
        framing.put(Command.RAW, screen.automatics()::raw);
        framing.put(Command.LENS, () -> screen.open(DeskPane.LENS));
    }

    private void look(HeaderView.Actions window) {
        framing.put(Command.OVERLAY, () -> session.overlayProperty()
                .set(settings()
                        .cycleProperty()
                        .get()
                        .after(session.overlayProperty().get())));
        framing.put(Command.OVERLAY_TURN, () -> session.overlayProperty()
                .set(session.overlayProperty().get().turned()));
        framing.put(Command.OVERLAY_SHOW, () -> settings()
                .overlayShowProperty()
                .set(settings().overlayShowProperty().get().next()));
        framing.put(Command.ZOOM, screen.zooming()::next);
        framing.put(Command.ZOOM_FRAME, screen.zooming()::toFrame);
        framing.put(Command.ZOOM_FIT, screen.zooming()::toFit);
        framing.put(Command.CLOSER, screen.zooming()::closer);
        framing.put(Command.FARTHER, screen.zooming()::farther);
        framing.put(Command.SIDE_BY_SIDE, screen::toggleSideBySide);
        framing.put(Command.BARE, screen::toggleBare);
        everywhere.put(Command.SURROUND, window::nextSurround);
        everywhere.put(Command.FULL_SCREEN, window::toggleFullScreen);
        everywhere.put(Command.RESULT_WINDOW, window::toggleResultWindow);
        everywhere.put(Command.SETTINGS, screen::toggleSettings);
        everywhere.put(Command.KEYS, () -> screen.sheets().toggleKeys());
        everywhere.put(Command.FIND, () -> screen.sheets().find());
        everywhere.put(Command.LEAVE, this::leave);
    }

    private FrameEdits frameEdits() {
        return session.frameEdits();
    }

    private Settings settings() {
        return session.settings();
    }

    private boolean onWall() {
        return session.viewProperty().get() == MainView.WALL;
    }

    private boolean onBench() {
        return session.viewProperty().get() == MainView.BENCH;
    }

    private void show(MainView view) {
        session.viewProperty().set(view);
    }

    /** Enter opens the photo from the Wall, presses where the Bench's cross is, and elsewhere accepts the frame. */
    private void accept() {
        if (onWall()) {
            show(MainView.BENCH);
        } else if (!screen.bench().pressAim()) {
            session.going().checkAndNext();
        }
    }

    /**
     * On the Wall to another photo; on the Bench what is looked at where that key is held, or its cross; elsewhere the
     * frame by the photo's pixels, and so the frames of several chosen photos.
     */
    private void arrow(int right, int down, int pixels) {
        BenchView bench = screen.bench();
        if (onBench() && keys.isHeld(Command.PAN)) {
            bench.pan(-right * pixels * PAN_STEP, -down * pixels * PAN_STEP);
        } else if (!bench.aim(right * pixels, down * pixels)) {
            step(right, down, pixels);
        }
    }

    private void step(int right, int down, int pixels) {
        if (!onWall() || session.together().isOn()) {
            frameEdits().nudge(right * pixels, down * pixels);
        } else if (right != 0) {
            session.going().step(right);
        } else {
            screen.stepWallRow(down);
        }
    }

    /** A screen of the Wall; elsewhere a photo. */
    private void far(int direction) {
        if (onWall()) {
            screen.stepWallScreen(direction);
        } else {
            session.going().step(direction);
        }
    }

    private void leave() {
        if (!screen.closeTopmost()) {
            session.selection().property().set(Set.of());
            show(MainView.WALL);
        }
    }

    /**
     * Does what a key stands for; false if it stands for nothing here.
     *
     * @param inControl whether a control of a pane has the keyboard, which needs some keys itself
     */
    boolean pressed(KeyEvent event, boolean inControl) {
        if (inControl && KeyPress.isForControls(event.getCode())) {
            return false;
        }
        Optional<KeyPress> press = KeyPress.of(event);
        if (press.filter(KeyMap::choosesFormat).isPresent()) {
            session.chooseFormat(digit(press.get().code()));
            return true;
        }
        Optional<Command> command = keys.command(event);
        command.filter(Command::isHeld).ifPresent(keys::hold);
        return command.isPresent() && (command.get().isHeld() || done(command.get()));
    }

    /** Also on the keys' number block. */
    private static int digit(KeyCode code) {
        KeyCode zero = code.isKeypadKey() ? KeyCode.NUMPAD0 : KeyCode.DIGIT0;
        return code.ordinal() - zero.ordinal();
    }

    private boolean done(Command command) {
        Optional<Runnable> action = action(command);
        action.ifPresent(Runnable::run);
        return action.isPresent();
    }

    private Optional<Runnable> action(Command command) {
        boolean inFraming = session.viewProperty().get() != MainView.HANDOVER;
        return Optional.ofNullable(
                inFraming ? framing.getOrDefault(command, everywhere.get(command)) : everywhere.get(command));
    }

    @Override
    public boolean can(Command command) {
        return action(command).isPresent();
    }

    @Override
    public void run(Command command) {
        done(command);
    }
}
