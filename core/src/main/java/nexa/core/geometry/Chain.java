package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Several mappings one after the other. Neighbours that one mapping can stand for have been merged, so there are at
 * least two, none of them a chain.
 */
public record Chain(List<Mapping> steps) implements Mapping {
    public Chain {
        steps = List.copyOf(steps);
    }

    /** One mapping and then the other, merged as far as can be. */
    static Mapping of(Mapping first, Mapping next) {
        List<Mapping> merged = new ArrayList<>();
        steps(first).forEach(step -> append(merged, step));
        steps(next).forEach(step -> append(merged, step));
        return merged.isEmpty() ? Affine.IDENTITY : merged.size() == 1 ? merged.getFirst() : new Chain(merged);
    }

    private static List<Mapping> steps(Mapping mapping) {
        return mapping instanceof Chain(List<Mapping> steps) ? steps : List.of(mapping);
    }

    private static void append(List<Mapping> merged, Mapping step) {
        if (step.isIdentity()) {
            return;
        }
        if (merged.isEmpty()) {
            merged.add(step);
            return;
        }
        Mapping last = merged.getLast();
        if (last instanceof Radial radial && radial.inverse().equals(step)) {
            merged.removeLast();
        } else if (last.bends() || step.bends()) {
            merged.add(step);
        } else {
            merged.removeLast();
            append(merged, straight(last, step));
        }
    }

    /** Of two mappings that keep straight lines straight. */
    private static Mapping straight(Mapping first, Mapping next) {
        return first instanceof Affine one && next instanceof Affine other
                ? one.then(other)
                : projective(first).then(projective(next));
    }

    private static Projective projective(Mapping straight) {
        return straight instanceof Affine map ? Projective.of(map) : (Projective) straight;
    }

    @Override
    public Point apply(Point p) {
        Point at = p;
        for (Mapping step : steps) {
            at = step.apply(at);
        }
        return at;
    }

    @Override
    public void map(double[] xs, double[] ys, int count) {
        steps.forEach(step -> step.map(xs, ys, count));
    }

    @Override
    public boolean breaks() {
        return steps.stream().anyMatch(Mapping::breaks);
    }

    @Override
    public Chain inverse() {
        return new Chain(steps.reversed().stream().map(Mapping::inverse).toList());
    }

    @Override
    public Affine tangent(Point at) {
        Point there = at;
        Affine tangent = Affine.IDENTITY;
        for (Mapping step : steps) {
            tangent = tangent.then(step.tangent(there));
            there = step.apply(there);
        }
        return tangent;
    }
}
