package nexa.imaging.apart.decoder;

import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_JPEG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_MPEG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT2020_NCL;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT709;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_UNSPECIFIED;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_FLAG_RGB;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_GRAY16;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_GRAY8;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGB24;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGB48;
import static org.bytedeco.ffmpeg.global.avutil.av_pix_fmt_desc_get;
import static org.bytedeco.ffmpeg.global.swscale.SWS_ACCURATE_RND;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BICUBIC;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_BT2020;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_ITU601;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_ITU709;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FULL_CHR_H_INT;
import static org.bytedeco.ffmpeg.global.swscale.sws_freeContext;
import static org.bytedeco.ffmpeg.global.swscale.sws_getCoefficients;
import static org.bytedeco.ffmpeg.global.swscale.sws_getContext;
import static org.bytedeco.ffmpeg.global.swscale.sws_scale;
import static org.bytedeco.ffmpeg.global.swscale.sws_setColorspaceDetails;

import java.lang.foreign.MemorySegment;
import nexa.imaging.boxes.Nclx;
import nexa.imaging.file.Trouble;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.ffmpeg.swscale.SwsFilter;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.javacpp.PointerPointer;
import org.jspecify.annotations.Nullable;

/** Turns ffmpeg's frames, all as the first one, into grey rows or rows of red, green, blue. */
final class RgbFrames implements AutoCloseable {
    private static final int ONE = 1 << 16;

    private final int width;
    private final int height;
    private final int format;
    private final int channels;
    private final int bits;
    private final SwsContext scaler;

    /**
     * @param said what the file says of its numbers; null if the frame itself says it
     * @param usual whether values that nobody speaks of are all used
     */
    RgbFrames(AVFrame first, @Nullable Nclx said, boolean usual) throws Refusal {
        this.width = first.width();
        this.height = first.height();
        this.format = first.format();
        AVPixFmtDescriptor described = av_pix_fmt_desc_get(format);
        this.channels = described.nb_components() < 3 && !isPalette(described) ? 1 : 3;
        this.bits = described.comp(0).depth() > 8 ? 16 : 8;
        this.scaler = sws_getContext(
                width,
                height,
                format,
                width,
                height,
                target(),
                // bilinear gives wrong colours for 16 bits of halved chroma in ffmpeg 8.0
                SWS_BICUBIC | SWS_FULL_CHR_H_INT | SWS_ACCURATE_RND,
                (SwsFilter) null,
                (SwsFilter) null,
                (DoublePointer) null);
        if (scaler == null || scaler.isNull()) {
            throw new Refusal(Trouble.Kind.UNSUPPORTED, "pixels of format " + format);
        }
        if ((described.flags() & AV_PIX_FMT_FLAG_RGB) == 0) {
            IntPointer matrix = sws_getCoefficients(matrix(said == null ? first.colorspace() : said.matrix()));
            boolean full = said == null ? isFull(first, usual) : said.full();
            sws_setColorspaceDetails(scaler, matrix, full ? 1 : 0, matrix, 1, 0, ONE, ONE);
        }
    }

    private static boolean isPalette(AVPixFmtDescriptor described) {
        return (described.flags() & org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_FLAG_PAL) != 0;
    }

    private int target() {
        if (channels == 1) {
            return bits == 16 ? AV_PIX_FMT_GRAY16() : AV_PIX_FMT_GRAY8;
        }
        return bits == 16 ? AV_PIX_FMT_RGB48() : AV_PIX_FMT_RGB24;
    }

    /** By H.273's code points, which ffmpeg shares; BT.601 where nothing is said, as HEIF has it. */
    private static int matrix(int code) {
        return switch (code) {
            case AVCOL_SPC_BT709 -> SWS_CS_ITU709;
            case AVCOL_SPC_BT2020_NCL -> SWS_CS_BT2020;
            default -> SWS_CS_ITU601;
        };
    }

    private static boolean isFull(AVFrame frame, boolean usual) {
        return switch (frame.color_range()) {
            case AVCOL_RANGE_JPEG -> true;
            case AVCOL_RANGE_MPEG -> false;
            default -> usual && frame.colorspace() == AVCOL_SPC_UNSPECIFIED;
        };
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    int channels() {
        return channels;
    }

    int bits() {
        return bits;
    }

    /** Bytes of a pixel. */
    int pixel() {
        return channels * bits / Byte.SIZE;
    }

    /**
     * Writes a frame's pixels.
     *
     * @param target room for them from its beginning
     * @param stride from one row to the next, in bytes
     * @throws Refusal if it is not of the first one's size and format
     */
    void write(AVFrame frame, MemorySegment target, long stride) throws Refusal {
        if (frame.width() != width || frame.height() != height || frame.format() != format) {
            throw Refusal.damaged("tiles that differ");
        }
        if (target.byteSize() < (height - 1) * stride + (long) width * pixel()) {
            throw Refusal.damaged("a tile beyond the picture");
        }
        try (PointerPointer<BytePointer> rows = new PointerPointer<>(4);
                IntPointer strides = new IntPointer(4)) {
            rows.put(0, new At(target.address()));
            strides.put(0, Math.toIntExact(stride));
            sws_scale(scaler, frame.data(), frame.linesize(), 0, height, rows, strides);
        }
    }

    @Override
    public void close() {
        sws_freeContext(scaler);
    }

    /** A pointer to an address. */
    private static final class At extends Pointer {
        At(long address) {
            super();
            this.address = address;
        }
    }
}
