package nexa.imaging.deliver;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.files.Description;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Packing;
import nexa.core.told.Told;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.ExifBlock.Itself;
import nexa.imaging.deliver.IptcBlock.DataSet;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/** Turns rendered pixels and the source's metadata into a file's bytes. Thread-safe. */
public final class Encoder {
    private static final int THUMBNAIL_EDGE = 160;
    private static final int THUMBNAIL_QUALITY = 80;

    private Encoder() {}

    /** With the resolution that the source says, if the settings say none. */
    public static byte[] encode(Picture picture, Source source, FileSettings settings) throws IOException {
        return encode(picture, source, settings, settings.finish().ppi());
    }

    /** With nobody told what is left out. */
    public static byte[] encode(Picture picture, Source source, FileSettings settings, double ppi) throws IOException {
        return encode(picture, source, settings, ppi, note -> {});
    }

    /**
     * The file's bytes: sharpened, in the colours that the settings ask for with their profile, and of the source's
     * XMP, IPTC and EXIF what they keep, with orientation 1, the picture's own size and a fresh thumbnail (TIFF: none). A
     * JPEG gets 8 bits on white. PNG and WebP have no place for IPTC; there XMP says the same.
     *
     * @param source the opened photo the picture was rendered from
     * @param ppi that the file says it has; 0 = what the source says
     * @param notes told, what of the metadata was left out that nobody asked to leave out
     * @throws IOException if the picture can't be encoded, such as beyond 65,500 pixels a side for JPEG
     */
    public static byte[] encode(Picture picture, Source source, FileSettings settings, double ppi, Consumer<Told> notes)
            throws IOException {
        FileType type = settings.type();
        try (Colours colours = Colours.of(picture, source.profile(), settings.colour());
                Picture sharp =
                        FinishSteps.apply(colours.picture(), settings.finish().steps());
                Picture deep = ofDepth(sharp, settings);
                Picture ready = type.keepsAlpha() ? deep.shared() : deep.onWhite()) {
            Description said = settings.description();
            SourceMetadata from = source.metadata();
            Itself itself = new Itself(type, ready.size(), ppi, 1, colours.isSrgb());
            TiffOutputSet exif = ExifBlock.forDelivery(from.exif(), said, itself, notes);
            List<DataSet> iptc = IptcBlock.forDelivery(from.iptc(), said);
            if (type == FileType.TIFF || type == FileType.JPEG) {
                byte[] xmp = XmpBlock.forDelivery(from.xmp(), said, List.of(), notes);
                SourceMetadata metadata = new SourceMetadata(null, colours.icc(), xmp, IptcBlock.bytes(iptc));
                return type == FileType.TIFF
                        ? TiffFile.bytes(ready, exif, metadata, settings.packing())
                        : packed(ready, exif, metadata, settings, ppi, notes);
            }
            byte[] xmp = XmpBlock.forDelivery(from.xmp(), said, iptc, notes);
            return packed(ready, exif, new SourceMetadata(null, colours.icc(), xmp), settings, ppi, notes);
        }
    }

    private static byte[] packed(
            Picture ready,
            TiffOutputSet exif,
            SourceMetadata metadata,
            FileSettings settings,
            double ppi,
            Consumer<Told> notes)
            throws IOException {
        boolean thumbnail = settings.description().keep() == Description.Keep.ALL;
        byte[] block = ExifBlock.bytes(exif, thumbnail ? Optional.of(thumbnail(ready)) : Optional.empty(), notes);
        SourceMetadata all = new SourceMetadata(block, metadata.icc(), metadata.xmp(), metadata.iptc());
        return Density.set(Codec.encode(ready, all, settings), ppi);
    }

    private static Picture ofDepth(Picture picture, FileSettings settings) {
        int most = settings.packing().depth() == Packing.Depth.EIGHT
                ? 8
                : settings.type().mostBits();
        if (picture.bits() > most) {
            return picture.to8Bits();
        }
        boolean deeper = settings.packing().depth() == Packing.Depth.SIXTEEN && most == 16;
        return deeper ? picture.to16Bits() : picture.shared();
    }

    private static byte[] thumbnail(Picture picture) throws IOException {
        try (Picture small = picture.reducedTo(THUMBNAIL_EDGE);
                Picture eight = small.to8Bits();
                Picture opaque = eight.onWhite()) {
            return Codec.encode(opaque, SourceMetadata.NONE, new FileSettings(FileType.JPEG, THUMBNAIL_QUALITY));
        }
    }

    /** A plain JPEG without metadata. */
    public static byte[] plainJpeg(Picture picture, int quality) throws IOException {
        return plainJpeg(picture, quality, Optional.empty());
    }

    /** A JPEG with nothing but a colour profile, for previews. */
    public static byte[] plainJpeg(Picture picture, int quality, Optional<Profile> profile) throws IOException {
        return Codec.encode(
                picture,
                SourceMetadata.NONE.withIcc(profile.map(Profile::bytes).orElse(null)),
                new FileSettings(FileType.JPEG, quality));
    }
}
