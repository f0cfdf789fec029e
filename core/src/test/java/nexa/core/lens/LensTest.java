package nexa.core.lens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.core.Cases;
import nexa.core.geometry.Point;
import nexa.core.pixel.CornerLift;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LensTest {
    @Test
    void text_readsBackToTheLastBit() {
        Cases.some(300).forEach(c -> {
            Lens lens = c.lens()
                    .withAmounts(new LensAmounts(c.between(0, 2), c.between(0, 2), c.between(0, 2)))
                    .withHand(new ByHand(c.between(-0.2, 0.2), c.between(-3, 3), c.between(0.1, 0.9)));
            assertEquals(lens, Lens.parse(lens.text()));
            assertEquals(lens.off(), Lens.parse(lens.off().text()));
        });
        assertEquals("", Lens.OFF.text());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "bad",
                "found unit=0",
                "found bend=1,2",
                "found unit=x",
                "by_hand hand=9,9,9",
                "off amounts=3,1,1"
            })
    void parse_ofOtherTexts_isRefused(String text) {
        assertThrows(IllegalArgumentException.class, () -> Lens.parse(text));
    }

    @Test
    void amounts_ofNothing_leaveThePhotoAsItIs_andTwiceMovesTwiceAsFar() {
        Cases.some(100).forEach(c -> {
            Lens lens = Lens.OFF.measured(
                    LensUse.FOUND,
                    "Kiln",
                    new LensTerms(
                            0.6,
                            new Bend(1, 0, c.between(-0.1, 0.1), 0, 0),
                            Bend.NONE,
                            Bend.NONE,
                            java.util.Optional.empty()));
            assertTrue(lens.withAmounts(new LensAmounts(0, 0, 0)).distortion().isIdentity());
            Point at = new Point(c.between(-0.5, 0.5), c.between(-0.3, 0.3));
            Point once = lens.distortion().apply(at).minus(at);
            Point twice = lens.withAmounts(new LensAmounts(2, 1, 1))
                    .distortion()
                    .apply(at)
                    .minus(at);
            assertEquals(0, once.times(2).distance(twice), 1e-12);
        });
    }

    @Test
    void corners_byHand_areHalfwayAtTheMidpoint() {
        CornerLift lift = new CornerLift(-1, 0.5);
        assertEquals(1, lift.gain(0));
        assertEquals(Math.sqrt(0.5), lift.gain(0.25), 1e-12);
        assertEquals(0.5, lift.gain(1), 1e-12);
    }
}
