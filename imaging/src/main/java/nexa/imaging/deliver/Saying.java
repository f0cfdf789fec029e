package nexa.imaging.deliver;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.files.Description;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.told.Told;
import nexa.imaging.metadata.ExifBlock;
import nexa.imaging.metadata.ExifBlock.Itself;
import nexa.imaging.metadata.IptcBlock;
import nexa.imaging.metadata.IptcBlock.DataSet;
import nexa.imaging.metadata.XmpBlock;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.jspecify.annotations.Nullable;

/**
 * What a file says besides its pixels and their profile.
 *
 * @param iptc null if the file kind has no place for it, or nothing is to be said there
 */
record Saying(TiffOutputSet exif, byte @Nullable [] xmp, byte @Nullable [] iptc) {
    private static final int THUMBNAIL_EDGE = 160;
    private static final int THUMBNAIL_QUALITY = 80;

    /** What the settings keep of a source's, and add. */
    static Saying of(Source source, FileSettings settings, Itself itself, Consumer<Told> notes) throws IOException {
        Description said = settings.description();
        SourceMetadata from = source.metadata();
        TiffOutputSet exif = ExifBlock.forDelivery(from.exif(), said, itself, notes);
        List<DataSet> iptc = IptcBlock.forDelivery(from.iptc(), said);
        boolean hasPlace = settings.type() == FileType.TIFF || settings.type() == FileType.JPEG;
        return new Saying(
                exif,
                XmpBlock.forDelivery(from.xmp(), said, hasPlace ? List.of() : iptc, notes),
                hasPlace ? IptcBlock.bytes(iptc) : null);
    }

    /** The EXIF block, with a thumbnail unless the settings leave it out. */
    byte[] exif(Picture picture, FileSettings settings, Consumer<Told> notes) throws IOException {
        boolean thumbnail = settings.description().keep() == Description.Keep.ALL;
        return ExifBlock.bytes(exif, thumbnail ? Optional.of(thumbnail(picture)) : Optional.empty(), notes);
    }

    private static byte[] thumbnail(Picture picture) throws IOException {
        try (Picture small = picture.reducedTo(THUMBNAIL_EDGE);
                Picture eight = small.to8Bits();
                Picture opaque = eight.onWhite()) {
            return Codec.encode(opaque, SourceMetadata.NONE, new FileSettings(FileType.JPEG, THUMBNAIL_QUALITY));
        }
    }

    SourceMetadata blocks(byte @Nullable [] exifBlock, byte @Nullable [] icc) {
        return new SourceMetadata(exifBlock, icc, xmp, iptc);
    }
}
