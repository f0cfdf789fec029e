package nexa.core.gesture;

import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;

/**
 * Turning the photo about its centre by a pointer outside the frame.
 *
 * @param from where the pointer took hold, in level space
 */
public record TiltDrag(Tilt start, Point from) {

    /** The tilt for a pointer position; it follows the pointer's direction from the photo's centre. */
    public Tilt to(Point pointer) {
        double swept = pointer.degrees() - from.degrees();
        double shortest = swept - 360 * Math.round(swept / 360);
        return Tilt.clamped(start.degrees() + shortest);
    }
}
