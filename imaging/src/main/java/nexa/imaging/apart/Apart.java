package nexa.imaging.apart;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_RGB2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.apart.DecoderProcess.TooSlowException;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Decodes files in processes apart. Thread-safe. */
public final class Apart {
    /** The one whose processes all photos share. */
    public static final Apart SHARED = new Apart(new DecoderPool(2));

    private static final Logger LOG = LoggerFactory.getLogger(Apart.class);
    private static final Duration ALWAYS = Duration.ofMillis(4500);
    private static final int TRIES = 2;
    private static final int BAND = 64 << 20;

    private final DecoderPool pool;

    Apart(DecoderPool pool) {
        this.pool = pool;
    }

    /**
     * Pixels, and the profile that the decoder knows.
     *
     * @param icc empty if it knows none
     */
    public record Decoded(Picture picture, byte[] icc) {}

    /**
     * Decodes a file.
     *
     * @param size about which it has, by which the time is limited
     * @param reduction that the pixels may have where the kind can be decoded so
     * @param brightness of raw data: how light the camera showed it on average, on sRGB's curve, 0 to 1; 0 if not known
     * @throws UnreadablePhotoException if it can't be
     */
    public Decoded decode(Path file, Kind kind, PixelSize size, Reduction reduction, double brightness)
            throws UnreadablePhotoException {
        try (PixelFile pixels = PixelFile.create()) {
            Order order =
                    new Order(kind, file.toAbsolutePath(), reduction.factor(), brightness, Optional.of(pixels.path()));
            Answer.Done done = ask(order, limit(kind, size));
            return new Decoded(picture(pixels, done), done.icc());
        } catch (UnreadablePhotoException refused) {
            throw refused;
        } catch (IOException full) {
            LOG.info("The pixels of {} can't be taken over", file, full);
            throw unreadable(file, Trouble.Kind.READ_FAILED);
        }
    }

    /**
     * The size of a raw file's developed picture.
     *
     * @throws UnreadablePhotoException if it can't be developed
     */
    public PixelSize rawSize(Path file) throws UnreadablePhotoException {
        Answer.Done done = ask(new Order(Kind.RAW, file.toAbsolutePath(), 1, 0, Optional.empty()), ALWAYS);
        return new PixelSize(done.width(), done.height());
    }

    private static Duration limit(Kind kind, PixelSize size) {
        return ALWAYS.plus(kind.slowestMegapixel().multipliedBy(size.area() / 1_000_000));
    }

    private Answer.Done ask(Order order, Duration limit) throws UnreadablePhotoException {
        Answer answer = answer(order, limit);
        return switch (answer) {
            case Answer.Done done -> done;
            case Answer.Refused(Trouble.Kind kind, String detail) -> {
                LOG.info("{} is refused: {}", order.file(), detail);
                throw unreadable(order.file(), kind);
            }
        };
    }

    private Answer answer(Order order, Duration limit) {
        for (int attempt = 1; attempt <= TRIES; attempt++) {
            try {
                return pool.ask(order, limit);
            } catch (TooSlowException hung) {
                return new Answer.Refused(Trouble.Kind.DECODER_FAILED, hung.toString());
            } catch (IOException ended) {
                LOG.info("Decoding {} ended its process", order.file(), ended);
            }
        }
        return new Answer.Refused(Trouble.Kind.DECODER_FAILED, "not in " + TRIES + " tries");
    }

    private static UnreadablePhotoException unreadable(Path file, Trouble.Kind kind) {
        return new UnreadablePhotoException(file, Trouble.of(kind));
    }

    /** Copies the pixels, so that the file is no longer needed; band by band, since no buffer is longer than 2 GiB. */
    private static Picture picture(PixelFile file, Answer.Done done) throws IOException {
        int channels = done.channels();
        int type = done.bits() == 16 ? CV_16UC(channels) : CV_8UC(channels);
        long row = (long) done.width() * channels * done.bits() / Byte.SIZE;
        Mat whole = new Mat(done.height(), done.width(), type);
        int rows = (int) Math.max(1, BAND / row);
        for (int y = 0; y < done.height(); y += rows) {
            int count = Math.min(rows, done.height() - y);
            try (BytePointer bytes = new BytePointer(file.read(y * row, count * row));
                    Mat band = new Mat(count, done.width(), type, bytes);
                    Mat target = whole.rowRange(y, y + count)) {
                if (channels == 3) {
                    cvtColor(band, target, COLOR_RGB2BGR);
                } else {
                    band.copyTo(target);
                }
            }
        }
        return new Picture(whole);
    }
}
