package nexa.shoot.handover;

import java.nio.file.Path;
import java.util.Optional;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.print.OutputSize;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.core.trim.Trim;
import nexa.imaging.blocks.BlockCut.Grid;
import nexa.imaging.blocks.BlockCut.Part;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.UnreadablePhotoException;

/**
 * A cut on a JPEG's own grid, as near to a frame as the grid allows.
 *
 * @param part of the stored pixels
 * @param shift by which the frame moves to the grid, in level space
 * @param pixels the same as a distance in the photo's pixels
 */
public record Untouched(Part part, Point shift, double pixels) {
    /** Empty if the format doesn't want it, or pixels would have to change, or the file is of another kind. */
    static Optional<Untouched> of(Delivery delivery, PhotoCodecs codecs) {
        return isPossible(delivery) ? grid(delivery, codecs).flatMap(grid -> on(grid, delivery)) : Optional.empty();
    }

    private static boolean isPossible(Delivery delivery) {
        FileSettings files = delivery.format().files();
        PhotoFacts facts = Rendering.facts(delivery);
        boolean wanted = files.packing().untouched()
                && files.packing().mostKilobytes() == 0
                && files.type() == FileType.JPEG
                && files.colour().equals(DeliveredColour.KEEP)
                && delivery.steps().isNone();
        return wanted
                && delivery.framing().pose().withTrim(Trim.NONE).equals(Pose.AS_SHOT)
                && delivery.size().equals(OutputSize.natural(delivery.frame(), facts.asShot()))
                && new PhotoSpace(facts.asShot(), delivery.framing().pose())
                        .outline()
                        .holds(delivery.frame());
    }

    private static Optional<Grid> grid(Delivery delivery, PhotoCodecs codecs) {
        try {
            Path file = delivery.source();
            return codecs.of(file, Rendering.facts(delivery)).grid(file);
        } catch (UnreadablePhotoException ofAnotherKind) { // said where it is rendered
            return Optional.empty();
        }
    }

    private static Optional<Untouched> on(Grid grid, Delivery delivery) {
        PhotoFacts facts = Rendering.facts(delivery);
        PixelSize stored = facts.decodedToAsShot().inverse().apply(facts.asShot());
        PixelSize size = facts.decodedToAsShot().inverse().apply(delivery.size());
        Mapping toStored = new PhotoSpace(facts.asShot(), Pose.AS_SHOT)
                .outputToStored(facts.decodedToAsShot(), delivery.frame(), delivery.size());
        Point one = toStored.apply(new Point(0, 0));
        Point other = toStored.apply(
                new Point(delivery.size().width(), delivery.size().height()));
        double left = Math.min(one.x(), other.x());
        double top = Math.min(one.y(), other.y());
        int x = nearest(left, grid.width(), stored.width() - size.width());
        int y = nearest(top, grid.height(), stored.height() - size.height());
        if (x < 0 || y < 0) {
            return Optional.empty();
        }
        Point moved = new Point(x - left, y - top);
        Point shift = facts.decodedToAsShot().apply(moved).times(1.0 / stored.longEdge());
        return Optional.of(
                new Untouched(new Part(x, y, size.width(), size.height()), shift, Math.hypot(moved.x(), moved.y())));
    }

    /** On the grid, and so that the part stays inside; negative if it is larger than the photo. */
    private static int nearest(double place, int unit, int last) {
        int nearest = (int) Math.round(Math.max(0, place) / unit) * unit;
        return nearest <= last ? nearest : Math.floorDiv(last, unit) * unit;
    }
}
