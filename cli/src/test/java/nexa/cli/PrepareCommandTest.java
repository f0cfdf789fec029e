package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class PrepareCommandTest extends CommandTest {
    @BeforeEach
    void pot() throws IOException {
        Files.delete(folder.resolve("h.jpg"));
        Files.copy(Path.of("..", "demo", "fennick-kiln", "kiln_0206.jpg"), folder.resolve("pot.jpg"));
        rows(0, "formats", shoot(), "--add", "Tall=9:16");
    }

    private static JsonNode row(JsonNode rows, String part) {
        for (JsonNode row : rows) {
            if (row.path("photo").asText().equals("pot.jpg")
                    && row.path("part").asText().equals(part)) {
                return row;
            }
        }
        throw new AssertionError(part + " in " + rows);
    }

    @Test
    void onlyWithApply_isAnythingDone_andFramesSayWhy() throws IOException {
        JsonNode told = rows(0, "prepare", shoot(), "--format", "Tall");
        assertEquals("accept", row(told, "level").get("decision").asText());
        assertTrue(row(told, "subject").get("confidence").asDouble() > 0.6);
        assertEquals("the subject kept whole", row(told, "frame").get("why").asText());
        assertEquals("from the middle", why(), "nothing is done yet");

        rows(0, "prepare", shoot(), "--apply");
        assertEquals("the subject kept whole", why());
        rows(0, "formats", shoot(), "--add", "Square=1:1");
        assertEquals(
                2,
                rows(0, "mark", shoot(), "--photo", "pot.jpg")
                        .get(0)
                        .get("marks")
                        .size());
        JsonNode again = rows(0, "prepare", shoot(), "--photo", "pot.jpg");
        assertEquals("nothing", again.get(0).get("part").asText(), again.toString());
        rows(2, "prepare", shoot(), "--format", "Missing");
    }

    private String why() throws IOException {
        for (JsonNode row : rows(0, "crops", shoot(), "--format", "Tall")) {
            if (row.get("photo").asText().equals("pot.jpg")) {
                return row.get("why").asText();
            }
        }
        throw new AssertionError();
    }

    @Test
    void suggestedMarks_sayHowSureTheyAre() throws IOException {
        JsonNode row =
                rows(0, "mark", shoot(), "--suggest", "--photo", "pot.jpg").get(0);
        assertEquals("accept", row.get("decision").asText());
        assertTrue(row.get("confidence").asDouble() > 0.6);
    }

    @Test
    void suggestedMarksTaken_letFramesKeepTheSubject_untilTheyAreCleared() throws IOException {
        rows(0, "mark", shoot(), "--suggest", "--photo", "pot.jpg", "--apply");
        assertEquals("the subject kept whole", why());
        rows(0, "mark", shoot(), "--photo", "pot.jpg", "--clear");
        assertEquals("from the middle", why());
    }
}
