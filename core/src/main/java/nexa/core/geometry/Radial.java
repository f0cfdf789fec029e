package nexa.core.geometry;

/**
 * Moves points towards a centre or away from it, each by its distance only: a lens's distortion, or what undoes it.
 *
 * @param unit the length of the curve's radius 1, in the space's unit
 * @param undone whether the curve is gone backwards
 */
public record Radial(Point centre, double unit, RadialCurve curve, boolean undone) implements Mapping {

    /**
     * A point r units away from the centre comes to lie r · (c0 + c1·r + c2·r² + c3·r³ + c4·r⁴) units away.
     *
     * @throws IllegalArgumentException if the unit is not positive, points at the centre come to lie on each other, or a
     *     number is not finite
     */
    public static Radial of(Point centre, double unit, double c0, double c1, double c2, double c3, double c4) {
        return new Radial(centre, unit, RadialCurve.of(c0, c1, c2, c3, c4), false);
    }

    public Radial {
        if (!(unit > 0) || !Double.isFinite(unit + centre.x() + centre.y())) {
            throw new IllegalArgumentException("No distortion about " + centre + " by " + unit);
        }
    }

    @Override
    public Radial inverse() {
        return new Radial(centre, unit, curve, !undone);
    }

    @Override
    public Point apply(Point p) {
        double x = p.x() - centre.x();
        double y = p.y() - centre.y();
        double factor = factor(Math.sqrt(x * x + y * y));
        return new Point(centre.x() + x * factor, centre.y() + y * factor);
    }

    @Override
    public void map(double[] xs, double[] ys, int count) {
        for (int i = 0; i < count; i++) {
            double x = xs[i] - centre.x();
            double y = ys[i] - centre.y();
            double factor = factor(Math.sqrt(x * x + y * y));
            xs[i] = centre.x() + x * factor;
            ys[i] = centre.y() + y * factor;
        }
    }

    /** By how many times a distance from the centre grows. */
    private double factor(double distance) {
        double r = distance / unit;
        if (r == 0) {
            return undone ? 1 / curve.c0() : curve.c0();
        }
        return (undone ? curve.inverse(r) : curve.at(r)) / r;
    }

    /** Outwards lengths grow by the curve's slope, around the centre by its factor. */
    @Override
    public Affine tangent(Point at) {
        Point out = at.minus(centre);
        double distance = out.length();
        double around = factor(distance);
        double outward = undone ? 1 / curve.slope(curve.inverse(distance / unit)) : curve.slope(distance / unit);
        double x = distance == 0 ? 1 : out.x() / distance;
        double y = distance == 0 ? 0 : out.y() / distance;
        double more = outward - around;
        double xx = around + more * x * x;
        double xy = more * x * y;
        double yy = around + more * y * y;
        Point there = apply(at);
        return new Affine(xx, xy, there.x() - xx * at.x() - xy * at.y(), xy, yy, there.y() - xy * at.x() - yy * at.y());
    }
}
