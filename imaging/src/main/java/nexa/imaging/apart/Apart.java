package nexa.imaging.apart;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_RGB2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.io.IOException;
import java.lang.foreign.Arena;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import nexa.core.geometry.PixelSize;
import nexa.imaging.apart.DecoderProcess.TooSlowException;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.raw.Development;
import nexa.imaging.apart.raw.Sensor;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Decodes files in processes apart. Thread-safe. */
public final class Apart {
    private static final DecoderPool SOON = new DecoderPool(2, false);
    private static final DecoderPool LATER = new DecoderPool(2, true);
    private static final DecoderPool QUICK = new DecoderPool(1, false);

    /** For the photo that somebody works on, and for whatever must be done. */
    public static final Apart SHARED = new Apart(SOON, QUICK, SOON);

    /** For what shows beside it or will show later: its processes leave the processors to others. */
    public static final Apart PATIENT = new Apart(LATER, QUICK, SOON);

    private static final Logger LOG = LoggerFactory.getLogger(Apart.class);
    private static final Duration ALWAYS = Duration.ofMillis(4500);
    private static final Duration SLOWEST_DEVELOPED_MEGAPIXEL = Duration.ofSeconds(1);
    private static final int TRIES = 2;
    private static final int BAND = 64 << 20;

    private final DecoderPool pool;

    /** For what takes hardly any time and is not to wait for what does. */
    private final DecoderPool quick;

    /** Where something will be wanted soon when something is decoded here. */
    private final DecoderPool next;

    Apart(DecoderPool pool, DecoderPool quick) {
        this(pool, quick, pool);
    }

    private Apart(DecoderPool pool, DecoderPool quick, DecoderPool next) {
        this.pool = pool;
        this.quick = quick;
        this.next = next;
    }

    /**
     * Makes what lets such processes start quickly, where the property {@code nexa.decoders} names it.
     *
     * @param cache the file to make, or to make anew
     * @param photos small ones of the kinds that are decoded so
     * @throws IOException if it does not come to be
     */
    public static void train(Path cache, List<Path> photos) throws IOException {
        DecoderProgram.train(cache, photos);
    }

    /** Called when files come up that will be decoded so: a process takes a moment to start. */
    public void warm() {
        quick.warm();
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
     * @throws UnreadablePhotoException if it can't be
     */
    public Decoded decode(Path file, Kind kind, PixelSize size, Reduction reduction) throws UnreadablePhotoException {
        return pixels(
                new Order.Coded(file.toAbsolutePath(), kind, reduction.factor()), limit(kind.slowestMegapixel(), size));
    }

    /**
     * Develops a raw file.
     *
     * @param size of the developed photo, by which the time is limited
     * @throws UnreadablePhotoException if it can't be
     */
    public Decoded develop(Path file, PixelSize size, Development development) throws UnreadablePhotoException {
        return pixels(new Order.Raw(file.toAbsolutePath(), development), limit(SLOWEST_DEVELOPED_MEGAPIXEL, size));
    }

    private Decoded pixels(Order order, Duration limit) throws UnreadablePhotoException {
        next.warm();
        return ask(pool, order, limit, (done, pixels) -> new Decoded(picture(pixels, done), done.icc()));
    }

    /**
     * The small picture in a HEIC or AVIF file.
     *
     * @throws UnreadablePhotoException if there is none or it can't be decoded
     */
    public Picture thumbnail(Path file) throws UnreadablePhotoException {
        Order order = new Order.Thumbnail(file.toAbsolutePath());
        return ask(quick, order, ALWAYS, (done, pixels) -> picture(pixels, done));
    }

    /**
     * What a raw file says of its sensor.
     *
     * @throws UnreadablePhotoException if it can't be developed
     */
    public Sensor sensor(Path file) throws UnreadablePhotoException {
        return ask(
                quick,
                new Order.OfSensor(file.toAbsolutePath()),
                ALWAYS,
                (done, pixels) -> new Sensor(new PixelSize(done.width(), done.height()), done.receptors()));
    }

    private static Duration limit(Duration slowestMegapixel, PixelSize size) {
        return ALWAYS.plus(slowestMegapixel.multipliedBy(size.area() / 1_000_000));
    }

    /** What is made of what a process did. */
    @FunctionalInterface
    private interface Made<T> {
        T of(Answer.Done done, PixelFile pixels) throws IOException;
    }

    /** @param <T> what is made, or the refusal */
    private record Outcome<T>(@Nullable T made, Answer.@Nullable Refused refused) {}

    private <T> T ask(DecoderPool asked, Order order, Duration limit, Made<T> made) throws UnreadablePhotoException {
        Outcome<T> outcome = outcome(asked, order, limit, made);
        if (outcome.made() != null) {
            return outcome.made();
        }
        Answer.Refused refused = Objects.requireNonNull(outcome.refused());
        LOG.info("{} is refused: {}", order.file(), refused.detail());
        throw new UnreadablePhotoException(order.file(), Trouble.of(refused.kind()));
    }

    private <T> Outcome<T> outcome(DecoderPool asked, Order order, Duration limit, Made<T> made) {
        for (int attempt = 1; attempt <= TRIES; attempt++) {
            try {
                return asked.ask(order, limit, (answer, pixels) -> switch (answer) {
                    case Answer.Done done -> new Outcome<>(made.of(done, pixels), null);
                    case Answer.Refused refused -> new Outcome<T>(null, refused);
                });
            } catch (TooSlowException hung) {
                return new Outcome<>(null, new Answer.Refused(Trouble.Kind.DECODER_FAILED, hung.toString()));
            } catch (IOException ended) {
                LOG.info("Decoding {} ended its process", order.file(), ended);
            }
        }
        return new Outcome<>(null, new Answer.Refused(Trouble.Kind.DECODER_FAILED, "not in " + TRIES + " tries"));
    }

    /** Copies the pixels, since the next order overwrites them; band by band, since no buffer is longer than 2 GiB. */
    private static Picture picture(PixelFile file, Answer.Done done) throws IOException {
        int channels = done.channels();
        int type = done.bits() == 16 ? CV_16UC(channels) : CV_8UC(channels);
        long row = (long) done.width() * channels * done.bits() / Byte.SIZE;
        Mat whole = new Mat(done.height(), done.width(), type);
        int rows = (int) Math.max(1, BAND / row);
        for (int y = 0; y < done.height(); y += rows) {
            int count = Math.min(rows, done.height() - y);
            try (Arena arena = Arena.ofConfined();
                    BytePointer bytes = new BytePointer(
                            file.read(y * row, count * row, arena).asByteBuffer());
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
