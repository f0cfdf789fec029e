package nexa.core.lineup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import nexa.core.neutral.White;
import org.junit.jupiter.api.Test;

class EvenLightTest {
    private static List<ResultLight> alike() {
        List<ResultLight> lights = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            lights.add(new ResultLight(0.2 + 0.002 * i, White.of(6500 + 20 * i, 0)));
        }
        return lights;
    }

    @Test
    void lightness_isThatOfTheStandard() {
        assertEquals(100, new ResultLight(1, White.D65).lightness(), 1e-9);
        assertEquals(50, new ResultLight(0.18418652, White.D65).lightness(), 1e-5);
        assertEquals(0.9033, new ResultLight(0.001, White.D65).lightness(), 1e-4);
    }

    @Test
    void alike_nobodyStandsOut() {
        EvenLight even = new EvenLight(alike());
        assertTrue(even.standOut().stream().noneMatch(out -> out));
        assertTrue(even.lightness() < 2 && even.colour() < 2);
    }

    @Test
    void aDarkOne_andAWarmOne_standOut() {
        List<ResultLight> lights = alike();
        lights.set(2, new ResultLight(0.1, White.of(6560, 0)));
        lights.set(5, new ResultLight(0.208, White.of(4200, 0)));
        EvenLight uneven = new EvenLight(lights);
        for (int i = 0; i < 8; i++) {
            assertEquals(i == 2 || i == 5, uneven.standOut().get(i), "result " + i);
        }
        assertTrue(uneven.lightness() > 10 && uneven.colour() > 20);
        assertEquals(0.206, uneven.middle().luminance(), 0.003);
        assertThrows(IllegalArgumentException.class, () -> new EvenLight(List.of()));
    }
}
