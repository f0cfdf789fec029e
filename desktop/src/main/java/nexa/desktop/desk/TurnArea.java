package nexa.desktop.desk;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.geometry.Turn;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;
import org.kordamp.ikonli.materialdesign2.MaterialDesignI;
import org.kordamp.ikonli.materialdesign2.MaterialDesignP;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignS;

/** How the photo is held: level, plumb, lens, trim, quarter turns and mirror. */
final class TurnArea extends VBox {
    private final Session session;
    private final Keys keys;

    /**
     * @param mode what the next drag in the Bench does
     * @param lens opens the lens's pane
     */
    TurnArea(
            Session session,
            Keys keys,
            ObjectProperty<BenchMode> mode,
            Button lens,
            Runnable autoLevel,
            Runnable autoTrim) {
        super(6);
        this.session = session;
        this.keys = keys;
        ToggleButton level = mode(MaterialDesignS.SPIRIT_LEVEL, Command.LEVEL_LINE, keys, mode, BenchMode.LEVELLING);
        ToggleButton plumb = mode(MaterialDesignP.PERSPECTIVE_MORE, Command.PLUMB, keys, mode, BenchMode.PLUMB);
        Button auto = Buttons.command(MaterialDesignA.AUTO_FIX, Command.AUTO_LEVEL, keys, autoLevel);
        ToggleButton trim = mode(MaterialDesignI.IMAGE_SIZE_SELECT_LARGE, Command.TRIM, keys, mode, BenchMode.TRIM);
        Button findTrim = Buttons.command(MaterialDesignI.IMAGE_SEARCH_OUTLINE, Command.AUTO_TRIM, keys, autoTrim);
        trim.setId("trim");
        findTrim.setId("auto-trim");
        level.setId("level");
        plumb.setId("plumb");
        auto.setId("auto-level");
        lens.setId("open-LENS");
        getChildren()
                .addAll(
                        new HBox(
                                4,
                                level,
                                plumb,
                                trim,
                                turn(
                                        "quarter-left",
                                        MaterialDesignR.ROTATE_LEFT,
                                        Command.QUARTER_BACK,
                                        Turn.COUNTERCLOCKWISE),
                                turn("mirror", MaterialDesignR.REFLECT_HORIZONTAL, Command.MIRROR, Turn.MIRROR)),
                        new HBox(
                                4,
                                auto,
                                lens,
                                findTrim,
                                turn("quarter-right", MaterialDesignR.ROTATE_RIGHT, Command.QUARTER, Turn.CLOCKWISE),
                                turn("flip", MaterialDesignR.REFLECT_VERTICAL, Command.FLIP, Turn.FLIP)));
        setAlignment(Pos.CENTER);
        setMinWidth(Region.USE_PREF_SIZE);
    }

    private Button turn(String id, Ikon icon, Command command, Turn by) {
        Button button =
                Buttons.command(icon, command, keys, () -> session.poseEdits().turn(by));
        button.setId(id);
        return button;
    }

    /** A button that is down as long as a mode stands. */
    static ToggleButton mode(Ikon icon, Command command, Keys keys, ObjectProperty<BenchMode> mode, BenchMode stands) {
        ToggleButton button = Buttons.toggle(icon, command, keys);
        button.setOnAction(event -> mode.set(button.isSelected() ? stands : BenchMode.FRAMING));
        mode.subscribe(now -> button.setSelected(now == stands));
        return button;
    }
}
