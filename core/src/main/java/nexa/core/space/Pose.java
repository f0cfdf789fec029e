package nexa.core.space;

import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.Lens;
import nexa.core.neutral.Neutral;
import nexa.core.plumb.Plumb;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;

/**
 * How a photo is held: corrected, turned to upright, then tilted. It belongs to the photo; every format follows.
 *
 * @param trim what of the photo as shot counts as photo
 */
public record Pose(Correction correction, Turn turn, Tilt tilt, Trim trim) {
    public static final Pose AS_SHOT = new Pose(Turn.NONE, Tilt.NONE);

    /** Without a correction. */
    public Pose(Turn turn, Tilt tilt) {
        this(Correction.NONE, turn, tilt);
    }

    /** The whole photo. */
    public Pose(Correction correction, Turn turn, Tilt tilt) {
        this(correction, turn, tilt, Trim.NONE);
    }

    /** Turned or mirrored as seen; a mirrored picture leans the other way, so its tilt changes sign. */
    public Pose turned(Turn by) {
        return new Pose(correction, turn.then(by), by.mirrored() ? tilt.negated() : tilt, trim);
    }

    public Pose withTurn(Turn other) {
        return new Pose(correction, other, tilt, trim);
    }

    public Pose withTilt(Tilt other) {
        return new Pose(correction, turn, other, trim);
    }

    public Pose withCorrection(Correction other) {
        return new Pose(other, turn, tilt, trim);
    }

    public Pose withLens(Lens other) {
        return withCorrection(correction.withLens(other));
    }

    public Pose withPlumb(Plumb other) {
        return withCorrection(correction.withPlumb(other));
    }

    public Pose withNeutral(Neutral other) {
        return withCorrection(correction.withNeutral(other));
    }

    public Pose withEyes(GlowingEyes other) {
        return withCorrection(correction.withEyes(other));
    }

    public Pose withBands(Bands other) {
        return withCorrection(correction.withBands(other));
    }

    /**
     * As it is followed on a photo: bands are not left out if hardly anything of it would be left, as after a trim between
     * them.
     *
     * @param asShot the photo's size
     */
    public Pose on(PixelSize asShot) {
        return bands().leaveEnough(asShot, trim) ? this : withBands(Bands.NONE);
    }

    public Pose withTrim(Trim other) {
        return new Pose(correction, turn, tilt, other);
    }

    /** Whether some of the photo is left out, at its sides or inside. */
    public boolean leavesOut() {
        return !trim.isNone() || !correction.bands().isNone();
    }

    public Lens lens() {
        return correction.lens();
    }

    public Plumb plumb() {
        return correction.plumb();
    }

    public Neutral neutral() {
        return correction.neutral();
    }

    public GlowingEyes eyes() {
        return correction.eyes();
    }

    public Bands bands() {
        return correction.bands();
    }
}
