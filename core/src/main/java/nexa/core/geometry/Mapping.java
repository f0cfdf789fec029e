package nexa.core.geometry;

/**
 * A step from one plane space to another: one to one, continuous, and with an inverse; {@link Closing} alone is not, in what it leaves out. What the spaces and their units
 * are is stated where a mapping is made.
 *
 * <p>Mappings are values: equal ones do the same, and a series of them is one mapping again, see {@link #then}.
 */
public sealed interface Mapping permits Affine, Projective, Radial, Closing, Chain {
    Point apply(Point p);

    /**
     * Maps the first {@code count} points in place.
     *
     * @param xs their x
     * @param ys their y
     */
    void map(double[] xs, double[] ys, int count);

    Mapping inverse();

    /** What this mapping is nearly the same as close to a point: its value and its Jacobian there. */
    Affine tangent(Point at);

    /** How many times longer lengths become close to a point: the square root of what areas grow by. */
    default double stretch(Point at) {
        return Math.sqrt(Math.abs(tangent(at).determinant()));
    }

    /** This mapping and then the next, as one; neighbours of like kinds are merged, one and its inverse cancel out. */
    default Mapping then(Mapping next) {
        return Chain.of(this, next);
    }

    /** Whether straight lines may come out bent or broken. */
    default boolean bends() {
        return !(this instanceof Affine || this instanceof Projective);
    }

    /** Whether places that lie beside each other may come apart. */
    default boolean breaks() {
        return false;
    }

    default boolean isIdentity() {
        return equals(Affine.IDENTITY);
    }
}
