package nexa.core.space;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Point;
import nexa.core.lens.Bend;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.lens.LensTerms;
import nexa.core.lens.LensUse;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.pixel.CornerLight;
import nexa.core.pixel.Sharpened;
import nexa.core.plumb.Plumb;
import nexa.core.trim.Bands;
import org.junit.jupiter.api.Test;

class CorrectionTest {
    private static final Lens BENT = Lens.byHand(new ByHand(-0.05, 0, 0.5));
    private static final Plumb LEANING = Plumb.NONE.withAngles(4, 1);
    private static final Neutral WARM = new Neutral(new White(0.36, 0.36), 0, Optional.empty());
    private static final GlowingEyes EYES =
            GlowingEyes.NONE.with(new GlowingEye(Point.ORIGIN, 0.01, GlowingEye.Glow.RED));
    private static final Bands BANDS = Bands.parse("y -0.1 0.1");

    /** With one part each, and with all. */
    private static List<Correction> some() {
        return List.of(
                Correction.NONE.withLens(BENT),
                Correction.NONE.withPlumb(LEANING),
                Correction.NONE.withNeutral(WARM),
                Correction.NONE.withEyes(EYES),
                Correction.NONE.withBands(BANDS),
                Correction.NONE
                        .withLens(BENT)
                        .withPlumb(LEANING)
                        .withNeutral(WARM)
                        .withEyes(EYES)
                        .withBands(BANDS));
    }

    @Test
    void texts_areReadBack_andEachPartKeepsTheOthers() {
        for (Correction correction : some()) {
            Map<String, String> texts = correction.texts();
            assertEquals(Correction.NAMES, List.copyOf(texts.keySet()));
            assertEquals(correction, Correction.parse(texts::get));
            assertEquals(correction.hashCode(), Correction.parse(texts::get).hashCode());
        }
        assertSame(Correction.NONE, Correction.parse(name -> null));
        assertSame(Correction.NONE, Correction.parse(name -> ""));
        assertThrows(
                IllegalArgumentException.class, () -> Correction.parse(name -> name.equals("eyes") ? "blue" : null));
    }

    @Test
    void equals_anyOtherPart_isAnother() {
        List<Correction> some = some();
        for (int i = 0; i < some.size(); i++) {
            assertNotEquals(Correction.NONE, some.get(i));
            for (int j = 0; j < i; j++) {
                assertNotEquals(some.get(i), some.get(j));
            }
        }
    }

    @Test
    void keepsPlaces_andValues_byWhatEachPartDoes() {
        assertTrue(Correction.NONE.isNone());
        assertFalse(Correction.NONE.withLens(BENT).keepsPlaces());
        assertTrue(Correction.NONE.withLens(BENT).keepsValues());
        assertFalse(Correction.NONE.withPlumb(LEANING).keepsPlaces());
        assertTrue(Correction.NONE.withPlumb(LEANING).keepsValues());
        assertTrue(Correction.NONE.withNeutral(WARM).keepsPlaces());
        assertFalse(Correction.NONE.withNeutral(WARM).keepsValues());
        assertTrue(Correction.NONE.withEyes(EYES).keepsPlaces());
        assertFalse(Correction.NONE.withEyes(EYES).keepsValues());
        assertFalse(Correction.NONE.withBands(BANDS).keepsPlaces());
        assertFalse(Correction.NONE.withBands(BANDS).keepsValues(), "what is left out is painted over");
        for (Correction correction : some()) {
            assertFalse(correction.isNone());
        }
    }

    /** A lens that only scatters colours, or only takes light, moves no place. */
    @Test
    void keepsValues_notUnderALensThatScattersColoursOrTakesLight() {
        Bend redder = new Bend(1.001, 0, 0, 0, 0);
        LensTerms red = new LensTerms(0.6, Bend.NONE, redder, Bend.NONE, Optional.empty());
        LensTerms blue = new LensTerms(0.6, Bend.NONE, Bend.NONE, redder, Optional.empty());
        LensTerms dark = new LensTerms(0.6, Bend.NONE, Bend.NONE, Bend.NONE, Optional.of(new CornerLight(-0.3, 0, 0)));
        for (LensTerms terms : List.of(red, blue, dark)) {
            Correction correction = Correction.NONE.withLens(Lens.OFF.measured(LensUse.FOUND, "K 24", terms));
            assertTrue(correction.keepsPlaces());
            assertFalse(correction.keepsValues());
        }
    }

    @Test
    void mapping_isBandsThenLensThenPlumb() {
        Correction all = some().getLast();
        Point asShot = new Point(0.3, 0.25);
        Point expected = BENT.distortion().inverse().apply(BANDS.mapping().apply(asShot));
        assertEquals(0, expected.distance(all.lensMapping().apply(asShot)), 1e-12);
        assertEquals(
                0,
                LEANING.mapping(BENT.reach())
                        .apply(expected)
                        .distance(all.mapping().apply(asShot)),
                1e-12);
    }

    @Test
    void steps_holdAllThatIsDoneToValues() {
        Correction all = some().getLast();
        List<nexa.core.pixel.FinishStep> finish = List.of(new Sharpened(1, 0.5));
        assertEquals(EYES, all.steps(finish).eyes());
        assertEquals(BANDS, all.steps(finish).bands());
        assertEquals(WARM, all.steps(finish).neutral());
        assertEquals(finish, all.steps(finish).finish());
        Correction lifted = Correction.NONE.withLens(Lens.byHand(new ByHand(0, 1, 0.5)));
        assertEquals(lifted.light(), lifted.steps(List.of()).light());
        assertEquals(1, lifted.light().size());
    }
}
