package nexa.shoot.trim;

import java.util.List;
import java.util.Optional;
import nexa.core.brief.Alternate;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.imaging.border.BandFinder;
import nexa.imaging.border.BorderFinder;
import nexa.imaging.border.PictureSplit;
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

    /**
     * The pictures of a scan that holds several, in its own unit as shot; fewer than two if it is none.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static List<Trim> pieces(Shoot shoot, Photo photo) throws UnreadablePhotoException {
        try (Picture picture = shoot.previewMaker()
                .transparent(shoot.fileOf(photo), photo.facts().orElseThrow(), LONG_EDGE)) {
            return PictureSplit.pieces(picture);
        }
    }

    /**
     * A crop for each piece of a scan: the first is placed, and all are kept as alternates with their numbers as names.
     *
     * @param asShot the scan's size
     * @param pieces at least one
     */
    public static Framing split(PixelSize asShot, Framing before, Format format, List<Trim> pieces) {
        Framing after = before.withPose(before.pose().withTrim(Trim.NONE));
        for (int i = 0; i < pieces.size(); i++) {
            after = after.keeping(
                    format, new Alternate(String.valueOf(i + 1), crop(asShot, before, format, pieces.get(i))));
        }
        return after.withCrop(format, crop(asShot, before, format, pieces.getFirst()));
    }

    /** The largest of the format in a piece; where the format is as the photo, in the piece's own shape. */
    private static Crop crop(PixelSize asShot, Framing before, Format format, Trim piece) {
        PhotoSpace space = new PhotoSpace(asShot, before.pose().withTrim(piece));
        PixelSize size = space.keptSize();
        Crop crop = new Crop(space.toAsShot(Derivation.largest(space, format)));
        return format.shape().equals(Shape.AS_PHOTO)
                ? crop.withOwnShape(Optional.of(new Shape.Ratio(size.width(), size.height())))
                : crop;
    }

    /**
     * Bands of one colour inside a photo, where pictures lie on both sides, as shot and between its own pixels.
     *
     * @param trim inside which they are looked for
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static Bands bands(Shoot shoot, Photo photo, Trim trim) throws UnreadablePhotoException {
        PhotoFacts facts = photo.facts().orElseThrow();
        try (Picture picture = shoot.previewMaker()
                .transparent(shoot.fileOf(photo), facts, facts.asShot().longEdge())) {
            return BandFinder.find(picture, trim);
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
