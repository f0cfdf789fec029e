package nexa.shoot.scan;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;

/**
 * A short name for a file's content: SHA-256 over its length and its first and last 64 KiB, in 32 hexadecimal digits.
 * Photos that differ do so in their headers (time, counters) or in their first compressed rows, so reading all of a
 * thousand 10 MB files would buy nothing.
 */
public final class Fingerprint {
    private static final int PART = 1 << 16;
    private static final int BYTES = 16;

    /** By so many parts the hash is compiled, and ten times as fast then. */
    private static final int REHEARSED = 20;

    private Fingerprint() {}

    public static String of(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file)) {
            MessageDigest digest = Sha256.digest();
            digest.update(
                    ByteBuffer.allocate(Long.BYTES).putLong(channel.size()).flip());
            update(digest, channel, 0);
            update(digest, channel, Math.max(0, channel.size() - PART));
            return HexFormat.of().formatHex(digest.digest(), 0, BYTES);
        }
    }

    /** Hashes nothing a few times while nobody waits. Takes a tenth of a second. */
    public static void rehearse() {
        MessageDigest digest = Sha256.digest();
        for (int i = 0; i < REHEARSED; i++) {
            digest.update(new byte[PART]);
        }
    }

    private static void update(MessageDigest digest, FileChannel channel, long at) throws IOException {
        ByteBuffer part = ByteBuffer.allocate(PART);
        while (part.hasRemaining() && channel.read(part, at + part.position()) >= 0) {
            // read on until the part is full or the file ends
        }
        digest.update(part.flip());
    }
}
