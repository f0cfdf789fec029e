package nexa.desktop.wall;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Stream;
import nexa.desktop.wall.WallLayout.Cell;
import org.junit.jupiter.api.Test;

class WallLayoutTest {
    private static final List<Double> MIXED =
            new Random(3).doubles(300, 0.4, 2.5).boxed().toList();

    @Test
    void cells_haveEqualAreaAndTheirPhotosShape() {
        List<Cell> cells = WallLayout.of(MIXED, 1100, 180).cells();
        for (int i = 0; i < cells.size(); i++) {
            Cell cell = cells.get(i);
            assertEquals(180 * 180, cell.width() * cell.height(), 180 * 2);
            assertEquals(MIXED.get(i), cell.width() / cell.height(), 0.03);
        }
    }

    @Test
    void cells_neverOverlapAndStayInTheWidth() {
        List<Cell> cells = WallLayout.of(MIXED, 1100, 180).cells();
        for (int i = 1; i < cells.size(); i++) {
            Cell before = cells.get(i - 1);
            Cell cell = cells.get(i);
            boolean sameRow = before.bottom() == cell.bottom();
            assertTrue(
                    sameRow ? cell.x() >= before.x() + before.width() + RowFilling.GAP : cell.y() >= before.bottom());
            assertTrue(cell.x() + cell.width() <= 1100 - WallLayout.MARGIN);
        }
    }

    @Test
    void rows_areAsWideAsTheWall_andEvenlyApart() {
        List<Cell> cells = WallLayout.of(MIXED, 1100, 180).cells();
        for (int i = 2; i < cells.size(); i++) {
            Cell before = cells.get(i - 1);
            if (cells.get(i).bottom() != before.bottom()) {
                assertEquals(
                        1100 - WallLayout.MARGIN, before.x() + before.width(), 1, "the row before ends at the edge");
            } else if (cells.get(i - 2).bottom() == before.bottom()) {
                assertEquals(apart(cells.get(i - 2), before), apart(before, cells.get(i)), 1);
            }
        }
    }

    /** Up and down lead to the next row, a screen to the last one that is still within it, and back again to the same row. */
    @Test
    void steps_leadToRowsAboveAndBelow() {
        WallLayout wall = WallLayout.of(MIXED, 1100, 180);
        List<Double> rows =
                wall.cells().stream().map(Cell::bottom).distinct().sorted().toList();
        for (int i = 0; i < MIXED.size(); i++) {
            Cell cell = wall.cells().get(i);
            int row = rows.indexOf(cell.bottom());
            OptionalInt below = wall.inNextRow(i, 1);
            assertEquals(row + 1 < rows.size(), below.isPresent());
            if (below.isPresent()) {
                Cell next = wall.cells().get(below.getAsInt());
                assertEquals(rows.get(row + 1), next.bottom());
                assertTrue(
                        wall.cells().stream()
                                .filter(other -> other.bottom() == next.bottom())
                                .allMatch(other -> Math.abs(other.middle() - cell.middle())
                                        >= Math.abs(next.middle() - cell.middle())),
                        "none of that row is nearer");
            }
            OptionalInt far = wall.faraway(i, 600);
            assertEquals(below.isPresent(), far.isPresent());
            if (far.isPresent()) {
                double down = wall.cells().get(far.getAsInt()).bottom() - cell.bottom();
                assertTrue(down > 0 && down <= 600);
                int next = rows.indexOf(wall.cells().get(far.getAsInt()).bottom()) + 1;
                assertTrue(next == rows.size() || rows.get(next) - cell.bottom() > 600, "no row nearer to it");
            }
        }
        assertEquals(
                wall.inNextRow(MIXED.size() - 1, -1), wall.faraway(MIXED.size() - 1, -20), "at least the next row");
        assertEquals(OptionalInt.empty(), wall.inNextRow(0, -1));
    }

    @Test
    void groups_beginRowsOfTheirOwn_underHeadings() {
        WallLayout plain = WallLayout.of(MIXED, 1100, 180);
        WallLayout grouped = WallLayout.of(MIXED, List.of(7, 1, 292), 1100, 180);
        assertEquals(3, grouped.headings().size());
        assertEquals(List.of(), plain.headings());
        int first = 0;
        for (int group = 0; group < 3; group++) {
            double heading = grouped.headings().get(group);
            assertEquals(WallLayout.MARGIN, grouped.cells().get(first).x());
            assertTrue(grouped.cells().get(first).y() >= heading + WallLayout.HEADING, "below its heading");
            if (first > 0) {
                assertTrue(grouped.cells().get(first - 1).bottom() <= heading, "the group before is above it");
            }
            first += List.of(7, 1, 292).get(group);
        }
        assertEquals(MIXED.size(), grouped.cells().size());
        assertTrue(grouped.height() > grouped.cells().getLast().bottom());
    }

    @Test
    void lastRow_goesOnAsTheOneBefore() {
        List<Cell> cells =
                WallLayout.of(Collections.nCopies(11, 1.5), 1100, 180).cells();
        assertEquals(cells.get(5).x(), cells.get(9).x(), "4 and 4 and 3");
        assertEquals(cells.get(6).x(), cells.get(10).x());
    }

    private static double apart(Cell left, Cell right) {
        return right.x() - left.x() - left.width();
    }

    @Test
    void photoWiderThanTheWall_isMadeToFit() {
        Cell cell = WallLayout.of(List.of(5.0), 300, 400).cells().getFirst();
        assertEquals(300 - 2 * WallLayout.MARGIN, cell.width());
    }

    @Test
    void noPhotos_needNoHeight() {
        assertTrue(WallLayout.of(List.of(), 300, 100).cells().isEmpty());
        assertTrue(Stream.of(WallLayout.of(List.of(), 300, 100).height()).allMatch(h -> h < 60));
    }

    /** Wherever the Wall was scrolled, and however photos hang afterwards. */
    @Test
    void whatWasInSight_staysThere() {
        double sight = 600;
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            WallLayout before = WallLayout.of(MIXED, 500 + random.nextInt(900), 60 + random.nextInt(200));
            WallLayout after = WallLayout.of(MIXED, 500 + random.nextInt(900), 60 + random.nextInt(200));
            double scrolled = random.nextDouble() * (before.height() - sight);
            int current = random.nextInt(MIXED.size());
            boolean wasInSight = before.cells().get(current).isInSight(scrolled, sight);
            double kept = after.scrolledAs(before, scrolled, sight, wasInSight ? current : -1);
            if (wasInSight) {
                assertTrue(after.cells().get(current).y() >= kept
                        && after.cells().get(current).bottom() <= kept + sight);
            } else {
                int first = 0;
                while (!before.cells().get(first).isInSight(scrolled, sight)) {
                    first++;
                }
                assertTrue(after.cells().get(first).y() < kept + sight, "the first one that was there");
            }
        }
    }
}
