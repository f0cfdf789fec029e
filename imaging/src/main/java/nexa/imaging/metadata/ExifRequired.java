package nexa.imaging.metadata;

import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_EXIF;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_GPS;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_INTEROPERABILITY;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_ROOT;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import nexa.core.files.FileType;
import org.apache.commons.imaging.ImagingException;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfo;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/** What EXIF 2.32 (4.6.8, tables 17 to 21) asks of every file, where the source did not say it or said nonsense. */
final class ExifRequired {
    private static final int USUAL_PPI = 72;
    private static final Set<Integer> UNITS = Set.of(2, 3);
    private static final TagInfo COLOUR_SPACE = new TagInfo("ColorSpace", 0xA001, AbstractFieldType.SHORT);
    private static final TagInfo GPS_VERSION = new TagInfo("GPSVersionID", 0, AbstractFieldType.BYTE);
    private static final int INTEROPERABILITY_INDEX = 1;
    private static final short CENTRED = 1;
    private static final short SRGB = 1;
    private static final short UNCALIBRATED = (short) 0xFFFF;
    private static final short OLD_JPEG = 6;

    private ExifRequired() {}

    /** @param srgb whether the delivered colours are sRGB's */
    static void complete(TiffOutputSet set, FileType type, boolean srgb) throws ImagingException {
        TiffOutputDirectory root = set.getOrCreateRootDirectory();
        TiffOutputDirectory exif = set.getOrCreateExifDirectory();
        resolution(root, set.byteOrder);
        addMissing(exif, ExifTagConstants.EXIF_TAG_EXIF_VERSION, "0232");
        addMissing(exif, ExifTagConstants.EXIF_TAG_FLASHPIX_VERSION, "0100");
        exif.removeField(COLOUR_SPACE.tag);
        byte[] space = ByteBuffer.allocate(Short.BYTES)
                .order(set.byteOrder)
                .putShort(srgb ? SRGB : UNCALIBRATED)
                .array();
        exif.add(new TiffOutputField(COLOUR_SPACE, AbstractFieldType.SHORT, 1, space));
        interoperability(set, srgb);
        if (type != FileType.TIFF) { // it is for compressed data
            addMissing(exif, ExifTagConstants.EXIF_TAG_COMPONENTS_CONFIGURATION, "\1\2\3\0");
        }
        gps(set);
        if (type == FileType.JPEG && root.findField(TiffTagConstants.TIFF_TAG_YCBCR_POSITIONING) == null) {
            root.add(TiffTagConstants.TIFF_TAG_YCBCR_POSITIONING, CENTRED);
        }
    }

    /** An index that speaks of other colours than the file has goes; what is not sRGB says so by its profile. */
    private static void interoperability(TiffOutputSet set, boolean srgb) {
        TiffOutputDirectory directory = set.findDirectory(DIRECTORY_TYPE_INTEROPERABILITY);
        TiffOutputField index = directory == null ? null : directory.findField(INTEROPERABILITY_INDEX);
        if (directory != null && index != null) {
            boolean isBasic = new String(index.getData(), StandardCharsets.US_ASCII).startsWith("R98");
            if (!isBasic || !srgb) {
                directory.removeField(INTEROPERABILITY_INDEX);
            }
        }
    }

    /** Table 15: a place says by which version of the standard. */
    private static void gps(TiffOutputSet set) {
        TiffOutputDirectory gps = set.findDirectory(DIRECTORY_TYPE_GPS);
        if (gps != null && !gps.getFields().isEmpty() && gps.findField(GPS_VERSION) == null) {
            gps.add(new TiffOutputField(GPS_VERSION, AbstractFieldType.BYTE, 4, new byte[] {2, 3, 0, 0}));
        }
    }

    private static void resolution(TiffOutputDirectory root, ByteOrder order) throws ImagingException {
        boolean whole = root.findField(TiffTagConstants.TIFF_TAG_XRESOLUTION) != null
                && root.findField(TiffTagConstants.TIFF_TAG_YRESOLUTION) != null;
        TiffOutputField unit = root.findField(TiffTagConstants.TIFF_TAG_RESOLUTION_UNIT);
        if (!whole) {
            ExifBlock.resolution(root, USUAL_PPI);
        } else if (unit == null || !UNITS.contains(number(unit, order))) {
            root.removeField(TiffTagConstants.TIFF_TAG_RESOLUTION_UNIT);
            root.add(TiffTagConstants.TIFF_TAG_RESOLUTION_UNIT, (short) TiffTagConstants.RESOLUTION_UNIT_VALUE_INCHES);
        }
    }

    private static int number(TiffOutputField field, ByteOrder order) {
        byte[] bytes = field.getData();
        return bytes.length < 2 ? 0 : ByteBuffer.wrap(bytes).order(order).getShort() & 0xFFFF;
    }

    private static void addMissing(TiffOutputDirectory directory, TagInfo tag, String value) {
        if (directory.findField(tag) == null) {
            byte[] bytes = value.getBytes(StandardCharsets.ISO_8859_1);
            directory.add(new TiffOutputField(tag, AbstractFieldType.UNDEFINED, bytes.length, bytes));
        }
    }

    /** What a thumbnail's directory has. */
    static void ofThumbnail(TiffOutputDirectory second) throws ImagingException {
        second.add(TiffTagConstants.TIFF_TAG_COMPRESSION, OLD_JPEG);
        second.add(TiffTagConstants.TIFF_TAG_XRESOLUTION, RationalNumber.valueOf(USUAL_PPI));
        second.add(TiffTagConstants.TIFF_TAG_YRESOLUTION, RationalNumber.valueOf(USUAL_PPI));
        second.add(TiffTagConstants.TIFF_TAG_RESOLUTION_UNIT, (short) TiffTagConstants.RESOLUTION_UNIT_VALUE_INCHES);
    }

    /** A directory without fields is none. */
    static TiffOutputSet withoutEmpty(TiffOutputSet set) throws ImagingException {
        TiffOutputSet filled = new TiffOutputSet(set.byteOrder);
        for (TiffOutputDirectory directory : set) {
            boolean needed = directory.getType() == DIRECTORY_TYPE_ROOT || directory.getType() == DIRECTORY_TYPE_EXIF;
            if (needed || !directory.getFields().isEmpty()) {
                filled.addDirectory(directory);
            }
        }
        return filled;
    }
}
