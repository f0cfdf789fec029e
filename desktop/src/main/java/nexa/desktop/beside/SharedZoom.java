package nexa.desktop.beside;

import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;

/**
 * Which part of several frames is seen, the same of each.
 *
 * @param factor 1 = the whole frame, 2 = half of it along each side
 * @param centre of the part, in parts of the frame from 0 to 1
 */
public record SharedZoom(double factor, Point centre) {
    private static final double MOST = 32;

    /** All of each frame. */
    public static final SharedZoom WHOLE = new SharedZoom(1, new Point(0.5, 0.5));

    public SharedZoom {
        factor = Math.clamp(factor, 1, MOST);
        double margin = 0.5 / factor;
        centre = new Point(Math.clamp(centre.x(), margin, 1 - margin), Math.clamp(centre.y(), margin, 1 - margin));
    }

    public boolean isWhole() {
        return factor == 1;
    }

    /** The part of a frame that is seen, in the frame's space. */
    public Frame of(Frame frame) {
        double half = 0.5 / factor;
        return Frame.between(
                frame.at(centre.x() - half, centre.y() - half), frame.at(centre.x() + half, centre.y() + half));
    }

    /**
     * Closer by a factor; what is at a place stays there.
     *
     * @param at in parts of what is seen, from 0 to 1
     */
    public SharedZoom by(double closer, Point at) {
        return to(factor * closer, at);
    }

    /** The same, with a factor to arrive at. */
    public SharedZoom to(double other, Point at) {
        double next = Math.clamp(other, 1, MOST);
        Point kept = inFrame(at);
        return new SharedZoom(next, new Point(kept.x() - (at.x() - 0.5) / next, kept.y() - (at.y() - 0.5) / next));
    }

    /** What is seen moves by parts of itself. */
    public SharedZoom movedBy(double right, double down) {
        return new SharedZoom(factor, new Point(centre.x() - right / factor, centre.y() - down / factor));
    }

    private Point inFrame(Point at) {
        return new Point(centre.x() + (at.x() - 0.5) / factor, centre.y() + (at.y() - 0.5) / factor);
    }
}
