package nexa.core.lens.data;

import java.util.List;
import nexa.core.geometry.Point;

/**
 * All that was measured of a lens.
 *
 * @param centre where its axis meets the sensor: from the middle to the right and down, half the sensor's short side = 1
 */
public record Calibration(
        List<BendMeasure> distortion,
        List<BendMeasure> red,
        List<BendMeasure> blue,
        List<LightMeasure> light,
        Point centre) {
    public static final Calibration NONE = new Calibration(List.of(), List.of(), List.of(), List.of());

    /** @throws IllegalArgumentException if the axis misses the sensor */
    public Calibration {
        if (!(Math.abs(centre.x()) < 1 && Math.abs(centre.y()) < 1)) {
            throw new IllegalArgumentException("No centre: " + centre);
        }
        distortion = List.copyOf(distortion);
        red = List.copyOf(red);
        blue = List.copyOf(blue);
        light = List.copyOf(light);
    }

    /** Of a lens whose axis goes through the sensor's middle. */
    public Calibration(
            List<BendMeasure> distortion, List<BendMeasure> red, List<BendMeasure> blue, List<LightMeasure> light) {
        this(distortion, red, blue, light, Point.ORIGIN);
    }

    public boolean isNone() {
        return equals(NONE);
    }
}
