package nexa.shoot.disk;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;
import nexa.shoot.guard.WriteGuard;

/** Files that appear under their name only when complete. It asks nobody whether they may: {@link WriteGuard} does. */
public final class AtomicFile {
    private static final String PART = ".nexa-part-";

    private AtomicFile() {}

    /** Writes a file's content. */
    @FunctionalInterface
    public interface Content {
        void to(OutputStream out) throws IOException;
    }

    /** Looks at a file that is complete but not yet under its name. */
    @FunctionalInterface
    public interface Check {
        Check NONE = part -> {};

        /** @throws IOException if it is not to appear */
        void check(Path part) throws IOException;
    }

    /** Gives a file of Nexa's own that can't be read another name, which an earlier one gives up for it. */
    public static void putAside(Path damaged) throws IOException {
        Files.move(
                damaged,
                damaged.resolveSibling(damaged.getFileName() + ".damaged"),
                StandardCopyOption.REPLACE_EXISTING);
    }

    /**
     * Writes beside the target, forces to disk, then renames over the target.
     *
     * @throws IOException if anything fails; the target is then as it was and the part is gone
     */
    public static void write(Path target, byte[] bytes) throws IOException {
        write(target, out -> out.write(bytes), Check.NONE, true);
    }

    /**
     * Writes beside the target, forces to disk, looks at it, then gives it the target's name.
     *
     * @param replace whether what has that name gives it up; else it stays
     * @throws FileAlreadyExistsException if the name is taken and what has it stays
     * @throws IOException if anything else fails; the target is then as it was and the part is gone
     */
    public static void write(Path target, Content content, Check check, boolean replace) throws IOException {
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
            check.check(part);
            if (replace) {
                Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
            } else {
                name(part, target);
            }
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** A second name for a file is given only where none is: that holds among programs too. */
    private static void name(Path part, Path target) throws IOException {
        try {
            Files.createLink(target, part);
        } catch (FileAlreadyExistsException taken) {
            throw taken;
        } catch (UnsupportedOperationException | FileSystemException noLinks) { // as on memory cards
            nameWithoutLinks(part, target);
        }
    }

    /** The name is taken by an empty file of ours, which the part then replaces. */
    private static void nameWithoutLinks(Path part, Path target) throws IOException {
        Files.createFile(target);
        try {
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException failed) {
            Files.deleteIfExists(target);
            throw failed;
        }
    }
}
