package nexa.shoot.handover;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.util.HexFormat;
import nexa.imaging.deliver.Encoded;
import nexa.shoot.scan.Sha256;

/**
 * What a file comes to.
 *
 * @param bytes how many
 * @param sha256 of its content
 */
record Sum(long bytes, String sha256) {
    static final Sum OF_NOTHING = new Sum(0, Sha256.of(""));

    /** @throws IOException if the file can't be read */
    static Sum of(Path file) throws IOException {
        return new Sum(Files.size(file), Sha256.of(file));
    }

    /** Writes a file, and tells what it came to. */
    static Sum ofWriting(Encoded file, OutputStream out) throws IOException {
        MessageDigest digest = Sha256.digest();
        Counting counting = new Counting(out, digest);
        file.writeTo(counting);
        return new Sum(counting.bytes, HexFormat.of().formatHex(digest.digest()));
    }

    private static final class Counting extends DigestOutputStream {
        private long bytes;

        Counting(OutputStream out, MessageDigest digest) {
            super(out, digest);
        }

        @Override
        public void write(int one) throws IOException {
            super.write(one);
            bytes++;
        }

        @Override
        public void write(byte[] some, int from, int count) throws IOException {
            super.write(some, from, count);
            bytes += count;
        }
    }
}
