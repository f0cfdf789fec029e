package nexa.core.pixel;

import java.util.List;
import nexa.core.eye.GlowingEyes;
import nexa.core.neutral.Neutral;
import nexa.core.trim.Bands;

/**
 * All that is done to a picture's values on its way from the photo, in order: eyes and light on the photo's own pixels,
 * before sampling, where what is left out is painted over, so that nothing of it shows where its sides meet; the neutral
 * in linear light and the finish on what was sampled. The neutral is the same wherever a pixel
 * is, so it is done where there are fewer.
 */
public record PixelSteps(
        List<LightStep> light, GlowingEyes eyes, Bands bands, Neutral neutral, List<FinishStep> finish) {
    public static final PixelSteps NONE =
            new PixelSteps(List.of(), GlowingEyes.NONE, Bands.NONE, Neutral.AS_FILED, List.of());

    public PixelSteps {
        light = List.copyOf(light);
        finish = List.copyOf(finish);
    }

    /** Whether every pixel keeps its value. */
    public boolean isNone() {
        return light.isEmpty() && eyes.isNone() && bands.isNone() && neutral.isNone() && finish.isEmpty();
    }

    /** A text that is the same exactly where the steps are; part of the key of whatever is kept of such a picture. */
    public String key() {
        if (isNone()) {
            return "";
        }
        String values = eyes.isNone() && neutral.isNone() ? "" : " " + eyes.text() + " " + neutral.text();
        String left = bands.isNone() ? "" : " " + bands.text();
        return light + " " + finish + values + left;
    }
}
