package nexa.core.mark;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.space.PhotoSpace;
import nexa.core.told.InvalidException;

/**
 * The subject points of one photo: none; one for a place; or two, such as a pot's top and foot, for place, size and
 * angle.
 *
 * @param points remembered as {@link PhotoSpace#toAsShot(Point)} has them, so that they stay on the photo's content
 */
public record Marks(List<Point> points) {
    public static final Marks NONE = new Marks(List.of());
    public static final int MOST = 2;

    /** Nearer to each other, in long edges, two marks are one. */
    public static final double NEAREST = 0.002;

    /** @throws IllegalArgumentException if there are more than two, if two are the same or one is not finite */
    public Marks {
        points = List.copyOf(points);
        if (points.size() > MOST) {
            throw new InvalidException("told.mark.photo-one-or-two-marks", points.size());
        }
        if (points.size() == MOST && points.getFirst().distance(points.getLast()) < NEAREST) {
            throw new InvalidException("told.mark.two-marks-same-place");
        }
        if (points.stream().anyMatch(p -> !Double.isFinite(p.x() + p.y()))) {
            throw new InvalidException("told.mark.mark-two-numbers");
        }
    }

    /** From points in level space. */
    public static Marks of(PhotoSpace space, List<Point> level) {
        return new Marks(level.stream().map(space::toAsShot).toList());
    }

    /** In level space as the photo is held. Two between which all is left out are one. */
    public List<Point> in(PhotoSpace space) {
        List<Point> level = points.stream().map(space::fromAsShot).toList();
        boolean areOne = level.size() == MOST && level.getFirst().distance(level.getLast()) < Tolerance.LENGTH;
        return areOne ? level.subList(0, 1) : level;
    }

    /** The text that {@link #parse} reads back: {@code x,y;x,y}. */
    public String text() {
        return text(points);
    }

    static String text(List<Point> points) {
        return points.stream().map(p -> p.x() + "," + p.y()).collect(Collectors.joining(";"));
    }

    /**
     * Reads {@code x,y;x,y} or nothing.
     *
     * @throws IllegalArgumentException if it is something else
     */
    public static Marks parse(String text) {
        return new Marks(points(text));
    }

    static List<Point> points(String text) {
        List<Point> points = new ArrayList<>();
        for (String pair : text.isBlank() ? new String[0] : text.split(";")) {
            String[] numbers = pair.split(",");
            if (numbers.length != 2) {
                throw new InvalidException("told.mark.no-mark-two-numbers-with", pair);
            }
            points.add(new Point(Double.parseDouble(numbers[0]), Double.parseDouble(numbers[1])));
        }
        return points;
    }

    public boolean isEmpty() {
        return points.isEmpty();
    }

    public int count() {
        return points.size();
    }

    /** The one mark, or the point half way between two. */
    public static Point middle(List<Point> marks) {
        return marks.getFirst().plus(marks.getLast()).times(0.5);
    }
}
