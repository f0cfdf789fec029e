package nexa.shoot;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import nexa.shoot.disk.AtomicFile;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What one user set, for all shoots: names and texts in {@code settings.json}. Changes show at once and are written by a
 * thread of its own. A file that can't be read or written costs the settings, not the work. Thread-safe.
 */
public final class Preferences implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Preferences.class);
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private final Path file;
    private final Map<String, String> values;
    private final ExecutorService writer = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().name("nexa-settings").daemon().factory());

    private Preferences(Path file, Map<String, String> values) {
        this.file = file;
        this.values = new ConcurrentHashMap<>(values);
    }

    public static Preferences open(Locations locations) {
        Path file = locations.data().resolve("settings.json");
        return new Preferences(file, read(file).orElse(Map.of()));
    }

    /** What is no text or number is passed over. Empty if the file holds something else, or nothing that can be read. */
    private static Optional<Map<String, String>> read(Path file) {
        if (!Files.exists(file)) {
            return Optional.of(Map.of());
        }
        try {
            JsonNode root = JSON.readTree(file.toFile());
            return root.isObject() ? Optional.of(texts(root)) : Optional.empty();
        } catch (IOException damaged) {
            LOG.warn("{} can't be read; defaults are used: {}", file, damaged.toString());
            return Optional.empty();
        }
    }

    private static Map<String, String> texts(JsonNode root) {
        return root.properties().stream()
                .filter(entry ->
                        entry.getValue().isValueNode() && !entry.getValue().isNull())
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().asText()));
    }

    public Optional<String> get(String name) {
        return Optional.ofNullable(values.get(name));
    }

    public void put(String name, String value) {
        if (!value.equals(values.put(name, value))) {
            writer.execute(() -> write(name, before -> value));
        }
    }

    /**
     * Changes what is kept under a name. What another window has kept there meanwhile is in the file and is changed too; it
     * shows here at the next start.
     *
     * @param change from what is kept, an empty text if nothing is
     */
    public void change(String name, UnaryOperator<String> change) {
        values.compute(name, changing(change));
        writer.execute(() -> write(name, change));
    }

    private static BiFunction<String, @Nullable String, String> changing(UnaryOperator<String> change) {
        return (name, before) -> change.apply(before == null ? "" : before);
    }

    /**
     * Another window may have written since: only this one value is changed in the file. One that can't be read is kept
     * beside the new one, for what is on the shelf may still be got out of it.
     */
    private void write(String name, UnaryOperator<String> change) {
        try {
            Optional<Map<String, String>> before = read(file);
            if (before.isEmpty()) {
                AtomicFile.putAside(file);
            }
            Map<String, String> all = new TreeMap<>(before.orElse(Map.of()));
            all.compute(name, changing(change));
            Files.createDirectories(file.getParent());
            AtomicFile.write(file, json(all));
        } catch (IOException failed) {
            LOG.warn("The setting {} was not kept: {}", name, failed.toString());
        }
    }

    private static byte[] json(Map<String, String> all) throws JsonProcessingException {
        return JSON.writeValueAsBytes(all);
    }

    /** Waits until all is written. */
    @Override
    public void close() {
        writer.close();
    }
}
