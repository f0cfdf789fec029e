package nexa.desktop.keys;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.input.KeyCode;

/**
 * Which keys do what: the usual ones, but for the commands whose key the user changed.
 *
 * @param changed the one key of each changed command
 */
public record KeyMap(Map<Command, KeyPress> changed) {
    public static final KeyMap USUAL = new KeyMap(Map.of());

    public KeyMap {
        changed = Map.copyOf(changed);
    }

    public List<KeyPress> keys(Command command) {
        KeyPress own = changed.get(command);
        return own == null ? command.usual() : List.of(own);
    }

    /**
     * What a key does; what the user chose goes before a usual key, which a later version may have brought. A held command
     * ignores the modifiers, which change what the mouse does meanwhile.
     */
    public Optional<Command> command(KeyPress press) {
        return Arrays.stream(Command.values())
                .filter(command -> keys(command).contains(press))
                .min(Comparator.comparing(command -> !changed.containsKey(command)))
                .or(() -> heldCommand(press.code()).filter(c -> !press.shortcut()));
    }

    private Optional<Command> heldCommand(KeyCode code) {
        return Arrays.stream(Command.values())
                .filter(Command::isHeld)
                .filter(command -> keys(command).stream().anyMatch(key -> key.code() == code))
                .findFirst();
    }

    /** What else has the key already. Digits choose formats and are taken too. */
    public Optional<Command> conflict(Command command, KeyPress press) {
        return Arrays.stream(Command.values())
                .filter(other -> other != command && keys(other).contains(press))
                .findFirst();
    }

    /** Whether the key is one of those that choose a format, which stay. */
    public static boolean choosesFormat(KeyPress press) {
        return press.code().isDigitKey()
                && press.code() != KeyCode.DIGIT0
                && press.code() != KeyCode.NUMPAD0
                && !press.shift()
                && !press.shortcut();
    }

    public KeyMap with(Command command, KeyPress press) {
        Map<Command, KeyPress> longer = new EnumMap<>(Command.class);
        longer.putAll(changed);
        longer.put(command, press);
        if (command.usual().equals(List.of(press))) {
            longer.remove(command);
        }
        return new KeyMap(longer);
    }

    /** The usual key again. */
    public KeyMap without(Command command) {
        Map<Command, KeyPress> fewer = new EnumMap<>(Command.class);
        fewer.putAll(changed);
        fewer.remove(command);
        return new KeyMap(fewer);
    }

    /** The first key of a command, as it is written. */
    public String label(Command command) {
        return keys(command).getFirst().label();
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        return changed.entrySet().stream()
                .map(entry -> entry.getKey() + "=" + entry.getValue().text())
                .sorted()
                .collect(Collectors.joining(" "));
    }

    /** What is of another version is left out. */
    public static KeyMap parse(String text) {
        Map<Command, KeyPress> changed = new EnumMap<>(Command.class);
        for (String entry : text.split(" ")) {
            try {
                int equals = entry.indexOf('=');
                changed.put(
                        Command.valueOf(entry.substring(0, Math.max(0, equals))),
                        KeyPress.parse(entry.substring(equals + 1)));
            } catch (IllegalArgumentException unknown) {
                // a command or key that this version does not have
            }
        }
        return new KeyMap(changed);
    }
}
