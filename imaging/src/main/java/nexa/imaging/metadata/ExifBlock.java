package nexa.imaging.metadata;

import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_EXIF;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_GPS;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_INTEROPERABILITY;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_ROOT;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_SUB;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import nexa.core.files.FileType;
import nexa.core.geometry.PixelSize;
import nexa.core.told.Told;
import org.apache.commons.imaging.ImagingException;
import org.apache.commons.imaging.bytesource.ByteSource;
import org.apache.commons.imaging.common.ImageMetadata.ImageMetadataItem;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.tiff.JpegImageData;
import org.apache.commons.imaging.formats.tiff.TiffField;
import org.apache.commons.imaging.formats.tiff.TiffImageMetadata;
import org.apache.commons.imaging.formats.tiff.TiffImageParser;
import org.apache.commons.imaging.formats.tiff.TiffImagingParameters;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfo;
import org.apache.commons.imaging.formats.tiff.write.TiffImageWriterLossy;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** EXIF for a delivered file: what the source says of the shot, with the delivered picture's size and thumbnail. */
public final class ExifBlock {
    private static final Logger LOG = LoggerFactory.getLogger(ExifBlock.class);
    private static final List<Integer> KEPT_DIRECTORIES =
            List.of(DIRECTORY_TYPE_ROOT, DIRECTORY_TYPE_EXIF, DIRECTORY_TYPE_GPS, DIRECTORY_TYPE_INTEROPERABILITY);

    /** Fields that may go if all is too large for a JPEG's segment. */
    private static final int LARGE_FIELD = 1024;

    private ExifBlock() {}

    /**
     * What a delivered file says of itself.
     *
     * @param ppi 0 = what the source says
     * @param orientation that the file says its pixels have
     * @param srgb whether its colours are sRGB's
     */
    public record Itself(FileType type, PixelSize size, double ppi, int orientation, boolean srgb) {}

    /**
     * The structure to write.
     *
     * @param source the source's EXIF; null or damaged ones count as empty
     * @param notes told, what of the source is left out that nobody asked to leave out
     */
    public static TiffOutputSet forDelivery(
            byte @Nullable [] source, Description said, Itself file, Consumer<Told> notes) throws IOException {
        TiffOutputSet kept = descriptive(said.keep() == Keep.NONE ? null : source, notes);
        ExifWords.choose(kept, said);
        TiffOutputDirectory root = kept.getOrCreateRootDirectory();
        root.add(TiffTagConstants.TIFF_TAG_ORIENTATION, (short) file.orientation);
        if (file.ppi > 0) {
            resolution(root, file.ppi);
        }
        TiffOutputDirectory exif = kept.getOrCreateExifDirectory();
        exif.add(number(ExifTagConstants.EXIF_TAG_EXIF_IMAGE_WIDTH, file.size.width(), kept.byteOrder));
        exif.add(number(ExifTagConstants.EXIF_TAG_EXIF_IMAGE_LENGTH, file.size.height(), kept.byteOrder));
        ExifRequired.complete(kept, file.type, file.srgb);
        return ExifRequired.withoutEmpty(kept);
    }

    static void resolution(TiffOutputDirectory root, double ppi) throws ImagingException {
        root.removeField(TiffTagConstants.TIFF_TAG_XRESOLUTION);
        root.removeField(TiffTagConstants.TIFF_TAG_YRESOLUTION);
        root.removeField(TiffTagConstants.TIFF_TAG_RESOLUTION_UNIT);
        root.add(TiffTagConstants.TIFF_TAG_XRESOLUTION, RationalNumber.valueOf(ppi));
        root.add(TiffTagConstants.TIFF_TAG_YRESOLUTION, RationalNumber.valueOf(ppi));
        root.add(TiffTagConstants.TIFF_TAG_RESOLUTION_UNIT, (short) TiffTagConstants.RESOLUTION_UNIT_VALUE_INCHES);
    }

    private static TiffOutputField number(TagInfo tag, int value, ByteOrder order) {
        byte[] bytes =
                ByteBuffer.allocate(Integer.BYTES).order(order).putInt(value).array();
        return new TiffOutputField(tag, AbstractFieldType.LONG, 1, bytes);
    }

    /**
     * As bytes for a JPEG, PNG or WebP, with a thumbnail. What would not fit into a JPEG's segment is left out and told:
     * the maker's notes, then the thumbnail, then the largest fields.
     */
    public static byte[] bytes(TiffOutputSet set, Optional<byte[]> thumbnail, Consumer<Told> notes) throws IOException {
        byte[] whole = write(with(thumbnail, set));
        if (whole.length <= JpegParts.LARGEST_EXIF) {
            return whole;
        }
        notes.accept(Told.of("told.note.exif-cut"));
        set.getOrCreateExifDirectory().removeField(ExifTags.MAKER_NOTE);
        byte[] written = write(with(thumbnail, set));
        if (written.length > JpegParts.LARGEST_EXIF) {
            written = write(set);
        }
        while (written.length > JpegParts.LARGEST_EXIF && dropLargest(set)) {
            written = write(set);
        }
        return written;
    }

    private static TiffOutputSet with(Optional<byte[]> thumbnail, TiffOutputSet set) throws ImagingException {
        if (thumbnail.isEmpty()) {
            return set;
        }
        TiffOutputSet both = ExifRequired.withoutEmpty(set);
        TiffOutputDirectory second = new TiffOutputDirectory(DIRECTORY_TYPE_SUB, set.byteOrder);
        second.setJpegImageData(new JpegImageData(0, thumbnail.get().length, thumbnail.get()));
        ExifRequired.ofThumbnail(second);
        both.addDirectory(second);
        return both;
    }

    /** False if there is none that is large. */
    private static boolean dropLargest(TiffOutputSet set) {
        TiffOutputDirectory of = null;
        TiffOutputField largest = null;
        for (TiffOutputDirectory directory : set) {
            for (TiffOutputField field : directory.getFields()) {
                if (field.getData().length > (largest == null ? LARGE_FIELD : largest.getData().length)) {
                    of = directory;
                    largest = field;
                }
            }
        }
        if (of == null || largest == null) {
            return false;
        }
        of.removeField(largest.tag);
        return true;
    }

    private static byte[] write(TiffOutputSet set) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        write(set, out);
        return out.toByteArray();
    }

    public static void write(TiffOutputSet set, OutputStream out) throws IOException {
        try (GatheredOutput gathered = new GatheredOutput(out)) {
            new TiffImageWriterLossy(set.byteOrder).write(gathered, set);
        }
    }

    private static TiffOutputSet descriptive(byte @Nullable [] source, Consumer<Told> notes) {
        if (source != null) {
            try {
                return copied(source, notes);
            } catch (IOException | RuntimeException damaged) {
                LOG.info("Damaged EXIF is left out", damaged);
                notes.accept(Told.of("told.note.exif-damaged"));
            }
        }
        return new TiffOutputSet(ByteOrder.LITTLE_ENDIAN);
    }

    /** Values stay the bytes that they are: what a program wrote in letters of its own is nobody's to guess. */
    private static TiffOutputSet copied(byte[] source, Consumer<Told> notes) throws IOException {
        TiffImageMetadata parsed = (TiffImageMetadata)
                new TiffImageParser().getMetadata(ByteSource.array(source), new TiffImagingParameters());
        ByteOrder order = parsed.contents.header.byteOrder;
        TiffOutputSet kept = new TiffOutputSet(order);
        for (ImageMetadataItem item : parsed.getDirectories()) {
            TiffImageMetadata.Directory directory = (TiffImageMetadata.Directory) item;
            if (KEPT_DIRECTORIES.contains(directory.type) && kept.findDirectory(directory.type) == null) {
                kept.addDirectory(descriptive(directory, order, notes));
            }
        }
        return kept;
    }

    private static TiffOutputDirectory descriptive(
            TiffImageMetadata.Directory source, ByteOrder order, Consumer<Told> notes) throws ImagingException {
        TiffOutputDirectory kept = new TiffOutputDirectory(source.type, order);
        for (TiffField field : source.getAllFields()) {
            if (field.getTag() == ExifTags.MAKER_NOTE && !MakerNotes.mayMove(field.getByteArrayValue())) {
                notes.accept(Told.of("told.note.maker-notes"));
            } else if (!ExifTags.describesFile(field.getTag())
                    && !field.getTagInfo().isOffset()
                    && kept.findField(field.getTag()) == null) {
                kept.add(new TiffOutputField(
                        field.getTag(),
                        field.getTagInfo(),
                        field.getFieldType(),
                        Math.toIntExact(field.getCount()),
                        field.getByteArrayValue()));
            }
        }
        return kept;
    }
}
