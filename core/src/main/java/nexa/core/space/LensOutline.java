package nexa.core.space;

import java.util.List;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.outline.OutlineTrace;
import nexa.core.trim.Trim;
import org.jspecify.annotations.Nullable;

/**
 * A photo's edge, be it trimmed, through its lens's correction, flattened. All that is done afterwards leaves straight lines
 * straight, so one trace serves while a photo is plumbed and turned. The last ones of the whole photo and of a trimmed one are
 * kept, as both are asked for at once; several threads may find the same one.
 */
final class LensOutline {
    /** What comes afterwards stretches by at most a power of this. */
    private static final double STEP = 1.25;

    private final Mapping lensed;
    private volatile @Nullable Traced whole;
    private volatile @Nullable Traced trimmed;

    private record Traced(PixelSize asShot, Trim trim, int steps, List<Point> corners) {}

    /** @param lensed from as shot to the lens's correction, in the isotropic unit */
    LensOutline(Mapping lensed) {
        this.lensed = lensed;
    }

    Mapping lensed() {
        return lensed;
    }

    /**
     * Its corners, in the isotropic unit.
     *
     * @param stretch by how much what comes afterwards stretches at most
     */
    List<Point> corners(PixelSize asShot, Trim trim, double stretch) {
        int steps = Math.max(0, (int) Math.ceil(Math.log(stretch) / Math.log(STEP)));
        Traced known = trim.isNone() ? whole : trimmed;
        if (known == null || known.steps != steps || !known.asShot.equals(asShot) || !known.trim.equals(trim)) {
            double tolerance = Tolerance.FLATNESS / asShot.longEdge() / Math.pow(STEP, steps);
            List<Point> edge = trim.corners(asShot);
            known = new Traced(asShot, trim, steps, OutlineTrace.corners(edge, lensed, tolerance));
            if (trim.isNone()) {
                whole = known;
            } else {
                trimmed = known;
            }
        }
        return known.corners;
    }
}
