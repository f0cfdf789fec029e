package nexa.shoot.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import nexa.imaging.deliver.AtomicFile;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * The list of delivered files with their checksums, as {@code handover.json} and {@code handover.csv} beside them. Files
 * of earlier runs that are still there stay listed.
 */
final class Manifest {
    static final String JSON_NAME = "handover.json";
    static final String CSV_NAME = "handover.csv";
    private static final List<String> FIELDS = List.of("file", "photo", "format", "width", "height", "bytes", "sha256");
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private static final CSVFormat CSV =
            CSVFormat.RFC4180.builder().setHeader(FIELDS.toArray(String[]::new)).get();

    private Manifest() {}

    /** @throws IOException if it can't be written; the files are there nevertheless */
    static void write(Path folder, List<Outcome> outcomes, List<Delivery> there) throws IOException {
        Map<String, ObjectNode> files = before(folder);
        for (Delivery delivery : there) { // of a run that ended before its list was written
            byte[] bytes = Files.readAllBytes(delivery.output());
            put(files, folder, new Outcome.Written(delivery, bytes.length, ReadBack.sha256(bytes)));
        }
        for (Outcome outcome : outcomes) {
            if (outcome instanceof Outcome.Written written) {
                put(files, folder, written);
            }
        }
        ObjectNode root = JSON.createObjectNode().put("nexaHandover", 1);
        ArrayNode list = root.putArray("files");
        files.values().forEach(list::add);
        AtomicFile.write(folder.resolve(JSON_NAME), JSON.writeValueAsBytes(root));
        AtomicFile.write(folder.resolve(CSV_NAME), csv(list).getBytes(StandardCharsets.UTF_8));
    }

    private static void put(Map<String, ObjectNode> files, Path folder, Outcome.Written written) {
        ObjectNode entry = entry(folder, written);
        files.put(entry.path("file").asText(), entry);
    }

    private static ObjectNode entry(Path folder, Outcome.Written written) {
        Delivery delivery = written.delivery();
        return JSON.createObjectNode()
                .put("file", folder.relativize(delivery.output()).toString().replace('\\', '/'))
                .put("photo", delivery.photo().file())
                .put("format", delivery.format().name())
                .put("width", delivery.size().width())
                .put("height", delivery.size().height())
                .put("bytes", written.bytes())
                .put("sha256", written.sha256());
    }

    /** By file; a list that can't be read is begun anew. */
    private static Map<String, ObjectNode> before(Path folder) {
        Map<String, ObjectNode> files = new TreeMap<>();
        Path manifest = folder.resolve(JSON_NAME);
        if (Files.isRegularFile(manifest)) {
            try {
                for (JsonNode entry : JSON.readTree(manifest.toFile()).path("files")) {
                    String file = entry.path("file").asText();
                    if (entry instanceof ObjectNode known && Files.isRegularFile(folder.resolve(file))) {
                        files.put(file, known);
                    }
                }
            } catch (IOException | RuntimeException foreign) { // not one of ours
                return new TreeMap<>();
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
