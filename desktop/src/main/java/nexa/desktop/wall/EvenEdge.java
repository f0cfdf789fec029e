package nexa.desktop.wall;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How large photos hang so that rows are filled well: of sizes near to the wanted one the one whose rows leave least between
 * photos. All are of the same area, so a row that one photo more would just not fit into would otherwise have wide gaps. A size
 * is found once for photos of these shapes: a photo that is turned makes no other smaller or larger.
 */
final class EvenEdge {
    /** Sizes are looked at in steps of this factor, the same ones for every wanted size: a larger one then never hangs smaller. */
    private static final double STEP = 1.01;

    /** How many steps a size may be from the wanted one. */
    private static final int REACH = 6;

    private Optional<Asked> known = Optional.empty();
    private double edge;

    /** @param shapes the photos' long side over the short one */
    private record Asked(List<Double> shapes, List<Integer> groups, double width, double wanted) {}

    /**
     * @param aspects the photos' width over height
     * @param groups how many photos each has; none = no groups
     * @param width of the Wall
     * @param wanted side of the square that has the area each photo is to get, about
     */
    double of(List<Double> aspects, List<Integer> groups, double width, double wanted) {
        List<Double> shapes = aspects.stream().map(a -> Math.max(a, 1 / a)).toList();
        Optional<Asked> asked = Optional.of(new Asked(shapes, groups, width, wanted));
        if (!asked.equals(known)) {
            known = asked;
            edge = near(aspects, groups, width, wanted);
        }
        return edge;
    }

    /** As wanted where all hang in one row. */
    static double near(List<Double> aspects, List<Integer> groups, double width, double wanted) {
        double[] roots = RowFilling.roots(aspects);
        if (left(roots, groups, width, wanted).isEmpty()) {
            return wanted;
        }
        int middle = (int) Math.round(Math.log(wanted) / Math.log(STEP));
        double best = wanted;
        double least = Double.MAX_VALUE;
        for (int step = middle - REACH; step <= middle + REACH; step++) {
            double candidate = Math.pow(STEP, step);
            double left = left(roots, groups, width, candidate).orElse(0);
            if (left < least) {
                least = left;
                best = candidate;
            }
        }
        return best;
    }

    /** The mean square of what full rows have more than they need between photos; empty if no row is full. */
    static OptionalDouble left(double[] roots, List<Integer> groups, double width, double edge) {
        RowFilling rows = new RowFilling(roots, width, edge);
        double sum = 0;
        int full = 0;
        int first = 0;
        int last = 0;
        for (int size : groups.isEmpty() ? List.of(roots.length) : groups) {
            last += size;
            for (int end = rows.end(first, last); end < last; end = rows.end(first, last)) {
                double left = rows.left(first, end);
                sum += left * left;
                full++;
                first = end;
            }
            first = last;
        }
        return full == 0 ? OptionalDouble.empty() : OptionalDouble.of(sum / full);
    }
}
