package nexa.core.outline;

import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;

/**
 * The photo's own edge in level space; the edge itself is inside. A frame lies inside when its centre does and no part
 * of the edge crosses its interior; in an outline that bends inwards its corners alone say too little.
 */
public sealed interface Outline permits TurnedRectangle, Region {
    /** The corners of the outline in order around it; the first is not repeated at the end. */
    List<Point> corners();

    /** The corners of the smallest convex polygon around it, so that the inside is on the right hand, y down. */
    List<Point> hull();

    /** What frames are centred on that nobody placed. */
    Point middle();

    /** Whether the point is inside or at most {@code slack} (in long edges) outside. */
    boolean contains(Point level, double slack);

    /** Whether the frame is inside or nowhere more than {@code slack} outside. */
    boolean contains(Frame frame, double slack);

    /** Whether a delivered frame shows nothing but photo. */
    default boolean holds(Frame frame) {
        return contains(frame, Tolerance.LENGTH);
    }

    /**
     * The largest factor by which a frame inside can grow from an anchor and still be inside: 1 = it touches the edge
     * already. Infinite if nothing stops it.
     *
     * @param anchor a place in the frame, its edge included, that stays put
     */
    double growth(Frame frame, Point anchor);

    /**
     * How far a side of a frame inside can be pushed before it meets the outline, in multiples of the step. Infinite if
     * it never does.
     *
     * @param oneEnd of the side
     * @param otherEnd of the side
     * @param step away from the frame, square to the side; the zero step meets nothing
     */
    double reach(Point oneEnd, Point otherEnd, Point step);

    /** Each side moved outwards, in long edges. Where an outline bends, for drawing: sides may come to cross. */
    Outline grownBy(double distance);

    /** The places of the outline's level sides. */
    List<Double> levelSides();

    /** The places of the outline's upright sides. */
    List<Double> uprightSides();
}
