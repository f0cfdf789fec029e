package nexa.desktop.keys;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.shoot.Preferences;
import nexa.words.Words;

/**
 * This user's keys, and what is held right now: commands, and the modifiers that change what the mouse does. Modifiers
 * are followed by their own key events, so that a gesture can follow them while the mouse rests.
 */
public final class Keys {
    private static final String SETTING = "keys";

    private final ObjectProperty<KeyMap> map;
    private final ReadOnlyObjectWrapper<Set<Command>> held = new ReadOnlyObjectWrapper<>(Set.of());

    /** The modifiers that are down. */
    public record Modifiers(boolean shift, boolean shortcut, boolean alt) {
        static final Modifiers NONE = new Modifiers(false, false, false);
    }

    private final ReadOnlyObjectWrapper<Modifiers> modifiers = new ReadOnlyObjectWrapper<>(Modifiers.NONE);

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

    /** The key that a command has by now. */
    public String label(Command command) {
        return map().label(command);
    }

    /** A command in words, with its key. */
    public String words(Command command) {
        return words(Words.begun(Words.of("command", command)), command);
    }

    /** What is said of a command, with its key. */
    public String words(String said, Command command) {
        return Words.of("keys.tip", said, label(command));
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

    public ReadOnlyObjectProperty<Modifiers> modifiersProperty() {
        return modifiers.getReadOnlyProperty();
    }

    public Modifiers modifiers() {
        return modifiers.get();
    }

    /** Follows the modifiers through any key event. */
    public void follow(KeyEvent event) {
        boolean down = event.getEventType() == KeyEvent.KEY_PRESSED;
        Modifiers now = modifiers.get();
        switch (event.getCode()) {
            case SHIFT -> modifiers.set(new Modifiers(down, now.shortcut(), now.alt()));
            case CONTROL, COMMAND, META -> modifiers.set(new Modifiers(now.shift(), down, now.alt()));
            case ALT -> modifiers.set(new Modifiers(now.shift(), now.shortcut(), down));
            default -> {}
        }
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
        KeyCode released = KeyOfLayout.of(event).code();
        fewer.removeIf(command -> map.get().keys(command).stream().anyMatch(key -> key.code() == released));
        held.set(Set.copyOf(fewer));
    }

    /** Lets go of all, as when the window loses the keyboard. */
    public void releaseAll() {
        modifiers.set(Modifiers.NONE);
        held.set(Set.of());
    }
}
