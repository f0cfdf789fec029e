package nexa.imaging.apart.decoder;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_AV1;
import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_HEVC;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.lang.foreign.MemorySegment;
import java.nio.channels.SeekableByteChannel;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import nexa.imaging.boxes.CodedPicture;
import nexa.imaging.boxes.Pieces;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.jspecify.annotations.Nullable;

/**
 * Decodes the tiles of a picture into their places, on several threads. Each has a decoder of its own, as a tile is too small
 * for several.
 *
 * @param first the first tile, decoded; the others must be like it
 * @param smaller by how much they are made smaller
 * @param canvas room for all, as memory that threads share
 * @param stride from one of its rows to the next, in bytes
 */
record HeifTiles(
        SeekableByteChannel channel,
        CodedPicture coded,
        AVFrame first,
        int smaller,
        MemorySegment canvas,
        long stride) {
    private static final int LONGEST = 1 << 30;

    /** A decoder of such pictures. */
    static AvDecoder decoder(CodedPicture coded, int threads) throws Refusal {
        int codec = coded.coding().equals("hvc1") ? AV_CODEC_ID_HEVC : AV_CODEC_ID_AV1;
        return new AvDecoder(codec, coded.configuration(), threads, 0);
    }

    /** The first tile's data, which is all if there is but one. */
    static byte[] first(SeekableByteChannel channel, CodedPicture coded) throws IOException, ImageProcessingException {
        return Pieces.of(channel, coded.tiles().getFirst(), LONGEST);
    }

    private byte[] data(int tile) throws IOException, ImageProcessingException {
        synchronized (channel) {
            return Pieces.of(channel, coded.tiles().get(tile), LONGEST);
        }
    }

    /** All but the first. */
    void decode(int threads) throws IOException, ImageProcessingException, Refusal {
        try (ExecutorService pool = Executors.newFixedThreadPool(threads)) {
            List<Future<?>> turns = IntStream.rangeClosed(1, threads)
                    .<Future<?>>mapToObj(from -> pool.submit(() -> {
                        decode(from, threads);
                        return null;
                    }))
                    .toList();
            for (Future<?> turn : turns) {
                turn.get();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException();
        } catch (ExecutionException failed) {
            throw asItWas(failed.getCause());
        }
    }

    private static IOException asItWas(@Nullable Throwable failed) throws ImageProcessingException, Refusal {
        return switch (failed) {
            case IOException read -> read;
            case ImageProcessingException damaged -> throw damaged;
            case Refusal refused -> throw refused;
            case null, default -> throw new IllegalStateException(failed);
        };
    }

    /** Every so many-th. */
    private void decode(int from, int step) throws IOException, ImageProcessingException, Refusal {
        try (AvDecoder decoder = decoder(coded, 1);
                RgbFrames frames = new RgbFrames(first, coded.nclx(), true, smaller)) {
            for (int tile = from; tile < coded.tiles().size(); tile += step) {
                long row = (long) tile / coded.columns() * frames.height();
                long column = (long) tile % coded.columns() * frames.width();
                frames.write(
                        decoder.decode(data(tile)), canvas.asSlice(row * stride + column * frames.pixel()), stride);
            }
        }
    }
}
