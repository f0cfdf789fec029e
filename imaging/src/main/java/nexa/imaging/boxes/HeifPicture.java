package nexa.imaging.boxes;

import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.source.SourceMetadata;

/**
 * What a HEIC or AVIF file says of its picture.
 *
 * @param coded its pixels
 * @param shown the part of them that is the picture
 * @param orientation how that part is turned and mirrored, as EXIF numbers it
 * @param bits a channel
 * @param metadata with its colour profile, or with one made for its code points
 * @param thumbnail the same picture small; of the same orientation, and its values mean the same colours
 * @param isHdr whether its light is meant for screens brighter than white paper
 * @param hasGainMap whether it holds another picture that says how much brighter such a screen shows it
 * @param isSequence whether it holds moving pictures, too
 */
public record HeifPicture(
        CodedPicture coded,
        PixelRectangle shown,
        int orientation,
        int bits,
        SourceMetadata metadata,
        Optional<CodedPicture> thumbnail,
        boolean isHdr,
        boolean hasGainMap,
        boolean isSequence) {
    /** As it comes out of the decoder, before it is turned. */
    public PixelSize stored() {
        return shown.size();
    }
}
