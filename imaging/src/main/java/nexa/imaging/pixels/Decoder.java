package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_16U;
import static org.bytedeco.opencv.global.opencv_core.CV_8U;
import static org.bytedeco.opencv.global.opencv_imgcodecs.haveImageReader;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imdecode;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Supplier;
import nexa.imaging.file.Trouble;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Decodes files to pixels as stored (TIFF: as shot). Thread-safe. */
public final class Decoder {
    private static final Logger LOG = LoggerFactory.getLogger(Decoder.class);

    /** For two files of 100 megapixels and 16 bits. */
    private static final DecodingRoom ROOM = new DecodingRoom(2500L << 20);

    static {
        OpenCv.settle();
    }

    private Decoder() {}

    /**
     * Decodes a file whose headers were found good.
     *
     * @throws UnreadablePhotoException with the reason
     */
    public static Picture decode(Path file, Reduction reduction) throws UnreadablePhotoException {
        try (DecodingRoom.Held held = ROOM.take(length(file));
                Mat encoded = encoded(file)) {
            return decode(file, encoded, reduction, () -> JdkPixels.decode(file));
        }
    }

    /** The same from bytes already read; the file is named for messages only. */
    public static Picture decode(Path file, byte[] bytes, Reduction reduction) throws UnreadablePhotoException {
        try (Mat encoded = EncodedBytes.matrix(bytes)) {
            return decode(file, encoded, reduction, Optional::empty);
        }
    }

    private static Picture decode(Path file, Mat encoded, Reduction reduction, Supplier<Optional<Picture>> otherwise)
            throws UnreadablePhotoException {
        try {
            Mat decoded = imdecode(encoded, reduction.flags());
            Optional<Picture> other = isNothing(decoded) ? otherwise.get() : Optional.empty();
            return other.isPresent() ? other.get() : checked(file, decoded);
        } catch (RuntimeException refused) { // OpenCV reports damaged data as its own runtime exceptions
            LOG.info("OpenCV refuses {}", file, refused);
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
        }
    }

    /**
     * What a decoder gave, if it is pixels that Nexa works with.
     *
     * @throws UnreadablePhotoException if it is none
     */
    public static Picture checked(Path file, @Nullable Mat decoded) throws UnreadablePhotoException {
        if (decoded == null || isNothing(decoded)) {
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
        }
        if (decoded.depth() != CV_8U && decoded.depth() != CV_16U) {
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.UNSUPPORTED));
        }
        return new Picture(decoded);
    }

    private static boolean isNothing(@Nullable Mat decoded) {
        return decoded == null || decoded.empty();
    }

    /** Whether OpenCV, asked, says that it reads such a file. */
    public static boolean mayRead(Path file) {
        try {
            return haveImageReader(file.toString());
        } catch (RuntimeException refused) { // by a decoder that is switched off
            LOG.info("OpenCV does not read {}", file, refused);
            return false;
        }
    }

    private static long length(Path file) throws UnreadablePhotoException {
        return reading(file, () -> Files.size(file));
    }

    /**
     * A whole file as OpenCV's decoders want it, without Java's memory.
     *
     * @throws UnreadablePhotoException if it can't be read
     */
    public static Mat encoded(Path file) throws UnreadablePhotoException {
        return reading(file, () -> EncodedBytes.matrix(file));
    }

    /** The same of bytes. */
    public static Mat encoded(byte[] bytes) {
        return EncodedBytes.matrix(bytes);
    }

    /**
     * Reads a whole file.
     *
     * @throws UnreadablePhotoException if it can't be
     */
    public static byte[] read(Path file) throws UnreadablePhotoException {
        return reading(file, () -> Files.readAllBytes(file));
    }

    @FunctionalInterface
    private interface Reading<T> {
        T read() throws IOException;
    }

    private static <T> T reading(Path file, Reading<T> reading) throws UnreadablePhotoException {
        try {
            return reading.read();
        } catch (NoSuchFileException gone) {
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.MISSING), gone);
        } catch (AccessDeniedException denied) {
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.NO_PERMISSION), denied);
        } catch (IOException | RuntimeException | OutOfMemoryError failed) { // there may be no room for it
            LOG.info("Reading {} failed", file, failed);
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.READ_FAILED));
        }
    }
}
