package nexa.core.geometry;

/** x' = xx·x + xy·y + dx, y' = yx·x + yy·y + dy. */
public record Affine(double xx, double xy, double dx, double yx, double yy, double dy) implements Mapping {
    public static final Affine IDENTITY = new Affine(1, 0, 0, 0, 1, 0);

    public Affine {
        // -0.0 becomes 0.0, so that equal maps are equal
        xx += 0.0;
        xy += 0.0;
        dx += 0.0;
        yx += 0.0;
        yy += 0.0;
        dy += 0.0;
    }

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

    @Override
    public Point apply(Point p) {
        return new Point(xx * p.x() + xy * p.y() + dx, yx * p.x() + yy * p.y() + dy);
    }

    @Override
    public void map(double[] xs, double[] ys, int count) {
        for (int i = 0; i < count; i++) {
            double x = xs[i];
            double y = ys[i];
            xs[i] = xx * x + xy * y + dx;
            ys[i] = yx * x + yy * y + dy;
        }
    }

    /** @throws IllegalStateException if the map squeezes the plane into a line, so that nothing undoes it */
    @Override
    public Affine inverse() {
        double determinant = determinant();
        if (determinant == 0 || !Double.isFinite(determinant)) {
            throw new IllegalStateException("Nothing undoes " + this);
        }
        Affine linear = new Affine(yy / determinant, -xy / determinant, 0, -yx / determinant, xx / determinant, 0);
        Point back = linear.apply(new Point(-dx, -dy));
        return new Affine(linear.xx, linear.xy, back.x(), linear.yx, linear.yy, back.y());
    }

    @Override
    public Affine tangent(Point at) {
        return this;
    }

    /** How many times longer the length becomes that grows most: the largest singular value. */
    public double largestStretch() {
        double squares = xx * xx + xy * xy + yx * yx + yy * yy;
        double area = determinant();
        return Math.sqrt((squares + Math.sqrt(Math.max(0, squares * squares - 4 * area * area))) / 2);
    }

    /** What areas grow by; negative if the map mirrors. */
    public double determinant() {
        return xx * yy - xy * yx;
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
