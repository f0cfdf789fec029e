package nexa.imaging.tiff;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.imaging.source.SourceMetadata;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What raw files say beside the camera's picture in them, which often says nothing. Most of them are TIFF structures, some
 * with a magic number of their maker's.
 */
public final class RawMetadata {
    private static final Logger LOG = LoggerFactory.getLogger(RawMetadata.class);
    private static final int MAGIC_AT = 2;
    private static final byte MAGIC = 42;

    private RawMetadata() {}

    /** What the camera's picture says, or all that the file itself says if the picture has no EXIF. */
    public static SourceMetadata completed(Path raw, SourceMetadata ofPicture) {
        if (ofPicture.exif() != null) {
            return ofPicture;
        }
        try {
            byte[] bytes = Files.readAllBytes(raw);
            boolean isLittle = bytes.length > 8 && bytes[0] == 'I' && bytes[1] == 'I';
            boolean isBig = bytes.length > 8 && bytes[0] == 'M' && bytes[1] == 'M';
            if (!isLittle && !isBig) {
                return ofPicture;
            }
            bytes[MAGIC_AT] = isLittle ? MAGIC : 0;
            bytes[MAGIC_AT + 1] = isLittle ? 0 : MAGIC;
            TiffTags tags = TiffTags.of(bytes);
            byte[] xmp = ofPicture.xmp() == null ? tags.bytes(TiffTags.XMP) : ofPicture.xmp();
            byte[] iptc = ofPicture.iptc() == null ? tags.bytes(TiffTags.IPTC) : ofPicture.iptc();
            return new SourceMetadata(bytes, ofPicture.icc(), xmp, iptc);
        } catch (IOException unreadable) {
            LOG.info("{} says nothing of itself", raw, unreadable);
            return ofPicture;
        }
    }
}
