package nexa.imaging.codec;

import com.drew.imaging.FileType;
import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.file.Path;
import nexa.imaging.boxes.Cr3File;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.SourceMetadata;
import nexa.imaging.tiff.TiffHeaders;
import nexa.imaging.tiff.TiffTags;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What raw files say beside the camera's picture in them, which often says nothing. Most of them are TIFF structures, some
 * with a magic number of their maker's; some have boxes.
 */
final class RawMetadata {
    private static final Logger LOG = LoggerFactory.getLogger(RawMetadata.class);

    private RawMetadata() {}

    /** What the camera's picture says, or all that the file itself says if the picture has no EXIF. */
    static SourceMetadata completed(Path raw, SourceMetadata ofPicture) {
        if (ofPicture.exif() != null) {
            return ofPicture;
        }
        try {
            SourceMetadata own = Readings.reading(raw, RawMetadata::own);
            return new SourceMetadata(
                    own.exif(),
                    ofPicture.icc(),
                    ofPicture.xmp() == null ? own.xmp() : ofPicture.xmp(),
                    ofPicture.iptc() == null ? own.iptc() : ofPicture.iptc());
        } catch (UnreadablePhotoException unreadable) {
            LOG.info("{} says nothing of itself", raw, unreadable);
            return ofPicture;
        }
    }

    private static SourceMetadata own(PhotoFile raw) throws IOException, ImageProcessingException {
        if (raw.type() == FileType.Crx) {
            return Cr3File.read(raw.channel()).metadata();
        }
        TiffHeaders headers = TiffHeaders.read(raw.channel());
        TiffTags tags = headers.tags();
        return new SourceMetadata(headers.exif(), null, tags.bytes(TiffTags.XMP), tags.bytes(TiffTags.IPTC));
    }
}
