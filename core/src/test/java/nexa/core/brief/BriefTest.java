package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

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
}
