package nexa.imaging.apart.decoder;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_AV1;
import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_HEVC;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.imaging.boxes.CodedPicture;
import nexa.imaging.boxes.Extent;
import nexa.imaging.boxes.HeifFile;
import nexa.imaging.boxes.HeifPicture;
import nexa.imaging.boxes.Pieces;
import nexa.imaging.boxes.PixelRectangle;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.PixelLimit;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** HEIC and AVIF by the ffmpeg libraries; a small one in the file serves where that is enough. */
final class HeifDecoder implements StillDecoder {
    private static final int THREADS = 2;
    private static final int LONGEST = 1 << 30;

    /** Tiles may reach beyond the picture. */
    private static final long MOST_PIXELS = PixelLimit.MOST * 5 / 4;

    @Override
    public void decode(Path file, int factor, Taker taker) throws IOException, Refusal {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            HeifPicture picture = HeifFile.read(channel)
                    .orElseThrow(() -> new Refusal(Trouble.Kind.UNSUPPORTED, "no picture that is known"));
            Optional<CodedPicture> small = thumbnail(picture, factor);
            if (small.isPresent()) {
                decode(channel, small.get(), PixelRectangle.all(small.get().size()), taker);
            } else {
                decode(channel, picture.coded(), picture.shown(), taker);
            }
        } catch (ImageProcessingException damaged) {
            throw Refusal.damaged(String.valueOf(damaged.getMessage()));
        }
    }

    /** If it is large enough, and of the whole picture; any factor may be asked for, and then it is small. */
    private static Optional<CodedPicture> thumbnail(HeifPicture picture, int factor) {
        boolean isWhole = picture.shown().size().equals(picture.coded().size());
        return picture.thumbnail()
                .filter(small -> factor > 1
                        && isWhole
                        && small.size().longEdge() * (long) factor
                                >= picture.stored().longEdge());
    }

    private static void decode(SeekableByteChannel channel, CodedPicture coded, PixelRectangle shown, Taker taker)
            throws IOException, ImageProcessingException, Refusal {
        int codec = coded.coding().equals("hvc1") ? AV_CODEC_ID_HEVC : AV_CODEC_ID_AV1;
        try (AvDecoder decoder = new AvDecoder(codec, coded.configuration(), THREADS, 0)) {
            AVFrame first = decoder.decode(data(channel, coded.tiles().getFirst()));
            try (RgbFrames frames = new RgbFrames(first, coded.nclx(), true);
                    Arena arena = Arena.ofConfined()) {
                int rows = coded.tiles().size() / coded.columns();
                long stride = (long) frames.width() * coded.columns() * frames.pixel();
                long height = (long) frames.height() * rows;
                if (stride / frames.pixel() * height > MOST_PIXELS) {
                    throw new Refusal(Trouble.Kind.TOO_LARGE, "tiles of " + stride + " x " + height);
                }
                if (shown.x() + shown.width() > stride / frames.pixel() || shown.y() + shown.height() > height) {
                    throw Refusal.damaged("tiles that do not cover the picture");
                }
                MemorySegment canvas = arena.allocate(stride * height, 64);
                AVFrame frame = first;
                for (int tile = 0; tile < coded.tiles().size(); tile++) {
                    frame = tile == 0
                            ? frame
                            : decoder.decode(data(channel, coded.tiles().get(tile)));
                    long row = (long) tile / coded.columns() * frames.height();
                    long column = (long) tile % coded.columns() * frames.width();
                    frames.write(frame, canvas.asSlice(row * stride + column * frames.pixel()), stride);
                }
                taker.take(new Pixels(
                        shown.width(),
                        shown.height(),
                        frames.channels(),
                        frames.bits(),
                        canvas,
                        shown.y() * stride + (long) shown.x() * frames.pixel(),
                        stride,
                        null));
            }
        }
    }

    private static byte[] data(SeekableByteChannel channel, List<Extent> extents)
            throws IOException, ImageProcessingException {
        return Pieces.of(channel, extents, LONGEST);
    }
}
