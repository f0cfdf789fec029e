package nexa.imaging.deliver;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;

/** A file that is ready to be written, as often as one likes. A large one is not put together before. */
@FunctionalInterface
public interface Encoded {
    /** @throws IOException if that can't be written to */
    void writeTo(OutputStream out) throws IOException;

    static Encoded of(byte[] bytes) {
        return out -> out.write(bytes);
    }

    /** All of it in memory. */
    default byte[] bytes() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        writeTo(out);
        return out.toByteArray();
    }
}
