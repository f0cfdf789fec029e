package nexa.core.geometry;

import java.util.List;

/** A line without ends: the points that lie {@code offset} along its unit normal. */
public record StraightLine(double nx, double ny, double offset) {

    /**
     * The line that points are nearest to, by the squares of their distances from it.
     *
     * @param points at least two, not all the same
     */
    public static StraightLine through(List<Point> points) {
        double middleX = points.stream().mapToDouble(Point::x).average().orElseThrow();
        double middleY = points.stream().mapToDouble(Point::y).average().orElseThrow();
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (Point p : points) {
            double x = p.x() - middleX;
            double y = p.y() - middleY;
            xx += x * x;
            xy += x * y;
            yy += y * y;
        }
        double along = Math.atan2(2 * xy, xx - yy) / 2;
        double nx = -Math.sin(along);
        double ny = Math.cos(along);
        return new StraightLine(nx, ny, nx * middleX + ny * middleY);
    }

    /** How far a point is from the line; negative on one of its sides. */
    public double off(Point p) {
        return nx * p.x() + ny * p.y() - offset;
    }
}
