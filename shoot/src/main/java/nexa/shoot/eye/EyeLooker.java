package nexa.shoot.eye;

import java.util.List;
import nexa.core.eye.GlowingEye;
import nexa.imaging.eye.GlowFinder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** Looks for red eyes in photos. Decodes, so not for the interface's thread; changes nothing. */
public final class EyeLooker {
    /** In fewer pixels the pupils of a group are too small. */
    private static final int LONG_EDGE = 3000;

    private EyeLooker() {}

    /**
     * The red eyes of the people in a readable photo.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static List<GlowingEye> find(Shoot shoot, Photo photo) throws UnreadablePhotoException {
        try (Picture picture =
                shoot.previewMaker().picture(shoot.fileOf(photo), photo.facts().orElseThrow(), LONG_EDGE)) {
            return GlowFinder.find(picture);
        }
    }
}
