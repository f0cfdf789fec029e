package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** One delivery, done by several programs. */
class PartsCommandTest extends CommandTest {
    private static final int PARTS = 3;

    private Path out;

    @BeforeEach
    void morePhotos() throws IOException {
        for (int i = 0; i < 5; i++) {
            TestPhotos.jpeg(folder.resolve("p" + i + ".jpg"), 240 + 10 * i, 200, 1);
        }
        json("formats", shoot(), "--add", "Square=1:1", "--add", "Card=4:5");
        out = base.resolve("out");
    }

    private JsonNode part(int number) throws IOException {
        return json(
                "handover",
                shoot(),
                "--out",
                out.toString(),
                "--names",
                "{number}_{format}",
                "--part",
                number + "/" + PARTS);
    }

    private static Map<String, String> listed(Path list) throws IOException {
        Map<String, String> files = new TreeMap<>();
        for (JsonNode entry : new ObjectMapper().readTree(list.toFile()).path("files")) {
            files.put(entry.path("file").asText(), entry.path("sha256").asText());
        }
        return files;
    }

    @Test
    void parts_inAnyOrder_areTheWholeDelivery() throws IOException {
        int files = 0;
        for (int number : new int[] {3, 1, 2}) {
            files += part(number).size();
        }
        assertEquals(14, files);
        assertEquals(
                14,
                json("handover", shoot(), "--out", out.toString(), "--join")
                        .get(0)
                        .get("files")
                        .asInt());
        Path whole = base.resolve("whole");
        json("handover", shoot(), "--out", whole.toString(), "--names", "{number}_{format}");
        assertEquals(listed(whole.resolve("handover.json")), listed(out.resolve("handover.json")));
        try (var names = Files.list(out)) {
            assertEquals(
                    List.of("handover.csv", "handover.json"),
                    names.map(file -> file.getFileName().toString())
                            .filter(name -> name.contains("handover"))
                            .sorted()
                            .toList(),
                    "nothing of the parts is left");
        }
    }

    @Test
    void joining_saysWhatIsMissingOrChanged() throws IOException {
        part(1);
        part(3);
        assertEquals(1, run("handover", shoot(), "--out", out.toString(), "--join"));
        assertTrue(said().contains("Part 2/3 is missing"), said());
        part(2);
        Path one = out.resolve("1_Square.jpg");
        byte[] delivered = Files.readAllBytes(one);
        Files.write(one, new byte[] {1});
        assertEquals(1, run("handover", shoot(), "--out", out.toString(), "--join"));
        assertTrue(said().contains("1_Square.jpg is not as it was delivered"), said());
        assertFalse(Files.exists(out.resolve("handover.json")));
        Files.write(one, delivered);
        json("handover", shoot(), "--out", out.toString(), "--join");
    }

    @Test
    void partsOfAShootThatChanged_areNotJoined() throws IOException {
        part(1);
        part(2);
        json("crop", shoot(), "--format", "Card", "--photo", "p0.jpg", "--tilt", "2");
        part(3);
        assertEquals(1, run("handover", shoot(), "--out", out.toString(), "--join"));
        assertTrue(said().contains("are not of one delivery"), said());
    }

    @Test
    void aPart_doneAgain_doesNothingTwice() throws IOException {
        part(1);
        for (JsonNode row : part(1)) {
            assertEquals("there already", row.get("state").asText());
        }
    }

    @Test
    void somebodyElsesFile_ofAPartsName_stays() throws IOException {
        Files.createDirectories(out);
        Path foreign = Files.writeString(out.resolve("handover-1-of-3.csv"), "mine");
        assertEquals(14 / 7 * 3, part(1).size(), "the files are there nevertheless");
        assertTrue(said().contains("is there already"), said());
        assertEquals("mine", Files.readString(foreign));
    }

    @Test
    void nonsense_isRefused() {
        assertEquals(2, run("handover", shoot(), "--out", out.toString(), "--part", "4/3"));
        assertEquals(2, run("handover", shoot(), "--out", out.toString(), "--part", "1/3", "--if-taken", "number"));
        assertTrue(said().contains("number names on"), said());
        assertEquals(1, run("handover", shoot(), "--out", out.toString(), "--join"));
        assertTrue(said().contains("no parts"), said());
    }

    @Test
    void partsInsideTheShoot_areNoPhotosOfIt() throws IOException {
        out = folder.resolve("delivered");
        part(1);
        assertEquals(7, json("photos", shoot()).size());
    }
}
