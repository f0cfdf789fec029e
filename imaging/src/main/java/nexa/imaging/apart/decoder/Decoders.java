package nexa.imaging.apart.decoder;

import java.io.IOException;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.global.avcodec;
import org.bytedeco.ffmpeg.global.swscale;
import org.bytedeco.javacpp.Loader;
import org.jspecify.annotations.Nullable;

/** The decoders of coded pictures of a process, each made when it is first needed. For one thread. */
public final class Decoders {
    private @Nullable JxlDecoder jxl;

    /** Loads the libraries that come with Nexa, which takes a moment in a new process. */
    public static void load() {
        Loader.load(avcodec.class);
        Loader.load(swscale.class);
    }

    /** @param factor 1, 2, 4 or 8: how much smaller the pixels may be */
    public void decode(Kind kind, Path file, int factor, StillDecoder.Taker taker) throws IOException, Refusal {
        switch (kind) {
            case HEIF -> new HeifDecoder().decode(file, factor, taker);
            case JPEG_2000 -> new Jpeg2000Decoder().decode(file, factor, taker);
            case JPEG_XL -> jxl().decode(file, factor, taker);
        }
    }

    /** The small picture in a HEIC or AVIF file. */
    public void thumbnail(Path file, StillDecoder.Taker taker) throws IOException, Refusal {
        new HeifDecoder().thumbnail(file, taker);
    }

    private JxlDecoder jxl() throws Refusal {
        if (jxl == null) {
            jxl = new JxlDecoder();
        }
        return jxl;
    }
}
