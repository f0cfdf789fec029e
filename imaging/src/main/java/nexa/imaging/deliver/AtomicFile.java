package nexa.imaging.deliver;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/** Files that appear under their name only when complete. */
public final class AtomicFile {
    private static final String PART = ".nexa-part-";

    private AtomicFile() {}

    /** Writes a file's content. */
    @FunctionalInterface
    public interface Content {
        void to(OutputStream out) throws IOException;
    }

    /**
     * Writes beside the target, forces to disk, then renames over the target.
     *
     * @throws IOException if anything fails; the target is then as it was and the part is gone
     */
    public static void write(Path target, byte[] bytes) throws IOException {
        write(target, out -> out.write(bytes));
    }

    /**
     * The same for content that is written piece by piece.
     *
     * @throws IOException if anything fails; the target is then as it was and the part is gone
     */
    public static void write(Path target, Content content) throws IOException {
        // not a temporary file, which others may not read
        Path part = target.toAbsolutePath().resolveSibling(PART + UUID.randomUUID());
        try {
            try (FileChannel channel =
                    FileChannel.open(part, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
                OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel));
                content.to(out);
                out.flush();
                channel.force(true);
            }
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
