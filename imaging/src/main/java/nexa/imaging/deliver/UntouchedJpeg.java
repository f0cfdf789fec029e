package nexa.imaging.deliver;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import nexa.core.files.FileType;
import nexa.core.geometry.PixelSize;
import nexa.core.told.Told;
import nexa.imaging.blocks.BlockCut;
import nexa.imaging.blocks.BlockCut.Part;
import nexa.imaging.metadata.ExifBlock;
import nexa.imaging.metadata.IptcBlock;
import nexa.imaging.metadata.JpegParts;
import nexa.imaging.metadata.XmpBlock;
import nexa.imaging.source.JpegPrefix;
import nexa.imaging.source.SourceMetadata;

/** A part of a JPEG with its pixels as they were, and of its metadata what is kept. */
public final class UntouchedJpeg {
    /** Bytes of a segment before what it holds. */
    private static final int HEAD = 4;

    private static final int APP2 = 0xE2;
    private static final int COMMENT = 0xFE;

    private UntouchedJpeg() {}

    /**
     * The part's file. Its pixels lie as the source's do, and it says how. What else the file holds besides its words and
     * its profile is left out: small pictures of the whole photo lie in many places.
     *
     * @param file the source's bytes
     * @param part of the stored pixels, on the grid
     * @param orientation as EXIF has it
     * @param ppi that the file says it has; 0 = what the source says
     * @param notes told, what of the metadata was left out that nobody asked to leave out
     * @throws IOException with words for the user if the file can't be cut so
     */
    public static byte[] of(
            byte[] file,
            Part part,
            SourceMetadata source,
            Description said,
            int orientation,
            double ppi,
            Consumer<Told> notes)
            throws IOException {
        PixelSize size = new PixelSize(part.width(), part.height());
        ExifBlock.Itself itself =
                new ExifBlock.Itself(FileType.JPEG, size, ppi, orientation, Colours.isSrgb(source.icc()));
        SourceMetadata kept = new SourceMetadata(
                ExifBlock.bytes(ExifBlock.forDelivery(source.exif(), said, itself, notes), Optional.empty(), notes),
                source.icc(),
                XmpBlock.forDelivery(source.xmp(), said, List.of(), notes),
                IptcBlock.bytes(IptcBlock.forDelivery(source.iptc(), said)));
        return Density.set(BlockCut.cut(file, part, JpegParts.segments(kept), keeps(said, source)), ppi);
    }

    /** The profile always, if it is not told otherwise (as one of inks is not), comments only with all. */
    private static Predicate<byte[]> keeps(Description said, SourceMetadata source) {
        boolean all = said.keep() == Keep.ALL && !said.dropsPlace();
        return segment -> {
            int marker = segment[1] & 0xFF;
            return marker == APP2
                    ? source.icc() == null && JpegPrefix.ICC.isAt(segment, HEAD)
                    : marker == COMMENT && all;
        };
    }
}
