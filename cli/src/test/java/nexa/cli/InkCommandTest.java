package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import nexa.imaging.InkMaker;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A delivery for a press. */
class InkCommandTest extends CommandTest {
    private Path press;

    @BeforeEach
    void makePress() throws IOException {
        press = Files.write(base.resolve("press.icc"), InkMaker.profile());
        json("formats", shoot(), "--add", "Square=1:1");
    }

    private List<Path> delivered(Path out) throws IOException {
        try (var files = Files.walk(out)) {
            return files.filter(file -> file.toString().matches(".*_Square\\.(jpg|tif|png)"))
                    .toList();
        }
    }

    private Path deliver(String name, String... more) throws IOException {
        Path out = base.resolve(name);
        List<String> all =
                new ArrayList<>(List.of("handover", shoot(), "--out", out.toString(), "--colour", press.toString()));
        all.addAll(List.of(more));
        JsonNode said = json(all.toArray(String[]::new));
        assertTrue(said.isContainerNode());
        return out;
    }

    @Test
    void tiffAndJpeg_holdInks_andAreReadBack() throws IOException {
        for (String type : List.of("tiff", "jpeg")) {
            List<Path> files = delivered(deliver(type, "--type", type, "--intent", "relative", "--keep-black"));
            assertEquals(2, files.size());
            for (Path file : files) {
                PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
                assertEquals("Fennick Press, matt", facts.profile());
                assertTrue(facts.remarks().contains(Remark.INK));
            }
        }
    }

    @Test
    void wayOfConversion_changesTheFiles() throws IOException {
        byte[] usual =
                Files.readAllBytes(delivered(deliver("usual", "--type", "tiff")).getFirst());
        byte[] strong = Files.readAllBytes(delivered(deliver("strong", "--type", "tiff", "--intent", "saturation"))
                .getFirst());
        assertEquals(usual.length, strong.length, 20_000);
        assertTrue(!Arrays.equals(usual, strong));
    }

    @Test
    void png_holdsNoInks_andItIsSaid() throws IOException {
        Path target = base.resolve("png");
        int code = run("handover", shoot(), "--out", target.toString(), "--type", "png", "--colour", press.toString());
        assertEquals(1, code);
        String text = out.toString(StandardCharsets.UTF_8) + said();
        assertTrue(text.contains("PNG can't hold inks"), text);
        assertEquals(List.of(), delivered(target));
    }
}
