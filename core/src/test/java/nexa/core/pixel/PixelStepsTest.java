package nexa.core.pixel;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Point;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.trim.Bands;
import org.junit.jupiter.api.Test;

class PixelStepsTest {
    private static final List<LightStep> LIGHT = List.of(new CornerLight(-0.3, 0.1, -0.05));
    private static final GlowingEyes EYES =
            GlowingEyes.NONE.with(new GlowingEye(new Point(0.1, -0.2), 0.01, GlowingEye.Glow.RED));
    private static final Bands BANDS = Bands.parse("x -0.1 0.1");
    private static final Neutral WARM = new Neutral(new White(0.36, 0.36), 0, Optional.empty());
    private static final List<FinishStep> FINISH = List.of(new Sharpened(0.6, 0.5));

    /** With one kind of step each, and all. */
    private static List<PixelSteps> some() {
        return List.of(
                new PixelSteps(LIGHT, GlowingEyes.NONE, Bands.NONE, Neutral.AS_FILED, List.of()),
                new PixelSteps(List.of(), EYES, Bands.NONE, Neutral.AS_FILED, List.of()),
                new PixelSteps(List.of(), GlowingEyes.NONE, BANDS, Neutral.AS_FILED, List.of()),
                new PixelSteps(List.of(), GlowingEyes.NONE, Bands.NONE, WARM, List.of()),
                new PixelSteps(List.of(), GlowingEyes.NONE, Bands.NONE, Neutral.AS_FILED.withStops(1), List.of()),
                new PixelSteps(List.of(), GlowingEyes.NONE, Bands.NONE, Neutral.AS_FILED, FINISH),
                new PixelSteps(LIGHT, EYES, BANDS, WARM, FINISH));
    }

    @Test
    void isNone_onlyWithoutAnyStep() {
        assertTrue(PixelSteps.NONE.isNone());
        assertEquals("", PixelSteps.NONE.key());
        for (PixelSteps steps : some()) {
            assertFalse(steps.isNone(), steps.toString());
        }
    }

    @Test
    void key_isAnotherForAnyOtherSteps() {
        Set<String> keys = new HashSet<>();
        for (PixelSteps steps : some()) {
            assertTrue(keys.add(steps.key()), steps.toString());
            assertFalse(steps.key().isEmpty());
        }
    }

    @Test
    void steps_areCopied() {
        List<LightStep> light = new ArrayList<>(LIGHT);
        PixelSteps steps = new PixelSteps(light, EYES, BANDS, WARM, FINISH);
        light.clear();
        assertEquals(LIGHT, steps.light());
    }
}
