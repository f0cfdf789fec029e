package nexa.desktop.lineup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class LineupLayoutTest {
    private static List<Double> mixed(int count) {
        return Stream.iterate(0, i -> i + 1)
                .limit(count)
                .map(i -> i % 3 == 0 ? 0.8 : 1.25)
                .toList();
    }

    @Test
    void three_areLargeInOneRow() {
        LineupLayout layout = LineupLayout.of(mixed(3), 1100, 500);
        assertEquals(1, layout.tops().size());
        assertTrue(layout.size() > 240 && layout.height() <= 500, layout.size() + " in " + layout.height());
    }

    @Test
    void sixty_areAsLargeAsCanBeReadAndScroll() {
        LineupLayout layout = LineupLayout.of(mixed(60), 1100, 500);
        assertEquals(LineupLayout.SMALLEST, layout.size());
        assertTrue(layout.height() > 500);
        assertEquals(60, layout.cells().size());
    }

    @Test
    void all_areAsHighAsEachOtherAndInsideTheWidth() {
        for (int count = 1; count < 40; count++) {
            LineupLayout layout = LineupLayout.of(mixed(count), 1100, 500);
            layout.cells().forEach(cell -> {
                assertEquals(layout.size(), cell.height());
                assertTrue(cell.x() + cell.width() <= 1100);
                assertTrue(layout.tops().contains(cell.y()));
            });
        }
    }
}
