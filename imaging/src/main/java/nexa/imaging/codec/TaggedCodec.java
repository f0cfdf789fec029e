package nexa.imaging.codec;

import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_EXIF;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_ICCP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMAGE_METADATA_XMP;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imdecodeWithMetadata;

import com.drew.imaging.FileType;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.png.PngDirectory;
import com.drew.metadata.webp.WebpDirectory;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.Headers;
import nexa.imaging.probe.MovingPng;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.probe.PngColours;
import nexa.imaging.source.JpegPrefix;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** PNG and WebP: the decoder hands their metadata out with the pixels. */
final class TaggedCodec implements PhotoCodec {
    private static final Logger LOG = LoggerFactory.getLogger(TaggedCodec.class);

    private final FileKind kind;

    TaggedCodec(FileKind kind) {
        this.kind = kind;
    }

    @Override
    public FileKind kind() {
        return kind;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        FileType ours = kind == FileKind.PNG ? FileType.Png : FileType.WebP;
        if (file.type() != ours) {
            return Optional.empty();
        }
        Metadata headers = file.headers();
        if (PngColours.isHdr(headers)) {
            return Optional.of(Probe.unreadable(Trouble.Kind.UNSUPPORTED));
        }
        return Optional.of(Readings.of(kind, size(headers), headers, EnumSet.noneOf(Remark.class)));
    }

    private Optional<PixelSize> size(Metadata headers) {
        return kind == FileKind.PNG
                ? Headers.size(headers, PngDirectory.class, PngDirectory.TAG_IMAGE_WIDTH, PngDirectory.TAG_IMAGE_HEIGHT)
                : Headers.size(
                        headers, WebpDirectory.class, WebpDirectory.TAG_IMAGE_WIDTH, WebpDirectory.TAG_IMAGE_HEIGHT);
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        try (Mat encoded = encoded(file, facts)) {
            Source source = decode(file, encoded);
            boolean isSaid = source.metadata().icc() == null
                    && facts.profile() != null
                    && !facts.profile().equals(Profile.SRGB.name());
            return isSaid && kind == FileKind.PNG ? withSaidProfile(file, source) : source;
        }
    }

    /** With a profile for the colours that a PNG says by numbers. */
    private static Source withSaidProfile(Path file, Source source) throws UnreadablePhotoException {
        try {
            Optional<Profile> said = Readings.reading(file, opened -> PngColours.profile(opened.headers()));
            byte[] icc = said.map(Profile::bytes).orElse(null);
            return new Source(source.picture(), source.metadata().withIcc(icc));
        } catch (UnreadablePhotoException gone) {
            source.close();
            throw gone;
        }
    }

    /** Of a PNG that moves OpenCV would show the first picture that moves, or none. */
    private Mat encoded(Path file, PhotoFacts facts) throws UnreadablePhotoException {
        return kind == FileKind.PNG && facts.remarks().contains(Remark.FIRST_OF_SEVERAL)
                ? Decoder.encoded(MovingPng.still(Decoder.read(file)))
                : Decoder.encoded(file);
    }

    static Source decode(Path file, Mat encoded) throws UnreadablePhotoException {
        try (IntPointer kinds = new IntPointer();
                MatVector blocks = new MatVector()) {
            Mat pixels = imdecodeWithMetadata(encoded, kinds, blocks, Reduction.NONE.flags());
            return new Source(Decoder.checked(file, pixels), metadata(kinds, blocks));
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
                structure(byKind.get(IMAGE_METADATA_EXIF)),
                byKind.get(IMAGE_METADATA_ICCP),
                packet(byKind.get(IMAGE_METADATA_XMP)));
    }

    /** Some programs write it with the prefix that it has in a JPEG. */
    private static byte @Nullable [] structure(byte @Nullable [] exif) {
        return exif == null ? null : JpegPrefix.EXIF.without(exif);
    }

    private static byte @Nullable [] packet(byte @Nullable [] xmp) {
        if (xmp == null) {
            return null;
        }
        String text = new String(JpegPrefix.XMP.without(xmp), StandardCharsets.UTF_8);
        int end = text.lastIndexOf('>') + 1; // OpenCV hands out bytes beyond a PNG's packet
        return text.substring(0, end).getBytes(StandardCharsets.UTF_8);
    }
}
