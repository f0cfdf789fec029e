package nexa.imaging.apart.decoder;

import static org.bytedeco.ffmpeg.global.swscale.SWS_ACCURATE_RND;
import static org.bytedeco.ffmpeg.global.swscale.SWS_AREA;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BICUBIC;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FULL_CHR_H_INT;
import static org.bytedeco.ffmpeg.global.swscale.sws_freeContext;
import static org.bytedeco.ffmpeg.global.swscale.sws_getContext;
import static org.bytedeco.ffmpeg.global.swscale.sws_scale;
import static org.bytedeco.ffmpeg.global.swscale.sws_setColorspaceDetails;

import nexa.imaging.file.Trouble;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.ffmpeg.swscale.SwsFilter;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.PointerPointer;

/** libswscale's way from pixels of one size and format to those of another. */
final class Scaling implements AutoCloseable {
    private static final int ONE = 1 << 16;

    /** @param format by ffmpeg's number */
    record Layout(int width, int height, int format) {}

    private final SwsContext context;
    private final int rows;

    /** @throws Refusal if it can't */
    Scaling(Layout from, Layout to) throws Refusal {
        rows = from.height;
        context = sws_getContext(
                from.width,
                from.height,
                from.format,
                to.width,
                to.height,
                to.format,
                // bilinear gives wrong colours for 16 bits of halved chroma in ffmpeg 8.0
                (to.width < from.width ? SWS_AREA : SWS_BICUBIC) | SWS_FULL_CHR_H_INT | SWS_ACCURATE_RND,
                (SwsFilter) null,
                (SwsFilter) null,
                (DoublePointer) null);
        if (context == null || context.isNull()) {
            throw new Refusal(Trouble.Kind.UNSUPPORTED, "pixels of format " + from.format);
        }
    }

    /**
     * From luma and chroma to red, green, blue.
     *
     * @param matrix libswscale's coefficients
     * @param full whether all values are used
     */
    void fromLuma(IntPointer matrix, boolean full) {
        sws_setColorspaceDetails(context, matrix, full ? 1 : 0, matrix, 1, 0, ONE, ONE);
    }

    void scale(AVFrame from, AVFrame to) {
        scale(from, to.data(), to.linesize());
    }

    /** @param strides of the target's planes, in bytes */
    void scale(AVFrame from, PointerPointer<?> planes, IntPointer strides) {
        sws_scale(context, from.data(), from.linesize(), 0, rows, planes, strides);
    }

    @Override
    public void close() {
        sws_freeContext(context);
    }
}
