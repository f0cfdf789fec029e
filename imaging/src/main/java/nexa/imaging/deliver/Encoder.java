package nexa.imaging.deliver;

import static org.bytedeco.opencv.global.opencv_core.CV_8U;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_EXIF;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_ICCP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_XMP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_420;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_444;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencodeWithMetadata;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/** Turns rendered pixels and the source's metadata into a file's bytes. Thread-safe. */
public final class Encoder {
    /** From here on a JPEG keeps colour at full resolution. */
    private static final int FULL_COLOUR_QUALITY = 90;

    private static final int THUMBNAIL_EDGE = 160;
    private static final int THUMBNAIL_QUALITY = 80;
    private static final byte[] JPEG_XMP_PREFIX = "http://ns.adobe.com/xap/1.0/\0".getBytes(StandardCharsets.US_ASCII);

    private Encoder() {}

    /**
     * The file's bytes: XMP and EXIF as the source has them, the colours that the settings ask for with their profile, orientation 1, the picture's own size and a
     * fresh thumbnail (TIFF: none). A JPEG gets 8 bits on white.
     *
     * @param source the opened photo the picture was rendered from
     * @throws IOException if the picture can't be encoded, such as beyond 65,500 pixels a side for JPEG
     */
    public static byte[] encode(Picture picture, Source source, FileSettings settings) throws IOException {
        FileType type = settings.type();
        try (Colours colours = Colours.of(picture, source.profile(), settings.colour());
                Picture shallow = shallow(colours.picture(), type);
                Picture ready = type.keepsAlpha() ? shallow.shared() : shallow.onWhite()) {
            SourceMetadata metadata = source.metadata().withIcc(colours.icc());
            TiffOutputSet exif = ExifBlock.forDelivery(metadata.exif(), ready.size());
            if (type == FileType.TIFF) {
                return TiffFile.bytes(ready, exif, metadata);
            }
            return encode(
                    ready,
                    new SourceMetadata(ExifBlock.bytes(exif, thumbnail(ready)), metadata.icc(), metadata.xmp()),
                    settings);
        }
    }

    private static Picture shallow(Picture picture, FileType type) {
        return picture.bits() > type.mostBits() ? picture.to8Bits() : picture.shared();
    }

    private static byte[] thumbnail(Picture picture) throws IOException {
        try (Picture small = picture.reducedTo(THUMBNAIL_EDGE);
                Picture eight = small.to8Bits();
                Picture opaque = eight.onWhite()) {
            return encode(opaque, SourceMetadata.NONE, new FileSettings(FileType.JPEG, THUMBNAIL_QUALITY));
        }
    }

    /** A plain JPEG without metadata. */
    public static byte[] plainJpeg(Picture picture, int quality) throws IOException {
        return plainJpeg(picture, quality, Optional.empty());
    }

    /** A JPEG with nothing but a colour profile, for previews. */
    public static byte[] plainJpeg(Picture picture, int quality, Optional<Profile> profile) throws IOException {
        return encode(
                picture,
                SourceMetadata.NONE.withIcc(profile.map(Profile::bytes).orElse(null)),
                new FileSettings(FileType.JPEG, quality));
    }

    private static byte[] encode(Picture picture, SourceMetadata metadata, FileSettings settings) throws IOException {
        List<Integer> kinds = new ArrayList<>();
        List<byte[]> blocks = new ArrayList<>();
        collect(metadata, settings.type(), kinds, blocks);
        try (MatVector vector =
                        new MatVector(blocks.stream().map(Encoder::matrix).toArray(Mat[]::new));
                IntPointer kindPointer = new IntPointer(
                        kinds.stream().mapToInt(Integer::intValue).toArray());
                IntPointer parameters = new IntPointer(parameters(settings));
                BytePointer out = new BytePointer()) {
            String extension = "." + settings.type().extension();
            if (!imencodeWithMetadata(extension, picture.mat(), kindPointer, vector, out, parameters)) {
                throw new IOException(
                        "A picture of " + picture.size() + " pixels can't be written as " + settings.type());
            }
            byte[] bytes = new byte[(int) out.limit()];
            out.get(bytes);
            return bytes;
        } catch (RuntimeException refused) { // OpenCV's own
            throw new IOException(
                    "A picture of " + picture.size() + " pixels can't be written as " + settings.type(), refused);
        }
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
            blocks.add(type == FileType.JPEG ? prefixed(metadata.xmp()) : metadata.xmp());
        }
    }

    private static byte[] prefixed(byte[] xmp) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(JPEG_XMP_PREFIX);
        out.writeBytes(xmp);
        return out.toByteArray();
    }

    private static int[] parameters(FileSettings settings) {
        if (settings.type() != FileType.JPEG) {
            return new int[0];
        }
        boolean fullColour = settings.quality() >= FULL_COLOUR_QUALITY;
        return new int[] {
            IMWRITE_JPEG_QUALITY,
            settings.quality(),
            IMWRITE_JPEG_SAMPLING_FACTOR,
            fullColour ? IMWRITE_JPEG_SAMPLING_FACTOR_444 : IMWRITE_JPEG_SAMPLING_FACTOR_420
        };
    }

    private static Mat matrix(byte[] bytes) {
        try (BytePointer pointer = new BytePointer(bytes);
                Mat borrowed = new Mat(1, bytes.length, CV_8U, pointer)) {
            return borrowed.clone();
        }
    }
}
