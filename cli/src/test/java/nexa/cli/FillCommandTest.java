package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class FillCommandTest extends CommandTest {
    @BeforeEach
    void brief() throws IOException {
        json("formats", shoot(), "--add", "Print=1:1");
    }

    @Test
    void ofAFormat_isPartOfItsFileSettings() throws IOException {
        JsonNode rows = json("fill", shoot(), "--format", "Print", "--with", "mirror");
        assertEquals(2, rows.size());
        assertEquals("mirror", rows.get(0).get("fill").asText());
        assertEquals(0, rows.get(0).get("blank").asDouble());
        assertTrue(json("formats", shoot()).toString().contains("fill mirror"));
        assertEquals(
                "mirror",
                json("fill", shoot(), "--format", "Print").get(1).get("fill").asText(),
                "it stays");
    }

    @Test
    void ofPhotos_isTheirOwn() throws IOException {
        json("fill", shoot(), "--format", "Print", "--photo", "h.jpg", "--with", "#102030");
        JsonNode rows = json("fill", shoot(), "--format", "Print");
        assertEquals("#102030", rows.get(0).get("fill").asText());
        assertEquals("white", rows.get(1).get("fill").asText());
    }

    @Test
    void whereAFrameLeavesThePhoto_itIsSaidHowMuchAndWhetherItShows() throws IOException {
        Path table = base.resolve("crops.csv");
        json("crops", shoot(), "--export", table.toString());
        String own = Files.readAllLines(table).get(0);
        assertTrue(own.contains("fill"), own);
        Files.writeString(table, """
                photo,format,centreX,centreY,width,height,shape,outside,checked,fill
                h.jpg,Print,0,-0.2,0.5,0.5,,true,false,surroundings
                """);
        json("crops", shoot(), "--import", table.toString());

        JsonNode row =
                json("fill", shoot(), "--format", "Print", "--photo", "h.jpg").get(0);
        assertEquals("surroundings", row.get("fill").asText());
        assertEquals((0.45 - 1 / 3.0) / 0.5, row.get("blank").asDouble(), 1e-6);
        assertTrue(row.get("shows").asDouble() >= 0);
    }

    @Test
    void whatIsNoFill_isRefused() {
        assertEquals(2, run("fill", shoot(), "--format", "Print", "--with", "glitter"));
        assertTrue(said().contains("surroundings"), said());
    }
}
