package nexa.core.lens;

import java.util.List;
import java.util.stream.DoubleStream;
import nexa.core.geometry.Point;
import nexa.core.geometry.Radial;

/**
 * By how much a lens moves what it shows, by the distance from the centre alone: what belongs r away lies r · (c0 + c1·r +
 * c2·r² + c3·r³ + c4·r⁴) away. So it leads from a place of the corrected picture to the place to read.
 */
public record Bend(double c0, double c1, double c2, double c3, double c4) {
    public static final Bend NONE = new Bend(1, 0, 0, 0, 0);

    /** Below this the centre would be turned inside out, or nearly so. */
    private static final double LEAST = 0.25;

    /** @throws IllegalArgumentException if a number is not finite, or the centre would not stay where it is */
    public Bend {
        c1 += 0.0; // -0.0 becomes 0.0, so that equal bends are equal
        c2 += 0.0;
        c3 += 0.0;
        c4 += 0.0;
        if (!Double.isFinite(c0 + c1 + c2 + c3 + c4) || c0 < LEAST) {
            throw new IllegalArgumentException("No lens bends so: " + List.of(c0, c1, c2, c3, c4));
        }
    }

    /** @param terms c0 to c4 */
    static Bend of(List<Double> terms) {
        return new Bend(terms.get(0), terms.get(1), terms.get(2), terms.get(3), terms.get(4));
    }

    List<Double> terms() {
        return DoubleStream.of(c0, c1, c2, c3, c4).boxed().toList();
    }

    public boolean isNone() {
        return equals(NONE);
    }

    /** So many times as much of it; 0 = none. Where that would be more than a lens can do, as much as it can. */
    public Bend times(double amount) {
        return amount == 1
                ? this
                : new Bend(Math.max(LEAST, 1 + amount * (c0 - 1)), amount * c1, amount * c2, amount * c3, amount * c4);
    }

    /**
     * From where something belongs to where it is to be read, about the origin.
     *
     * @param unit the length of r = 1
     */
    public Radial mapping(double unit) {
        return mapping(Point.ORIGIN, unit);
    }

    /** The same about another centre. */
    public Radial mapping(Point centre, double unit) {
        return Radial.of(centre, unit, c0, c1, c2, c3, c4);
    }
}
