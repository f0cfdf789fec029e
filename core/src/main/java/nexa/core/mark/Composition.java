package nexa.core.mark;

import java.util.List;
import java.util.stream.IntStream;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.outline.Outline;
import nexa.core.told.InvalidException;

/**
 * Where the marks lie in a frame, to be had again in other frames, also of another shape: two marks then lie at the
 * same fractions of the frame's width and height, and so does one, in a frame of the same area.
 *
 * @param places of one or two marks in fractions of the frame, (0, 0) = top left; a place may lie outside
 * @param size square root of the frame's area in long edges; counts where there is only one mark
 */
public record Composition(List<Point> places, double size) {
    /** @throws IllegalArgumentException if there is no place, more than two, two that are the same, or no size */
    public Composition {
        places = List.copyOf(places);
        boolean count = places.size() == 1 || places.size() == Marks.MOST;
        boolean finite = places.stream().allMatch(place -> Double.isFinite(place.x() + place.y()));
        if (!count || !finite || !(size > 0) || areOne(places)) {
            throw new InvalidException("told.mark.composition-where-marks-lie-frame");
        }
    }

    /** Marks that are two on the photo are so in every frame, however near in fractions of a large one. */
    private static boolean areOne(List<Point> places) {
        return places.size() > 1 && places.getFirst().equals(places.getLast());
    }

    /** The text that {@link #parse} reads back: the size, a colon, and the places as marks are written. */
    public String text() {
        return size + ":" + Marks.text(places);
    }

    /** @throws IllegalArgumentException if the text is something else */
    public static Composition parse(String text) {
        int colon = text.indexOf(':');
        if (colon < 0) {
            throw new InvalidException("told.mark.no-composition-size-colon-places", text);
        }
        return new Composition(Marks.points(text.substring(colon + 1)), Double.parseDouble(text.substring(0, colon)));
    }

    /**
     * The composition of a frame.
     *
     * @param marks at least one, in level space
     */
    public static Composition of(Frame frame, List<Point> marks) {
        return new Composition(
                marks.stream().map(mark -> fraction(frame, mark)).toList(), Math.sqrt(frame.width() * frame.height()));
    }

    /** Where a point of level space lies in a frame, in fractions of its sides. */
    public static Point fraction(Frame frame, Point level) {
        return new Point((level.x() - frame.left()) / frame.width(), (level.y() - frame.top()) / frame.height());
    }

    /** Whether the marks are enough: one for a composition of one mark, two for one of two. */
    public boolean suits(List<Point> marks) {
        return marks.size() >= places.size();
    }

    /**
     * The frame in which the marks lie as they do here: its size makes two marks as far apart, its place puts the point
     * half way between them where it is here.
     *
     * @param marks in level space, enough of them
     */
    public Frame frame(List<Point> marks, double aspect) {
        double height = height(marks, aspect);
        return about(marks, height * aspect, height);
    }

    /** The same, but no larger than a photo has room for. It may still have to be moved into the photo. */
    public Frame frame(Outline room, List<Point> marks, double aspect) {
        Frame exact = frame(marks, aspect);
        double scale = Math.min(1, Fit.largestScale(room, exact.width(), exact.height()));
        return about(marks, exact.width() * scale, exact.height() * scale);
    }

    /** The frame of a given size whose place is right. */
    public Frame about(List<Point> marks, double width, double height) {
        Point place = Marks.middle(places).minus(new Point(0.5, 0.5));
        return Frame.around(Marks.middle(marks).minus(new Point(place.x() * width, place.y() * height)), width, height);
    }

    private double height(List<Point> marks, double aspect) {
        return places.size() == 1
                ? size / Math.sqrt(aspect)
                : marks.getFirst().distance(marks.getLast()) / way(aspect).length();
    }

    /** From the first to the second mark in frame heights. */
    private Point way(double aspect) {
        Point fractions = places.getLast().minus(places.getFirst());
        return new Point(fractions.x() * aspect, fractions.y());
    }

    /**
     * The tilt at which two marks lie in the same direction as here; the present one if there is only one mark here.
     *
     * @param marks in level space at the present tilt
     */
    public Tilt tilt(Tilt present, List<Point> marks, double aspect) {
        if (places.size() == 1) {
            return present;
        }
        double lean =
                way(aspect).degrees() - marks.getLast().minus(marks.getFirst()).degrees();
        return Tilt.clamped(present.degrees() + Math.IEEEremainder(lean, 360));
    }

    /** How far the mark that is worst off lies from its place, in fractions of the frame. */
    public double error(Frame frame, List<Point> marks) {
        if (places.size() == 1) {
            return fraction(frame, Marks.middle(marks)).distance(places.getFirst());
        }
        return IntStream.range(0, places.size())
                .mapToDouble(i -> fraction(frame, marks.get(i)).distance(places.get(i)))
                .max()
                .orElseThrow();
    }
}
