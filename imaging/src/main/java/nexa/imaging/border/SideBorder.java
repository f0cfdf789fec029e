package nexa.imaging.border;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.geometry.StraightLine;
import nexa.core.geometry.Tilt;
import nexa.core.trim.FoundSide;
import nexa.core.trim.Side;

/**
 * A border at one side of a picture.
 *
 * @param points on its inner edge, in the picture's pixels from its centre
 * @param colour blue, green, red and opacity, colour times opacity
 */
record SideBorder(
        Strip strip, Departures departures, EdgeLine line, EdgePlace edge, List<Point> points, float[] colour) {
    /** A border is at least so deep, in pixels. */
    private static final double SHALLOWEST = 1.5;

    private static final int FEWEST_POINTS = 8;

    /** Of two sides that do not meet; a scanner's bed is not lit evenly. */
    private static final double MOST_UNLIKE = 60;

    /** Of two sides where they meet. */
    private static final double SAME = 14;

    private static final double SAME_NOISE = 5;

    /** Looks for one where a side was looked at. */
    static Optional<SideBorder> of(Strip strip, Departures departures) {
        return departures.isEven()
                ? EdgeLine.of(departures).flatMap(line -> placed(strip, departures, line))
                : Optional.empty();
    }

    /** Looks for one that leans as is known from other sides. */
    static Optional<SideBorder> leaning(Strip strip, Departures departures, Tilt lean) {
        boolean rises = strip.side() == Side.RIGHT || strip.side() == Side.TOP;
        double tangent = Math.tan(Math.toRadians(lean.degrees())) * strip.length() / strip.lines();
        return departures.isEven()
                ? EdgeLine.along(departures, rises ? tangent : -tangent)
                        .flatMap(line -> placed(strip, departures, line))
                : Optional.empty();
    }

    private static Optional<SideBorder> placed(Strip strip, Departures departures, EdgeLine line) {
        EdgePlace place = new EdgePlace(strip, departures, line);
        SideBorder found = new SideBorder(strip, departures, line, place, place.points(), departures.colour());
        return Optional.of(found)
                .filter(border -> border.points.size() >= FEWEST_POINTS && border.depth() >= SHALLOWEST);
    }

    Side side() {
        return strip.side();
    }

    /** In the middle of the side, in pixels. */
    double depth() {
        return line.at(strip.lines() / 2 - departures.from());
    }

    /** How its inner edge leans, in degrees, positive = clockwise. */
    double lean() {
        StraightLine through = StraightLine.through(points);
        return Math.toDegrees(
                side().isUpright() ? Math.atan(through.ny() / through.nx()) : Math.atan(-through.nx() / through.ny()));
    }

    /** How much its lean tells. */
    double weight() {
        return points.size() * Math.pow(strip.length(), 2) / Math.max(1, edge.width());
    }

    /** Its place along axes that lean: the mean of its points'. */
    double place(Tilt lean) {
        return points.stream()
                .map(lean.negated()::rotate)
                .mapToDouble(p -> side().isUpright() ? p.x() : p.y())
                .average()
                .orElseThrow();
    }

    FoundSide evidence(double depth) {
        float opacity = colour[3];
        double part = opacity < 1 ? 0 : 255 / opacity;
        return new FoundSide(
                depth,
                channel(colour[2] * part),
                channel(colour[1] * part),
                channel(colour[0] * part),
                channel(opacity),
                departures.noise(),
                line.on(),
                edge.isSoft());
    }

    private static int channel(double value) {
        return (int) Math.clamp(Math.round(value), 0, 255);
    }

    /** Whether two sides' borders may be one: alike where they meet, or all in all if they do not. */
    boolean isLike(SideBorder other) {
        if (side() == other.side().opposite()) {
            return difference(colour, other.colour) <= MOST_UNLIKE;
        }
        double noise = Math.max(departures.noise(), other.departures.noise());
        return difference(colourAt(other.side()), other.colourAt(side())) <= SAME + SAME_NOISE * noise;
    }

    /** The border's colour at the end that is nearer to another side. */
    private float[] colourAt(Side end) {
        return departures.colour(end.isFar() ? departures.count() - 1 : 0);
    }

    private static double difference(float[] one, float[] other) {
        double sum = 0;
        for (int c = 0; c < one.length; c++) {
            sum += Math.pow(one[c] - other[c], 2);
        }
        return Math.sqrt(sum);
    }
}
