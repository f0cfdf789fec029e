package nexa.imaging.source;

import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_EXIF;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_ICCP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_XMP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imdecodeWithMetadata;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.EncodedBytes;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.probe.RawFile;
import org.apache.commons.imaging.Imaging;
import org.apache.commons.imaging.formats.tiff.TiffImageMetadata;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** An opened photo: its pixels as the decoder gives them, and its metadata. */
public record Source(Picture picture, SourceMetadata metadata) implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Source.class);
    private static final String XMP_PREFIX = "http://ns.adobe.com/xap/1.0/\0";

    /**
     * Opens a photo at its full size.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public static Source open(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        return open(file, facts, Reduction.NONE);
    }

    /**
     * Opens a photo at a fraction of its size if its kind can be decoded so, else at its full size.
     *
     * @throws UnreadablePhotoException if it can't be decoded
     */
    public static Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        return switch (facts.kind()) {
            case TIFF -> tiff(file, Decoder.read(file));
            case RAW -> raw(file, reduction);
            case JPEG -> facts.remarks().contains(Remark.INK) ? ink(file) : open(file, Decoder.read(file), reduction);
            case PNG, WEBP -> open(file, Decoder.read(file), Reduction.NONE);
            case BMP, OTHER -> new Source(Decoder.decode(file, Reduction.NONE), SourceMetadata.NONE);
        };
    }

    /**
     * Opens encoded bytes of a kind that OpenCV hands metadata out of.
     *
     * @param file for messages only
     * @throws UnreadablePhotoException if they can't be decoded
     */
    public static Source open(Path file, byte[] bytes, Reduction reduction) throws UnreadablePhotoException {
        if (bytes.length > 2 && bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xD8) {
            return new Source(Decoder.decode(file, bytes, reduction), JpegBlocks.of(bytes));
        }
        try (Mat encoded = EncodedBytes.matrix(bytes);
                IntPointer kinds = new IntPointer();
                MatVector blocks = new MatVector()) {
            Mat pixels = imdecodeWithMetadata(encoded, kinds, blocks, reduction.flags());
            return new Source(Decoder.checked(file, pixels), metadata(kinds, blocks));
        } catch (RuntimeException refused) { // OpenCV reports damaged data as its own runtime exceptions
            LOG.info("OpenCV refuses {}", file, refused);
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
        }
    }

    /** OpenCV hands out no metadata for TIFF; there the whole file serves as the EXIF structure. */
    private static Source tiff(Path file, byte[] bytes) throws UnreadablePhotoException {
        Optional<TiffImageMetadata> tags = TiffPixels.tags(file, bytes);
        Picture picture = TiffPixels.decode(file, bytes, tags);
        try {
            String xmp = Imaging.getXmpXml(bytes);
            return new Source(
                    picture,
                    new SourceMetadata(
                            bytes,
                            Imaging.getIccProfileBytes(bytes),
                            xmp == null ? null : xmp.getBytes(StandardCharsets.UTF_8),
                            tags.map(TiffPixels::iptc).orElse(null)));
        } catch (IOException | RuntimeException damaged) {
            LOG.info("The metadata of {} can't be read and is left out", file, damaged);
            return new Source(picture, SourceMetadata.NONE);
        }
    }

    private static Source raw(Path file, Reduction reduction) throws UnreadablePhotoException {
        try {
            EmbeddedJpeg preview = RawFile.preview(file)
                    .orElseThrow(
                            () -> new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.RAW_WITHOUT_PREVIEW)));
            return open(file, preview.bytes(file), reduction);
        } catch (UnreadablePhotoException known) {
            throw known;
        } catch (IOException failed) {
            LOG.info("Reading {} failed", file, failed);
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.READ_FAILED));
        }
    }

    /** The profile was for ink and has done its work. */
    private static Source ink(Path file) throws UnreadablePhotoException {
        byte[] bytes = Decoder.read(file);
        Picture picture = InkJpeg.decode(file, bytes);
        try (Source metadata = open(file, bytes, Reduction.EIGHTH)) {
            return new Source(picture, metadata.metadata().withIcc(null));
        } catch (UnreadablePhotoException unread) { // another way is tried
            return new Source(picture, SourceMetadata.NONE);
        }
    }

    /** The colour profile that came with the pixels and is for such pixels; empty if they are to be taken for sRGB. */
    public Optional<Profile> profile() {
        return Profile.of(metadata.icc()).filter(profile -> profile.fits(picture.channels()));
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
