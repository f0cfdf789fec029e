package nexa.desktop.desk;

import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ToggleButton;
import nexa.core.geometry.Turn;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.desk.DeskView.DeskPane;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;
import org.kordamp.ikonli.materialdesign2.MaterialDesignB;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignE;
import org.kordamp.ikonli.materialdesign2.MaterialDesignF;
import org.kordamp.ikonli.materialdesign2.MaterialDesignI;
import org.kordamp.ikonli.materialdesign2.MaterialDesignL;
import org.kordamp.ikonli.materialdesign2.MaterialDesignP;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignS;
import org.kordamp.ikonli.materialdesign2.MaterialDesignT;

/** The desk's groups of signs. A wide desk has room for what is seldom used, too. */
final class DeskGroups {
    private final Session session;
    private final Keys keys;
    private final ObjectProperty<BenchMode> mode;
    private final DeskView.Actions actions;
    private final Consumer<DeskPane> open;
    private final ObservableValue<Boolean> wide;
    private final Button lens;
    private final ToggleButton draw;
    private final Button swap;
    private final Button lock;
    private final Button carry;
    private final Button alternates;
    private final DeskGroup correct;
    private final DeskGroup turn;
    private final DeskGroup frame;
    private final DeskGroup goOn;

    /**
     * @param mode what the next drag in the Bench does
     * @param open opens a pane, or closes it
     * @param wide whether there is room
     */
    DeskGroups(
            Session session,
            Keys keys,
            ObjectProperty<BenchMode> mode,
            DeskView.Actions actions,
            Consumer<DeskPane> open,
            ObservableValue<Boolean> wide) {
        this.session = session;
        this.keys = keys;
        this.mode = mode;
        this.actions = actions;
        this.open = open;
        this.wide = wide;
        this.lens = sign("open-LENS", MaterialDesignC.CAMERA_IRIS, Command.LENS, () -> open.accept(DeskPane.LENS));
        this.draw = mode("draw", MaterialDesignS.SHAPE_RECTANGLE_PLUS, Command.DRAW, BenchMode.DRAWING);
        this.swap = sign("swap", MaterialDesignP.PHONE_ROTATE_LANDSCAPE, Command.SWAP, session.frameEdits()::swap);
        this.lock = sign("lock", MaterialDesignL.LOCK_OUTLINE, Command.LOCK, session.frameEdits()::toggleLock);
        this.carry = sign(
                "open-CARRY",
                MaterialDesignA.ARROW_RIGHT_BOLD_BOX_OUTLINE,
                Command.CARRY,
                () -> open.accept(DeskPane.CARRY));
        this.alternates = sign(
                "open-ALTERNATES",
                MaterialDesignB.BOOKMARK_MULTIPLE_OUTLINE,
                Command.ALTERNATES,
                () -> open.accept(DeskPane.ALTERNATES));
        this.correct = madeCorrect();
        this.turn = madeTurn();
        this.frame = madeFrame();
        this.goOn = madeGoOn();
        frame.setDisable(!session.shoot().mayEdit());
    }

    /** What leans, bows or glows in the photo. */
    DeskGroup correct() {
        return correct;
    }

    /** How the photo is held. */
    DeskGroup turn() {
        return turn;
    }

    DeskGroup frame() {
        return frame;
    }

    /** What is made of the frame that was found: for other photos, or for later. */
    DeskGroup goOn() {
        return goOn;
    }

    Button carry() {
        return carry;
    }

    Button alternates() {
        return alternates;
    }

    Button lens() {
        return lens;
    }

    /** What can be done with the current photo, which may have no frame or can't be read, or with several that are chosen. */
    void refresh() {
        boolean turns = session.space().isPresent() || session.together().isOn();
        Stream.of(correct, turn)
                .forEach(group -> group.setDisable(!turns || !session.shoot().mayEdit()));
        boolean frames = session.frame().isPresent();
        Stream.of(draw, swap, lock).forEach(button -> button.setDisable(!frames));
        boolean locked = !session.frameEdits().isFree();
        ((FontIcon) lock.getGraphic())
                .setIconCode(locked ? MaterialDesignL.LOCK_OUTLINE : MaterialDesignL.LOCK_OPEN_VARIANT_OUTLINE);
    }

    private DeskGroup madeCorrect() {
        return new DeskGroup(
                        "desk.correct",
                        "correct",
                        keys,
                        mode("level", MaterialDesignS.SPIRIT_LEVEL, Command.LEVEL_LINE, BenchMode.LEVELLING),
                        sign("auto-level", MaterialDesignA.AUTO_FIX, Command.AUTO_LEVEL, actions::autoLevel),
                        mode("plumb", MaterialDesignP.PERSPECTIVE_MORE, Command.PLUMB, BenchMode.PLUMB),
                        lens,
                        roomy(mode("trim", MaterialDesignI.IMAGE_SIZE_SELECT_LARGE, Command.TRIM, BenchMode.TRIM)),
                        roomy(sign(
                                "auto-trim",
                                MaterialDesignI.IMAGE_SEARCH_OUTLINE,
                                Command.AUTO_TRIM,
                                actions::autoTrim)),
                        roomy(mode("neutral", MaterialDesignE.EYEDROPPER, Command.NEUTRAL, BenchMode.NEUTRAL)),
                        roomy(mode("eyes", MaterialDesignE.EYE_OUTLINE, Command.EYES, BenchMode.EYES)))
                .seldom(Command.TRIM, () -> mode.set(BenchMode.TRIM))
                .seldom(Command.AUTO_TRIM, actions::autoTrim)
                .seldom(Command.NEUTRAL, () -> mode.set(BenchMode.NEUTRAL))
                .seldom(Command.EYES, () -> mode.set(BenchMode.EYES));
    }

    private DeskGroup madeTurn() {
        return new DeskGroup(
                        "desk.turn",
                        "turn",
                        keys,
                        turn("quarter-left", MaterialDesignR.ROTATE_LEFT, Command.QUARTER_BACK, Turn.COUNTERCLOCKWISE),
                        turn("quarter-right", MaterialDesignR.ROTATE_RIGHT, Command.QUARTER, Turn.CLOCKWISE),
                        turn("mirror", MaterialDesignR.REFLECT_HORIZONTAL, Command.MIRROR, Turn.MIRROR),
                        roomy(turn("flip", MaterialDesignR.REFLECT_VERTICAL, Command.FLIP, Turn.FLIP)))
                .seldom(Command.FLIP, () -> session.poseEdits().turn(Turn.FLIP));
    }

    private DeskGroup madeFrame() {
        return new DeskGroup(
                        "desk.frame",
                        "frame",
                        keys,
                        draw,
                        swap,
                        lock,
                        mode("mark", MaterialDesignT.TARGET, Command.MARK, BenchMode.MARKING),
                        roomy(sign(
                                "open-FILL",
                                MaterialDesignF.FORMAT_COLOR_FILL,
                                Command.FILL,
                                () -> open.accept(DeskPane.FILL))),
                        roomy(sign(
                                "open-MARKS",
                                MaterialDesignC.CROSSHAIRS_QUESTION,
                                Command.MARKS,
                                () -> open.accept(DeskPane.MARKS))))
                .seldom(Command.FILL, () -> open.accept(DeskPane.FILL))
                .seldom(Command.MARKS, () -> open.accept(DeskPane.MARKS))
                .seldom(Command.CLEAR, session.frameEdits()::clear)
                .seldom(Command.LOOKS, () -> open.accept(DeskPane.LOOK));
    }

    private DeskGroup madeGoOn() {
        return new DeskGroup("desk.on", "on", keys, carry, alternates)
                .seldom(Command.CARRY_AGAIN, session.carry()::apply)
                .seldom(Command.NEXT_ALTERNATE, session.frameEdits()::nextAlternate)
                .seldom(Command.SET_ASIDE, session.frameEdits()::toggleSetAside)
                .seldom(Command.NEXT_UNCHECKED, session.going()::nextUnchecked);
    }

    private Button turn(String id, Ikon icon, Command command, Turn by) {
        return sign(id, icon, command, () -> session.poseEdits().turn(by));
    }

    private Button sign(String id, Ikon icon, Command command, Runnable action) {
        Button button = Buttons.labelled(Buttons.command(icon, command, keys, action), "sign." + id);
        button.setId(id);
        return button;
    }

    /** A button that is down as long as a mode stands. */
    private ToggleButton mode(String id, Ikon icon, Command command, BenchMode stands) {
        ToggleButton button = Buttons.labelled(Buttons.toggle(icon, command, keys), "sign." + id);
        button.setId(id);
        button.setOnAction(event -> mode.set(button.isSelected() ? stands : BenchMode.FRAMING));
        mode.subscribe(now -> button.setSelected(now == stands));
        return button;
    }

    private <B extends ButtonBase> B roomy(B button) {
        button.visibleProperty().bind(wide);
        button.managedProperty().bind(wide);
        return button;
    }
}
