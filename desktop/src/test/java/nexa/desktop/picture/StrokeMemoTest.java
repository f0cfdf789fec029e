package nexa.desktop.picture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertSame;

import java.util.List;
import java.util.Optional;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.core.overlay.Stroke;
import org.junit.jupiter.api.Test;

class StrokeMemoTest {
    private static final OverlayChoice SPIRAL = OverlayChoice.of(Overlay.GOLDEN_SPIRAL);
    private static final OverlayChoice GRID = OverlayChoice.of(Overlay.GRID);
    private static final OverlayOptions USUAL = OverlayOptions.DEFAULT;

    private final StrokeMemo memo = new StrokeMemo();

    /** As at every drawing while a photo is tilted. */
    @Test
    void strokes_ofTwoOverlaysInTurn_areMadeOnce() {
        List<Stroke> spiral = memo.strokes(SPIRAL, 1.5, USUAL);
        List<Stroke> grid = memo.strokes(GRID, 1.5, USUAL.withCells(12));
        for (int i = 0; i < 3; i++) {
            assertSame(spiral, memo.strokes(SPIRAL, 1.5, USUAL));
            assertSame(grid, memo.strokes(GRID, 1.5, USUAL.withCells(12)));
        }
    }

    @Test
    void strokes_areTheOverlaysOwn_whateverWasAskedBefore() {
        for (double aspect : new double[] {1.5, 0.8, 1.5, 2}) {
            for (int cells = 3; cells < 6; cells++) {
                OverlayOptions options = USUAL.withCells(cells);
                assertEquals(Overlay.GRID.strokes(aspect, options, 0), memo.strokes(GRID, aspect, options));
            }
            assertEquals(Overlay.GOLDEN_SPIRAL.orientations(aspect, USUAL).size(), memo.count(SPIRAL, aspect, USUAL));
        }
        assertNotEquals(memo.strokes(GRID, 1.5, USUAL.withCells(3)), memo.strokes(GRID, 1.5, USUAL.withCells(4)));
    }

    @Test
    void strokes_withoutOverlay_areNone() {
        assertEquals(List.of(), memo.strokes(new OverlayChoice(Optional.empty(), 0), 1.5, USUAL));
    }
}
