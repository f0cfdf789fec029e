package nexa.core.lens.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import nexa.core.lens.Taken;
import nexa.core.lens.data.LightMeasure;
import org.junit.jupiter.api.Test;

/** How much light a lens leaves to the corners, from a wall. */
class LightFitTest {
    private static final Taken TAKEN = new Taken(24, 2.8, 3);

    /** @param light of a place by R² */
    private static List<LightFit.Sample> wall(double from, DoubleUnaryOperator light) {
        List<LightFit.Sample> wall = new ArrayList<>();
        for (double squared = from; squared <= 1; squared += 0.005) {
            wall.add(new LightFit.Sample(squared, light.applyAsDouble(squared)));
        }
        return wall;
    }

    private static double falling(double squared) {
        return 1 - 0.5 * squared + 0.2 * squared * squared - 0.08 * squared * squared * squared;
    }

    @Test
    void termsOfALens_areFound_howeverBrightTheWall() {
        for (double bright : new double[] {0.1, 0.6}) {
            double middle = (1 + falling(0.005) + falling(0.01)) / 3; // of the samples that count as the middle
            LightMeasure measure = LightFit.of(wall(0, squared -> bright * falling(squared)), TAKEN)
                    .orElseThrow();
            assertEquals(-0.5, measure.k1(), 0.02);
            assertEquals(0.2, measure.k2(), 0.05);
            assertEquals(-0.08, measure.k3(), 0.05);
            assertEquals(1 + measure.k1() + measure.k2() + measure.k3(), falling(1) / middle, 1e-3);
            assertEquals(24, measure.focal());
            assertEquals(2.8, measure.aperture());
            assertEquals(3, measure.distance());
        }
    }

    @Test
    void aWallThatIsNotEven_tellsNothing() {
        assertEquals(Optional.empty(), LightFit.of(wall(0, squared -> 1 + 0.2 * Math.sin(40 * squared)), TAKEN));
        assertEquals(
                true,
                LightFit.of(wall(0, squared -> 1 + 0.02 * Math.sin(40 * squared)), TAKEN)
                        .isPresent());
    }

    @Test
    void withoutAMiddle_orInTheDark_thereIsNoMeasure() {
        assertEquals(Optional.empty(), LightFit.of(wall(0.02, LightFitTest::falling), TAKEN));
        assertEquals(Optional.empty(), LightFit.of(wall(0, squared -> 0), TAKEN));
        assertEquals(Optional.empty(), LightFit.of(List.of(), TAKEN));
    }
}
