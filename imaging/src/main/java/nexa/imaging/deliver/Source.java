package nexa.imaging.deliver;

import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_EXIF;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_ICCP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_XMP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_UNCHANGED;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imdecodeWithMetadata;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.EncodedBytes;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import org.apache.commons.imaging.Imaging;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A photo opened at full size for delivering: its pixels as the decoder gives them, and its metadata. */
public record Source(Picture picture, SourceMetadata metadata) implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Source.class);
    private static final String XMP_PREFIX = "http://ns.adobe.com/xap/1.0/\0";

    /** @throws UnreadablePhotoException if it can't be decoded */
    public static Source open(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        byte[] bytes = Decoder.read(file);
        return facts.kind() == FileKind.TIFF ? tiff(file, bytes) : decoded(file, bytes);
    }

    /** OpenCV hands out no metadata for TIFF; there the whole file serves as the EXIF structure. */
    private static Source tiff(Path file, byte[] bytes) throws UnreadablePhotoException {
        Picture picture = Decoder.decode(file, bytes, Reduction.NONE);
        try {
            String xmp = Imaging.getXmpXml(bytes);
            return new Source(
                    picture,
                    new SourceMetadata(
                            bytes,
                            Imaging.getIccProfileBytes(bytes),
                            xmp == null ? null : xmp.getBytes(StandardCharsets.UTF_8)));
        } catch (IOException | RuntimeException damaged) {
            LOG.info("The metadata of {} can't be read and is left out", file, damaged);
            return new Source(picture, new SourceMetadata(null, null, null));
        }
    }

    private static Source decoded(Path file, byte[] bytes) throws UnreadablePhotoException {
        try (Mat encoded = EncodedBytes.matrix(bytes);
                IntPointer kinds = new IntPointer();
                MatVector blocks = new MatVector()) {
            Mat pixels = imdecodeWithMetadata(encoded, kinds, blocks, IMREAD_UNCHANGED);
            if (pixels == null || pixels.empty()) {
                throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
            }
            return new Source(new Picture(pixels), metadata(kinds, blocks));
        } catch (RuntimeException refused) { // OpenCV reports damaged data as its own runtime exceptions
            LOG.info("OpenCV refuses {}", file, refused);
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
        }
    }

    private static SourceMetadata metadata(IntPointer kinds, MatVector blocks) {
        Map<Integer, byte[]> byKind = new HashMap<>();
        for (int i = 0; i < blocks.size(); i++) {
            Mat block = blocks.get(i);
            byte[] bytes = new byte[(int) block.total()];
            block.data().get(bytes);
            byKind.put(kinds.get(i), bytes);
        }
        return new SourceMetadata(
                byKind.get(IMAGE_METADATA_EXIF),
                byKind.get(IMAGE_METADATA_ICCP),
                packet(byKind.get(IMAGE_METADATA_XMP)));
    }

    private static byte @Nullable [] packet(byte @Nullable [] xmp) {
        if (xmp == null) {
            return null;
        }
        String text = new String(xmp, StandardCharsets.UTF_8);
        int start = text.startsWith(XMP_PREFIX) ? XMP_PREFIX.length() : 0;
        int end = Math.max(start, text.lastIndexOf('>') + 1); // OpenCV hands out bytes beyond a PNG's packet
        return text.substring(start, end).getBytes(StandardCharsets.UTF_8);
    }

    @Override
    public void close() {
        picture.close();
    }
}
