package nexa.imaging.deliver;

import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2RGB;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2RGBA;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.ShortBuffer;
import java.util.Arrays;
import java.util.function.UnaryOperator;
import java.util.zip.DeflaterOutputStream;
import nexa.core.files.Packing;
import nexa.core.files.Packing.Compression;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.SourceMetadata;
import org.apache.commons.imaging.formats.tiff.AbstractTiffElement.DataElement;
import org.apache.commons.imaging.formats.tiff.AbstractTiffImageData;
import org.apache.commons.imaging.formats.tiff.constants.TiffEpTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfo;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.apache.commons.imaging.mylzw.MyLzwCompressor;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;

/** A TIFF in strips (TIFF 6.0; compression 8 as in its Technical Note 2), 8 or 16 bits, packed and not yet in one piece. */
final class TiffFile {
    private static final int MIN_IS_BLACK = 1;
    private static final int RGB = 2;
    private static final int SEPARATED = 5;
    private static final int CMYK = 1;
    private static final int UNASSOCIATED_ALPHA = 2;
    private static final TagInfo IPTC = new TagInfo("IPTC-NAA", ExifTags.IPTC, AbstractFieldType.LONG);
    private static final int STRIP_BYTES = 1 << 18;

    private TiffFile() {}

    /** @param set descriptive tags; the picture's own are added */
    static Encoded of(Picture picture, TiffOutputSet set, SourceMetadata metadata, Packing packing) throws IOException {
        TiffOutputDirectory root = set.getOrCreateRootDirectory();
        root.add(TiffTagConstants.TIFF_TAG_PHOTOMETRIC_INTERPRETATION, (short)
                (picture.channels() == 1 ? MIN_IS_BLACK : RGB));
        if (picture.channels() == 4) {
            root.add(TiffTagConstants.TIFF_TAG_EXTRA_SAMPLES, (short) UNASSOCIATED_ALPHA);
        }
        return of(picture.mat(), picture.channels() == 1 ? Mat::clone : TiffFile::redFirst, set, metadata, packing);
    }

    /** Of ink values, in the set that needs no names (TIFF 6.0, section 16). */
    static Encoded of(InkPicture picture, TiffOutputSet set, SourceMetadata metadata, Packing packing)
            throws IOException {
        TiffOutputDirectory root = set.getOrCreateRootDirectory();
        root.add(TiffTagConstants.TIFF_TAG_PHOTOMETRIC_INTERPRETATION, (short) SEPARATED);
        root.add(TiffTagConstants.TIFF_TAG_INK_SET, (short) CMYK);
        return of(picture.mat(), Mat::clone, set, metadata, packing);
    }

    private static Mat redFirst(Mat mat) {
        Mat turned = new Mat();
        cvtColor(mat, turned, mat.channels() == 4 ? COLOR_BGRA2RGBA : COLOR_BGR2RGB);
        return turned;
    }

    /** @param inFileOrder a copy of rows */
    private static Encoded of(
            Mat samples, UnaryOperator<Mat> inFileOrder, TiffOutputSet set, SourceMetadata metadata, Packing packing)
            throws IOException {
        int rowBytes = (int) (samples.cols() * samples.elemSize());
        int rowsPerStrip = Math.clamp(STRIP_BYTES / rowBytes, 1, samples.rows());
        TiffOutputDirectory root = set.getOrCreateRootDirectory();
        describe(root, samples, rowsPerStrip);
        root.add(TiffTagConstants.TIFF_TAG_COMPRESSION, code(packing.compression()));
        attach(root, TiffEpTagConstants.EXIF_TAG_INTER_COLOR_PROFILE, AbstractFieldType.UNDEFINED, metadata.icc());
        attachIptc(root, metadata.iptc());
        attach(root, TiffTagConstants.TIFF_TAG_XMP, AbstractFieldType.BYTE, metadata.xmp());
        root.setTiffImageData(new AbstractTiffImageData.Strips(
                strips(samples, inFileOrder, rowsPerStrip, set.byteOrder, packing.compression()), rowsPerStrip));
        return out -> ExifBlock.write(set, out);
    }

    private static void describe(TiffOutputDirectory root, Mat samples, int rowsPerStrip) throws IOException {
        short[] bits = new short[samples.channels()];
        Arrays.fill(bits, (short) (samples.elemSize1() * Byte.SIZE));
        root.add(TiffTagConstants.TIFF_TAG_IMAGE_WIDTH, samples.cols());
        root.add(TiffTagConstants.TIFF_TAG_IMAGE_LENGTH, samples.rows());
        root.add(TiffTagConstants.TIFF_TAG_BITS_PER_SAMPLE, bits);
        root.add(TiffTagConstants.TIFF_TAG_SAMPLES_PER_PIXEL, (short) samples.channels());
        root.add(TiffTagConstants.TIFF_TAG_ROWS_PER_STRIP, rowsPerStrip);
    }

    private static void attach(TiffOutputDirectory root, TagInfo tag, AbstractFieldType type, byte @Nullable [] bytes) {
        if (bytes != null) {
            root.add(new TiffOutputField(tag, type, bytes.length, bytes));
        }
    }

    /** As numbers of four bytes, which is what readers expect; the bytes are in their own order. */
    private static void attachIptc(TiffOutputDirectory root, byte @Nullable [] iptc) {
        if (iptc != null) {
            int count = Math.ceilDiv(iptc.length, Integer.BYTES);
            root.add(new TiffOutputField(
                    IPTC, AbstractFieldType.LONG, count, Arrays.copyOf(iptc, count * Integer.BYTES)));
        }
    }

    private static DataElement[] strips(
            Mat samples, UnaryOperator<Mat> inFileOrder, int rowsPerStrip, ByteOrder order, Compression compression)
            throws IOException {
        DataElement[] strips = new DataElement[Math.ceilDiv(samples.rows(), rowsPerStrip)];
        for (int i = 0; i < strips.length; i++) {
            int top = i * rowsPerStrip;
            try (Mat rows = samples.rowRange(top, Math.min(top + rowsPerStrip, samples.rows()));
                    Mat packed = inFileOrder.apply(rows)) {
                byte[] strip = packed(ordered(packed, order), compression);
                strips[i] = new AbstractTiffImageData.Data(0, strip.length, strip);
            }
        }
        return strips;
    }

    private static short code(Compression compression) {
        return switch (compression) {
            case NONE -> 1;
            case LZW -> 5;
            case DEFLATE -> 8;
        };
    }

    private static byte[] packed(byte[] raw, Compression compression) throws IOException {
        return switch (compression) {
            case NONE -> raw;
            case LZW -> new MyLzwCompressor(8, ByteOrder.BIG_ENDIAN, true).compress(raw);
            case DEFLATE -> deflated(raw);
        };
    }

    private static byte[] deflated(byte[] raw) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream(raw.length / 2);
        try (OutputStream deflater = new DeflaterOutputStream(out)) {
            deflater.write(raw);
        }
        return out.toByteArray();
    }

    /** 16-bit values in the file's byte order. */
    private static byte[] ordered(Mat rows, ByteOrder order) {
        byte[] bytes = new byte[(int) (rows.total() * rows.elemSize())];
        rows.data().get(bytes);
        if (rows.elemSize1() == Short.BYTES) {
            ShortBuffer from = ByteBuffer.wrap(bytes.clone())
                    .order(ByteOrder.nativeOrder())
                    .asShortBuffer();
            ByteBuffer.wrap(bytes).order(order).asShortBuffer().put(from);
        }
        return bytes;
    }
}
