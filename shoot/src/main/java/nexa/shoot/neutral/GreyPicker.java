package nexa.shoot.neutral;

import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.neutral.GreySpot;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** Reads what a place of a photo says of its light. Decodes, so not for the interface's thread; changes nothing. */
public final class GreyPicker {
    /** Of the picture that is read: its pixels are means of the photo's own where that is larger, with less noise. */
    public static final int LONG_EDGE = 2400;

    /** Pixels to each side of the place. */
    public static final int AROUND = 2;

    private GreyPicker() {}

    /**
     * What a readable photo's own colours say, whatever its neutral is now.
     *
     * @param asShot in the isotropic unit of the photo as shot
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static GreySpot pick(Shoot shoot, Photo photo, Point asShot) throws UnreadablePhotoException {
        PhotoFacts facts = photo.facts().orElseThrow();
        try (Preview preview = shoot.previewMaker().make(shoot.fileOf(photo), facts, LONG_EDGE)) {
            PixelSize size = preview.picture().size();
            int x = (int) Math.floor(asShot.x() * size.longEdge() + size.width() / 2.0);
            int y = (int) Math.floor(asShot.y() * size.longEdge() + size.height() / 2.0);
            return GreySpot.at(preview.picture(), preview.profile(), x, y, AROUND);
        }
    }
}
