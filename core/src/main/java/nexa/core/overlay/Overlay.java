package nexa.core.overlay;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleFunction;
import nexa.core.geometry.Turn;

/** The overlays, each with those of its eight turns and mirrorings that look different. */
public enum Overlay {
    THIRDS(aspect -> Lines.parallels(1 / 3.0, 2 / 3.0)),
    GRID(Lines::squares),
    GOLDEN_RATIO(aspect -> Lines.parallels(1 - 1 / Spiral.GOLDEN, 1 / Spiral.GOLDEN)),
    GOLDEN_SPIRAL(Spiral::inLargestGoldenRectangle),
    DIAGONALS(Lines::bisectors),
    TRIANGLES(Lines::triangles),
    CENTRE(aspect -> Lines.parallels(0.5));

    private final DoubleFunction<List<Stroke>> drawing;

    Overlay(DoubleFunction<List<Stroke>> drawing) {
        this.drawing = drawing;
    }

    /**
     * The overlay's distinct orientations in a frame, at least one, at most eight. Turning steps through this list.
     *
     * @param aspect the frame's width over height
     */
    public List<List<Stroke>> orientations(double aspect) {
        Map<Set<Likeness>, List<Stroke>> distinct = new LinkedHashMap<>();
        for (boolean mirrored : new boolean[] {false, true}) {
            for (int quarterTurns = 0; quarterTurns < 4; quarterTurns++) {
                List<Stroke> strokes = turned(aspect, new Turn(quarterTurns, mirrored));
                distinct.putIfAbsent(Likeness.of(strokes), strokes);
            }
        }
        return new ArrayList<>(distinct.values());
    }

    /** One orientation; the number is taken modulo how many there are. */
    public List<Stroke> strokes(double aspect, int orientation) {
        List<List<Stroke>> all = orientations(aspect);
        return all.get(Math.floorMod(orientation, all.size()));
    }

    private List<Stroke> turned(double aspect, Turn turn) {
        return drawing.apply(turn.swapsSides() ? 1 / aspect : aspect).stream()
                .map(stroke -> stroke.turned(turn))
                .toList();
    }
}
