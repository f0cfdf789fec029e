package nexa.imaging.apart.decoder;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_JPEG2000;

import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.imaging.boxes.Jpeg2000File;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** JPEG 2000 by the ffmpeg libraries, which also leave out the finest of its levels. */
final class Jpeg2000Decoder implements StillDecoder {
    private static final int THREADS = 2;
    private static final byte[] NO_CONFIGURATION = {};

    @Override
    public void decode(Path file, int factor, Taker taker) throws IOException, Refusal {
        byte[] data;
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            data = Jpeg2000File.picture(channel);
        }
        int lowered = Integer.numberOfTrailingZeros(factor);
        try {
            decode(data, lowered, taker);
        } catch (Refusal refusal) { // perhaps it has not so many levels
            if (lowered == 0) {
                throw refusal;
            }
            decode(data, 0, taker);
        }
    }

    private static void decode(byte[] data, int lowered, Taker taker) throws IOException, Refusal {
        try (AvDecoder decoder = new AvDecoder(AV_CODEC_ID_JPEG2000, NO_CONFIGURATION, THREADS, lowered)) {
            AVFrame frame = decoder.decode(data);
            try (RgbFrames frames = new RgbFrames(frame, null, true, 1);
                    Arena arena = Arena.ofConfined()) {
                long stride = (long) frames.width() * frames.pixel();
                MemorySegment memory = arena.allocate(stride * frames.height(), 64);
                frames.write(frame, memory, stride);
                taker.take(new Pixels(
                        frames.width(), frames.height(), frames.channels(), frames.bits(), memory, 0, stride, null));
            }
        }
    }
}
