package nexa.core.geometry;

/** How a photo is held: turned from as shot to upright, then tilted. It belongs to the photo; every format follows. */
public record Pose(Turn turn, Tilt tilt) {
    public static final Pose AS_SHOT = new Pose(Turn.NONE, Tilt.NONE);

    /** Turned or mirrored as seen; a mirrored picture leans the other way, so its tilt changes sign. */
    public Pose turned(Turn by) {
        return new Pose(turn.then(by), by.mirrored() ? tilt.negated() : tilt);
    }

    public Pose withTilt(Tilt other) {
        return new Pose(turn, other);
    }
}
