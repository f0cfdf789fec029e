package nexa.imaging.apart.decoder;

import java.io.IOException;
import java.nio.file.Path;

/** Decodes one kind of file. Used by one thread. */
public interface StillDecoder {
    /** What is done with pixels while they are lent. */
    @FunctionalInterface
    interface Taker {
        void take(Pixels pixels) throws IOException;
    }

    /**
     * Decodes a file and lends its pixels, as stored, before any turn.
     *
     * @param factor 1, 2, 4 or 8: how much smaller the pixels may be, where the kind can be decoded so
     * @throws Refusal if it can't be decoded
     * @throws IOException if it can't be read, or from the taker
     */
    void decode(Path file, int factor, Taker taker) throws IOException, Refusal;
}
