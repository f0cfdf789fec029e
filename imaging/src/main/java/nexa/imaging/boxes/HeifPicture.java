package nexa.imaging.boxes;

import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.Remark;
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
 * @param remarks on what of it is left out or changed
 */
public record HeifPicture(
        CodedPicture coded,
        PixelRectangle shown,
        int orientation,
        int bits,
        SourceMetadata metadata,
        Optional<CodedPicture> thumbnail,
        Set<Remark> remarks) {
    /** As it comes out of the decoder, before it is turned. */
    public PixelSize stored() {
        return shown.size();
    }
}
