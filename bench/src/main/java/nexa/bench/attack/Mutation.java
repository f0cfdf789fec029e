package nexa.bench.attack;

import java.util.Arrays;
import java.util.Random;

/** Damages bytes as disks, cables and clumsy programs do; the same number always damages the same way. */
final class Mutation {
    private static final int HEADER = 512;
    private static final byte[] EXTREMES = {0, 1, 0x7F, (byte) 0x80, (byte) 0xFE, (byte) 0xFF};

    private Mutation() {}

    static byte[] of(byte[] whole, int number) {
        Random random = new Random(number);
        byte[] bytes = whole.clone();
        int times = 1 + random.nextInt(3);
        for (int i = 0; i < times && bytes.length > 8; i++) {
            bytes = once(bytes, random);
        }
        return bytes;
    }

    private static byte[] once(byte[] bytes, Random random) {
        int at = random.nextInt(bytes.length);
        int length = Math.min(bytes.length - at, 1 + random.nextInt(64));
        switch (random.nextInt(7)) {
            case 0 -> flip(bytes, random, bytes.length);
            case 1 -> flip(bytes, random, Math.min(HEADER, bytes.length));
            case 2 -> extreme(bytes, random);
            case 3 -> Arrays.fill(bytes, at, at + length, (byte) 0);
            case 4 -> {
                return Arrays.copyOf(bytes, Math.max(1, at));
            }
            case 5 -> System.arraycopy(bytes, random.nextInt(bytes.length - length + 1), bytes, at, length);
            default -> {
                byte[] longer = Arrays.copyOf(bytes, bytes.length + length);
                System.arraycopy(bytes, at, longer, at + length, bytes.length - at);
                return longer;
            }
        }
        return bytes;
    }

    private static void flip(byte[] bytes, Random random, int within) {
        int count = 1 + random.nextInt(16);
        for (int i = 0; i < count; i++) {
            bytes[random.nextInt(within)] ^= (byte) (1 << random.nextInt(8));
        }
    }

    /** Sizes and offsets become senseless. */
    private static void extreme(byte[] bytes, Random random) {
        int at = random.nextInt(Math.min(HEADER, bytes.length) - 4);
        for (int i = 0; i < 4; i++) {
            bytes[at + i] = EXTREMES[random.nextInt(EXTREMES.length)];
        }
    }
}
