package nexa.core.lineup;

import java.util.OptionalDouble;
import nexa.core.geometry.Point;

/**
 * How a subject lies otherwise than the exemplar's.
 *
 * @param offset of its place in fractions of the frame, x to the right and y down
 * @param sizeRatio its size over the exemplar's; empty unless both have two marks
 * @param lean how much further clockwise it stands, in degrees; empty unless both have two marks
 */
public record Deviation(Point offset, OptionalDouble sizeRatio, OptionalDouble lean) {
    /** How far off in all: 1 = a frame away, or e times as large or small. */
    public double amount() {
        double size = sizeRatio.isPresent() ? Math.log(sizeRatio.orElseThrow()) : 0;
        return Math.hypot(offset.length(), size);
    }
}
