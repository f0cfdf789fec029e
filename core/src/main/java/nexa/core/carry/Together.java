package nexa.core.carry;

import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.space.PhotoSpace;

/**
 * Changes the frames of several photos by the same relative amount. What each photo is asked for goes all the way, also
 * beyond its edge, and only what shows is kept inside; so whatever a photo could not follow is there again when the
 * change goes back.
 */
public record Together(Format format, Brief brief) {

    /**
     * What is asked of a photo after a change.
     *
     * @param start what was asked of it before; comes back when nothing is left of the change
     */
    public Framing apply(PixelSize asShot, Framing start, Change change) {
        if (change.isNone()) {
            return start;
        }
        PhotoSpace space = new PhotoSpace(asShot, start.pose());
        Framing tilted = start.withPose(
                start.pose().withTilt(Tilt.clamped(start.pose().tilt().degrees() + change.tilt())));
        if (change.leavesFrame()) {
            return tilted;
        }
        Frame frame = Derivation.frame(space, start, format, brief);
        Crop crop = start.crop(format).orElseGet(() -> new Crop(space.toAsShot(frame)));
        Crop changed = crop.withWish(space.toAsShot(changed(frame, change)));
        return tilted.withCrop(format, change.swapped() ? Derivation.keepingItsWay(space, changed, format) : changed);
    }

    private static Frame changed(Frame frame, Change change) {
        Frame laid = change.swapped() ? Frame.around(frame.centre(), frame.height(), frame.width()) : frame;
        return laid.movedBy(new Point(change.right() * frame.width(), change.down() * frame.height()))
                .scaled(change.size());
    }
}
