package nexa.imaging.deliver;

import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_EXIF;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_GPS;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_INTEROPERABILITY;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_ROOT;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_SUB;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import java.util.Optional;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import nexa.core.geometry.PixelSize;
import org.apache.commons.imaging.ImagingException;
import org.apache.commons.imaging.bytesource.ByteSource;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.tiff.JpegImageData;
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
final class ExifBlock {
    private static final Logger LOG = LoggerFactory.getLogger(ExifBlock.class);
    private static final List<Integer> KEPT_DIRECTORIES =
            List.of(DIRECTORY_TYPE_ROOT, DIRECTORY_TYPE_EXIF, DIRECTORY_TYPE_GPS, DIRECTORY_TYPE_INTEROPERABILITY);

    /** A JPEG segment holds 65,533 bytes (ITU T.81 B.1.1.4); six go to the prefix. */
    private static final int LARGEST_IN_JPEG = 65_000;

    private ExifBlock() {}

    /**
     * The structure to write.
     *
     * @param source the source's EXIF; null or damaged ones count as empty
     * @param ppi 0 = what the source says
     * @param orientation that the file says its pixels have
     */
    static TiffOutputSet forDelivery(
            byte @Nullable [] source, Description said, PixelSize delivered, double ppi, int orientation)
            throws IOException {
        TiffOutputSet kept = descriptive(said.keep() == Keep.NONE ? null : source);
        ExifWords.choose(kept, said);
        TiffOutputDirectory root = kept.getOrCreateRootDirectory();
        root.add(TiffTagConstants.TIFF_TAG_ORIENTATION, (short) orientation);
        if (ppi > 0) {
            resolution(root, ppi);
        }
        TiffOutputDirectory exif = kept.getOrCreateExifDirectory();
        exif.add(number(ExifTagConstants.EXIF_TAG_EXIF_IMAGE_WIDTH, delivered.width(), kept.byteOrder));
        exif.add(number(ExifTagConstants.EXIF_TAG_EXIF_IMAGE_LENGTH, delivered.height(), kept.byteOrder));
        return kept;
    }

    private static void resolution(TiffOutputDirectory root, double ppi) throws ImagingException {
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

    /** As bytes for a JPEG or PNG, with a thumbnail; without the maker's notes if it would be too large otherwise. */
    static byte[] bytes(TiffOutputSet set, Optional<byte[]> thumbnail) throws IOException {
        if (thumbnail.isPresent()) {
            TiffOutputDirectory second = new TiffOutputDirectory(DIRECTORY_TYPE_SUB, set.byteOrder);
            second.setJpegImageData(new JpegImageData(0, thumbnail.get().length, thumbnail.get()));
            set.addDirectory(second);
        }
        byte[] written = write(set);
        if (written.length > LARGEST_IN_JPEG) {
            set.getOrCreateExifDirectory().removeField(ExifTags.MAKER_NOTE);
            written = write(set);
        }
        return written;
    }

    static byte[] write(TiffOutputSet set) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new TiffImageWriterLossy(set.byteOrder).write(out, set);
        return out.toByteArray();
    }

    private static TiffOutputSet descriptive(byte @Nullable [] source) {
        if (source != null) {
            try {
                return copied(source);
            } catch (IOException | RuntimeException damaged) {
                LOG.info("Damaged EXIF is left out", damaged);
            }
        }
        return new TiffOutputSet(ByteOrder.LITTLE_ENDIAN);
    }

    private static TiffOutputSet copied(byte[] source) throws IOException {
        TiffImageMetadata parsed = (TiffImageMetadata)
                new TiffImageParser().getMetadata(ByteSource.array(source), new TiffImagingParameters());
        TiffOutputSet all = parsed.getOutputSet();
        TiffOutputSet kept = new TiffOutputSet(all.byteOrder);
        for (TiffOutputDirectory directory : all) {
            if (KEPT_DIRECTORIES.contains(directory.getType()) && kept.findDirectory(directory.getType()) == null) {
                kept.addDirectory(descriptive(directory, all.byteOrder));
            }
        }
        return kept;
    }

    private static TiffOutputDirectory descriptive(TiffOutputDirectory source, ByteOrder order)
            throws ImagingException {
        TiffOutputDirectory kept = new TiffOutputDirectory(source.getType(), order);
        for (TiffOutputField field : source) {
            if (!ExifTags.describesFile(field.tag)) {
                kept.add(field);
            }
        }
        return kept;
    }
}
