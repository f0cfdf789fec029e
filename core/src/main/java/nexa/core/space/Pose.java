package nexa.core.space;

import java.util.List;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.pixel.LightStep;

/**
 * How a photo is held: corrected, turned to upright, then tilted. It belongs to the photo; every format follows.
 *
 * @param correction from as shot to corrected, in the isotropic unit of both
 * @param light what is given back of the light that the lens took away
 */
public record Pose(Mapping correction, List<LightStep> light, Turn turn, Tilt tilt) {
    public static final Pose AS_SHOT = new Pose(Turn.NONE, Tilt.NONE);

    public Pose {
        light = List.copyOf(light);
    }

    /** Without a correction. */
    public Pose(Turn turn, Tilt tilt) {
        this(Affine.IDENTITY, List.of(), turn, tilt);
    }

    /** Turned or mirrored as seen; a mirrored picture leans the other way, so its tilt changes sign. */
    public Pose turned(Turn by) {
        return new Pose(correction, light, turn.then(by), by.mirrored() ? tilt.negated() : tilt);
    }

    public Pose withTurn(Turn other) {
        return new Pose(correction, light, other, tilt);
    }

    public Pose withTilt(Tilt other) {
        return new Pose(correction, light, turn, other);
    }

    public Pose withCorrection(Mapping other) {
        return new Pose(other, light, turn, tilt);
    }

    public Pose withLight(List<LightStep> other) {
        return new Pose(correction, other, turn, tilt);
    }
}
