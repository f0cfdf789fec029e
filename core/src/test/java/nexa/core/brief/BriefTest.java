package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import org.junit.jupiter.api.Test;

class BriefTest {
    private static final Brief TWO =
            Brief.EMPTY.with("Print", Shape.parse("4:5")).with("Square", Shape.parse("1:1"));

    @Test
    void with_nameTaken_isRefusedIgnoringCase() {
        assertThrows(IllegalArgumentException.class, () -> TWO.with("PRINT ", Shape.FREE));
    }

    @Test
    void with_nameThatIsNone_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> TWO.with("  ", Shape.FREE));
        assertThrows(IllegalArgumentException.class, () -> TWO.with("x".repeat(61), Shape.FREE));
        assertThrows(IllegalArgumentException.class, () -> TWO.with("a\nb", Shape.FREE));
    }

    @Test
    void without_thenWith_neverGivesAnIdAgain() {
        Format square = TWO.find("square").orElseThrow();
        Brief again = TWO.without(square).with("Square", Shape.parse("1:1"));
        assertEquals(3, again.find("Square").orElseThrow().id());
    }

    @Test
    void names_areInOrder() {
        assertEquals("Print, Square", TWO.names());
    }

    @Test
    void changed_renamesAndTurnsInPlace() {
        Format print = TWO.find("Print").orElseThrow();
        Brief changed = TWO.changed(print.named("Poster").lying(OrientationRule.VERTICAL));
        assertEquals("Poster, Square", changed.names());
        assertEquals(print.id(), changed.find("Poster").orElseThrow().id());
        assertThrows(IllegalArgumentException.class, () -> TWO.changed(print.named("SQUARE")));
        assertEquals(
                "PRINT", TWO.changed(print.named("PRINT")).formats().getFirst().name());
    }

    @Test
    void duplicated_standsBehindUnderANameAndIdOfItsOwn() {
        Format print = TWO.find("Print").orElseThrow();
        Brief three = TWO.duplicated(print).duplicated(print);
        assertEquals("Print, Print 3, Print 2, Square", three.names());
        assertEquals(4, three.formats().stream().map(Format::id).distinct().count());
        Brief longest = Brief.EMPTY.with("x".repeat(60), Shape.FREE);
        assertEquals(
                2, longest.duplicated(longest.formats().getFirst()).formats().size());
    }

    @Test
    void moved_staysAtTheEnds() {
        Format square = TWO.find("Square").orElseThrow();
        assertEquals("Square, Print", TWO.moved(square, -1).names());
        assertEquals("Square, Print", TWO.moved(square, -9).names());
        assertEquals("Print, Square", TWO.moved(square, 1).names());
    }

    @Test
    void withAll_leavesOutWhatIsThere_andNumbersNamesThatAreTaken() {
        Brief other = Brief.EMPTY
                .with("Square", Shape.parse("1:1"))
                .with("Print", Shape.parse("5:7"))
                .with("Banner", Shape.parse("16:9"));
        Brief all = TWO.withAll(other.formats());
        assertEquals("Print, Square, Print 2, Banner", all.names());
        assertEquals(Shape.parse("5:7"), all.find("Print 2").orElseThrow().shape());
        assertEquals(4, all.formats().stream().map(Format::id).distinct().count());
        assertEquals(all, all.withAll(TWO.formats()));
        Format third = other.formats().get(1).noted("for the wall");
        assertEquals("Print 3", all.withAll(List.of(third)).formats().getLast().name());
        assertEquals(
                "for the wall", all.withAll(List.of(third)).formats().getLast().note());
    }

    @Test
    void isLike_whateverItsNumber_andKeepsAShapeUnlessItIsFree() {
        Format square = TWO.find("square").orElseThrow();
        Format again = Brief.EMPTY.with("Square", Shape.parse("1:1")).formats().getFirst();
        assertTrue(square.isLike(again));
        assertFalse(square.isLike(again.noted("other")));
        assertTrue(square.keepsShape());
        assertFalse(Brief.EMPTY.with("Any", Shape.FREE).formats().getFirst().keepsShape());
    }
}
