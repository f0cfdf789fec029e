package nexa.shoot.trim;

import nexa.core.brief.Framing;
import nexa.core.geometry.Tilt;
import nexa.core.space.Pose;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.imaging.border.BorderFinder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** Finds photos' borders. Decodes, so not for the interface's thread; changes nothing. */
public final class AutoTrimmer {
    /** An edge is found to a tenth of a pixel of such a picture; more pixels bring time and no more. */
    private static final int LONG_EDGE = 1500;

    private AutoTrimmer() {}

    /**
     * What is found of a readable photo as it was shot; what is asked of it plays no part. Depths are in its own pixels.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static TrimFinding find(Shoot shoot, Photo photo) throws UnreadablePhotoException {
        PhotoFacts facts = photo.facts().orElseThrow();
        try (Picture picture = shoot.previewMaker().transparent(shoot.fileOf(photo), facts, LONG_EDGE)) {
            return BorderFinder.find(picture, facts.asShot().longEdge());
        }
    }

    /** A framing with a trim; a photo that nobody tilted is laid straight if the trim lies crooked. */
    public static Framing trimmed(Framing before, Trim trim) {
        Pose pose = before.pose();
        boolean straightens = pose.tilt().isNone() && !trim.lean().isNone();
        return before.withPose(pose.withTrim(trim).withTilt(straightens ? straight(pose, trim) : pose.tilt()));
    }

    /** The tilt that lays a trim straight in a photo as it is turned. */
    public static Tilt straight(Pose pose, Trim trim) {
        return pose.turn().mirrored() ? trim.lean() : trim.lean().negated();
    }
}
