package nexa.core.mark;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MarksTest {
    private static final Point HERE = new Point(0.1, -0.25);
    private static final Point THERE = new Point(1 / 3.0, 2e-17);

    @Test
    void text_isReadBackToTheLastBit() {
        for (Marks marks : List.of(Marks.NONE, new Marks(List.of(HERE)), new Marks(List.of(HERE, THERE)))) {
            assertEquals(marks, Marks.parse(marks.text()));
        }
        assertEquals("", Marks.NONE.text());
        assertEquals("0.1,-0.25", new Marks(List.of(HERE)).text());
        assertEquals(Marks.NONE, Marks.parse("  "));
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "1,2,3", "1;2", "a,b", ",", "0,0;0.5,0.5;1,1", "NaN,0", "0,Infinity", "0,0;0,0"})
    void parse_somethingElse_isRefused(String text) {
        assertThrows(IllegalArgumentException.class, () -> Marks.parse(text));
    }

    @Test
    void two_mayBeNear_butNotTheSamePlace() {
        assertEquals(2, new Marks(List.of(Point.ORIGIN, new Point(Marks.NEAREST, 0))).count());
        assertThrows(
                IllegalArgumentException.class,
                () -> new Marks(List.of(Point.ORIGIN, new Point(0.9 * Marks.NEAREST, 0))));
    }

    @Test
    void middle_isHalfWay_andOfOneItself() {
        assertEquals(HERE, Marks.middle(List.of(HERE)));
        assertEquals(new Point(0.25, 0.125), Marks.middle(List.of(new Point(0, 0.5), new Point(0.5, -0.25))));
        assertTrue(Marks.NONE.isEmpty());
    }

    @Test
    void composition_text_isReadBackToTheLastBit() {
        for (Composition composition :
                List.of(new Composition(List.of(HERE), 0.7), new Composition(List.of(HERE, THERE), 1 / 3.0))) {
            assertEquals(composition, Composition.parse(composition.text()));
        }
        assertThrows(IllegalArgumentException.class, () -> Composition.parse("0.7"));
        assertThrows(IllegalArgumentException.class, () -> Composition.parse("x:0,0"));
    }
}
