package nexa.imaging.apart.decoder;

import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_JPEG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_MPEG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT2020_NCL;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT709;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_FCC;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_SMPTE240M;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_UNSPECIFIED;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_FLAG_RGB;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_GBRP;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_GBRP16;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_GRAY16;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_GRAY8;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGB24;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGB48;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_get_buffer;
import static org.bytedeco.ffmpeg.global.avutil.av_pix_fmt_desc_get;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_BT2020;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_FCC;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_ITU601;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_ITU709;
import static org.bytedeco.ffmpeg.global.swscale.SWS_CS_SMPTE240M;
import static org.bytedeco.ffmpeg.global.swscale.sws_getCoefficients;

import java.lang.foreign.MemorySegment;
import nexa.imaging.apart.decoder.Scaling.Layout;
import nexa.imaging.boxes.Nclx;
import nexa.imaging.file.Trouble;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.javacpp.PointerPointer;
import org.jspecify.annotations.Nullable;

/**
 * Turns ffmpeg's frames, all as the first one, into grey rows or rows of red, green, blue. Luma and chroma go by way of planes,
 * for which libswscale has the processor's wide instructions: it is three times as fast, and the values are the same.
 */
final class RgbFrames implements AutoCloseable {
    private final Layout layout;
    private final int factor;
    private final int channels;
    private final int bits;
    private final Scaling scaling;

    /** What is between luma and rows; null for what is grey, or colours already. */
    private final @Nullable Planes planes;

    /** Red, green and blue apart, and the way from there to rows. */
    private record Planes(AVFrame frame, Scaling packing) {}

    /**
     * @param said what the file says of its numbers; null if the frame itself says it
     * @param usual whether values that nobody speaks of are all used
     * @param factor how much smaller the rows are than the frames, whose sides it divides
     */
    RgbFrames(AVFrame first, @Nullable Nclx said, boolean usual, int factor) throws Refusal {
        this.layout = new Layout(first.width(), first.height(), first.format());
        this.factor = factor;
        AVPixFmtDescriptor described = av_pix_fmt_desc_get(layout.format());
        this.channels = described.nb_components() < 3 && !isPalette(described) ? 1 : 3;
        this.bits = described.comp(0).depth() > 8 ? 16 : 8;
        boolean isLuma = (described.flags() & AV_PIX_FMT_FLAG_RGB) == 0;
        if (isLuma && channels == 3 && !isPalette(described)) {
            Layout between = smaller(bits == 16 ? AV_PIX_FMT_GBRP16() : AV_PIX_FMT_GBRP);
            this.scaling = new Scaling(layout, between);
            this.planes = new Planes(frame(between), new Scaling(between, rows()));
        } else {
            this.scaling = new Scaling(layout, rows());
            this.planes = null;
        }
        if (isLuma) {
            boolean full = said == null ? isFull(first, usual) : said.full();
            int matrix = said == null ? first.colorspace() : said.matrix();
            if (channels == 3 && !Nclx.isRead(matrix)) {
                close();
                throw new Refusal(Trouble.Kind.UNSUPPORTED, "colours by matrix " + matrix);
            }
            scaling.fromLuma(sws_getCoefficients(matrix(matrix)), full);
        }
    }

    private Layout rows() {
        if (channels == 1) {
            return smaller(bits == 16 ? AV_PIX_FMT_GRAY16() : AV_PIX_FMT_GRAY8);
        }
        return smaller(bits == 16 ? AV_PIX_FMT_RGB48() : AV_PIX_FMT_RGB24);
    }

    private Layout smaller(int format) {
        return new Layout(width(), height(), format);
    }

    private static AVFrame frame(Layout layout) throws Refusal {
        AVFrame frame = av_frame_alloc();
        frame.width(layout.width());
        frame.height(layout.height());
        frame.format(layout.format());
        if (av_frame_get_buffer(frame, 0) < 0) {
            av_frame_free(frame);
            throw Refusal.damaged("no memory for a frame of " + layout);
        }
        return frame;
    }

    private static boolean isPalette(AVPixFmtDescriptor described) {
        return (described.flags() & org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_FLAG_PAL) != 0;
    }

    /** By H.273's code points, which ffmpeg shares; BT.601 where nothing is said, as HEIF has it. */
    private static int matrix(int code) {
        return switch (code) {
            case AVCOL_SPC_BT709 -> SWS_CS_ITU709;
            case AVCOL_SPC_FCC -> SWS_CS_FCC;
            case AVCOL_SPC_SMPTE240M -> SWS_CS_SMPTE240M;
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

    /** Of the rows. */
    int width() {
        return layout.width() / factor;
    }

    int height() {
        return layout.height() / factor;
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
        if (!layout.equals(new Layout(frame.width(), frame.height(), frame.format()))) {
            throw Refusal.damaged("tiles that differ");
        }
        if (target.byteSize() < (height() - 1) * stride + (long) width() * pixel()) {
            throw Refusal.damaged("a tile beyond the picture");
        }
        try (PointerPointer<BytePointer> rows = new PointerPointer<>(4);
                IntPointer strides = new IntPointer(4)) {
            rows.put(0, new At(target.address()));
            strides.put(0, Math.toIntExact(stride));
            if (planes == null) {
                scaling.scale(frame, rows, strides);
            } else {
                scaling.scale(frame, planes.frame);
                planes.packing.scale(planes.frame, rows, strides);
            }
        }
    }

    @Override
    public void close() {
        scaling.close();
        if (planes != null) {
            planes.packing.close();
            av_frame_free(planes.frame);
        }
    }

    /** A pointer to an address. */
    private static final class At extends Pointer {
        At(long address) {
            super();
            this.address = address;
        }
    }
}
