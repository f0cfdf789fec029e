package nexa.desktop.wall;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class EvenEdgeTest {
    private final Random random = new Random(5);

    private List<Double> photos(int count) {
        return Stream.generate(() -> List.of(1.5, 1.5, 4 / 3.0, 2 / 3.0, 1.0).get(random.nextInt(5)))
                .limit(count)
                .toList();
    }

    @Test
    void rowsLeaveNoMore_andMostlyMuchLess() {
        double before = 0;
        double after = 0;
        for (int i = 0; i < 200; i++) {
            List<Double> photos = photos(20 + random.nextInt(80));
            double width = 600 + random.nextInt(1400);
            double wanted = Math.pow(1.01, 400 + random.nextInt(180)); // 53 to 320
            double edge = EvenEdge.near(photos, List.of(), width, wanted);
            double asWanted = left(photos, width, wanted);
            assertTrue(left(photos, width, edge) <= asWanted + 1e-9);
            assertEquals(1, edge / wanted, 0.07, "about as large as wanted");
            before += asWanted;
            after += left(photos, width, edge);
        }
        assertTrue(after < 0.7 * before, after + " of " + before);
    }

    @Test
    void whoWantsThemLarger_neverGetsThemSmaller() {
        List<Double> photos = photos(60);
        double last = 0;
        for (double wanted = 60; wanted < 320; wanted += 0.7) {
            double edge = EvenEdge.near(photos, List.of(40, 20), 1100, wanted);
            assertTrue(edge >= last, wanted + " gives " + edge + " after " + last);
            last = edge;
        }
    }

    @Test
    void aPhotoThatIsTurned_leavesTheSizeAsItIs() {
        List<Double> photos = photos(30);
        EvenEdge edge = new EvenEdge();
        double before = edge.of(photos, List.of(), 1100, 180);
        List<Double> turned = Stream.concat(
                        Stream.of(1 / photos.getFirst()), photos.stream().skip(1))
                .toList();
        assertEquals(before, edge.of(turned, List.of(), 1100, 180));
        assertEquals(EvenEdge.near(turned, List.of(), 900, 180), edge.of(turned, List.of(), 900, 180));
    }

    @Test
    void oneRow_isAsLargeAsWanted() {
        assertEquals(180, EvenEdge.near(List.of(1.5, 1.5), List.of(), 1100, 180));
        assertEquals(180, EvenEdge.near(List.of(), List.of(), 1100, 180));
    }

    @Test
    void photosThatAllButFit_areMadeToFit() {
        List<Double> squares = Collections.nCopies(40, 1.0);
        double row = 5 * 186 + 4 * RowFilling.GAP + 2 * WallLayout.MARGIN; // at 190 four would hang far apart
        double edge = EvenEdge.near(squares, List.of(), row, 190);
        assertEquals(
                5,
                WallLayout.of(squares, row, edge).cells().stream()
                        .filter(cell -> cell.y() == WallLayout.MARGIN)
                        .count());
    }

    private static double left(List<Double> photos, double width, double edge) {
        return EvenEdge.left(RowFilling.roots(photos), List.of(), width, edge).orElse(0);
    }
}
