package nexa.imaging.apart.decoder;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_AV1;
import static org.bytedeco.ffmpeg.global.avcodec.AV_INPUT_BUFFER_PADDING_SIZE;
import static org.bytedeco.ffmpeg.global.avcodec.av_new_packet;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_alloc;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_free;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_unref;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_alloc_context3;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_find_decoder;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_find_decoder_by_name;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_flush_buffers;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_free_context;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_open2;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_receive_frame;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_send_packet;
import static org.bytedeco.ffmpeg.global.avutil.AV_LOG_QUIET;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_unref;
import static org.bytedeco.ffmpeg.global.avutil.av_log_set_level;
import static org.bytedeco.ffmpeg.global.avutil.av_mallocz;

import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.PixelLimit;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.BytePointer;

/** A decoder of the ffmpeg libraries, given whole pictures one after the other. */
final class AvDecoder implements AutoCloseable {
    private final AVCodecContext context;
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame frame = av_frame_alloc();

    /**
     * @param codec by ffmpeg's number
     * @param configuration what it must know before; may be empty
     * @param lowered how many times the size is halved while decoding, where it can
     * @throws Refusal if it can't be had or does not take the configuration
     */
    AvDecoder(int codec, byte[] configuration, int threads, int lowered) throws Refusal {
        av_log_set_level(AV_LOG_QUIET);
        AVCodec decoder = codec == AV_CODEC_ID_AV1 // the one of that name alone only drives hardware
                ? avcodec_find_decoder_by_name("libaom-av1")
                : avcodec_find_decoder(codec);
        if (decoder == null || decoder.isNull()) {
            throw new Refusal(Trouble.Kind.UNSUPPORTED, "no decoder " + codec);
        }
        context = avcodec_alloc_context3(decoder);
        context.thread_count(threads);
        context.thread_type(AVCodecContext.FF_THREAD_SLICE); // there is but one picture at a time
        context.max_pixels(PixelLimit.MOST);
        context.lowres(lowered);
        if (configuration.length > 0) {
            BytePointer copy = new BytePointer(av_mallocz(configuration.length + AV_INPUT_BUFFER_PADDING_SIZE));
            context.extradata(copy.capacity(configuration.length).put(configuration)); // freed with the context
            context.extradata_size(configuration.length);
        }
        if (avcodec_open2(context, decoder, (AVDictionary) null) < 0) {
            close();
            throw Refusal.damaged("its configuration is refused");
        }
    }

    /**
     * Decodes one picture.
     *
     * @return lent until the next one
     */
    AVFrame decode(byte[] data) throws Refusal {
        av_frame_unref(frame);
        if (av_new_packet(packet, data.length) < 0) {
            throw Refusal.damaged("no memory for " + data.length + " bytes");
        }
        packet.data().put(data, 0, data.length);
        int sent = avcodec_send_packet(context, packet);
        avcodec_send_packet(context, (AVPacket) null); // nothing follows that it should wait for
        int received = sent < 0 ? sent : avcodec_receive_frame(context, frame);
        avcodec_flush_buffers(context);
        av_packet_unref(packet);
        if (received < 0) {
            throw Refusal.damaged("ffmpeg says " + received);
        }
        return frame;
    }

    @Override
    public void close() {
        av_packet_free(packet);
        av_frame_free(frame);
        avcodec_free_context(context);
    }
}
