package nexa.desktop.lineup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

class ScatterRangeTest {
    private static final double FLAT = 3.5;

    @Test
    void nearlyAlike_showsAtLeastWhatOnePercentIs() {
        double range = ScatterRange.of(List.of(Point.ORIGIN, new Point(0.001, 0.001)), FLAT);
        assertEquals(0.025 * FLAT, range);
        assertEquals(range, ScatterRange.of(List.of(), FLAT));
    }

    @Test
    void setThatLiesApart_isAllInSight() {
        List<Point> apart = Stream.concat(
                        Stream.of(Point.ORIGIN),
                        IntStream.range(1, 8).mapToObj(i -> new Point(0.02 * i, 0.2 - 0.05 * i)))
                .toList();
        double range = ScatterRange.of(apart, FLAT);
        assertTrue(apart.stream().allMatch(each -> Math.abs(each.x()) < range && Math.abs(each.y()) * FLAT < range));
    }

    @Test
    void oneFarOff_leavesTheOthersTheirRoom() {
        List<Point> near = Collections.nCopies(9, new Point(0.01, 0.01));
        List<Point> withOne =
                Stream.concat(near.stream(), Stream.of(new Point(0.4, 0))).toList();
        assertEquals(0.15, ScatterRange.of(withOne, FLAT));
    }
}
