package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CommandsTest extends CommandTest {
    @Test
    void photos_areListedUpright() throws IOException {
        JsonNode rows = json("photos", shoot());
        assertEquals(List.of("file", "width", "height", "orientation", "state", "reason"), fields(rows.get(0)));
        assertEquals("v.jpg", rows.get(1).get("file").asText());
        assertEquals(200, rows.get(1).get("width").asInt());
        assertEquals("vertical", rows.get(1).get("orientation").asText());
        assertTrue(rows.get(1).get("reason").isNull());
    }

    @Test
    void photos_unreadable_areListedAndTheExitCodeSaysSo() throws IOException {
        Files.writeString(folder.resolve("t.jpg"), "text");
        assertEquals(1, run("photos", shoot()));
        assertTrue(out.toString(StandardCharsets.UTF_8).contains("not an image"));
    }

    @Test
    void formats_areAddedAndRemoved() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5", "--add", "Web=1.91:1");
        JsonNode left = json("formats", shoot(), "--remove", "print");
        assertEquals(1, left.size());
        assertEquals("191:100", left.get(0).get("shape").asText());
    }

    @Test
    void crop_setsTheWishAndCropsReportsIt() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        json(
                "crop",
                shoot(),
                "--format",
                "Print",
                "--photo",
                "h.*",
                "--centre",
                "0.4,0.5",
                "--size",
                "0.5",
                "--tilt",
                "-2");
        JsonNode rows = json("crops", shoot(), "--format", "Print");
        assertEquals(
                List.of(
                        "photo",
                        "format",
                        "state",
                        "why",
                        "tilt",
                        "quarterTurns",
                        "mirrored",
                        "corners",
                        "width",
                        "height"),
                fields(rows.get(0)));
        JsonNode placed = rows.get(0);
        assertEquals("placed", placed.get("state").asText());
        assertEquals(-2, placed.get("tilt").asDouble());
        assertEquals(120, mean(placed, 0), 1e-6);
        assertEquals(100, mean(placed, 1), 1e-6);
        assertEquals("derived", rows.get(1).get("state").asText());
        assertEquals(
                5 / 4.0, placed.get("width").asDouble() / placed.get("height").asDouble(), 0.02);
    }

    private static double mean(JsonNode row, int axis) {
        double sum = 0;
        for (JsonNode corner : row.get("corners")) {
            sum += corner.get(axis).asDouble();
        }
        return sum / 4;
    }

    @Test
    void crop_sizeIsRelativeToTheLargestFrame() throws IOException {
        json("formats", shoot(), "--add", "Square=1:1");
        JsonNode half = json("crop", shoot(), "--format", "Square", "--size", "0.5");
        assertEquals(100, half.get(0).get("width").asInt());
        JsonNode whole = json("crop", shoot(), "--format", "Square", "--size", "1", "--centre", "0,0");
        assertEquals(200, whole.get(0).get("width").asInt());
        assertEquals(0, whole.get(0).get("corners").get(0).get(0).asDouble(), 1e-9);
    }

    @Test
    void crop_turnMirrorAndClear() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        JsonNode turned = json(
                "crop",
                shoot(),
                "--format",
                "Print",
                "--photo",
                "h.jpg",
                "--turn",
                "90",
                "--mirror",
                "true",
                "--size",
                "0.5");
        assertEquals(1, turned.get(0).get("quarterTurns").asInt());
        assertTrue(turned.get(0).get("mirrored").asBoolean());
        assertTrue(
                turned.get(0).get("height").asInt() > turned.get(0).get("width").asInt());
        JsonNode cleared = json(
                "crop",
                shoot(),
                "--format",
                "Print",
                "--photo",
                "h.jpg",
                "--clear",
                "--turn",
                "0",
                "--mirror",
                "false");
        assertEquals("derived", cleared.get(0).get("state").asText());
    }

    @Test
    void handover_writesFilesNamedAfterTheirPhotos() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        JsonNode rows = json(
                "handover", shoot(), "--out", base.resolve("out").toString(), "--long-edge", "100", "--type", "png");
        assertEquals(List.of("photo", "format", "output", "width", "height", "state", "reason"), fields(rows.get(0)));
        Path file = Path.of(rows.get(0).get("output").asText());
        assertTrue(file.getFileName().toString().startsWith("h_") && Files.exists(file));
        assertEquals(100, rows.get(0).get("width").asInt());
        assertEquals("ok", rows.get(0).get("state").asText());
    }

    @Test
    void unknownFormatOrPhoto_isNamedWithWhatThereIs() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        assertEquals(2, run("crop", shoot(), "--format", "Prnt", "--tilt", "1"));
        assertTrue(said().contains("Prnt") && said().contains("Print"), said());
        assertEquals(2, run("crop", shoot(), "--format", "Print", "--photo", "x*", "--tilt", "1"));
        assertTrue(said().contains("x*") && said().contains("h.jpg, v.jpg"), said());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "crop F --format Print",
                "crop F --format Print --tilt 46",
                "crop F --format Print --tilt NaN",
                "crop F --format Print --turn 45",
                "crop F --format Print --size 0",
                "crop F --format Print --size 1.1",
                "crop F --format Print --centre 0.5",
                "crop F --format Print --centre a,b",
                "crop F --format Print --centre 2,0",
                "crop F --format Print --photo [ --tilt 1",
                "crop F --tilt 1",
                "formats F --add Print",
                "formats F --add X=0:1",
                "formats F --add Print=1:1",
                "formats F --remove Nope",
                "formats F --size Print=huge",
                "formats F --size Nope=none",
                "formats F --files Print=gif",
                "formats F --orientation Print=askew",
                "mark F --at 1,2",
                "mark F --photo h.jpg --at 1",
                "mark F --photo h.jpg --at 1,2;1,2",
                "mark F --photo h.jpg --at 1,2;3,4;5,6",
                "mark F --photo h.jpg --at 1,2 --clear",
                "lineup F --format Print --exemplar nope.jpg",
                "carry F --from h.jpg --format Print --by eye",
                "handover F",
                "handover F --out O --type gif",
                "handover F --out O --quality 0",
                "handover F --out O --colour blue",
                "handover F --out O --long-edge 0",
                "photos",
                "photos /nowhere/at/all",
                "photos F --nonsense",
                "nonsense"
            })
    void wrongUsage_isExit2WithOneSentence(String line) throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        String[] arguments = line.replace(" F", " " + shoot())
                .replace(" O", " " + base.resolve("o").toString())
                .split(" ");
        assertEquals(2, run(arguments), this::said);
        assertFalse(said().isBlank());
        assertFalse(said().contains("\tat ") || said().contains("Exception"), said());
        assertFalse(Files.exists(base.resolve("o")));
    }

    @Test
    void handover_withUnreadablePhotos_deliversTheRestAndListsThem() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        Files.writeString(folder.resolve("t.jpg"), "text");
        byte[] whole = Files.readAllBytes(folder.resolve("h.jpg"));
        TestPhotos.write(folder.resolve("cut.jpg"), java.util.Arrays.copyOf(whole, whole.length / 2));
        assertEquals(1, run("handover", shoot(), "--out", base.resolve("out").toString(), "--json"));
        JsonNode rows = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        List<String> states = new ArrayList<>();
        rows.forEach(row ->
                states.add(row.get("photo").asText() + " " + row.get("state").asText()));
        assertEquals(List.of("h.jpg ok", "v.jpg ok", "cut.jpg failed", "t.jpg failed"), states);
        assertEquals("not an image", rows.get(3).get("reason").asText());
        assertTrue(rows.get(3).get("output").isNull());
    }

    @Test
    void log_goesToAFileNotToTheTerminal() {
        var root = (ch.qos.logback.classic.Logger) org.slf4j.LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        root.iteratorForAppenders()
                .forEachRemaining(appender ->
                        assertTrue(appender instanceof ch.qos.logback.core.FileAppender, appender.toString()));
        assertTrue(root.iteratorForAppenders().hasNext());
    }

    @Test
    void handover_inOtherColours_tagsTheFiles() throws IOException {
        run("formats", shoot(), "--add", "Square=1:1");
        run("handover", shoot(), "--out", base.resolve("out").toString(), "--type", "png", "--colour", "wide");
        try (var files = Files.list(base.resolve("out"))) {
            for (Path file :
                    files.filter(file -> file.toString().endsWith(".png")).toList()) {
                Probe.Readable probe = assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file));
                assertEquals("Wide RGB (P3 primaries)", probe.facts().profile());
            }
        }
    }

    @Test
    void handover_ontoAFile_saysSo() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        Path file = Files.writeString(base.resolve("file"), "mine");
        assertEquals(1, run("handover", shoot(), "--out", file.toString()));
        assertTrue(said().contains("is a file"), said());
    }

    @Test
    void carry_takesTheFrameToTheOthersAsOneChange() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        json(
                "crop",
                shoot(),
                "--format",
                "Print",
                "--photo",
                "h.jpg",
                "--size",
                "0.5",
                "--centre",
                "0.4,0.4",
                "--tilt",
                "2");
        JsonNode planned = json("carry", shoot(), "--from", "h.jpg", "--format", "Print", "--dry-run");
        assertEquals(1, planned.size());
        assertEquals("placed", planned.get(0).get("state").asText());
        assertEquals("derived", json("crops", shoot()).get(1).get("state").asText(), "a dry run changes nothing");
        JsonNode carried = json("carry", shoot(), "--from", "h.jpg", "--format", "Print", "--to", "v.jpg");
        JsonNode crop = json("crops", shoot()).get(1);
        assertEquals(carried.get(0).get("corners"), crop.get("corners"));
        assertEquals(2, crop.get("tilt").asDouble());
        assertTrue(crop.get("height").asInt() > crop.get("width").asInt(), "laid upright as the photo is");
    }

    @Test
    void carry_partsAndOppositePhotos() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        json("crop", shoot(), "--format", "Print", "--photo", "h.jpg", "--size", "0.5", "--tilt", "2");
        JsonNode skipped = json(
                "carry",
                shoot(),
                "--from",
                "h.jpg",
                "--format",
                "Print",
                "--orientation",
                "skip",
                "--parts",
                "tilt,shape");
        assertEquals("left alone", skipped.get(0).get("losses").get(0).asText());
        assertEquals(0, json("crops", shoot()).get(1).get("tilt").asDouble());
        json("carry", shoot(), "--from", "h.jpg", "--format", "Print", "--parts", "tilt");
        assertEquals(2, json("crops", shoot()).get(1).get("tilt").asDouble());
        assertEquals("derived", json("crops", shoot()).get(1).get("state").asText());
        assertEquals(2, run("carry", shoot(), "--from", "*.jpg", "--format", "Print"));
        assertTrue(said().contains("one photo"));
        assertEquals(2, run("carry", shoot(), "--from", "h.jpg", "--format", "Print", "--parts", "colour"));
    }

    @Test
    void check_acceptsFramesAsTheyStand() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        JsonNode before = json("crops", shoot());
        JsonNode checked = json("check", shoot(), "--format", "Print", "--photo", "v.jpg");
        assertEquals("checked", checked.get(0).get("state").asText());
        assertEquals(before.get(1).get("corners"), json("crops", shoot()).get(1).get("corners"));
        assertEquals("derived", json("crops", shoot()).get(0).get("state").asText());
    }

    @Test
    void formats_sayAllThatIsAskedFor_andGoThroughAFile() throws IOException {
        String file = base.resolve("brief.json").toString();
        JsonNode rows = json(
                "formats",
                shoot(),
                "--add",
                "Print=4:5",
                "--size",
                "Print=8 x 10 in",
                "--note",
                "Print=for the wall",
                "--orientation",
                "Print=vertical",
                "--files",
                "Print=tiff",
                "--export",
                file);
        assertEquals("203.2 x 254 mm at 300 ppi", rows.get(0).get("size").asText());
        assertEquals("for the wall", rows.get(0).get("note").asText());
        assertEquals("vertical", rows.get(0).get("orientation").asText());
        assertEquals("tiff", rows.get(0).get("files").asText());
        json("formats", shoot(), "--remove", "Print");
        assertEquals(rows, json("formats", shoot(), "--import", file));
        assertEquals(rows, json("formats", shoot(), "--import", file), "not added twice");
        JsonNode crop = json("crops", shoot(), "--format", "Print").get(0);
        assertTrue(crop.get("height").asInt() > crop.get("width").asInt(), "always vertical");
    }

    @Test
    void formats_brokenBriefFile_isRefusedInOneSentence() throws IOException {
        Path file = Files.writeString(base.resolve("broken.json"), "{\"nexaBrief\": 1, \"formats\": [{}]}");
        assertEquals(2, run("formats", shoot(), "--import", file.toString()));
        assertTrue(said().contains("Format 1"), said());
        assertEquals(
                2, run("formats", shoot(), "--import", base.resolve("none.json").toString()));
        assertTrue(said().contains("There is no file"), said());
        assertFalse(said().contains("Exception"), said());
    }

    @Test
    void marks_carryTheComposition_andLineupMeasuresIt() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        json("mark", shoot(), "--photo", "h.jpg", "--at", "150,80;150,120");
        JsonNode marked = json("mark", shoot(), "--photo", "v.jpg", "--at", "90,110;94,150");
        assertEquals(94, marked.get(0).get("marks").get(1).get(0).asDouble(), 1e-6);
        json("crop", shoot(), "--format", "Print", "--photo", "h.jpg", "--size", "0.5", "--centre", "0.52,0.47");
        JsonNode carried = json(
                "carry",
                shoot(),
                "--from",
                "h.jpg",
                "--format",
                "Print",
                "--by",
                "marks",
                "--parts",
                "shape,place,tilt");
        assertEquals(0, carried.get(0).get("error").asDouble(), 1e-9);
        assertTrue(carried.get(0).get("tilt").asDouble() > 5, "so that its marks stand upright as the other's do");
        JsonNode lineup = json("lineup", shoot(), "--format", "Print", "--exemplar", "h.jpg");
        assertEquals(2, lineup.size());
        assertEquals(0, lineup.get(1).get("offsetX").asDouble(), 1e-9);
        assertEquals(1, lineup.get(1).get("size").asDouble(), 1e-9);
        assertEquals(0, lineup.get(1).get("lean").asDouble(), 1e-9);
        assertTrue(said().contains("Spread of 2"), said());
        json("mark", shoot(), "--photo", "h.jpg", "--clear");
        assertEquals(2, run("lineup", shoot(), "--format", "Print", "--exemplar", "h.jpg"));
        assertTrue(said().contains("has no marks"), said());
        JsonNode unmarked =
                json("carry", shoot(), "--from", "h.jpg", "--format", "Print", "--by", "marks", "--dry-run");
        assertEquals("no mark", unmarked.get(0).get("losses").get(0).asText());
    }

    @Test
    void handover_usesEachFormatsOwnFiles() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5", "--files", "Print=png", "--size", "Print=long edge 100");
        JsonNode rows = json("handover", shoot(), "--out", base.resolve("out").toString());
        assertTrue(rows.get(0).get("output").asText().endsWith(".png"));
        assertEquals(100, rows.get(0).get("width").asInt());
        JsonNode forced =
                json("handover", shoot(), "--out", base.resolve("out2").toString(), "--type", "jpeg");
        assertTrue(forced.get(0).get("output").asText().endsWith(".jpg"));
    }
}
