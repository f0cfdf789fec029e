package nexa.desktop.session;

import static org.junit.jupiter.api.Assertions.assertEquals;

import nexa.core.overlay.Overlay;
import org.junit.jupiter.api.Test;

class OverlayChoiceTest {
    @Test
    void next_goesThroughAllAndNoneAndRoundAgain() {
        OverlayChoice choice = OverlayChoice.of(Overlay.THIRDS);
        for (int i = 0; i <= Overlay.values().length; i++) {
            choice = choice.next();
        }
        assertEquals(OverlayChoice.of(Overlay.THIRDS), choice);
    }

    @Test
    void parse_readsWhatTextWrites() {
        OverlayChoice spiral = OverlayChoice.of(Overlay.GOLDEN_SPIRAL).turned().turned();
        assertEquals(spiral, OverlayChoice.parse(spiral.text()));
        assertEquals(OverlayChoice.DEFAULT, OverlayChoice.parse("A_LATER_ONE 1"));
        assertEquals(OverlayChoice.DEFAULT, OverlayChoice.parse(""));
    }
}
