package nexa.core.fit;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.outline.Region;

/**
 * Where a frame's centre may not be because of one thing in its way: the inside of a convex polygon, the thing grown by
 * the frame (their Minkowski sum: T. Lozano-Pérez, "Spatial Planning: A Configuration Space Approach", 1983).
 *
 * @param exits outside any one of these a centre is free of the obstacle
 */
record Obstacle(List<HalfPlane> exits) {

    /** A side of the outline, which no frame may have in its interior. */
    static Obstacle side(Region region, int side, double halfWidth, double halfHeight) {
        double ax = region.x(side);
        double ay = region.y(side);
        double bx = region.x(side + 1);
        double by = region.y(side + 1);
        List<HalfPlane> exits =
                box(Math.min(ax, bx), Math.min(ay, by), Math.max(ax, bx), Math.max(ay, by), halfWidth, halfHeight);
        if (ax != bx && ay != by) {
            exits.add(HalfPlane.rightOf(region.sides(), side, halfWidth, halfHeight));
            exits.add(HalfPlane.leftOf(region.sides(), side, halfWidth, halfHeight));
        }
        return new Obstacle(exits);
    }

    /** A frame that lies wholly outside the outline. */
    static Obstacle outside(Frame frame, double halfWidth, double halfHeight) {
        return new Obstacle(box(frame.left(), frame.top(), frame.right(), frame.bottom(), halfWidth, halfHeight));
    }

    private static List<HalfPlane> box(
            double left, double top, double right, double bottom, double halfWidth, double halfHeight) {
        List<HalfPlane> sides = new ArrayList<>(6);
        sides.add(new HalfPlane(1, 0, right, halfWidth));
        sides.add(new HalfPlane(-1, 0, -left, halfWidth));
        sides.add(new HalfPlane(0, 1, bottom, halfHeight));
        sides.add(new HalfPlane(0, -1, -top, halfHeight));
        return sides;
    }
}
