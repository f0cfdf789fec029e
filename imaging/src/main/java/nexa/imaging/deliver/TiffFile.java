package nexa.imaging.deliver;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.ShortBuffer;
import java.util.Arrays;
import java.util.zip.DeflaterOutputStream;
import nexa.core.files.Packing;
import nexa.core.files.Packing.Compression;
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

/** A TIFF in strips (TIFF 6.0; compression 8 as in its Technical Note 2), 8 or 16 bits. */
final class TiffFile {
    private static final int MIN_IS_BLACK = 1;
    private static final int RGB = 2;
    private static final int UNASSOCIATED_ALPHA = 2;
    private static final TagInfo IPTC = new TagInfo("IPTC-NAA", ExifTags.IPTC, AbstractFieldType.LONG);
    private static final int STRIP_BYTES = 1 << 18;

    private TiffFile() {}

    /** @param set descriptive tags; the picture's own are added */
    static byte[] bytes(Picture picture, TiffOutputSet set, SourceMetadata metadata, Packing packing)
            throws IOException {
        int rowBytes = picture.size().width() * picture.channels() * picture.bits() / 8;
        int rowsPerStrip = Math.clamp(STRIP_BYTES / rowBytes, 1, picture.size().height());
        TiffOutputDirectory root = set.getOrCreateRootDirectory();
        describe(root, picture, rowsPerStrip);
        root.add(TiffTagConstants.TIFF_TAG_COMPRESSION, code(packing.compression()));
        attach(root, TiffEpTagConstants.EXIF_TAG_INTER_COLOR_PROFILE, AbstractFieldType.UNDEFINED, metadata.icc());
        attachIptc(root, metadata.iptc());
        attach(root, TiffTagConstants.TIFF_TAG_XMP, AbstractFieldType.BYTE, metadata.xmp());
        root.setTiffImageData(new AbstractTiffImageData.Strips(
                strips(picture, rowsPerStrip, set.byteOrder, packing.compression()), rowsPerStrip));
        return ExifBlock.write(set);
    }

    private static void describe(TiffOutputDirectory root, Picture picture, int rowsPerStrip) throws IOException {
        int channels = picture.channels();
        short[] bits = new short[channels];
        Arrays.fill(bits, (short) picture.bits());
        root.add(TiffTagConstants.TIFF_TAG_IMAGE_WIDTH, picture.size().width());
        root.add(TiffTagConstants.TIFF_TAG_IMAGE_LENGTH, picture.size().height());
        root.add(TiffTagConstants.TIFF_TAG_BITS_PER_SAMPLE, bits);
        root.add(TiffTagConstants.TIFF_TAG_PHOTOMETRIC_INTERPRETATION, (short) (channels == 1 ? MIN_IS_BLACK : RGB));
        root.add(TiffTagConstants.TIFF_TAG_SAMPLES_PER_PIXEL, (short) channels);
        root.add(TiffTagConstants.TIFF_TAG_ROWS_PER_STRIP, rowsPerStrip);
        if (channels == 4) {
            root.add(TiffTagConstants.TIFF_TAG_EXTRA_SAMPLES, (short) UNASSOCIATED_ALPHA);
        }
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

    private static DataElement[] strips(Picture picture, int rowsPerStrip, ByteOrder order, Compression compression)
            throws IOException {
        int height = picture.size().height();
        DataElement[] strips = new DataElement[Math.ceilDiv(height, rowsPerStrip)];
        for (int i = 0; i < strips.length; i++) {
            int top = i * rowsPerStrip;
            try (Mat rows = picture.mat().rowRange(top, Math.min(top + rowsPerStrip, height));
                    Mat packed = rows.clone()) {
                byte[] strip = packed(samples(packed, order), compression);
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

    /** Samples in file order: red before blue, 16-bit values in the file's byte order. */
    private static byte[] samples(Mat rows, ByteOrder order) {
        byte[] bytes = new byte[(int) (rows.total() * rows.elemSize())];
        rows.data().get(bytes);
        int sampleBytes = (int) rows.elemSize1();
        if (sampleBytes == 2) {
            ShortBuffer from = ByteBuffer.wrap(bytes.clone())
                    .order(ByteOrder.nativeOrder())
                    .asShortBuffer();
            ByteBuffer.wrap(bytes).order(order).asShortBuffer().put(from);
        }
        if (rows.channels() >= 3) {
            swapRedAndBlue(bytes, rows.channels() * sampleBytes, sampleBytes);
        }
        return bytes;
    }

    private static void swapRedAndBlue(byte[] bytes, int pixelBytes, int sampleBytes) {
        for (int pixel = 0; pixel < bytes.length; pixel += pixelBytes) {
            for (int b = 0; b < sampleBytes; b++) {
                byte blue = bytes[pixel + b];
                bytes[pixel + b] = bytes[pixel + 2 * sampleBytes + b];
                bytes[pixel + 2 * sampleBytes + b] = blue;
            }
        }
    }
}
