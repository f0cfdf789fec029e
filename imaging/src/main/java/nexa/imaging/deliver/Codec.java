package nexa.imaging.deliver;

import static org.bytedeco.opencv.global.opencv_core.CV_8U;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_EXIF;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_ICCP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_XMP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_PROGRESSIVE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_420;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_422;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_444;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_WEBP_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencodeWithMetadata;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.imaging.file.ToldException;
import nexa.imaging.metadata.JpegParts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/** Packs pixels and metadata with OpenCV's encoders. */
final class Codec {
    /** From here on a JPEG keeps colour at full resolution. */
    private static final int FULL_COLOUR_QUALITY = 90;

    /** Below this a photo falls into blocks. */
    private static final int WORST_QUALITY = 10;

    private static final int BYTES_PER_KILOBYTE = 1000;

    private Codec() {}

    /** A file's bytes at a quality. */
    interface AtQuality {
        byte[] bytes(int quality) throws IOException;
    }

    /**
     * A file's bytes, of the best quality that is small enough if the settings limit its size.
     *
     * @param metadata written as they are
     * @throws IOException if the picture can't be encoded, or can't be made so small
     */
    static byte[] encode(Picture picture, SourceMetadata metadata, FileSettings settings) throws IOException {
        return best(settings, quality -> at(quality, picture, metadata, settings));
    }

    /** The same, however files are made. */
    static byte[] best(FileSettings settings, AtQuality file) throws IOException {
        byte[] best = file.bytes(settings.quality());
        long most = (long) settings.packing().mostKilobytes() * BYTES_PER_KILOBYTE;
        return most == 0 || !settings.type().hasQuality() || best.length <= most
                ? best
                : within(most, settings.quality(), file);
    }

    /** The size grows with the quality, so the best is found by halving. */
    private static byte[] within(long most, int highest, AtQuality file) throws IOException {
        int low = Math.min(WORST_QUALITY, highest);
        int high = highest;
        byte[] best = file.bytes(low);
        if (best.length > most) {
            throw new ToldException(
                    "told.deliver.cannot-as-small",
                    most / BYTES_PER_KILOBYTE,
                    low,
                    Math.ceilDiv(best.length, BYTES_PER_KILOBYTE));
        }
        while (high - low > 1) {
            int middle = (low + high) / 2;
            byte[] tried = file.bytes(middle);
            if (tried.length <= most) {
                best = tried;
                low = middle;
            } else {
                high = middle;
            }
        }
        return best;
    }

    private static byte[] at(int quality, Picture picture, SourceMetadata metadata, FileSettings settings)
            throws IOException {
        if (settings.type() == FileType.JPEG) {
            return JpegParts.with(metadata, encoded(quality, picture, SourceMetadata.NONE, settings));
        }
        return encoded(quality, picture, metadata, settings);
    }

    private static byte[] encoded(int quality, Picture picture, SourceMetadata metadata, FileSettings settings)
            throws IOException {
        List<Integer> kinds = new ArrayList<>();
        List<byte[]> blocks = new ArrayList<>();
        collect(metadata, settings.type(), kinds, blocks);
        try (MatVector vector = new MatVector(blocks.stream().map(Codec::matrix).toArray(Mat[]::new));
                IntPointer kindPointer = new IntPointer(
                        kinds.stream().mapToInt(Integer::intValue).toArray());
                IntPointer parameters = new IntPointer(parameters(quality, settings));
                BytePointer out = new BytePointer()) {
            String extension = "." + settings.type().extension();
            if (!imencodeWithMetadata(extension, picture.mat(), kindPointer, vector, out, parameters)) {
                throw refused(picture, settings.type());
            }
            byte[] bytes = new byte[(int) out.limit()];
            out.get(bytes);
            return bytes;
        } catch (RuntimeException own) { // OpenCV's own
            throw (IOException) refused(picture, settings.type()).initCause(own);
        }
    }

    private static IOException refused(Picture picture, FileType type) {
        return new ToldException("told.deliver.picture-pixels-cannot-written", picture.size(), type.label());
    }

    private static void collect(SourceMetadata metadata, FileType type, List<Integer> kinds, List<byte[]> blocks) {
        if (metadata.exif() != null) {
            kinds.add(IMAGE_METADATA_EXIF);
            blocks.add(metadata.exif());
        }
        if (metadata.icc() != null) {
            kinds.add(IMAGE_METADATA_ICCP);
            blocks.add(metadata.icc());
        }
        if (metadata.xmp() != null) {
            kinds.add(IMAGE_METADATA_XMP);
            // a PNG's is read up to a zero
            blocks.add(
                    type == FileType.PNG ? Arrays.copyOf(metadata.xmp(), metadata.xmp().length + 1) : metadata.xmp());
        }
    }

    private static int[] parameters(int quality, FileSettings settings) {
        return switch (settings.type()) {
            case JPEG ->
                new int[] {
                    IMWRITE_JPEG_QUALITY,
                    quality,
                    IMWRITE_JPEG_SAMPLING_FACTOR,
                    sampling(settings, quality),
                    IMWRITE_JPEG_PROGRESSIVE,
                    settings.packing().progressive() ? 1 : 0
                };
            case WEBP -> new int[] {IMWRITE_WEBP_QUALITY, quality};
            case PNG, TIFF -> new int[0];
        };
    }

    private static int sampling(FileSettings settings, int quality) {
        return switch (settings.packing().chroma()) {
            case FULL -> IMWRITE_JPEG_SAMPLING_FACTOR_444;
            case HALF -> IMWRITE_JPEG_SAMPLING_FACTOR_422;
            case QUARTER -> IMWRITE_JPEG_SAMPLING_FACTOR_420;
            case BY_QUALITY ->
                quality >= FULL_COLOUR_QUALITY ? IMWRITE_JPEG_SAMPLING_FACTOR_444 : IMWRITE_JPEG_SAMPLING_FACTOR_420;
        };
    }

    private static Mat matrix(byte[] bytes) {
        try (BytePointer pointer = new BytePointer(bytes);
                Mat borrowed = new Mat(1, bytes.length, CV_8U, pointer)) {
            return borrowed.clone();
        }
    }
}
