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
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import nexa.core.files.Packing;
import nexa.core.files.Packing.Compression;
import nexa.imaging.metadata.ExifBlock;
import nexa.imaging.metadata.ExifTags;
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

    /** A value of the tag Predictor. */
    private static final short DIFFERENCES = 2;

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
        boolean asDifferences = packing.compression() != Compression.NONE && samples.elemSize1() == Byte.BYTES;
        if (asDifferences) {
            root.add(TiffTagConstants.TIFF_TAG_PREDICTOR, DIFFERENCES);
        }
        attach(root, TiffEpTagConstants.EXIF_TAG_INTER_COLOR_PROFILE, AbstractFieldType.UNDEFINED, metadata.icc());
        attachIptc(root, metadata.iptc());
        attach(root, TiffTagConstants.TIFF_TAG_XMP, AbstractFieldType.BYTE, metadata.xmp());
        root.setTiffImageData(new AbstractTiffImageData.Strips(
                strips(samples, inFileOrder, rowsPerStrip, rows -> {
                    byte[] ordered = ordered(rows, set.byteOrder);
                    return packed(asDifferences ? differences(ordered, rows) : ordered, packing.compression());
                }),
                rowsPerStrip));
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

    @FunctionalInterface
    private interface Packer {
        byte[] pack(Mat rows) throws IOException;
    }

    private static DataElement[] strips(Mat samples, UnaryOperator<Mat> inFileOrder, int rowsPerStrip, Packer packer)
            throws IOException {
        DataElement[] strips = new DataElement[Math.ceilDiv(samples.rows(), rowsPerStrip)];
        for (int i = 0; i < strips.length; i++) {
            int top = i * rowsPerStrip;
            try (Mat rows = samples.rowRange(top, Math.min(top + rowsPerStrip, samples.rows()));
                    Mat turned = inFileOrder.apply(rows)) {
                byte[] strip = packer.pack(turned);
                strips[i] = new AbstractTiffImageData.Data(0, strip.length, strip);
            }
        }
        return strips;
    }

    /**
     * Each value's from the one of the same channel to its left, in place (TIFF 6.0, section 14); of 8 bits, as some readers
     * know no others.
     */
    private static byte[] differences(byte[] values, Mat rows) {
        int channels = rows.channels();
        int inRow = rows.cols() * channels;
        for (int end = values.length; end > 0; end -= inRow) {
            for (int i = end - 1; i >= end - inRow + channels; i--) {
                values[i] -= values[i - channels];
            }
        }
        return values;
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

    /** The quickest way: with differences it packs to within a twentieth of the slowest, which takes four times as long. */
    private static byte[] deflated(byte[] raw) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream(raw.length / 2);
        Deflater quickest = new Deflater(Deflater.BEST_SPEED);
        try (OutputStream deflater = new DeflaterOutputStream(out, quickest)) {
            deflater.write(raw);
        } finally {
            quickest.end();
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
