package nexa.core.space;

import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;

/**
 * How a photo is held: corrected, turned to upright, then tilted. It belongs to the photo; every format follows.
 *
 * @param correction from as shot to corrected, in the isotropic unit of both
 */
public record Pose(Mapping correction, Turn turn, Tilt tilt) {
    public static final Pose AS_SHOT = new Pose(Turn.NONE, Tilt.NONE);

    /** Without a correction. */
    public Pose(Turn turn, Tilt tilt) {
        this(Affine.IDENTITY, turn, tilt);
    }

    /** Turned or mirrored as seen; a mirrored picture leans the other way, so its tilt changes sign. */
    public Pose turned(Turn by) {
        return new Pose(correction, turn.then(by), by.mirrored() ? tilt.negated() : tilt);
    }

    public Pose withTurn(Turn other) {
        return new Pose(correction, other, tilt);
    }

    public Pose withTilt(Tilt other) {
        return new Pose(correction, turn, other);
    }

    public Pose withCorrection(Mapping other) {
        return new Pose(other, turn, tilt);
    }
}
