package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files, paper and exchanged crops by command. */
class DeliveryCommandsTest extends CommandTest {
    @BeforeEach
    void brief() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5", "--size", "Print=30 x 24 mm at 150 ppi");
    }

    private String place(String size) {
        run("crop", shoot(), "--format", "Print", "--photo", "h.jpg", "--size", size, "--tilt", "1.5");
        return said();
    }

    @Test
    void handover_asTheFormatSays_withWhatTheCommandSaysOfAll() throws IOException {
        json("formats", shoot(), "--files", "Print=webp 70 srgb; at most 9 kB; no place");
        Path out = base.resolve("out");
        JsonNode rows = json("handover", shoot(), "--out", out.toString());
        for (JsonNode row : rows) {
            Path file = Path.of(row.get("output").asText());
            assertTrue(file.toString().endsWith(".webp") && Files.size(file) <= 9000, row::toString);
        }
        JsonNode all = json("handover", shoot(), "--out", out.toString(), "--type", "png");
        assertTrue(all.get(0).get("output").asText().endsWith(".png"));
    }

    @Test
    void sidecars_areWrittenAndRead() throws IOException {
        place("0.7");
        assertEquals(
                1, json("sidecars", shoot(), "--write").get(0).get("photos").asInt());
        JsonNode before = json("crops", shoot());
        place("0.5");
        assertEquals(1, json("sidecars", shoot(), "--read").get(0).get("photos").asInt());
        assertEquals(before, json("crops", shoot()));
        assertEquals(1, json("sidecars", shoot(), "--read").get(0).get("same").asInt());
    }

    @Test
    void sidecars_inStep_followEveryCommand() throws IOException {
        Path sidecar = folder.resolve("h.jpg.xmp");
        json("sidecars", shoot(), "--in-step");
        assertFalse(Files.exists(sidecar));
        place("0.7");
        String first = Files.readString(sidecar);
        place("0.5");
        String second = Files.readString(sidecar);
        assertFalse(first.equals(second));
        json("sidecars", shoot(), "--not-in-step");
        place("0.6");
        assertEquals(second, Files.readString(sidecar));
    }

    @Test
    void crops_asATable() throws IOException {
        place("0.7");
        String table = base.resolve("crops.csv").toString();
        JsonNode before = json("crops", shoot(), "--export", table);
        place("0.5");
        assertEquals(
                1,
                json("crops", shoot(), "--import", table).get(0).get("photos").asInt());
        assertEquals(before, json("crops", shoot()));
        assertEquals(
                2, run("crops", shoot(), "--import", folder.resolve("h.jpg").toString()));
        assertTrue(said().contains("no table of crops"), this::said);
        assertEquals(2, run("crops", shoot(), "--import", "nowhere.csv"));
    }

    /** Before a run begins, instead of by each of its files. */
    @Test
    void colourProfileThatIsNone_isTold() {
        place("0.7");
        String photo = folder.resolve("h.jpg").toString();
        Path out = base.resolve("out");
        assertEquals(1, run("handover", shoot(), "--out", out.toString(), "--colour", photo));
        assertEquals(photo + " is not a colour profile for RGB or for inks (CMYK)", said().strip());
        assertFalse(Files.exists(out));
    }

    @Test
    void paper_becomesPdf() throws IOException {
        Path contact = base.resolve("sheets/contact.pdf");
        JsonNode sheet = json("contact", shoot(), "--out", contact.toString(), "--columns", "3", "--lying");
        assertEquals(2, sheet.get(0).get("pictures").asInt());
        assertTrue(Files.readString(contact, StandardCharsets.ISO_8859_1).startsWith("%PDF"));
        JsonNode prints =
                json("prints", shoot(), "--out", base.resolve("prints.pdf").toString(), "--paper", "a3");
        assertEquals(1, prints.get(0).get("pages").asInt());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "contact --columns 0",
                "contact --columns many",
                "contact --paper parchment",
                "contact --margin 200",
                "contact --format Nothing",
                "prints --bleed -1",
                "sidecars",
                "sidecars --read --write",
                "handover --quality 0",
                "handover --type gif"
            })
    void nonsense_isWrongUsageWithWords(String line) {
        String[] words = line.split(" ");
        String[] all = new String[words.length + 2];
        all[0] = words[0];
        all[1] = shoot();
        all[2] = line.startsWith("sidecars") ? "--json" : "--out=" + base.resolve("x.pdf");
        System.arraycopy(words, 1, all, 3, words.length - 1);
        assertEquals(2, run(all), this::said);
        assertFalse(said().isBlank());
    }
}
