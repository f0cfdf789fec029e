package nexa.shoot.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import nexa.imaging.file.ToldException;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.request.Part;
import nexa.shoot.scan.DeliveredFiles;
import nexa.shoot.scan.DeliverySeal;
import nexa.shoot.scan.RelativePath;
import nexa.shoot.scan.Sha256;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * The list of delivered files with their checksums, as {@code handover.json} and {@code handover.csv} beside them. Files
 * of earlier runs that are still there stay listed. Somebody else's file of that name stays, and the list gets a number.
 */
final class Manifest {
    private static final List<String> FIELDS = List.of("file", "photo", "format", "width", "height", "bytes", "sha256");
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private static final CSVFormat CSV =
            CSVFormat.RFC4180.builder().setHeader(FIELDS.toArray(String[]::new)).get();

    private final Path folder;
    private final WriteGuard guard;
    private final DeliverySeal seal;

    /** @param folder real */
    Manifest(Path folder, WriteGuard guard, DeliverySeal seal) {
        this.folder = folder;
        this.guard = guard;
        this.seal = seal;
    }

    /** @throws IOException if it can't be written; the files are there nevertheless */
    void write(List<Outcome> outcomes, HandoverPlan plan) throws IOException {
        Optional<Part> part = plan.request().part();
        Path json = part.isPresent() ? placeOf(part.get()) : place(folder);
        Map<String, ObjectNode> files = before(json);
        for (Delivery delivery : plan.there()) { // of a run that ended before its list was written
            Path output = delivery.output();
            put(files, new Outcome.Written(delivery, Files.size(output), Sha256.of(output), false, List.of()));
        }
        for (Outcome outcome : outcomes) {
            if (outcome instanceof Outcome.Written written) {
                put(files, written);
            }
        }
        write(json, files, plan.digest());
    }

    /**
     * Makes one list of those of all parts, which must all be there, and removes those.
     *
     * @return how many files it lists
     * @throws IOException with words for the user if a file is missing, or not as it was delivered
     */
    int join(List<Path> parts) throws IOException {
        Path json = place(folder);
        Map<String, ObjectNode> files = before(json);
        for (Path part : parts) {
            for (JsonNode entry : JSON.readTree(part.toFile()).path("files")) {
                files.put(entry.path("file").asText(), (ObjectNode) entry);
            }
        }
        PartLists.requireWhole(folder, files.values());
        write(json, files, "");
        for (Path part : parts) {
            guard.remove(part);
            guard.remove(table(part));
        }
        return files.size();
    }

    private void write(Path json, Map<String, ObjectNode> files, String digest) throws IOException {
        ObjectNode root = JSON.createObjectNode().put("nexaHandover", 1);
        if (!digest.isEmpty()) {
            root.put("plan", digest);
        }
        ArrayNode list = root.putArray("files");
        files.values().forEach(list::add);
        guard.write(json, JSON.writeValueAsBytes(root), IfTaken.REPLACE);
        guard.write(table(json), csv(list).getBytes(StandardCharsets.UTF_8), IfTaken.REPLACE);
    }

    /** Somebody else's file of that name stays. */
    private Path placeOf(Part part) throws IOException {
        Path json = PartLists.file(folder, part);
        if (!isList(json) && !(isFree(json) && isFree(table(json)))) {
            throw new ToldException("told.guard.there-already", json);
        }
        return json;
    }

    /** The first of the names that is free, or whose file is such a list. */
    private static Path place(Path folder) throws IOException {
        for (String name : DeliveredFiles.LISTS) {
            Path json = folder.resolve(name);
            if (isList(json) || isFree(json) && isFree(table(json))) {
                return json;
            }
        }
        throw new ToldException("told.handover.all-names-for-list-taken", DeliveredFiles.LISTS.getLast());
    }

    private static boolean isFree(Path file) {
        return !Files.exists(file, LinkOption.NOFOLLOW_LINKS);
    }

    private static boolean isList(Path json) {
        try {
            return Files.isRegularFile(json, LinkOption.NOFOLLOW_LINKS)
                    && JSON.readTree(json.toFile()).path("nexaHandover").isInt();
        } catch (IOException foreign) { // not one of ours: it stays
            return false;
        }
    }

    private static Path table(Path json) {
        return json.resolveSibling(json.getFileName().toString().replace(".json", ".csv"));
    }

    private void put(Map<String, ObjectNode> files, Outcome.Written written) throws IOException {
        ObjectNode entry = entry(written);
        files.put(entry.path("file").asText(), entry);
    }

    private ObjectNode entry(Outcome.Written written) throws IOException {
        Delivery delivery = written.delivery();
        String name = RelativePath.of(folder, delivery.output().toRealPath());
        ObjectNode entry = JSON.createObjectNode()
                .put("file", name)
                .put("photo", delivery.photo().file())
                .put("format", delivery.format().name())
                .put("width", delivery.size().width())
                .put("height", delivery.size().height())
                .put("bytes", written.bytes())
                .put("sha256", written.sha256())
                .put("seal", seal.of(name, written.bytes(), written.sha256()));
        if (written.damaged()) {
            entry.put("damaged", true);
        }
        if (!written.notes().isEmpty()) {
            ArrayNode notes = entry.putArray("notes");
            written.notes().forEach(note -> notes.add(note.toString()));
        }
        return entry;
    }

    /** By file. */
    private static Map<String, ObjectNode> before(Path json) throws IOException {
        Map<String, ObjectNode> files = new TreeMap<>();
        if (isFree(json)) {
            return files;
        }
        for (JsonNode entry : JSON.readTree(json.toFile()).path("files")) {
            String file = entry.path("file").asText();
            boolean there = RelativePath.resolve(json.resolveSibling(""), file)
                    .filter(Files::isRegularFile)
                    .isPresent();
            if (entry instanceof ObjectNode known && there) {
                files.put(file, known);
            }
        }
        return files;
    }

    private static String csv(ArrayNode files) throws IOException {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(text, CSV)) {
            for (JsonNode file : files) {
                printer.printRecord(
                        FIELDS.stream().map(field -> file.path(field).asText()));
            }
        }
        return text.toString();
    }
}
