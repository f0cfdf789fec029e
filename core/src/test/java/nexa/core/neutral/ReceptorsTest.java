package nexa.core.neutral;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReceptorsTest {
    private static final List<Double> SENSOR = List.of(3.0, -1.5, -0.5, -1.0, 1.875, 0.04, 0.0556, -0.2, 1.0 / 3);

    @Test
    void text_isReadToTheLastBit_andThatOfTheEyeIsEmpty() {
        Receptors sensor = new Receptors(SENSOR);
        assertEquals(sensor, Receptors.parse(sensor.text()));
        assertEquals("", Receptors.EYE.text());
        assertEquals(Receptors.EYE, Receptors.parse(" "));
    }

    @Test
    void matrix_hasItsRowsFirst() {
        assertArrayEquals(new double[] {-1.0, 1.875, 0.04}, new Receptors(SENSOR).matrix()[1]);
    }

    @Test
    void whatTellsNoLights_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Receptors(SENSOR.subList(0, 8)));
        assertThrows(IllegalArgumentException.class, () -> new Receptors(Collections.nCopies(9, 0.5)));
        assertThrows(IllegalArgumentException.class, () -> new Receptors(Collections.nCopies(9, Double.NaN)));
        assertThrows(IllegalArgumentException.class, () -> Receptors.parse("1 2 x"));
    }
}
