package nexa.core.lens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import nexa.core.Cases;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

class StraighteningTest {
    /** A straight line of the corrected photo as it was shot, drawn by a hand that trembles. */
    private static List<Point> drawn(double bend, Point from, Point to, double trembling) {
        Mapping asShot = Lens.byHand(new ByHand(bend, 0, 0.5)).distortion();
        Random hand = new Random(7);
        return IntStream.rangeClosed(0, 60)
                .mapToObj(i -> asShot.apply(from.plus(to.minus(from).times(i / 60.0))))
                .map(p -> p.plus(new Point(trembling * hand.nextGaussian(), trembling * hand.nextGaussian())))
                .toList();
    }

    @Test
    void lineAlongAnEdge_tellsTheBend() {
        Cases.some(200).forEach(c -> {
            double bend = c.between(-0.15, 0.15);
            double away = c.between(0.2, 0.32);
            Point from = new Point(c.between(-0.45, -0.3), away + c.between(-0.05, 0.05));
            Point to = new Point(c.between(0.3, 0.45), away);
            Straightening found = Straightening.of(drawn(bend, from, to, 0)).orElseThrow();
            assertEquals(bend, found.bend(), 1e-5);
            assertTrue(found.after() < 1e-6 && found.after() <= found.before() + 1e-12, found::toString);
        });
    }

    /** A hand that is half a thousandth of the photo off, three pixels of 6000, is right to a fifth of a percent of bend. */
    @Test
    void tremblingHand_isRightAllTheSame() {
        Straightening found = Straightening.of(drawn(-0.06, new Point(-0.45, 0.28), new Point(0.45, 0.26), 0.0005))
                .orElseThrow();
        assertEquals(-0.06, found.bend(), 0.002);
    }

    @Test
    void linesThatDoNotTell_areRefused() {
        assertTrue(
                Straightening.of(drawn(0.1, new Point(-0.4, 0), new Point(0.4, 0), 0))
                        .isEmpty(),
                "through the middle");
        assertTrue(
                Straightening.of(drawn(0.1, new Point(0.2, 0.3), new Point(0.22, 0.3), 0))
                        .isEmpty(),
                "too short");
        assertTrue(Straightening.of(List.of(new Point(0, 0), new Point(1, 1))).isEmpty());
    }
}
