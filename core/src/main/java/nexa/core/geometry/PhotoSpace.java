package nexa.core.geometry;

import java.util.List;

/**
 * One photo's spaces and the maps between them.
 *
 * @param asShot the photo's size in pixels with EXIF orientation applied
 */
public record PhotoSpace(PixelSize asShot, Pose pose) {

    /** Size in upright pixels. */
    public PixelSize upright() {
        return pose.turn().apply(asShot);
    }

    public Outline outline() {
        return Outline.of(upright(), pose.tilt());
    }

    /** Where frames may lie. */
    public Outline room(boolean outsideAllowed) {
        return outsideAllowed ? outline().beyond() : outline();
    }

    /** Level space (long edges) to upright pixels. */
    public Point toUpright(Point level) {
        PixelSize size = upright();
        Point p = pose.tilt().negated().rotate(level).times(size.longEdge());
        return new Point(p.x() + size.width() / 2.0, p.y() + size.height() / 2.0);
    }

    /** Upright pixels to level space (long edges). */
    public Point toLevel(Point upright) {
        PixelSize size = upright();
        Point p = new Point(upright.x() - size.width() / 2.0, upright.y() - size.height() / 2.0);
        return pose.tilt().rotate(p.times(1.0 / size.longEdge()));
    }

    /** A frame's corners in upright pixels: top left, top right, bottom right, bottom left. */
    public List<Point> toUpright(Frame level) {
        return level.corners().stream().map(this::toUpright).toList();
    }

    /**
     * A frame of level space as it is remembered: as-shot isotropic unit, its centre tied to the photo's content, so
     * that tilting and turning carry it along and undoing them restores it.
     */
    public Frame toAsShot(Frame level) {
        Point centre = pose.tilt().negated().rotate(level.centre());
        return pose.turn().inverse().apply(Frame.around(centre, level.width(), level.height()));
    }

    /** The inverse of {@link #toAsShot(Frame)}. */
    public Frame fromAsShot(Frame remembered) {
        Frame upright = pose.turn().apply(remembered);
        return Frame.around(pose.tilt().rotate(upright.centre()), upright.width(), upright.height());
    }

    /** A point of level space as it is remembered: as-shot isotropic unit, tied to the photo's content. */
    public Point toAsShot(Point level) {
        return pose.turn().inverse().apply(pose.tilt().negated().rotate(level));
    }

    /** The inverse of {@link #toAsShot(Point)}. */
    public Point fromAsShot(Point remembered) {
        return pose.tilt().rotate(pose.turn().apply(remembered));
    }

    /**
     * Output pixels to stored pixels in one map, for a single resampling. Both in continuous pixel coordinates.
     *
     * @param exif the turn from stored to as shot
     * @param frame the frame in level space
     * @param output the delivered size; its shape may differ from the frame's by rounding
     */
    public Affine outputToStored(Turn exif, Frame frame, PixelSize output) {
        PixelSize stored = exif.inverse().apply(asShot);
        return Affine.scale(frame.width() / output.width(), frame.height() / output.height())
                .then(Affine.translation(frame.left(), frame.top()))
                .then(Affine.rotation(pose.tilt().negated()))
                .then(Affine.of(exif.then(pose.turn()).inverse()))
                .then(Affine.scale(stored.longEdge(), stored.longEdge()))
                .then(Affine.translation(stored.width() / 2.0, stored.height() / 2.0));
    }

    /** The photo's own corners in output pixels of a frame: where the delivered picture shows the photo. */
    public List<Point> toOutput(Frame frame, PixelSize output) {
        return outline().corners().stream()
                .map(corner -> new Point(
                        (corner.x() - frame.left()) / frame.width() * output.width(),
                        (corner.y() - frame.top()) / frame.height() * output.height()))
                .toList();
    }
}
