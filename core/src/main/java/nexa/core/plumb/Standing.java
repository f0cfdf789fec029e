package nexa.core.plumb;

import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;

/** What stands a photo's uprights up: a plumb, and the tilt that goes with it. */
public record Standing(Plumb plumb, Tilt tilt) {
    public static final Standing NONE = new Standing(Plumb.NONE, Tilt.NONE);

    /**
     * What was found on a photo as it is turned, as it is kept: the plumb before that turn, the tilt after it.
     *
     * @param turn of the photo
     */
    public Standing before(Turn turn) {
        if (turn.equals(Turn.NONE)) {
            return this;
        }
        CameraTurn.Parts parts = new CameraTurn.Parts(
                        Math.toRadians(tilt.degrees()), Math.toRadians(plumb.pitch()), Math.toRadians(plumb.yaw()))
                .before(turn);
        double degrees = Math.toDegrees(parts.tilt());
        return new Standing(
                plumb.before(turn).withAngles(angle(parts.pitch()), angle(parts.yaw())),
                Tilt.clamped(turn.mirrored() ? -degrees : degrees));
    }

    static double angle(double radians) {
        return Math.clamp(Math.toDegrees(radians), -Plumb.WIDEST, Plumb.WIDEST);
    }
}
