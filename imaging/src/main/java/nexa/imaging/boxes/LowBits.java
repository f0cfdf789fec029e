package nexa.imaging.boxes;

import java.nio.ByteBuffer;

/** Numbers of a few bits one after the other, the lowest bit of each byte first. */
final class LowBits {
    private final ByteBuffer in;
    private int at;

    LowBits(ByteBuffer in) {
        this.in = in.slice();
    }

    boolean flag() {
        return bits(1) == 1;
    }

    /** @param count at most 30 */
    int bits(int count) {
        int value = 0;
        for (int i = 0; i < count; i++, at++) {
            value |= (in.get(at / Byte.SIZE) >> at % Byte.SIZE & 1) << i;
        }
        return value;
    }
}
