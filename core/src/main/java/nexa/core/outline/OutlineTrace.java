package nexa.core.outline;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;

/** Follows a polygon's sides through a mapping; where they come out bent, as short straight pieces. */
public final class OutlineTrace {
    /** A side is halved at most so often: 4096 pieces. */
    private static final int MOST_HALVINGS = 12;

    private final Mapping mapping;
    private final double tolerance;
    private final List<Point> corners = new ArrayList<>();

    private OutlineTrace(Mapping mapping, double tolerance) {
        this.mapping = mapping;
        this.tolerance = tolerance;
    }

    /**
     * The corners of what a polygon becomes.
     *
     * @param polygon its corners in order
     * @param tolerance how far the pieces may stray from the curve, in the mapped space's unit
     */
    public static List<Point> corners(List<Point> polygon, Mapping mapping, double tolerance) {
        OutlineTrace trace = new OutlineTrace(mapping, tolerance);
        boolean straight = !mapping.bends();
        for (int i = 0; i < polygon.size(); i++) {
            Point from = polygon.get(i);
            Point to = polygon.get((i + 1) % polygon.size());
            trace.follow(new Piece(from, mapping.apply(from), to, mapping.apply(to), straight ? 0 : MOST_HALVINGS));
        }
        return List.copyOf(trace.corners);
    }

    /**
     * A part of a side that may still be bent.
     *
     * @param halvings how often it may be halved
     */
    private record Piece(Point from, Point mappedFrom, Point to, Point mappedTo, int halvings) {}

    /** Adds the side's beginning and what is needed between; its end is the next side's beginning. */
    private void follow(Piece side) {
        Deque<Piece> ahead = new ArrayDeque<>();
        ahead.push(side);
        while (!ahead.isEmpty()) {
            Piece piece = ahead.pop();
            if (piece.halvings == 0 || isFlat(piece)) {
                corners.add(piece.mappedFrom);
            } else {
                Point middle = halfway(piece.from, piece.to);
                Point mapped = mapping.apply(middle);
                ahead.push(new Piece(middle, mapped, piece.to, piece.mappedTo, piece.halvings - 1));
                ahead.push(new Piece(piece.from, piece.mappedFrom, middle, mapped, piece.halvings - 1));
            }
        }
    }

    /** A curve that swings to both sides may cross its chord in the middle: its quarters are looked at too. */
    private boolean isFlat(Piece piece) {
        Point middle = halfway(piece.from, piece.to);
        for (Point between : List.of(halfway(piece.from, middle), halfway(middle, piece.to), middle)) {
            if (!near(mapping.apply(between), piece.mappedFrom, piece.mappedTo)) {
                return false;
            }
        }
        return true;
    }

    private static Point halfway(Point from, Point to) {
        return from.plus(to).times(0.5);
    }

    private boolean near(Point p, Point from, Point to) {
        Point along = to.minus(from);
        Point out = p.minus(from);
        double square = along.x() * along.x() + along.y() * along.y();
        double cross = along.x() * out.y() - along.y() * out.x();
        return square == 0 ? out.length() <= tolerance : cross * cross <= tolerance * tolerance * square;
    }
}
