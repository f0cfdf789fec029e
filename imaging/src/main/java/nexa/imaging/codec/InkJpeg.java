package nexa.imaging.codec;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;
import nexa.core.geometry.PixelSize;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.ToldException;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.DecodingRoom;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.JdkPixels;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.JpegSegments;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * JPEGs of ink values (CMYK, YCCK), which OpenCV reads without their profile. Those without one are converted by the
 * library used here, which takes a common one.
 */
final class InkJpeg {
    private static final Logger LOG = LoggerFactory.getLogger(InkJpeg.class);
    private static final int ADOBE_MARKER = 0xEE;
    private static final int INKS = 4;

    /** Their values are read into Java's heap: not more than it holds at a time. */
    static final DecodingRoom HEAP =
            new DecodingRoom((long) (0.6 * Runtime.getRuntime().maxMemory()));

    static {
        ImageIO.setUseCache(false); // no temporary files
    }

    private InkJpeg() {}

    /** Waits until there is enough of the heap for a picture; to be closed when it is decoded. */
    static DecodingRoom.Held room(PixelSize size) {
        return HEAP.take(size.area() * INKS);
    }

    /**
     * Its pixels as stored, in sRGB. What it takes of the heap is to be asked for first: {@link #room}.
     *
     * @param icc the profile that it has, if any
     * @throws UnreadablePhotoException if it is damaged
     */
    static Picture decode(Path file, byte[] bytes, byte @Nullable [] icc) throws UnreadablePhotoException {
        try {
            boolean isInverted = isInverted(file);
            Optional<Picture> shown = Profile.ofInks(icc).flatMap(inks -> shown(file, bytes, inks, isInverted));
            return shown.isPresent() ? shown.get() : new Picture(isInverted ? inverted(bytes) : plain(bytes));
        } catch (IOException | RuntimeException damaged) {
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED), damaged);
        }
    }

    /** What the inks look like; empty if the profile does not say it. */
    private static Optional<Picture> shown(Path file, byte[] bytes, Profile inks, boolean isInverted) {
        try (InkPicture amounts = isInverted ? read(bytes, InkJpeg::amounts) : read(bytes, InkJpeg::asTheyAre)) {
            return Optional.of(ColourTransform.between(inks, Profile.SRGB).shown(amounts));
        } catch (IOException | RuntimeException unknown) {
            LOG.info("The inks of {} are shown without their profile", file, unknown);
            return Optional.empty();
        }
    }

    /** What is read by a library's reader of JPEGs. */
    private interface Reading<T> {
        T from(ImageReader reader) throws IOException;
    }

    private static <T> T read(byte[] bytes, Reading<T> reading) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            reader.setInput(in);
            return reading.from(reader);
        } finally {
            reader.dispose();
        }
    }

    /** The library turns them round, and brightness with two differences of colours into inks. */
    private static InkPicture amounts(ImageReader reader) throws IOException {
        ImageReadParam asked = reader.getDefaultReadParam();
        for (Iterator<ImageTypeSpecifier> types = reader.getImageTypes(0); types.hasNext(); ) {
            ImageTypeSpecifier type = types.next();
            if (type.getColorModel().getNumColorComponents() == INKS) {
                asked.setDestinationType(type);
            }
        }
        return InkPicture.of(reader.read(0, asked).getRaster());
    }

    private static InkPicture asTheyAre(ImageReader reader) throws IOException {
        return InkPicture.of(reader.readRaster(0, null));
    }

    /** Adobe's marker, APP14, stands for inverted values (Adobe technical note 5116, section 18). */
    private static boolean isInverted(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            return JpegSegments.ofFile(channel).segments().stream()
                    .anyMatch(segment -> segment.marker() == ADOBE_MARKER);
        }
    }

    /** As nearly all are; the library takes every one for inverted. */
    private static Mat inverted(byte[] bytes) throws IOException {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(bytes));
        if (image == null) {
            throw new ToldException("told.codec.no-reader");
        }
        return JdkPixels.matrix(image);
    }

    private static Mat plain(byte[] bytes) throws IOException {
        try (InkPicture amounts = read(bytes, InkJpeg::asTheyAre)) {
            return amounts.withoutProfile().mat();
        }
    }
}
