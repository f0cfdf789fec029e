package nexa.imaging.apart.decoder;

import java.io.IOException;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.global.avcodec;
import org.bytedeco.ffmpeg.global.swscale;
import org.bytedeco.javacpp.Loader;
import org.jspecify.annotations.Nullable;

/** The decoders of a process, each made when it is first needed. For one thread. */
public final class Decoders {
    private @Nullable JxlDecoder jxl;
    private @Nullable RawDecoder raw;

    /** Loads the libraries that come with Nexa, which takes a moment in a new process. */
    public static void load() {
        Loader.load(avcodec.class);
        Loader.load(swscale.class);
    }

    /** @param brightness of raw data only: how light the camera showed it, 0 if that is not known */
    public void decode(Kind kind, Path file, int factor, double brightness, StillDecoder.Taker taker)
            throws IOException, Refusal {
        switch (kind) {
            case HEIF -> new HeifDecoder().decode(file, factor, taker);
            case JPEG_2000 -> new Jpeg2000Decoder().decode(file, factor, taker);
            case JPEG_XL -> jxl().decode(file, factor, taker);
            case RAW -> raw().decode(file, factor, brightness, taker);
        }
    }

    /** What a raw file says of its sensor. */
    public Sensor sensor(Path file) throws IOException, Refusal {
        return raw().sensor(file);
    }

    private JxlDecoder jxl() throws Refusal {
        if (jxl == null) {
            jxl = new JxlDecoder();
        }
        return jxl;
    }

    private RawDecoder raw() throws Refusal {
        if (raw == null) {
            raw = new RawDecoder();
        }
        return raw;
    }
}
