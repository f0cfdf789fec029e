package nexa.core.overlay;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.geometry.Point;
import nexa.core.overlay.Stroke.Arc;
import nexa.core.overlay.Stroke.Segment;

/** Where a stroke passes, whichever way it is drawn, to a billionth of the frame: equal strokes look the same. */
record StrokeImprint(Set<Spot> ends, Spot middle) {
    private record Spot(long x, long y) {
        static Spot of(Point p) {
            return new Spot(Math.round(p.x() * 1e9), Math.round(p.y() * 1e9));
        }
    }

    static Set<StrokeImprint> of(List<Stroke> strokes) {
        return strokes.stream().map(StrokeImprint::of).collect(Collectors.toSet());
    }

    private static StrokeImprint of(Stroke stroke) {
        return switch (stroke) {
            case Segment(Point from, Point to) -> of(from, from.plus(to).times(0.5), to);
            case Arc arc -> of(arc.at(0), arc.at(0.5), arc.at(1));
        };
    }

    private static StrokeImprint of(Point first, Point middle, Point last) {
        return new StrokeImprint(
                List.of(Spot.of(first), Spot.of(last)).stream().collect(Collectors.toSet()), Spot.of(middle));
    }
}
