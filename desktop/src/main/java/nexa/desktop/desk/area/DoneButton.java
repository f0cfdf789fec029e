package nexa.desktop.desk.area;

import javafx.beans.property.ObjectProperty;
import javafx.scene.control.Button;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.widget.Buttons;

/** Ends what the desk shows in place of the usual. */
final class DoneButton {
    private DoneButton() {}

    /** @param command that begins it and ends it too */
    static Button of(String id, Command command, Keys keys, ObjectProperty<BenchMode> mode) {
        Button done = Buttons.text("desk.done", () -> mode.set(BenchMode.FRAMING));
        done.setId(id);
        done.getStyleClass().add("primary");
        Buttons.explain(done, command, keys);
        return done;
    }
}
