package nexa.core.pixel;

import java.util.List;

/** All that is done to a picture's values on its way from the photo, in order. */
public record PixelSteps(List<LightStep> light, List<FinishStep> finish) {
    public static final PixelSteps NONE = new PixelSteps(List.of(), List.of());

    public PixelSteps {
        light = List.copyOf(light);
        finish = List.copyOf(finish);
    }

    /** Whether every pixel keeps its value. */
    public boolean isNone() {
        return light.isEmpty() && finish.isEmpty();
    }

    /** A text that is the same exactly where the steps are; part of the key of whatever is kept of such a picture. */
    public String key() {
        return isNone() ? "" : light + " " + finish;
    }
}
