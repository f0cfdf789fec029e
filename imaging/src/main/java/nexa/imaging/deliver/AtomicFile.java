package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** Files that appear under their name only when complete. */
public final class AtomicFile {
    private static final String PART = ".nexa-part";

    private AtomicFile() {}

    /**
     * Writes beside the target, forces to disk, then renames over the target.
     *
     * @throws IOException if anything fails; the target is then as it was and the part is gone
     */
    public static void write(Path target, byte[] bytes) throws IOException {
        Path part = Files.createTempFile(target.toAbsolutePath().getParent(), PART, null);
        try {
            try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
                ByteBuffer buffer = ByteBuffer.wrap(bytes);
                while (buffer.hasRemaining()) {
                    channel.write(buffer);
                }
                channel.force(true);
            }
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
