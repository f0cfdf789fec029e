package nexa.core.geometry;

/** x' = xx·x + xy·y + dx, y' = yx·x + yy·y + dy. */
public record Affine(double xx, double xy, double dx, double yx, double yy, double dy) {
    public static Affine translation(double dx, double dy) {
        return new Affine(1, 0, dx, 0, 1, dy);
    }

    public static Affine scale(double sx, double sy) {
        return new Affine(sx, 0, 0, 0, sy, 0);
    }

    public static Affine rotation(Tilt tilt) {
        return new Affine(tilt.cos(), -tilt.sin(), 0, tilt.sin(), tilt.cos(), 0);
    }

    public static Affine of(Turn turn) {
        Point x = turn.apply(new Point(1, 0));
        Point y = turn.apply(new Point(0, 1));
        return new Affine(x.x(), y.x(), 0, x.y(), y.y(), 0);
    }

    public Point apply(Point p) {
        return new Point(xx * p.x() + xy * p.y() + dx, yx * p.x() + yy * p.y() + dy);
    }

    /** This map and then the next, as one. */
    public Affine then(Affine next) {
        Point shift = next.apply(new Point(dx, dy));
        return new Affine(
                next.xx * xx + next.xy * yx,
                next.xx * xy + next.xy * yy,
                shift.x(),
                next.yx * xx + next.yy * yx,
                next.yx * xy + next.yy * yy,
                shift.y());
    }
}
