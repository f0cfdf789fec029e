package nexa.core.overlay;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.core.geometry.Turn;

/** The overlays, each with those of its eight turns and mirrorings that look different. */
public enum Overlay {
    THIRDS((aspect, options) -> Lines.parallels(1 / 3.0, 2 / 3.0)),
    FIFTHS((aspect, options) -> Lines.parallels(0.2, 0.4, 0.6, 0.8)),
    GRID((aspect, options) -> Lines.squares(aspect, options.cells())),
    GOLDEN_RATIO((aspect, options) -> Lines.parallels(1 - 1 / Spiral.GOLDEN, 1 / Spiral.GOLDEN)),
    GOLDEN_SPIRAL((aspect, options) -> Spiral.inLargestGoldenRectangle(aspect)),
    STRETCHED_SPIRAL((aspect, options) -> Spiral.stretched(aspect)),
    DIAGONALS((aspect, options) -> Lines.bisectors(aspect)),
    TRIANGLES((aspect, options) -> Lines.triangles(aspect)),
    CENTRE((aspect, options) -> Lines.parallels(0.5)),
    REBATEMENT((aspect, options) -> Lines.rebatement(aspect)),
    NESTED((aspect, options) -> Nested.strokes(aspect, options.nested())),
    MARGINS(Lines::margins);

    /** Margins have an upper and a lower side: they don't turn. */
    private static final List<Turn> UPRIGHT_ONLY = List.of(Turn.NONE);

    private static final List<Turn> ALL_TURNS = allTurns();

    /** Strokes in the unit square of a frame. */
    private interface Drawing {
        List<Stroke> strokes(double aspect, OverlayOptions options);
    }

    private final Drawing drawing;

    Overlay(Drawing drawing) {
        this.drawing = drawing;
    }

    /**
     * The overlay's distinct orientations in a frame, at least one, at most eight. Turning steps through this list.
     *
     * @param aspect the frame's width over height
     */
    public List<List<Stroke>> orientations(double aspect, OverlayOptions options) {
        Map<Set<StrokeImprint>, List<Stroke>> distinct = new LinkedHashMap<>();
        for (Turn turn : this == MARGINS ? UPRIGHT_ONLY : ALL_TURNS) {
            List<Stroke> strokes = turned(aspect, options, turn);
            distinct.putIfAbsent(StrokeImprint.of(strokes), strokes);
        }
        return List.copyOf(distinct.values());
    }

    /** One orientation; the number is taken modulo how many there are. */
    public List<Stroke> strokes(double aspect, OverlayOptions options, int orientation) {
        List<List<Stroke>> all = orientations(aspect, options);
        return all.get(Math.floorMod(orientation, all.size()));
    }

    private List<Stroke> turned(double aspect, OverlayOptions options, Turn turn) {
        return drawing.strokes(turn.swapsSides() ? 1 / aspect : aspect, options).stream()
                .map(stroke -> stroke.turned(turn))
                .toList();
    }

    private static List<Turn> allTurns() {
        List<Turn> turns = new ArrayList<>();
        for (boolean mirrored : new boolean[] {false, true}) {
            for (int quarterTurns = 0; quarterTurns < 4; quarterTurns++) {
                turns.add(new Turn(quarterTurns, mirrored));
            }
        }
        return turns;
    }
}
