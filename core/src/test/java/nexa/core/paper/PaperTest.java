package nexa.core.paper;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.Cases;
import nexa.core.paper.ContactGrid.Cell;
import nexa.core.paper.PrintLayout.Piece;
import nexa.core.paper.PrintLayout.Place;
import nexa.core.paper.PrintLayout.Sheets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PaperTest {
    private static final double ROUNDING = 1e-6;

    static Stream<Cases> cases() {
        return Cases.some(200);
    }

    private static Page page(Cases cases) {
        Paper paper = Paper.values()[cases.below(Paper.values().length)];
        return paper.page(cases.below(2) == 0, cases.between(0, 20));
    }

    private static boolean holds(Box outer, Box inner) {
        Box roomy = outer.grown(ROUNDING);
        return inner.left() >= roomy.left()
                && inner.top() >= roomy.top()
                && inner.right() <= roomy.right()
                && inner.bottom() <= roomy.bottom();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void contactCells_lieInsideAndApart(Cases cases) {
        Page page = page(cases);
        List<Cell> cells = new ContactGrid(page, 1 + cases.below(8), 16, 10, cases.between(0, 8)).cells();
        List<Box> boxes = new ArrayList<>();
        for (Cell cell : cells) {
            assertTrue(holds(page.inside(), cell.picture()) && holds(page.inside(), cell.caption()), cell::toString);
            assertTrue(cell.picture().top() >= page.inside().top() + 16 - ROUNDING);
            boxes.add(cell.picture());
            boxes.add(cell.caption());
        }
        assertApart(boxes);
    }

    private static void assertApart(List<Box> boxes) {
        for (int i = 0; i < boxes.size(); i++) {
            for (int k = 0; k < i; k++) {
                assertFalse(boxes.get(i).grown(-ROUNDING).overlaps(boxes.get(k).grown(-ROUNDING)), boxes::toString);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void prints_lieInsideAndApart_inTheirSizes_andNoneIsLost(Cases cases) {
        PrintLayout layout = new PrintLayout(page(cases), cases.between(0, 5), cases.between(0, 8));
        List<Piece> prints = Stream.generate(() -> new Piece(cases.between(30, 320), cases.between(30, 320)))
                .limit(1 + cases.below(30))
                .toList();
        Sheets sheets = layout.place(prints);
        assertEquals(prints.size(), sheets.places().size() + sheets.tooLarge().size());
        for (int sheet = 0; sheet < sheets.count(); sheet++) {
            int number = sheet;
            List<Place> here = sheets.places().stream()
                    .filter(place -> place.sheet() == number)
                    .toList();
            assertFalse(here.isEmpty() && !sheets.places().isEmpty(), "an empty sheet");
            List<Box> taken = here.stream()
                    .map(place -> place.cut().grown(layout.bleed() + layout.marks()))
                    .toList();
            taken.forEach(box -> assertTrue(holds(layout.page().inside(), box), box::toString));
            assertApart(taken);
        }
        for (Place place : sheets.places()) {
            Piece print = prints.get(place.print());
            Box cut = place.cut();
            assertEquals(print.width(), place.turned() ? cut.height() : cut.width(), ROUNDING);
            assertEquals(print.height(), place.turned() ? cut.width() : cut.height(), ROUNDING);
        }
    }

    @Test
    void prints_areTurnedWhereMoreGoOnASheetThatWay() {
        PrintLayout layout = new PrintLayout(Paper.A4.page(false, 5), 0, 0);
        List<Piece> prints =
                IntStream.range(0, 4).mapToObj(i -> new Piece(100, 140)).toList();
        assertEquals(1, layout.place(prints).count());
        List<Piece> lying =
                IntStream.range(0, 4).mapToObj(i -> new Piece(140, 100)).toList();
        Sheets sheets = layout.place(lying);
        assertEquals(1, sheets.count());
        assertTrue(sheets.places().stream().allMatch(Place::turned));
    }

    /** A row is filled, with the last print turned where it only fits so; then the next row, then the next sheet. */
    @Test
    void prints_fillRowsThenSheets() {
        PrintLayout layout = new PrintLayout(new Page(220, 120, 10), 0, 0);
        Piece high = new Piece(80, 100);
        Piece small = new Piece(50, 30);
        Sheets sheets = layout.place(List.of(high, high, small, small, high, new Piece(200, 60), new Piece(40, 200)));
        assertEquals(
                List.of(
                        new Place(0, 0, new Box(10, 10, 80, 100), false),
                        new Place(1, 0, new Box(90, 10, 80, 100), false),
                        new Place(2, 0, new Box(170, 10, 30, 50), true)),
                sheets.places().subList(0, 3));
        assertEquals(
                List.of(1, 1, 2, 2),
                sheets.places().stream().skip(3).map(Place::sheet).toList());
        assertEquals(new Box(10, 10, 200, 60), sheets.places().get(5).cut());
        assertEquals(
                new Place(6, 2, new Box(10, 70, 200, 40), true), sheets.places().get(6));
        assertEquals(3, sheets.count());
        assertEquals(List.of(), sheets.tooLarge());
    }

    @Test
    void aPrintThatNoSheetHolds_isTold() {
        Sheets sheets =
                new PrintLayout(Paper.A4.page(false, 5), 3, 5).place(List.of(new Piece(50, 50), new Piece(300, 400)));
        assertEquals(List.of(1), sheets.tooLarge());
        assertEquals(1, sheets.count());
        assertEquals(
                0,
                new PrintLayout(Paper.A4.page(false, 5), 3, 5).place(List.of()).count());
    }

    @Test
    void fitting_isTheLargestInTheMiddle() {
        assertEquals(new Box(10, 25, 60, 30), new Box(10, 10, 60, 60).fitting(2));
        assertEquals(new Box(25, 10, 30, 60), new Box(10, 10, 60, 60).fitting(0.5));
    }

    @Test
    void pageWithoutRoom_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> Paper.A4.page(false, 105));
    }

    @Test
    void usualPapers_comeFirst_andNoneIsMissing() {
        assertEquals(Paper.LETTER, Paper.inCountry("US").getFirst());
        assertEquals(Paper.A4, Paper.inCountry("DE").getFirst());
        assertEquals(Paper.A4, Paper.inCountry("").getFirst());
        for (String country : new String[] {"US", "DE"}) {
            assertEquals(Set.of(Paper.values()), Set.copyOf(Paper.inCountry(country)));
        }
    }

    /** Cells stand in even columns, with the gap between them, below the heading. */
    @Test
    void contactCells_areWhereTheirNumbersSay() {
        Page page = new Page(230, 300, 10);
        List<Cell> cells = new ContactGrid(page, 4, 20, 8, 6).cells();
        double side = (210 - 3 * 6) / 4.0; // 48: four rows of 62 in 266 with a gap to spare
        assertEquals(16, cells.size());
        assertEquals(new Box(10, 30, side, side), cells.get(0).picture());
        assertEquals(new Box(10, 30 + side, side, 8), cells.get(0).caption());
        assertEquals(
                new Box(10 + 2 * (side + 6), 30 + side + 8 + 6, side, side),
                cells.get(6).picture());
        assertThrows(IllegalArgumentException.class, () -> new ContactGrid(page, 0, 20, 8, 6));
        assertEquals(1, new ContactGrid(page, 1, 20, 8, 6).cells().size());
        assertEquals(
                252,
                new ContactGrid(new Page(400, 300, 10), 1, 20, 8, 6)
                        .cells()
                        .getFirst()
                        .picture()
                        .height(),
                "as high as the page has it");
    }

    @Test
    void boxes_overlap_ifTheyShareMoreThanAnEdge() {
        Box box = new Box(10, 10, 20, 20);
        assertTrue(box.overlaps(new Box(29, 29, 5, 5)));
        assertTrue(box.overlaps(new Box(12, 12, 2, 2)));
        assertTrue(new Box(12, 12, 2, 2).overlaps(box));
        for (Box beside :
                List.of(new Box(30, 10, 5, 20), new Box(5, 10, 5, 20), new Box(10, 30, 20, 5), new Box(10, 5, 20, 5))) {
            assertFalse(box.overlaps(beside), beside::toString);
            assertFalse(beside.overlaps(box), beside::toString);
        }
    }
}
