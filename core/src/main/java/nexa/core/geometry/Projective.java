package nexa.core.geometry;

/**
 * A plane seen from elsewhere: x' = (xx·x + xy·y + dx) / w, y' = (yx·x + yy·y + dy) / w with w = wx·x + wy·y + w1
 * (R. Hartley and A. Zisserman, Multiple View Geometry, 2004, section 2.3). Straight lines stay straight.
 *
 * <p>What is seen has w &gt; 0. A point on the horizon or behind it has no place in the picture; it is taken to lie at
 * the horizon's near side, {@value #HORIZON} of w before it, and so comes out very far away.
 */
public record Projective(
        double xx, double xy, double dx, double yx, double yy, double dy, double wx, double wy, double w1)
        implements Mapping {
    private static final double HORIZON = 1e-6;

    /** @throws IllegalArgumentException if nothing undoes it */
    public Projective {
        double determinant = determinant(xx, xy, dx, yx, yy, dy, wx, wy, w1);
        if (determinant == 0 || !Double.isFinite(determinant)) {
            throw new IllegalArgumentException("A projection that nothing undoes");
        }
    }

    public static Projective of(Affine map) {
        return new Projective(map.xx(), map.xy(), map.dx(), map.yx(), map.yy(), map.dy(), 0, 0, 1);
    }

    private static double determinant(
            double xx, double xy, double dx, double yx, double yy, double dy, double wx, double wy, double w1) {
        return xx * (yy * w1 - dy * wy) - xy * (yx * w1 - dy * wx) + dx * (yx * wy - yy * wx);
    }

    @Override
    public Point apply(Point p) {
        double w = depth(p.x(), p.y());
        return new Point((xx * p.x() + xy * p.y() + dx) / w, (yx * p.x() + yy * p.y() + dy) / w);
    }

    @Override
    public void map(double[] xs, double[] ys, int count) {
        for (int i = 0; i < count; i++) {
            double x = xs[i];
            double y = ys[i];
            double w = depth(x, y);
            xs[i] = (xx * x + xy * y + dx) / w;
            ys[i] = (yx * x + yy * y + dy) / w;
        }
    }

    private double depth(double x, double y) {
        return Math.max(wx * x + wy * y + w1, HORIZON);
    }

    @Override
    public Projective inverse() {
        double determinant = determinant(xx, xy, dx, yx, yy, dy, wx, wy, w1);
        return new Projective(
                (yy * w1 - dy * wy) / determinant,
                (dx * wy - xy * w1) / determinant,
                (xy * dy - dx * yy) / determinant,
                (dy * wx - yx * w1) / determinant,
                (xx * w1 - dx * wx) / determinant,
                (dx * yx - xx * dy) / determinant,
                (yx * wy - yy * wx) / determinant,
                (xy * wx - xx * wy) / determinant,
                (xx * yy - xy * yx) / determinant);
    }

    @Override
    public Affine tangent(Point at) {
        double w = depth(at.x(), at.y());
        Point there = apply(at);
        double txx = (xx - there.x() * wx) / w;
        double txy = (xy - there.x() * wy) / w;
        double tyx = (yx - there.y() * wx) / w;
        double tyy = (yy - there.y() * wy) / w;
        return new Affine(
                txx, txy, there.x() - txx * at.x() - txy * at.y(), tyx, tyy, there.y() - tyx * at.x() - tyy * at.y());
    }

    /** This map and then the next, as one. */
    public Projective then(Projective next) {
        return new Projective(
                next.xx * xx + next.xy * yx + next.dx * wx,
                next.xx * xy + next.xy * yy + next.dx * wy,
                next.xx * dx + next.xy * dy + next.dx * w1,
                next.yx * xx + next.yy * yx + next.dy * wx,
                next.yx * xy + next.yy * yy + next.dy * wy,
                next.yx * dx + next.yy * dy + next.dy * w1,
                next.wx * xx + next.wy * yx + next.w1 * wx,
                next.wx * xy + next.wy * yy + next.w1 * wy,
                next.wx * dx + next.wy * dy + next.w1 * w1);
    }
}
