package nexa.core.lens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import nexa.core.Cases;
import nexa.core.geometry.Point;
import nexa.core.pixel.CornerLift;
import nexa.core.pixel.CornerLight;
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

    private static Lens found() {
        return Lens.OFF.measured(
                LensUse.FOUND,
                "Kiln",
                new LensTerms(
                        0.6,
                        Bend.NONE,
                        new Bend(1.01, 0, 0, 0, 0),
                        new Bend(0.99, 0, 0, 0, 0),
                        Optional.of(new CornerLight(-0.3, 0, 0))));
    }

    @Test
    void switched_offAndByHand_keepsTheAmountsForWhenItIsMeasuredAgain() {
        LensAmounts half = new LensAmounts(0.5, 0.5, 0.5);
        Lens lens = found().withAmounts(half);
        ByHand hand = new ByHand(0.1, 1, 0.5);
        assertEquals(half, lens.off().amounts());
        assertEquals(half, lens.handled(hand).amounts());
        assertEquals(hand, lens.handled(hand).hand());
        assertEquals(LensUse.BY_HAND, lens.handled(hand).use());
        assertFalse(lens.handled(hand).isMeasured());
        assertTrue(lens.isMeasured());
        assertTrue(lens.measured(LensUse.CHOSEN, "Other", LensTerms.NONE).isMeasured());
    }

    @Test
    void coloursAndLight_areThoseMeasured_byTheirAmounts() {
        Point at = new Point(0.3, -0.1);
        assertEquals(0, at.times(1.01).distance(found().red().apply(at)), 1e-12);
        assertEquals(0, at.times(0.99).distance(found().blue().apply(at)), 1e-12);
        Lens half = found().withAmounts(new LensAmounts(1, 0.5, 0.5));
        assertEquals(0, at.times(1.005).distance(half.red().apply(at)), 1e-12);
        assertEquals(List.of(new CornerLight(-0.3, 0, 0, 0.5)), half.light());
        assertEquals(List.of(), found().withAmounts(new LensAmounts(1, 1, 0)).light());
        for (Lens other : List.of(found().off(), found().handled(ByHand.NONE))) {
            assertTrue(other.red().isIdentity() && other.blue().isIdentity());
            assertEquals(List.of(), other.light());
        }
        assertEquals(1, found().handled(new ByHand(0, -1, 0.5)).light().size());
    }

    @Test
    void amountsAndHand_beyondWhatCanBeDone_areRefused() {
        for (double bad : new double[] {-0.01, 2.01, Double.NaN}) {
            assertThrows(IllegalArgumentException.class, () -> new LensAmounts(bad, 1, 1));
            assertThrows(IllegalArgumentException.class, () -> new LensAmounts(1, bad, 1));
            assertThrows(IllegalArgumentException.class, () -> new LensAmounts(1, 1, bad));
        }
        new LensAmounts(0, 2, 0);
        assertThrows(IllegalArgumentException.class, () -> new ByHand(0.21, 0, 0.5));
        assertThrows(IllegalArgumentException.class, () -> new ByHand(0, -3.1, 0.5));
        assertThrows(IllegalArgumentException.class, () -> new ByHand(0, 0, 0.05));
        assertThrows(IllegalArgumentException.class, () -> new ByHand(0, 0, 0.96));
        new ByHand(-0.2, 3, 0.1);
    }

    @Test
    void terms_ofNoUnitOrBend_areRefused_andOthersStandApart() {
        assertThrows(
                IllegalArgumentException.class,
                () -> new LensTerms(0, Bend.NONE, Bend.NONE, Bend.NONE, Optional.empty()));
        assertThrows(IllegalArgumentException.class, () -> new Bend(0.2, 0, 0, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> new Bend(1, Double.NaN, 0, 0, 0));
        assertEquals(0.25, new Bend(0.5, 0, 0, 0, 0).times(2).c0(), "as much as a lens can do");
        assertTrue(found().terms().withoutLight().light().isEmpty());
        assertEquals(found().terms().red(), found().terms().withoutLight().red());
    }
}
