package nexa.desktop.paint;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CrispTest {
    @ParameterizedTest
    @ValueSource(doubles = {1, 1.25, 1.5, 1.75, 2, 3})
    void lines_coverWholeScreenPixelsAtAnyScale(double scale) {
        Crisp crisp = new Crisp(scale);
        for (double width : new double[] {0.3, 1, 1.2, 2, 3.4}) {
            for (double place = 0; place < 5; place += 0.0371) {
                double wide = crisp.width(width) * scale;
                assertEquals(Math.round(wide), wide, 1e-9, "whole pixels wide");
                assertTrue(wide >= 1);
                double from = crisp.place(place, width) * scale - wide / 2;
                assertEquals(Math.round(from), from, 1e-9, "from pixel to pixel");
                assertEquals(place * scale, crisp.place(place, width) * scale, 0.5 + 1e-9, "near where it belongs");
            }
        }
    }
}
