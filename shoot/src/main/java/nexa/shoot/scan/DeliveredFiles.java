package nexa.shoot.scan;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The files inside a shoot's folder that Nexa delivered, told by path, length and checksum: from the shoot's store, and from
 * the lists that lie beside them if their entries bear this user's seal. A file that is known as a photo is not taken for one
 * of them because a list says so. Version 0.1 sealed nothing and marked folders; there its list only keeps files from
 * showing as photos. Thread-safe.
 */
public final class DeliveredFiles {
    /** Names of lists of runs that came to their end; the first is taken where nothing else has it. */
    public static final List<String> LISTS = List.of(
            "handover.json",
            "handover-2.json",
            "handover-3.json",
            "handover-4.json",
            "handover-5.json",
            "handover-6.json",
            "handover-7.json",
            "handover-8.json",
            "handover-9.json");

    /** What a run delivered so far, a line a file. */
    public static final String JOURNAL = ".nexa-handover";

    /** Names of lists and journals that parts of a delivery leave until they are joined; its group says of how many. */
    public static final Pattern PART =
            Pattern.compile("(?:handover|\\.nexa-handover)-\\d{1,6}-of-(\\d{1,6})(?:\\.json)?");

    /** What version 0.1 put into a folder of deliveries. */
    private static final String MARKER = ".nexa-delivered";

    private static final Logger LOG = LoggerFactory.getLogger(DeliveredFiles.class);
    private static final ObjectMapper JSON = new ObjectMapper();

    /** No list of a run comes near; a larger file is something else. */
    private static final long LARGEST_LIST = 1 << 28;

    /**
     * One of them.
     *
     * @param file relative to the shoot's folder
     * @param modified in milliseconds since 1970 when its checksum was last compared; -1 if it never was
     */
    public record Delivered(String file, long bytes, long modified, String sha256) {}

    private final Path folder;
    private final Set<String> photos;
    private final Map<String, Delivered> known = new ConcurrentHashMap<>();
    private final Map<String, Delivered> compared = new ConcurrentHashMap<>();
    private final Set<String> unsealed = ConcurrentHashMap.newKeySet();
    private final DeliverySeal seal;

    /**
     * @param folder real
     * @param photos known ones, by their paths in the folder
     */
    public DeliveredFiles(Path folder, Collection<Delivered> stored, Set<String> photos, DeliverySeal seal) {
        this.folder = folder;
        this.seal = seal;
        this.photos = Set.copyOf(photos);
        stored.forEach(each -> known.put(each.file(), each));
    }

    /** What seals entries of lists. */
    public DeliverySeal seal() {
        return seal;
    }

    /** Remembers a file that is about to be delivered. */
    public Delivered add(Path file, long bytes, String sha256) {
        Delivered delivered = new Delivered(RelativePath.of(folder, file), bytes, -1, sha256);
        known.put(delivered.file(), delivered);
        unsealed.remove(delivered.file());
        return delivered;
    }

    /** Whether a file of the folder is beyond doubt one of them, so that it may be replaced if somebody asks for it. */
    public boolean mayReplace(Path file) {
        return !unsealed.contains(RelativePath.of(folder, file)) && contain(file);
    }

    /** Whether a file of the folder is one of them. Reads it if it was not compared since it was last written. */
    public boolean contain(Path file) {
        Delivered delivered = known.get(RelativePath.of(folder, file));
        if (delivered == null) {
            return false;
        }
        try {
            BasicFileAttributes now = Files.readAttributes(file, BasicFileAttributes.class, LinkOption.NOFOLLOW_LINKS);
            long modified = now.lastModifiedTime().toMillis();
            return now.isRegularFile()
                    && now.size() == delivered.bytes()
                    && (modified == delivered.modified() || isSame(file, delivered, modified));
        } catch (IOException unreadable) {
            LOG.info("{} can't be compared with what was delivered: {}", file, unreadable.toString());
            return false;
        }
    }

    private boolean isSame(Path file, Delivered delivered, long modified) throws IOException {
        if (!Sha256.of(file).equals(delivered.sha256())) {
            return false;
        }
        Delivered now = new Delivered(delivered.file(), delivered.bytes(), modified, delivered.sha256());
        known.put(now.file(), now);
        if (!unsealed.contains(now.file())) {
            compared.put(now.file(), now);
        }
        return true;
    }

    /** Those that were compared since this was last asked, to be stored. */
    public Collection<Delivered> compared() {
        Collection<Delivered> all = Set.copyOf(compared.values());
        all.forEach(each -> compared.remove(each.file(), each));
        return all;
    }

    /** Reads the lists that lie in a folder, before its files are asked about. */
    void readLists(Path directory) {
        LISTS.forEach(name -> readList(directory.resolve(name)));
        readJournal(directory, directory.resolve(JOURNAL));
        readParts(directory);
    }

    /** Those that parts of a delivery leave until they are joined. */
    private void readParts(Path directory) {
        try (DirectoryStream<Path> parts = parts(directory)) {
            for (Path part : parts) {
                if (part.toString().endsWith(".json")) {
                    readList(part);
                } else {
                    readJournal(directory, part);
                }
            }
        } catch (IOException | DirectoryIteratorException unreadable) { // the scan itself says so
            LOG.debug("{} can't be listed", directory, unreadable);
        }
    }

    /** The files of a folder that are called as what parts leave. */
    public static DirectoryStream<Path> parts(Path directory) throws IOException {
        return Files.newDirectoryStream(
                directory, file -> PART.matcher(file.getFileName().toString()).matches());
    }

    private void readJournal(Path directory, Path journal) {
        try {
            if (isPlain(journal)) {
                Files.readString(journal).lines().forEach(line -> addLine(directory, line));
            }
        } catch (IOException foreign) { // then it tells of nothing that Nexa delivered
            LOG.info("{} is not read: {}", journal, foreign.toString());
        }
    }

    private void readList(Path list) {
        try {
            if (isPlain(list)) {
                JsonNode root = JSON.readTree(list.toFile());
                if (root.path("nexaHandover").isInt()) {
                    root.path("files").forEach(entry -> add(list.resolveSibling(""), entry));
                }
            }
        } catch (IOException foreign) { // then it tells of nothing that Nexa delivered
            LOG.info("{} is not read: {}", list, foreign.toString());
        }
    }

    private static boolean isPlain(Path list) throws IOException {
        return Files.isRegularFile(list, LinkOption.NOFOLLOW_LINKS) && Files.size(list) <= LARGEST_LIST;
    }

    private void addLine(Path directory, String line) {
        try {
            add(directory, JSON.readTree(line));
        } catch (IOException torn) { // by a crash; the file it was for did not appear
            LOG.debug("A line of the journal in {} is torn", directory);
        }
    }

    private void add(Path directory, JsonNode entry) {
        String sha256 = entry.path("sha256").asText("");
        long bytes = entry.path("bytes").asLong(-1);
        String name = entry.path("file").asText("");
        boolean sealed = seal.fits(entry.path("seal").asText(""), name, bytes, sha256);
        if (sealed || isOfEarlierVersion(directory, entry)) {
            RelativePath.resolve(directory, name)
                    .map(file -> RelativePath.of(folder, file))
                    .filter(file -> !photos.contains(file))
                    .ifPresent(file -> add(file, new Delivered(file, bytes, -1, sha256), sealed));
        }
    }

    private void add(String file, Delivered delivered, boolean sealed) {
        if (known.putIfAbsent(file, delivered) == null && !sealed) {
            unsealed.add(file);
        }
    }

    private boolean isOfEarlierVersion(Path directory, JsonNode entry) {
        return !entry.has("seal")
                && !directory.equals(folder)
                && Files.isRegularFile(directory.resolve(MARKER), LinkOption.NOFOLLOW_LINKS);
    }
}
