package nexa.imaging.apart;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import nexa.core.neutral.Receptors;
import nexa.imaging.apart.decoder.Decoders;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.decoder.Pixels;
import nexa.imaging.apart.decoder.Refusal;
import nexa.imaging.apart.decoder.StillDecoder;
import nexa.imaging.apart.raw.Development;
import nexa.imaging.apart.raw.RawDecoder;
import nexa.imaging.apart.raw.Sensor;
import nexa.imaging.file.Trouble;
import org.jspecify.annotations.Nullable;

/** Carries orders out, by decoders each made when it is first needed. For one thread. */
final class Orders {
    private final Decoders decoders = new Decoders();
    private final FileChannel target;
    private @Nullable RawDecoder raw;

    /** @param target where pixels are written */
    Orders(FileChannel target) {
        this.target = target;
    }

    Answer answer(Order order) {
        try {
            Answer[] done = new Answer[1];
            StillDecoder.Taker taker = pixels -> done[0] = written(pixels);
            switch (order) {
                case Order.Coded(Path file, Kind kind, int factor) -> decoders.decode(kind, file, factor, taker);
                case Order.Thumbnail(Path file) -> decoders.thumbnail(file, taker);
                case Order.Raw(Path file, Development development) -> raw().develop(file, development, taker);
                case Order.OfSensor(Path file) -> done[0] = said(raw().sensor(file));
            }
            return done[0];
        } catch (Refusal refusal) {
            return new Answer.Refused(refusal.kind(), String.valueOf(refusal.getMessage()));
        } catch (IOException failed) {
            return new Answer.Refused(Trouble.Kind.READ_FAILED, failed.toString());
        } catch (RuntimeException | OutOfMemoryError | LinkageError broken) {
            return new Answer.Refused(Trouble.Kind.DAMAGED, broken.toString());
        }
    }

    private static Answer said(Sensor sensor) {
        return new Answer.Done(sensor.size().width(), sensor.size().height(), 0, 0, new byte[0], sensor.receptors());
    }

    private Answer written(Pixels pixels) throws IOException {
        PixelFile.write(target, pixels);
        byte[] icc = pixels.icc();
        return new Answer.Done(
                pixels.width(),
                pixels.height(),
                pixels.channels(),
                pixels.bits(),
                icc == null ? new byte[0] : icc,
                Receptors.EYE);
    }

    private RawDecoder raw() throws Refusal {
        if (raw == null) {
            raw = new RawDecoder();
        }
        return raw;
    }
}
