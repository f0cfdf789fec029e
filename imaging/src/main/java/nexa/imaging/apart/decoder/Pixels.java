package nexa.imaging.apart.decoder;

import java.lang.foreign.MemorySegment;
import org.jspecify.annotations.Nullable;

/**
 * Decoded pixels in native memory, row by row from the top: grey, or red, green, blue, of 8 bits or 16 in the machine's
 * byte order.
 *
 * @param channels 1 or 3
 * @param bits 8 or 16
 * @param memory lent by the decoder that gave it
 * @param start of the first row in the memory, in bytes
 * @param stride from one row to the next, in bytes
 * @param icc the profile that the decoder says the pixels have; null if it says none
 */
public record Pixels(
        int width,
        int height,
        int channels,
        int bits,
        MemorySegment memory,
        long start,
        long stride,
        byte @Nullable [] icc) {
    /** The same, whose values mean something else than the decoder says. */
    Pixels withoutProfile() {
        return new Pixels(width, height, channels, bits, memory, start, stride, null);
    }

    /** Bytes of a row. */
    public long row() {
        return (long) width * channels * bits / Byte.SIZE;
    }

    /** A row's bytes. */
    public MemorySegment row(int y) {
        return memory.asSlice(start + y * stride, row());
    }
}
