package nexa.core.exact;

import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.told.InvalidException;

/**
 * A frame's numbers, and frames from numbers. Places count from the top left corner that the upright photo has without
 * tilt, x to the right and y down. Frames are in level space and come back as asked: whoever uses them fits them.
 *
 * @param photo the upright photo's pixels
 * @param ppi pixels per inch of the print, for lengths
 */
public record Measure(PixelSize photo, Reference reference, Unit unit, double ppi) {
    /** @throws IllegalArgumentException if ppi is not positive */
    public Measure {
        if (!(ppi > 0)) {
            throw new InvalidException("told.exact.print-more-than-pixels-per", ppi);
        }
    }

    public double x(Frame frame) {
        double level = frame.at(reference.x, reference.y).x();
        return (level * photo.longEdge() + photo.width() / 2.0) / unitAcross();
    }

    public double y(Frame frame) {
        double level = frame.at(reference.x, reference.y).y();
        return (level * photo.longEdge() + photo.height() / 2.0) / unitDown();
    }

    public double width(Frame frame) {
        return frame.width() * photo.longEdge() / unitAcross();
    }

    public double height(Frame frame) {
        return frame.height() * photo.longEdge() / unitDown();
    }

    /** Moved sideways so that its reference point is at x. */
    public Frame withX(Frame frame, double x) {
        return frame.movedBy(new Point((x - x(frame)) * unitAcross() / photo.longEdge(), 0));
    }

    /** Moved up or down so that its reference point is at y. */
    public Frame withY(Frame frame, double y) {
        return frame.movedBy(new Point(0, (y - y(frame)) * unitDown() / photo.longEdge()));
    }

    /**
     * As wide as asked, about its reference point.
     *
     * @param keepsShape whether the height follows
     * @throws IllegalArgumentException if the width is not positive
     */
    public Frame withWidth(Frame frame, double width, boolean keepsShape) {
        double wide = width * unitAcross() / photo.longEdge();
        return sized(frame, wide, keepsShape ? wide / frame.aspect() : frame.height());
    }

    /**
     * As high as asked, about its reference point.
     *
     * @param keepsShape whether the width follows
     * @throws IllegalArgumentException if the height is not positive
     */
    public Frame withHeight(Frame frame, double height, boolean keepsShape) {
        double high = height * unitDown() / photo.longEdge();
        return sized(frame, keepsShape ? high * frame.aspect() : frame.width(), high);
    }

    private Frame sized(Frame frame, double width, double height) {
        Point fixed = frame.at(reference.x, reference.y);
        return new Frame(
                fixed.x() + (0.5 - reference.x) * width, fixed.y() + (0.5 - reference.y) * height, width, height);
    }

    private double unitAcross() {
        return unit.pixels(ppi, photo.width());
    }

    private double unitDown() {
        return unit.pixels(ppi, photo.height());
    }
}
