package nexa.imaging.apart.decoder;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.boxes.CodedPicture;
import nexa.imaging.boxes.HeifFile;
import nexa.imaging.boxes.HeifPicture;
import nexa.imaging.boxes.PixelRectangle;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.PixelLimit;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/**
 * HEIC and AVIF by the ffmpeg libraries. All is decoded, except where a small picture in the file serves; fewer pixels take
 * less to turn into colours.
 */
final class HeifDecoder implements StillDecoder {
    private static final int THREADS = 2;

    /** A picture is made an eighth of its size at the smallest. */
    private static final int SMALLEST = 8;

    private static final int ANY_FACTOR = Integer.MAX_VALUE;

    /** Tiles may reach beyond the picture. */
    private static final long MOST_PIXELS = PixelLimit.MOST * 5 / 4;

    @Override
    public void decode(Path file, int factor, Taker taker) throws IOException, Refusal {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            HeifPicture picture = HeifFile.read(channel)
                    .orElseThrow(() -> new Refusal(Trouble.Kind.UNSUPPORTED, "no picture that is known"));
            Optional<CodedPicture> small = thumbnail(picture, factor);
            if (small.isPresent()) {
                decode(channel, small.get(), PixelRectangle.all(small.get().size()), 1, taker);
            } else {
                decode(channel, picture.coded(), picture.shown(), factor, taker);
            }
        } catch (ImageProcessingException damaged) {
            throw Refusal.damaged(String.valueOf(damaged.getMessage()));
        }
    }

    /** The small picture in the file, however small; an eighth of the photo where there is none of all of it. */
    void thumbnail(Path file, Taker taker) throws IOException, Refusal {
        decode(file, ANY_FACTOR, taker);
    }

    /** If it is large enough, and of the whole picture. */
    private static Optional<CodedPicture> thumbnail(HeifPicture picture, int factor) {
        boolean isWhole = picture.shown().size().equals(picture.coded().size());
        return picture.thumbnail()
                .filter(small -> factor > 1
                        && isWhole
                        && small.size().longEdge() * (long) factor
                                >= picture.stored().longEdge());
    }

    private static void decode(
            SeekableByteChannel channel, CodedPicture coded, PixelRectangle shown, int factor, Taker taker)
            throws IOException, ImageProcessingException, Refusal {
        try (AvDecoder decoder = HeifTiles.decoder(coded, THREADS)) {
            AVFrame first = decoder.decode(HeifTiles.first(channel, coded));
            checkTiles(first, coded, shown);
            int smaller = dividing(factor, first.width(), first.height(), shown.x(), shown.y());
            try (RgbFrames frames = new RgbFrames(first, coded.nclx(), true, smaller);
                    Arena arena = Arena.ofShared()) { // several threads write into it
                long stride = (long) frames.width() * coded.columns() * frames.pixel();
                MemorySegment canvas = arena.allocate(stride * frames.height() * rows(coded), 64);
                frames.write(first, canvas, stride);
                if (coded.tiles().size() > 1) {
                    new HeifTiles(channel, coded, first, smaller, canvas, stride).decode(THREADS);
                }
                Pixels pixels = new Pixels(
                        Math.ceilDiv(shown.width(), smaller),
                        Math.ceilDiv(shown.height(), smaller),
                        frames.channels(),
                        frames.bits(),
                        canvas,
                        shown.y() / smaller * stride + (long) shown.x() / smaller * frames.pixel(),
                        stride,
                        null);
                HdrLight.of(coded.nclx()).ifPresent(light -> light.turn(pixels));
                taker.take(pixels);
            }
        }
    }

    private static int rows(CodedPicture coded) {
        return coded.tiles().size() / coded.columns();
    }

    private static void checkTiles(AVFrame first, CodedPicture coded, PixelRectangle shown) throws Refusal {
        long width = (long) first.width() * coded.columns();
        long height = (long) first.height() * rows(coded);
        if (width * height > MOST_PIXELS) {
            throw new Refusal(Trouble.Kind.TOO_LARGE, "tiles of " + width + " x " + height);
        }
        if (shown.x() + shown.width() > width || shown.y() + shown.height() > height) {
            throw Refusal.damaged("tiles that do not cover the picture");
        }
    }

    /** The largest power of two, no larger than the factor, by which lengths can be divided: each tile is made smaller alone. */
    private static int dividing(int factor, int... lengths) {
        int smaller = Integer.highestOneBit(Math.min(factor, SMALLEST));
        for (int length : lengths) {
            while (length % smaller != 0) {
                smaller /= 2;
            }
        }
        return smaller;
    }
}
