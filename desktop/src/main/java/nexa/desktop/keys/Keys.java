package nexa.desktop.keys;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.input.KeyEvent;
import nexa.shoot.Preferences;

/** This user's keys, and the commands whose keys are held right now. */
public final class Keys {
    private static final String SETTING = "keys";

    private final ObjectProperty<KeyMap> map;
    private final ReadOnlyObjectWrapper<Set<Command>> held = new ReadOnlyObjectWrapper<>(Set.of());

    public Keys(Preferences preferences) {
        map = new SimpleObjectProperty<>(
                preferences.get(SETTING).map(KeyMap::parse).orElse(KeyMap.USUAL));
        map.subscribe((before, now) -> preferences.put(SETTING, now.text()));
    }

    public ObjectProperty<KeyMap> mapProperty() {
        return map;
    }

    public KeyMap map() {
        return map.get();
    }

    public Optional<Command> command(KeyEvent event) {
        return KeyPress.of(event).flatMap(map.get()::command);
    }

    public ReadOnlyObjectProperty<Set<Command>> heldProperty() {
        return held.getReadOnlyProperty();
    }

    public boolean isHeld(Command command) {
        return held.get().contains(command);
    }

    public void hold(Command command) {
        EnumSet<Command> more = EnumSet.of(command);
        more.addAll(held.get());
        held.set(Set.copyOf(more));
    }

    /** Lets go of the held command that a released key stands for, whatever modifiers are down by then. */
    public void release(KeyEvent event) {
        EnumSet<Command> fewer = EnumSet.noneOf(Command.class);
        fewer.addAll(held.get());
        fewer.removeIf(command -> map.get().keys(command).stream().anyMatch(key -> key.code() == event.getCode()));
        held.set(Set.copyOf(fewer));
    }

    /** Lets go of all, as when the window loses the keyboard. */
    public void releaseAll() {
        held.set(Set.of());
    }
}
