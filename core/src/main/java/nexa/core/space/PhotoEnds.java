package nexa.core.space;

import java.util.List;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.outline.Outline;
import nexa.core.outline.Region;
import nexa.core.outline.TurnedRectangle;
import nexa.core.trim.Trim;

/** Where a photo ends in level space. A photo's space asks once and keeps the answer. */
final class PhotoEnds {
    /** In halves of the photo's sides. */
    private static final double FARTHEST_SHOWN = 1.8;

    private PhotoEnds() {}

    /** @param trim that ends the photo, whatever that of its pose is */
    static Outline outline(PhotoSpace space, Trim trim) {
        Correction correction = space.pose().correction();
        boolean plain = correction.keepsPlaces();
        if (plain && trim.isNone()) {
            return space.rectangle();
        }
        Point middle = trim.isNone() ? Point.ORIGIN : space.fromAsShot(trim.middle(space.asShot()));
        if (plain) {
            return new Region(
                    trim.corners(space.asShot()).stream().map(space::fromAsShot).toList(), middle);
        }
        Mapping straight = correction.plumbMapping().then(space.turnedAndTilted());
        List<Point> corners = correction.lensOutline().corners(space.asShot(), trim, mostStretch(space));
        return new Region(corners.stream().map(straight::apply).toList(), middle);
    }

    /** By how much a plumb stretches, at most: at one of the photo's corners, where it also reaches farthest. */
    private static double mostStretch(PhotoSpace space) {
        Correction correction = space.pose().correction();
        return TurnedRectangle.of(space.asShot(), Tilt.NONE).corners().stream()
                .map(correction.lensMapping()::apply)
                .mapToDouble(corner -> correction.plumbMapping().tangent(corner).largestStretch())
                .max()
                .orElseThrow();
    }

    /** The box that shows all of the photo while it is not tilted; what is pulled very far is not waited for. */
    static Frame extent(PhotoSpace space) {
        Point half = space.halfSides();
        if (space.pose().correction().keepsPlaces()) {
            return new Frame(0, 0, 2 * half.x(), 2 * half.y());
        }
        double left = 0;
        double right = 0;
        double top = 0;
        double bottom = 0;
        for (Point tilted : space.edge().hull()) {
            Point corner = space.pose().tilt().negated().rotate(tilted);
            left = Math.min(left, corner.x());
            right = Math.max(right, corner.x());
            top = Math.min(top, corner.y());
            bottom = Math.max(bottom, corner.y());
        }
        left = Math.max(left, -FARTHEST_SHOWN * half.x());
        right = Math.min(right, FARTHEST_SHOWN * half.x());
        top = Math.max(top, -FARTHEST_SHOWN * half.y());
        bottom = Math.min(bottom, FARTHEST_SHOWN * half.y());
        return new Frame((left + right) / 2, (top + bottom) / 2, right - left, bottom - top);
    }
}
