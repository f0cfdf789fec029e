package nexa.core.level;

import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;

/**
 * A segment as the automatic level sees it.
 *
 * @param lean from the nearer of horizontal and vertical, degrees, positive = clockwise
 * @param across where it is across its direction, from the photo's middle, in long edges: to the right for an upright, down
 *     for a horizontal
 * @param length in long edges; longer than half of one counts as half: one line alone is not proof
 * @param weight its vote
 */
record LeanLine(LevelLine line, boolean upright, double lean, double across, double length, double weight) {
    private static final double LONGEST = 0.5;

    /** Long segments are rare in texture and common along what was built. */
    private static final double POWER = 1.5;

    static LeanLine of(LevelLine line, PixelSize photo) {
        double edge = photo.longEdge();
        Point middle = line.from().plus(line.to()).times(0.5);
        boolean upright = line.isPlumb();
        double across =
                upright ? (middle.x() - photo.width() / 2.0) / edge : (middle.y() - photo.height() / 2.0) / edge;
        double length = Math.min(LONGEST, line.length() / edge);
        return new LeanLine(line, upright, line.lean(), across, length, Math.pow(length, POWER));
    }

    /**
     * What is left of its lean in a photo that leans.
     *
     * @param convergence of uprights, degrees for each long edge from the middle
     */
    double off(double photoLean, double convergence) {
        return lean - photoLean - (upright ? convergence * across : 0);
    }
}
