package nexa.core.overlay;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OverlayChoiceTest {
    private static final OverlayOptions USUAL = OverlayOptions.DEFAULT;

    @Test
    void text_isReadBack() {
        for (Overlay overlay : Overlay.values()) {
            OverlayChoice choice = OverlayChoice.of(overlay).turned().turned();
            assertEquals(2, choice.orientation());
            assertEquals(choice, OverlayChoice.parse(choice.text()));
        }
        OverlayChoice none = new OverlayChoice(Optional.empty(), 3);
        assertEquals(none, OverlayChoice.parse(none.text()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "THIRDS", "NO_SUCH 0", "THIRDS two", " "})
    void parse_textOfAnotherVersion_isTheDefault(String text) {
        assertEquals(OverlayChoice.DEFAULT, OverlayChoice.parse(text));
    }

    @Test
    void strokes_areThoseOfItsOrientation_roundAndRound() {
        OverlayChoice spiral = OverlayChoice.of(Overlay.GOLDEN_SPIRAL);
        int ways = Overlay.GOLDEN_SPIRAL.orientations(1.5, USUAL).size();
        OverlayChoice turned = spiral;
        for (int i = 0; i < ways; i++) {
            assertEquals(Overlay.GOLDEN_SPIRAL.orientations(1.5, USUAL).get(i), turned.strokes(1.5, USUAL));
            turned = turned.turned();
        }
        assertEquals(spiral.strokes(1.5, USUAL), turned.strokes(1.5, USUAL));
        assertNotEquals(spiral.strokes(1.5, USUAL), spiral.turned().strokes(1.5, USUAL));
        assertEquals(List.of(), new OverlayChoice(Optional.empty(), 0).strokes(1.5, USUAL));
    }
}
