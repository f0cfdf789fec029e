package nexa.core.fit;

import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.stream.Stream;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.outline.Region;
import nexa.core.outline.Sides;
import org.jspecify.annotations.Nullable;

/**
 * Looks for the largest frame of a wish's shape in a region, and of those for the one nearest to the wish, by branch and
 * bound: of the candidates take the largest, and of equally large ones the nearest to the wish; find the obstacle that
 * its centre lies deepest in, and put in its place one candidate for each half-plane that leads out of it. A candidate is
 * the largest and nearest in the half-planes it has so far, so the first that is in no obstacle is the answer: all others
 * are smaller or farther away already. No frame leaves the region's convex hull, so there only one half-plane leads on.
 *
 * <p>What candidates stand for does not overlap, as each leaves to its elder siblings what is theirs, so nothing is
 * tried twice.
 */
final class PlaceSearch {
    /** A centre this little inside an obstacle, in long edges, is on its edge. */
    private static final double TOUCHING = 1e-11;

    /** A size that is found too large goes down by at least this share, so that rounding never holds it. */
    private static final double PROGRESS = 1e-13;

    private final Region region;
    private final Frame wish;
    private final double halfWidth;
    private final double halfHeight;
    private final Sides sides;
    private final Sides hull;
    private final PriorityQueue<Candidate> waiting =
            new PriorityQueue<>(Comparator.comparingDouble((Candidate candidate) -> -candidate.place.size)
                    .thenComparingDouble(Candidate::apart));
    private double least = Double.NaN;

    /** @param size as a factor of the wish's */
    record Place(Point centre, double size) {}

    /** Of a size that is known to fit; what is smaller by more than rounding need not be looked at. */
    private static final double SPARED = 1 - 1e-9;

    /** @param apart the square of its distance from the wish */
    private record Candidate(Place place, double apart, Constraints constraints) {}

    PlaceSearch(Region region, Frame wish) {
        this.region = region;
        this.wish = wish;
        halfWidth = wish.width() / 2;
        halfHeight = wish.height() / 2;
        sides = region.sides();
        hull = region.hullSides();
    }

    /** The largest size of at most the wish's, and of its places the nearest but for rounding. */
    Place largest() {
        add(Constraints.NONE, 1, Constraints.NONE.nearest(wish.centre(), 1));
        return best();
    }

    /**
     * The nearest of all places for a size that the largest leaves hardly more room than for itself: those that are as large
     * but for rounding wait already.
     *
     * @param size smaller than what {@link #largest} found
     */
    Place nearest(double size) {
        List<Candidate> large =
                waiting.stream().filter(each -> each.place.size >= size).toList();
        waiting.clear();
        for (Candidate each : large) {
            add(each.constraints, size, each.constraints.nearest(wish.centre(), size));
        }
        return best();
    }

    /** Looks on until the best of what waits is free; it goes on waiting. */
    private Place best() {
        while (!waiting.isEmpty()) {
            Candidate best = waiting.peek();
            List<HalfPlane> exits = exits(best.place);
            if (exits.isEmpty()) {
                return best.place;
            }
            waiting.remove();
            Constraints rest = best.constraints;
            for (HalfPlane exit : exits) {
                Constraints further = rest.and(exit);
                double most = best.place.size;
                add(further, most, further.nearest(wish.centre(), most, best.place.centre));
                rest = rest.and(exit.opposite());
            }
        }
        throw new IllegalStateException("No room for " + wish + " in " + region);
    }

    /**
     * Adds what is best in some constraints, if anything is.
     *
     * @param atMost what there is at the largest size
     */
    private void add(Constraints constraints, double most, Constraints.Answer atMost) {
        double size = most;
        Constraints.Answer answer = atMost;
        for (double progress = PROGRESS; answer instanceof Constraints.Nowhere(double open); progress *= 2) {
            size = Math.min(open, size * (1 - progress));
            if (size <= least() * SPARED) {
                return;
            }
            answer = constraints.nearest(wish.centre(), size);
        }
        Point centre = ((Constraints.Nearest) answer).centre();
        double right = centre.x() - wish.centreX();
        double down = centre.y() - wish.centreY();
        waiting.add(new Candidate(new Place(centre, size), right * right + down * down, constraints));
    }

    /** A size for which there is a place: as large as fits where the wish is, or in the middle of the region. */
    private double least() {
        if (Double.isNaN(least)) {
            least = Stream.of(wish.centre(), region.bounds().centre())
                    .filter(place -> region.contains(place, 0))
                    .mapToDouble(place -> region.growth(Frame.around(place, wish.width(), wish.height()), place))
                    .max()
                    .orElse(0);
        }
        return least;
    }

    /** The ways out of what is most in the way of a frame; none if it is free. */
    private List<HalfPlane> exits(Place place) {
        HalfPlane bound = crossed(place.centre.x(), place.centre.y(), place.size);
        if (bound != null) {
            return List.of(bound);
        }
        int side = deepest(place.centre.x(), place.centre.y(), place.size);
        if (side >= 0) {
            return Obstacle.side(region, side, halfWidth, halfHeight).exits();
        }
        return region.contains(place.centre, Tolerance.LENGTH)
                ? List.of()
                : outside(place).exits();
    }

    /** The side of the hull that a frame crosses farthest; null if it crosses none. Frames cross no side of the hull. */
    private @Nullable HalfPlane crossed(double x, double y, double size) {
        double reachX = halfWidth * size;
        double reachY = halfHeight * size;
        double most = TOUCHING;
        int farthest = -1;
        for (int side = 0; side < hull.count(); side++) {
            double nx = hull.nx(side);
            double ny = hull.ny(side);
            double depth = hull.offset(side) + Math.abs(nx) * reachX + Math.abs(ny) * reachY - (x * nx + y * ny);
            if (depth > most) {
                most = depth;
                farthest = side;
            }
        }
        return farthest < 0 ? null : HalfPlane.rightOf(hull, farthest, halfWidth, halfHeight);
    }

    /** The side whose obstacle a centre lies deepest in; -1 if it is in none. */
    private int deepest(double x, double y, double size) {
        double reachX = halfWidth * size - TOUCHING;
        double reachY = halfHeight * size - TOUCHING;
        double most = 0;
        int deepest = -1;
        double bx = sides.x(0) - x;
        double by = sides.y(0) - y;
        for (int side = 0; side < sides.count(); side++) {
            double ax = bx;
            double ay = by;
            bx = sides.x(side + 1) - x;
            by = sides.y(side + 1) - y;
            if (isBeside(ax, bx, reachX - most) || isBeside(ay, by, reachY - most)) {
                continue; // the usual case, and fast
            }
            double depth = Math.min(
                    slanted(side, ax, ay, reachX, reachY),
                    Math.min(
                            Math.min(reachX + Math.max(ax, bx), reachX - Math.min(ax, bx)),
                            Math.min(reachY + Math.max(ay, by), reachY - Math.min(ay, by))));
            if (depth > most) {
                most = depth;
                deepest = side;
            }
        }
        return deepest;
    }

    /** Whether a piece from a to b lies on one side of all that is nearer than a reach. */
    private static boolean isBeside(double a, double b, double reach) {
        return a >= reach && b >= reach || a <= -reach && b <= -reach;
    }

    /** How deep a centre is along the side's own normal. */
    private double slanted(int side, double ax, double ay, double reachX, double reachY) {
        if (sides.isPoint(side)) {
            return Double.POSITIVE_INFINITY;
        }
        double nx = sides.nx(side);
        double ny = sides.ny(side);
        return Math.abs(nx) * reachX + Math.abs(ny) * reachY - Math.abs(nx * ax + ny * ay);
    }

    /** No side is in the way and yet the frame is outside: so is all that it can grow to until it meets one. */
    private Obstacle outside(Place place) {
        Frame there = Frame.around(place.centre, wish.width() * place.size, wish.height() * place.size);
        double growth = Math.max(1, region.growth(there, place.centre));
        return Obstacle.outside(there.scaled(growth), halfWidth, halfHeight);
    }
}
