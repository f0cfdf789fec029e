package nexa.imaging.deliver;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import nexa.core.geometry.PixelSize;
import nexa.imaging.blocks.BlockCut;
import nexa.imaging.blocks.BlockCut.Part;
import nexa.imaging.source.SourceMetadata;

/** A part of a JPEG with its pixels as they were, and of its metadata what is kept. */
public final class UntouchedJpeg {
    private static final int APP1 = 0xE1;
    private static final int APP2 = 0xE2;
    private static final String EXIF = "Exif\0\0";
    private static final String XMP = "http://ns.adobe.com/xap/1.0/\0";
    private static final String PAGES = "MPF\0";

    private UntouchedJpeg() {}

    /**
     * The part's file. Its pixels lie as the source's do, and it says how.
     *
     * @param file the source's bytes
     * @param part of the stored pixels, on the grid
     * @param orientation as EXIF has it
     * @param ppi that the file says it has; 0 = what the source says
     * @throws IOException with words for the user if the file can't be cut so
     */
    public static byte[] of(
            byte[] file, Part part, SourceMetadata source, Description said, int orientation, double ppi)
            throws IOException {
        List<byte[]> added = new ArrayList<>();
        PixelSize size = new PixelSize(part.width(), part.height());
        byte[] exif =
                ExifBlock.bytes(ExifBlock.forDelivery(source.exif(), said, size, ppi, orientation), Optional.empty());
        added.add(segment(EXIF, exif));
        byte[] xmp = XmpBlock.forDelivery(source.xmp(), said);
        if (xmp != null) {
            added.add(segment(XMP, xmp));
        }
        return Density.set(BlockCut.cut(file, part, added, keeps(said)), ppi);
    }

    /** Profiles always; other programs' data only with all, and not if it may hold a place. */
    private static Predicate<byte[]> keeps(Description said) {
        boolean all = said.keep() == Keep.ALL && !said.dropsPlace();
        return segment -> {
            int marker = segment[1] & 0xFF;
            boolean ofOtherPictures = marker == APP2 && begins(segment, PAGES);
            return marker == APP2 ? !ofOtherPictures : marker != APP1 && all;
        };
    }

    private static boolean begins(byte[] segment, String name) {
        return new String(segment, StandardCharsets.ISO_8859_1).startsWith(name, 4);
    }

    private static byte[] segment(String prefix, byte[] block) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int length = 2 + prefix.length() + block.length;
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) APP1, (byte) (length >> 8), (byte) length});
        out.writeBytes(prefix.getBytes(StandardCharsets.US_ASCII));
        out.writeBytes(block);
        return out.toByteArray();
    }
}
