package nexa.desktop.keys;

import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.words.Words;

/** One key with Shift and Ctrl (on a Mac: Command) held or not. */
public record KeyPress(KeyCode code, boolean shift, boolean shortcut) {
    private static final Set<KeyCode> NO_KEYS = Set.of(
            KeyCode.SHIFT,
            KeyCode.CONTROL,
            KeyCode.ALT,
            KeyCode.ALT_GRAPH,
            KeyCode.META,
            KeyCode.COMMAND,
            KeyCode.WINDOWS,
            KeyCode.CAPS,
            KeyCode.UNDEFINED);

    /** Keys that a focused slider, list or button needs for itself. */
    private static final Set<KeyCode> FOR_CONTROLS = Set.of(
            KeyCode.SPACE,
            KeyCode.ENTER,
            KeyCode.TAB,
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.PAGE_UP,
            KeyCode.PAGE_DOWN,
            KeyCode.HOME,
            KeyCode.END);

    /** Whether a control that has the keyboard needs a key for itself. */
    public static boolean isForControls(KeyCode code) {
        return FOR_CONTROLS.contains(code);
    }

    static KeyPress of(KeyCode code) {
        return new KeyPress(code, false, false);
    }

    static KeyPress shift(KeyCode code) {
        return new KeyPress(code, true, false);
    }

    static KeyPress shortcut(KeyCode code) {
        return new KeyPress(code, false, true);
    }

    /** Empty for a modifier alone, and with Alt, which belongs to menus and window managers. */
    public static Optional<KeyPress> of(KeyEvent event) {
        return Optional.of(KeyOfLayout.of(event)).filter(press -> !NO_KEYS.contains(press.code) && !event.isAltDown());
    }

    /** As it is written on the key sheet, such as {@code Ctrl Shift Z}; in the language that is spoken. */
    public String label() {
        return (shortcut ? Words.of("key.ctrl") + " " : "") + (shift ? Words.of("key.shift") + " " : "") + name();
    }

    private String name() {
        return switch (code) {
            case COMMA -> ",";
            case PERIOD -> ".";
            case PLUS, ADD -> "+";
            case MINUS, SUBTRACT -> "−";
            case EQUALS -> "=";
            case ENTER -> Words.of("key.enter");
            case ESCAPE -> Words.of("key.esc");
            case BACK_SPACE -> Words.of("key.backspace");
            case SPACE -> Words.of("key.space");
            case PAGE_UP -> Words.of("key.page-up");
            case PAGE_DOWN -> Words.of("key.page-down");
            case HOME -> Words.of("key.home");
            case END -> Words.of("key.end");
            case LEFT -> "←";
            case RIGHT -> "→";
            case UP -> "↑";
            case DOWN -> "↓";
            default -> code.getName();
        };
    }

    /** The text that {@link #parse} reads back. */
    String text() {
        return (shortcut ? "ctrl+" : "") + (shift ? "shift+" : "") + code.name();
    }

    /** @throws IllegalArgumentException if it is no key */
    static KeyPress parse(String text) {
        String key = text.substring(text.lastIndexOf('+') + 1);
        return new KeyPress(KeyCode.valueOf(key), text.contains("shift+"), text.contains("ctrl+"));
    }
}
