package nexa.core.level;

import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Tolerance;
import nexa.core.geometry.Turn;

/**
 * A line drawn along something that ought to be horizontal or vertical. Its ends are in upright pixels.
 *
 * @throws IllegalArgumentException if the ends are the same point, which has no direction
 */
public record LevelLine(Point from, Point to) {
    public LevelLine {
        if (from.distance(to) == 0) {
            throw new IllegalArgumentException("A level line needs two different points");
        }
    }

    /** Between two points; empty if they are the same. */
    public static Optional<LevelLine> between(Point from, Point to) {
        return from.distance(to) == 0 ? Optional.empty() : Optional.of(new LevelLine(from, to));
    }

    /** The same in a picture of another size. */
    public LevelLine times(double scale) {
        return new LevelLine(from.times(scale), to.times(scale));
    }

    /** In pixels. */
    public double length() {
        return from.distance(to);
    }

    /** How far the line leans from the nearer of horizontal and vertical: degrees in (-45, 45], positive = clockwise. */
    public double lean() {
        double degrees = to.minus(from).degrees();
        double beyond = degrees - 90 * Math.floor(degrees / 90); // 0 to 90
        return beyond > 45 ? beyond - 90 : beyond;
    }

    /** Whether {@link #lean} is measured from the vertical. */
    public boolean isPlumb() {
        Point along = to.minus(from);
        return Math.abs(along.y()) > Math.abs(along.x());
    }

    /** The same line on the photo laid down differently; {@code before} is the photo's size until then. */
    public LevelLine turned(Turn turn, PixelSize before) {
        PixelSize after = turn.apply(before);
        UnaryOperator<Point> map = p -> turn.apply(p.minus(middle(before))).plus(middle(after));
        return new LevelLine(map.apply(from), map.apply(to));
    }

    /**
     * The same line where a correction brings it; empty if it makes a point of it, as where it leaves out what the line lies in.
     *
     * @param correction of the isotropic unit
     * @param photo the photo's size, which stays
     */
    public Optional<LevelLine> through(Mapping correction, PixelSize photo) {
        double unit = photo.longEdge();
        UnaryOperator<Point> map = p -> correction
                .apply(p.minus(middle(photo)).times(1 / unit))
                .times(unit)
                .plus(middle(photo));
        if (correction.isIdentity()) {
            return Optional.of(this);
        }
        Point first = map.apply(from);
        Point last = map.apply(to);
        boolean isPoint = first.distance(last) < Tolerance.LENGTH * unit;
        return isPoint ? Optional.empty() : Optional.of(new LevelLine(first, last));
    }

    private static Point middle(PixelSize size) {
        return new Point(size.width() / 2.0, size.height() / 2.0);
    }

    /** The photo's tilt, counted from upright, that makes this line level or plumb. */
    public Tilt tilt() {
        return new Tilt(-lean());
    }
}
