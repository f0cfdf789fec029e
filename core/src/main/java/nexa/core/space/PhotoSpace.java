package nexa.core.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Closing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.lens.Lens;
import nexa.core.outline.Outline;
import nexa.core.outline.TurnedRectangle;
import nexa.core.trim.Trim;
import org.jspecify.annotations.Nullable;

/**
 * One photo's spaces and the maps between them; see the package. All that goes from one of them to another is composed
 * here. Immutable.
 */
public final class PhotoSpace {
    private final PixelSize asShot;
    private final Pose pose;

    /** Found when first asked for: that of a bent photo is traced. Several threads may find the same one. */
    private volatile @Nullable Outline outline;

    private volatile @Nullable Outline edge;
    private volatile @Nullable Frame extent;

    /**
     * @param asShot the photo's size in pixels with EXIF orientation applied
     * @param pose of which counts what is followed {@linkplain Pose#on on this photo}
     */
    public PhotoSpace(PixelSize asShot, Pose pose) {
        this.asShot = asShot;
        this.pose = pose.on(asShot);
    }

    /** The photo's size in pixels with EXIF orientation applied. */
    public PixelSize asShot() {
        return asShot;
    }

    public Pose pose() {
        return pose;
    }

    /** Size in upright pixels. A correction changes what is in the picture, not how large it is. */
    public PixelSize upright() {
        return pose.turn().apply(asShot);
    }

    /** Half the upright photo's width and height, in long edges. */
    public Point halfSides() {
        PixelSize size = upright();
        double longEdge = size.longEdge();
        return new Point(size.width() / longEdge / 2, size.height() / longEdge / 2);
    }

    /** The box that shows all of the photo while it is not tilted, in level space; what is pulled very far is not waited for. */
    public Frame extent() {
        Frame known = extent;
        if (known == null) {
            known = PhotoEnds.extent(this);
            extent = known;
        }
        return known;
    }

    /** Where the photo ends: at its own edge, or where it is trimmed. */
    public Outline outline() {
        if (pose.trim().isNone()) {
            return edge();
        }
        Outline known = outline;
        if (known == null) {
            known = PhotoEnds.outline(this, pose.trim());
            outline = known;
        }
        return known;
    }

    /** The whole photo's own edge, its borders included. */
    public Outline edge() {
        Outline known = edge;
        if (known == null) {
            known = PhotoEnds.outline(this, Trim.NONE);
            edge = known;
        }
        return known;
    }

    /** What counts as photo, along its own axes as it is turned, in long edges from the centre. */
    public Frame kept() {
        Frame along = pose.turn().apply(joined(pose.trim().within(asShot)));
        return Frame.around(
                pose.turn().apply(pose.bands().mapping().apply(pose.trim().middle(asShot))),
                along.width(),
                along.height());
    }

    /** A box of the photo as shot without what is left out of it. */
    private Frame joined(Frame asShotBox) {
        Closing closing = pose.bands().mapping();
        return closing.isIdentity()
                ? asShotBox
                : Frame.between(
                        closing.apply(new Point(asShotBox.left(), asShotBox.top())),
                        closing.apply(new Point(asShotBox.right(), asShotBox.bottom())));
    }

    /** How large that is in the photo's pixels; all of {@link #upright()} unless it is trimmed or bands are left out. */
    public PixelSize keptSize() {
        if (!pose.leavesOut()) {
            return upright();
        }
        Frame kept = kept();
        double edge = asShot.longEdge();
        return new PixelSize(Math.max(1, (int) Math.round(kept.width() * edge)), Math.max(1, (int)
                Math.round(kept.height() * edge)));
    }

    TurnedRectangle rectangle() {
        return TurnedRectangle.of(upright(), pose.tilt());
    }

    /** Where frames may lie. */
    public Outline room(boolean outsideAllowed) {
        return outsideAllowed ? rectangle().beyond() : outline();
    }

    private Mapping correction() {
        return pose.correction().mapping();
    }

    /** How many of the photo's pixels one of level space at the photo's own scale is made of: 1 where nothing is stretched. */
    public double density(Point level) {
        return pose.correction().keepsPlaces()
                ? 1
                : Math.abs(asShotToLevel().inverse().tangent(level).determinant());
    }

    // ---- upright pixels ----

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

    // ---- as it is remembered ----

    /** From as shot to level, both in the isotropic unit. */
    public Mapping asShotToLevel() {
        return correction().then(turnedAndTilted());
    }

    Affine turnedAndTilted() {
        return Affine.of(pose.turn()).then(Affine.rotation(pose.tilt()));
    }

    /**
     * A frame of level space as it is remembered: as-shot isotropic unit, its centre tied to the photo's content and its
     * size to how large that content was shot, so that whatever is done to the photo carries it along and undoing it
     * restores it.
     */
    public Frame toAsShot(Frame level) {
        Point centre = pose.tilt().negated().rotate(level.centre());
        return uprightToAsShot(Frame.around(centre, level.width(), level.height()));
    }

    /** The inverse of {@link #toAsShot(Frame)}. */
    public Frame fromAsShot(Frame remembered) {
        Frame upright = asShotToUpright(remembered);
        return Frame.around(pose.tilt().rotate(upright.centre()), upright.width(), upright.height());
    }

    /** A frame along the upright photo's own axes, in long edges from its centre, as it is remembered. */
    public Frame uprightToAsShot(Frame upright) {
        Frame corrected = pose.turn().inverse().apply(upright);
        if (pose.correction().keepsPlaces()) {
            return corrected;
        }
        Point centre = correction().inverse().apply(corrected.centre());
        return sized(centre, corrected, 1 / correction().stretch(centre));
    }

    /** The inverse of {@link #uprightToAsShot}. */
    public Frame asShotToUpright(Frame remembered) {
        return pose.turn().apply(pose.correction().keepsPlaces() ? remembered : corrected(remembered));
    }

    private Frame corrected(Frame remembered) {
        return sized(
                correction().apply(remembered.centre()),
                remembered,
                correction().stretch(remembered.centre()));
    }

    private static Frame sized(Point centre, Frame frame, double factor) {
        return Frame.around(centre, frame.width() * factor, frame.height() * factor);
    }

    /** A point of level space as it is remembered: as-shot isotropic unit, tied to the photo's content. */
    public Point toAsShot(Point level) {
        Point corrected = pose.turn().inverse().apply(pose.tilt().negated().rotate(level));
        return pose.correction().keepsPlaces()
                ? corrected
                : correction().inverse().apply(corrected);
    }

    /** The inverse of {@link #toAsShot(Point)}. */
    public Point fromAsShot(Point remembered) {
        Point corrected =
                pose.correction().keepsPlaces() ? remembered : correction().apply(remembered);
        return pose.tilt().rotate(pose.turn().apply(corrected));
    }

    // ---- pixels ----

    /**
     * Output pixels to stored pixels in one map, for a single resampling. Both in continuous pixel coordinates.
     *
     * @param exif the turn from stored to as shot
     * @param frame the frame in level space
     * @param output the delivered size; its shape may differ from the frame's by rounding
     */
    public Mapping outputToStored(Turn exif, Frame frame, PixelSize output) {
        return outputToAsShot(frame, output).then(asShotToStored(exif));
    }

    /** The same for each colour: where the lens brings them to unlike places, each is read from its own. */
    public ColourMaps outputToStoredColours(Turn exif, Frame frame, PixelSize output) {
        return colours(outputToAsShot(frame, output), asShotToStored(exif));
    }

    /**
     * A frame's edge in stored pixels, clockwise from its top left; straight lines may come out bent there.
     *
     * @param along points on each side, the corner it begins at among them
     */
    public List<Point> edge(Turn exif, Frame frame, int along) {
        Mapping toStored = outputToStored(exif, frame, new PixelSize(along, along));
        List<Point> edge = new ArrayList<>();
        for (int side = 0; side < 4; side++) {
            for (int i = 0; i < along; i++) {
                Point corner = new Point(i - along / 2.0, -along / 2.0);
                Point turned = new Turn(side, false).apply(corner);
                edge.add(toStored.apply(new Point(turned.x() + along / 2.0, turned.y() + along / 2.0)));
            }
        }
        return edge;
    }

    /**
     * Pixels of the corrected photo, before it is turned, to stored pixels, for each colour. Both in continuous pixel
     * coordinates; the corrected photo is as large as the photo as shot.
     */
    public ColourMaps correctedToStoredColours(Turn exif) {
        double edge = asShot.longEdge();
        Affine toUnit = Affine.translation(-asShot.width() / 2.0, -asShot.height() / 2.0)
                .then(Affine.scale(1 / edge, 1 / edge));
        return colours(toUnit.then(correction().inverse()), asShotToStored(exif));
    }

    /**
     * Maps by way of the photo as shot, for each colour from where the lens brings it.
     *
     * @param toAsShot to the isotropic unit of the photo as shot
     * @param toStored from it
     */
    public ColourMaps colours(Mapping toAsShot, Affine toStored) {
        Lens lens = pose.lens();
        Mapping green = toAsShot.then(toStored);
        return new ColourMaps(
                shifted(toAsShot, lens.red(), toStored, green), green, shifted(toAsShot, lens.blue(), toStored, green));
    }

    private static Mapping shifted(Mapping toAsShot, Mapping colour, Affine toStored, Mapping green) {
        return colour.isIdentity() ? green : toAsShot.then(colour).then(toStored);
    }

    private Mapping outputToAsShot(Frame frame, PixelSize output) {
        Affine toCorrected = Affine.scale(frame.width() / output.width(), frame.height() / output.height())
                .then(Affine.translation(frame.left(), frame.top()))
                .then(Affine.rotation(pose.tilt().negated()))
                .then(Affine.of(pose.turn().inverse()));
        return pose.correction().keepsPlaces()
                ? toCorrected
                : toCorrected.then(correction().inverse());
    }

    /** From the isotropic unit of the photo as shot to stored pixels, continuous. */
    public Affine asShotToStored(Turn exif) {
        PixelSize stored = exif.inverse().apply(asShot);
        return Affine.of(exif.inverse())
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

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof PhotoSpace space && asShot.equals(space.asShot) && pose.equals(space.pose);
    }

    @Override
    public int hashCode() {
        return Objects.hash(asShot, pose);
    }

    @Override
    public String toString() {
        return asShot + " " + pose;
    }
}
