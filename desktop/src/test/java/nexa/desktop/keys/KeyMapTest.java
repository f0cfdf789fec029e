package nexa.desktop.keys;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

class KeyMapTest {
    /** Keys that are not used for framing, turning, overlays, swapping, locking or hiding. */
    private static final Set<KeyCode> LEFT_ALONE =
            Set.of(KeyCode.C, KeyCode.R, KeyCode.O, KeyCode.X, KeyCode.A, KeyCode.H, KeyCode.P);

    @Test
    void usualKeys_standForOneCommandEach() {
        Set<KeyPress> seen = new HashSet<>();
        for (Command command : Command.values()) {
            for (KeyPress press : command.usual()) {
                assertTrue(seen.add(press), command + " has a key that another has: " + press.label());
                assertFalse(KeyMap.choosesFormat(press));
                assertFalse(LEFT_ALONE.contains(press.code()) && !press.shortcut(), press.label());
                assertEquals(Optional.of(command), KeyMap.USUAL.command(press));
            }
        }
    }

    @Test
    void with_movesACommandToAnotherKey() {
        KeyPress own = new KeyPress(KeyCode.X, true, false);
        KeyMap map = KeyMap.USUAL.with(Command.SWAP, own);
        assertEquals(Optional.of(Command.SWAP), map.command(own));
        assertEquals(Optional.empty(), map.command(KeyPress.of(KeyCode.T)));
        assertEquals(KeyMap.USUAL, map.without(Command.SWAP));
        assertEquals(KeyMap.USUAL, map.with(Command.SWAP, KeyPress.of(KeyCode.T)));
    }

    @Test
    void chosenKey_goesBeforeOneThatALaterVersionBrought() {
        KeyPress minus = KeyPress.shortcut(KeyCode.MINUS);
        for (Command chosen : List.of(Command.WALL, Command.LEAVE)) { // before and behind the command that has it
            KeyMap map = KeyMap.parse(chosen + "=ctrl+MINUS");
            assertEquals(Optional.of(chosen), map.command(minus));
        }
    }

    @Test
    void conflict_namesWhoHasTheKey() {
        assertEquals(Optional.of(Command.NEXT), KeyMap.USUAL.conflict(Command.SWAP, KeyPress.of(KeyCode.N)));
        assertEquals(Optional.empty(), KeyMap.USUAL.conflict(Command.NEXT, KeyPress.of(KeyCode.N)));
    }

    @Test
    void text_isReadBackAndNonsenseLeftOut() {
        KeyMap map = KeyMap.USUAL
                .with(Command.SWAP, new KeyPress(KeyCode.X, true, true))
                .with(Command.PAN, KeyPress.of(KeyCode.F5));
        assertEquals(map, KeyMap.parse(map.text()));
        assertEquals(map, KeyMap.parse(map.text() + " A_LATER_ONE=Q SWAP=NO_KEY nonsense"));
        assertEquals(KeyMap.USUAL, KeyMap.parse(""));
    }

    @Test
    void heldCommand_ignoresShift() {
        assertEquals(Optional.of(Command.RESULT), KeyMap.USUAL.command(KeyPress.shift(KeyCode.E)));
    }

    @Test
    void label_isWrittenAsOnTheSheet() {
        assertEquals("Ctrl Shift Z", KeyMap.USUAL.label(Command.REDO));
        assertEquals(".", KeyMap.USUAL.label(Command.TILT_MORE));
        assertEquals("Page down", KeyPress.of(KeyCode.PAGE_DOWN).label());
    }
}
