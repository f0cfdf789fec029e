package nexa.imaging.metadata;

import java.io.IOException;
import java.io.OutputStream;

/** Passes on in large pieces what comes byte by byte, as all of a TIFF does. For one thread; closing it closes nothing else. */
final class GatheredOutput extends OutputStream {
    private final OutputStream out;
    private final byte[] bytes = new byte[1 << 16];
    private int count;

    GatheredOutput(OutputStream out) {
        this.out = out;
    }

    @Override
    public void write(int one) throws IOException {
        if (count == bytes.length) {
            passOn();
        }
        bytes[count++] = (byte) one;
    }

    @Override
    public void write(byte[] some, int from, int length) throws IOException {
        passOn();
        out.write(some, from, length);
    }

    private void passOn() throws IOException {
        out.write(bytes, 0, count);
        count = 0;
    }

    @Override
    public void close() throws IOException {
        passOn();
    }
}
