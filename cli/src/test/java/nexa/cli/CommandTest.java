package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Command lines on a shoot of two photos. */
abstract class CommandTest {
    @TempDir
    Path base;

    Path folder;
    final ByteArrayOutputStream out = new ByteArrayOutputStream();
    final ByteArrayOutputStream err = new ByteArrayOutputStream();

    @BeforeEach
    void photos() throws IOException {
        folder = Files.createDirectory(base.resolve("shoot"));
        TestPhotos.jpeg(folder.resolve("h.jpg"), 300, 200, 1);
        TestPhotos.jpeg(folder.resolve("v.jpg"), 200, 300, 6);
    }

    final int run(String... arguments) {
        out.reset();
        err.reset();
        return Main.run(new PrintStream(out, true), new PrintStream(err, true), arguments);
    }

    final JsonNode json(String... arguments) throws IOException {
        return rows(0, arguments);
    }

    /** @param code that it ends with */
    final JsonNode rows(int code, String... arguments) throws IOException {
        List<String> all = new ArrayList<>(List.of(arguments));
        all.add("--json");
        assertEquals(code, run(all.toArray(String[]::new)), this::said);
        return new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
    }

    final String said() {
        return err.toString(StandardCharsets.UTF_8);
    }

    final String shoot() {
        return folder.toString();
    }

    static List<String> fields(JsonNode node) {
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }
}
