package nexa.core.lens;

import java.util.List;

/** All that was measured of a lens. */
public record Calibration(
        List<BendMeasure> distortion, List<BendMeasure> red, List<BendMeasure> blue, List<LightMeasure> light) {
    public static final Calibration NONE = new Calibration(List.of(), List.of(), List.of(), List.of());

    public Calibration {
        distortion = List.copyOf(distortion);
        red = List.copyOf(red);
        blue = List.copyOf(blue);
        light = List.copyOf(light);
    }

    public boolean isNone() {
        return equals(NONE);
    }
}
