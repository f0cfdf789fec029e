package nexa.shoot.handover;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.OpenOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a run delivered so far, a line a file, so that another run can go on behind a crash. It lies in the folder of the
 * delivered files until a run comes to its end.
 */
final class Journal {
    static final String NAME = ".nexa-handover";
    static final Journal EMPTY = new Journal(Map.of(), Set.of());

    private static final ObjectMapper JSON = new ObjectMapper();

    private final Map<String, Path> files;
    private final Set<Path> begun;

    private Journal(Map<String, Path> files, Set<Path> begun) {
        this.files = files;
        this.begun = begun;
    }

    /** Of a folder; empty if no run is unfinished there. A line torn by a crash is passed over. */
    static Journal of(Path folder) {
        Path journal = folder.resolve(NAME);
        if (!isIn(folder)) {
            return EMPTY;
        }
        Map<String, Path> files = new HashMap<>();
        Set<Path> begun = new HashSet<>();
        try {
            for (String line : Files.readString(journal, StandardCharsets.UTF_8).split("\n")) {
                read(folder, line, files, begun);
            }
        } catch (IOException unreadable) { // then all is done again
            return EMPTY;
        }
        return new Journal(files, begun);
    }

    private static void read(Path folder, String line, Map<String, Path> files, Set<Path> begun) {
        try {
            JsonNode entry = JSON.readTree(line);
            Path file = folder.resolve(entry.path("file").asText()).normalize();
            if (!file.startsWith(folder.normalize()) || file.equals(folder.normalize())) {
                return;
            }
            begun.add(file);
            if (Files.isRegularFile(file)
                    && Files.size(file) == entry.path("bytes").asLong(-1)) {
                files.put(entry.path("key").asText(), file);
            }
        } catch (IOException torn) { // the file it was for is delivered again
            return;
        }
    }

    /** Whether a run into this folder did not come to its end. */
    static boolean isIn(Path folder) {
        return Files.isRegularFile(folder.resolve(NAME));
    }

    /** The file that was delivered for a key and is still there. */
    Optional<Path> file(String key) {
        return Optional.ofNullable(files.get(key));
    }

    /** Whether a run chose this name, which was free then; what is there now may have ended before it was noted. */
    boolean isBegun(Path file) {
        return begun.contains(file);
    }

    /** Names all that a delivered file depends on. */
    static String key(Delivery delivery) {
        String all = String.join(
                "|",
                delivery.photo().id() + " " + delivery.photo().fingerprint(),
                delivery.format().name(),
                delivery.framing().pose().toString(),
                delivery.frame().toString(),
                delivery.size().toString(),
                delivery.format().files().text());
        return ReadBack.sha256(all.getBytes(StandardCharsets.UTF_8));
    }

    /** Adds a file; forced to disk with it, as it is only worth anything behind a crash. */
    static void add(Outcome.Written written, HandoverRequest request) throws IOException {
        ObjectNode entry = entry(written.delivery(), request);
        entry.put("key", key(written.delivery()));
        entry.put("bytes", written.bytes());
        append(request.folder(), entry, StandardOpenOption.DSYNC);
    }

    /** Notes that a file is about to be written. */
    static void begin(Delivery delivery, HandoverRequest request) throws IOException {
        append(request.folder(), entry(delivery, request), StandardOpenOption.WRITE);
    }

    private static ObjectNode entry(Delivery delivery, HandoverRequest request) {
        return JSON.createObjectNode()
                .put("file", request.folder().relativize(delivery.output()).toString());
    }

    private static void append(Path folder, ObjectNode entry, OpenOption how) throws IOException {
        synchronized (Journal.class) {
            Files.writeString(
                    folder.resolve(NAME), line(entry), StandardOpenOption.CREATE, StandardOpenOption.APPEND, how);
        }
    }

    private static String line(ObjectNode entry) throws JsonProcessingException {
        return JSON.writeValueAsString(entry) + "\n";
    }

    /** The run came to its end. */
    static void end(Path folder) throws IOException {
        Files.deleteIfExists(folder.resolve(NAME));
    }
}
