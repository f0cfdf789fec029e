package nexa.shoot.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import nexa.imaging.file.ToldException;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.request.Part;
import nexa.shoot.scan.DeliveredFiles;
import nexa.shoot.scan.DeliverySeal;
import nexa.shoot.scan.RelativePath;
import nexa.shoot.scan.Sha256;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What a run delivered so far, a line a file, so that another run can go on behind a crash. It lies in the folder of the
 * delivered files until a run comes to its end; one run at a time holds it. A file's line is on the disk before the file
 * appears under its name. Thread-safe.
 */
final class Journal implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Journal.class);
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Path file;
    private final Path folder;
    private final FileChannel channel;
    private final DeliverySeal seal;

    private Journal(Path file, Path folder, FileChannel channel, DeliverySeal seal) {
        this.seal = seal;
        this.file = file;
        this.folder = folder;
        this.channel = channel;
    }

    // ---- reading ----

    /** The files of a folder's unfinished run that are there, by their keys; none if no run is unfinished. */
    static Map<String, Path> files(Path folder, Optional<Part> part) {
        Map<String, Path> files = new HashMap<>();
        if (isIn(folder, part)) {
            try {
                Files.readString(file(folder, part)).lines().forEach(line -> read(folder, line, files));
            } catch (IOException unreadable) { // then all is done again
                LOG.info("The journal in {} can't be read: {}", folder, unreadable.toString());
            }
        }
        return files;
    }

    private static void read(Path folder, String line, Map<String, Path> files) {
        try {
            JsonNode entry = JSON.readTree(line);
            Optional<Path> file =
                    RelativePath.resolve(folder.normalize(), entry.path("file").asText());
            if (file.isPresent()
                    && Files.isRegularFile(file.get(), LinkOption.NOFOLLOW_LINKS)
                    && Files.size(file.get()) == entry.path("bytes").asLong(-1)) {
                files.put(entry.path("key").asText(), file.get());
            }
        } catch (IOException torn) { // by a crash; the file it was for is delivered again
            LOG.debug("A line of the journal in {} is torn", folder);
        }
    }

    /** Whether a run into this folder did not come to its end. */
    static boolean isIn(Path folder, Optional<Part> part) {
        return Files.isRegularFile(file(folder, part), LinkOption.NOFOLLOW_LINKS);
    }

    private static Path file(Path folder, Optional<Part> part) {
        return folder.resolve(DeliveredFiles.JOURNAL + part.map(Part::suffix).orElse(""));
    }

    /** Names all that a delivered file depends on. */
    static String key(Delivery delivery) {
        return Sha256.of(String.join(
                "|",
                delivery.photo().id() + " " + delivery.photo().pixels(),
                delivery.format().name(),
                delivery.framing().pose().toString(),
                delivery.frame().toString(),
                delivery.size().toString(),
                delivery.format().files().text() + delivery.steps().key() + "|"
                        + delivery.fill().text()));
    }

    // ---- writing ----

    /**
     * Takes a folder's journal for a run.
     *
     * @param folder real
     * @throws IOException if another run has it, or what has its name is not a journal
     */
    static Journal open(Path folder, Optional<Part> part, WriteGuard guard, DeliverySeal seal) throws IOException {
        Path file = file(folder, part);
        guard.require(file, IfTaken.REPLACE);
        requireJournal(file);
        FileChannel channel = FileChannel.open(
                file,
                StandardOpenOption.CREATE,
                StandardOpenOption.WRITE,
                StandardOpenOption.APPEND,
                LinkOption.NOFOLLOW_LINKS);
        if (!isOurs(channel)) {
            channel.close();
            throw new ToldException("told.handover.another-handover-into-running", folder);
        }
        return new Journal(file, folder, channel, seal);
    }

    /** A second name of another file is none of ours, and neither is what begins in another way. */
    private static void requireJournal(Path file) throws IOException {
        if (!Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
            return;
        }
        boolean shared = Files.getFileStore(file).supportsFileAttributeView("unix")
                && (int) Files.getAttribute(file, "unix:nlink", LinkOption.NOFOLLOW_LINKS) > 1;
        if (shared || !beginsAsJournal(file)) {
            throw new ToldException("told.handover.not-nexa-journal-handover-move", file);
        }
    }

    private static boolean beginsAsJournal(Path file) throws IOException {
        try (var in = Files.newInputStream(file)) {
            int first = in.read();
            return first < 0 || first == '{';
        }
    }

    /** Locks it. Where a disk knows no locks, the run goes on without. */
    private static boolean isOurs(FileChannel channel) {
        try {
            return channel.tryLock() != null;
        } catch (OverlappingFileLockException heldHere) { // that is the answer
            return false;
        } catch (IOException noLocks) {
            LOG.info("The journal can't be locked: {}", noLocks.toString());
            return true;
        }
    }

    /** Notes a file that is about to appear; forced to the disk. */
    synchronized void add(Delivery delivery, Path output, long bytes, String sha256) throws IOException {
        String name = RelativePath.of(folder, output);
        ObjectNode entry = JSON.createObjectNode()
                .put("file", name)
                .put("key", key(delivery))
                .put("bytes", bytes)
                .put("sha256", sha256)
                .put("seal", seal.of(name, bytes, sha256));
        ByteBuffer line = ByteBuffer.wrap((JSON.writeValueAsString(entry) + "\n").getBytes(StandardCharsets.UTF_8));
        while (line.hasRemaining()) {
            channel.write(line);
        }
        channel.force(false);
    }

    /** The run came to its end. */
    void end() throws IOException {
        close();
        Files.deleteIfExists(file);
    }

    @Override
    public void close() throws IOException {
        channel.close(); // releases the lock too
    }
}
