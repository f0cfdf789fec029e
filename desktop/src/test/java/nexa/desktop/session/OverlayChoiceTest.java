package nexa.desktop.session;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.desktop.setting.OverlayCycle;
import nexa.desktop.setting.OverlayLook;
import org.junit.jupiter.api.Test;

class OverlayChoiceTest {
    @Test
    void after_goesThroughTheCycleAndNone() {
        OverlayCycle cycle = new OverlayCycle(List.of(Overlay.THIRDS, Overlay.FIFTHS, Overlay.NESTED));
        List<Optional<Overlay>> seen = new ArrayList<>();
        OverlayChoice choice = OverlayChoice.of(Overlay.THIRDS);
        for (int i = 0; i < 4; i++) {
            choice = cycle.after(choice);
            seen.add(choice.overlay());
        }
        assertEquals(
                List.of(
                        Optional.of(Overlay.FIFTHS),
                        Optional.of(Overlay.NESTED),
                        Optional.empty(),
                        Optional.of(Overlay.THIRDS)),
                seen);
    }

    @Test
    void after_anOverlayOutsideTheCycle_goesOnBehindIt() {
        OverlayCycle cycle = new OverlayCycle(List.of(Overlay.THIRDS, Overlay.CENTRE));
        assertEquals(OverlayChoice.of(Overlay.CENTRE), cycle.after(OverlayChoice.of(Overlay.GRID)));
        assertEquals(
                Optional.empty(),
                new OverlayCycle(List.of()).after(OverlayChoice.DEFAULT).overlay());
    }

    @Test
    void texts_areReadBack() {
        OverlayChoice spiral = OverlayChoice.of(Overlay.GOLDEN_SPIRAL).turned().turned();
        assertEquals(spiral, OverlayChoice.parse(spiral.text()));
        assertEquals(OverlayChoice.DEFAULT, OverlayChoice.parse("A_LATER_ONE 1"));
        assertEquals(OverlayChoice.DEFAULT, OverlayChoice.parse(""));
        OverlayCycle cycle = OverlayCycle.DEFAULT.toggled(Overlay.NESTED).toggled(Overlay.GRID);
        assertEquals(cycle, OverlayCycle.parse(cycle.text()));
        OverlayLook look = new OverlayLook(OverlayLook.Ink.YELLOW, 0.4, 2.5);
        assertEquals(look, OverlayLook.parse(look.text()));
        assertThrows(IllegalArgumentException.class, () -> OverlayLook.parse("AUTO"));
    }
}
