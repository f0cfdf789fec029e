package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.imaging.TestPhotos;
import nexa.imaging.lens.LensVectorsTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The commands lens and plumb. */
class LensCommandsTest extends CommandTest {
    private static final String CANON = "Canon EF 24-105mm f/4L IS USM";

    /** A photo of which the lens data's own vectors know every point. */
    private JsonNode vector() throws IOException {
        try (InputStream in = LensVectorsTest.class.getResourceAsStream("vectors.json")) {
            return new ObjectMapper().readTree(in).get("vectors").get(0);
        }
    }

    private void canon() throws IOException {
        TestPhotos.jpegBy(
                folder.resolve("canon.jpg"),
                5760,
                3840,
                "Canon",
                "Canon EOS 5D Mark III",
                "EF24-105mm f/4L IS USM",
                32,
                5.6,
                10);
    }

    @Test
    void lens_tellsWhatThePhotosWereTakenWith_andChangesNothing() throws IOException {
        canon();
        JsonNode rows = json("lens", shoot());
        JsonNode canon = rows.get(0);
        assertEquals(
                List.of("photo", "camera", "lens", "state", "why", "distortion", "fringes", "corners"), fields(canon));
        assertEquals("Canon EOS 5D Mark III", canon.get("camera").asText());
        assertEquals(CANON, canon.get("lens").asText());
        assertEquals("off", canon.get("state").asText());
        assertEquals("unknown", rows.get(1).get("state").asText());
        assertTrue(rows.get(1).get("why").asText().contains("camera"), rows.get(1)::toString);
        assertEquals("off", json("lens", shoot()).get(0).get("state").asText());
    }

    @Test
    void lens_found_readsThePixelsThatTheLibraryReads() throws IOException {
        canon();
        json("lens", shoot(), "--use", "found");
        for (JsonNode point : vector().get("points")) {
            JsonNode at = point.get("undistorted");
            JsonNode read = json("lens", shoot(), "--photo", "canon.jpg", "--points", at.get(0) + "," + at.get(1))
                    .get(0);
            for (int axis = 0; axis < 2; axis++) {
                assertEquals(
                        point.get("distorted_r").get(axis).asDouble(),
                        read.get("red").get(axis).asDouble(),
                        0.01);
                assertEquals(
                        point.get("distorted_g").get(axis).asDouble(),
                        read.get("green").get(axis).asDouble(),
                        0.01);
                assertEquals(
                        point.get("distorted_b").get(axis).asDouble(),
                        read.get("blue").get(axis).asDouble(),
                        0.01);
            }
            assertEquals(
                    point.get("devignetting_gain").asDouble(), read.get("gain").asDouble(), 1e-4);
        }
    }

    @Test
    void lens_amountsAndOff_areKept() throws IOException {
        canon();
        JsonNode half = json(
                        "lens",
                        shoot(),
                        "--photo",
                        "canon.jpg",
                        "--use",
                        "found",
                        "--distortion",
                        "50",
                        "--corners",
                        "0")
                .get(0);
        assertEquals(50, half.get("distortion").asDouble());
        JsonNode read =
                json("lens", shoot(), "--photo", "canon.jpg", "--points", "0,0").get(0);
        assertEquals(1, read.get("gain").asDouble());
        assertEquals(
                vector().get("points").get(0).get("distorted_g").get(0).asDouble() / 2,
                read.get("green").get(0).asDouble(),
                0.01);
        JsonNode chosen =
                json("lens", shoot(), "--photo", "h.jpg", "--use", CANON).get(0);
        assertEquals("unknown", chosen.get("state").asText());
        assertTrue(chosen.get("why").asText().contains("no focal length"), chosen::toString);
        assertEquals(
                "chosen",
                json("lens", shoot(), "--photo", "canon.jpg", "--use", "Canon EF 24-105mm f/4L IS II USM")
                        .get(0)
                        .get("state")
                        .asText());
        json("lens", shoot(), "--use", "off");
        JsonNode plain =
                json("lens", shoot(), "--photo", "canon.jpg", "--points", "7,9").get(0);
        assertEquals(7, plain.get("red").get(0).asDouble(), 1e-9);
        assertEquals(9, plain.get("red").get(1).asDouble(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({"--use,No such lens", "--distortion,201", "--points,1;2", "--fringes,-1"})
    void lens_ofNonsense_isRefusedWithWords(String option, String value) {
        assertEquals(2, run("lens", shoot(), "--photo", "h.jpg", option, value));
        assertFalse(said().contains("Exception"), this::said);
    }

    @Test
    void plumb_isSetReadAndTakenBack_andFramesGetABentEdge() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        JsonNode before = json("crops", shoot());
        assertFalse(before.get(0).has("edge"));
        JsonNode row = json("plumb", shoot(), "--photo", "h.jpg", "--pitch", "8", "--yaw", "-2", "--far", "50")
                .get(0);
        assertEquals(
                List.of("photo", "pitch", "yaw", "roll", "confidence", "decision", "reason", "lines"), fields(row));
        JsonNode kept = json("plumb", shoot(), "--photo", "h.jpg").get(0);
        assertEquals(8, kept.get("pitch").asDouble());
        assertEquals(-2, kept.get("yaw").asDouble());
        JsonNode edge = json("crops", shoot()).get(0).get("edge");
        assertEquals(64, edge.size());
        edge.forEach(point -> assertTrue(
                point.get(0).asDouble() > -0.1
                        && point.get(0).asDouble() < 300.1
                        && point.get(1).asDouble() > -0.1
                        && point.get(1).asDouble() < 200.1,
                edge::toString));
        json("plumb", shoot(), "--clear");
        assertEquals(before, json("crops", shoot()));
    }

    @ParameterizedTest
    @CsvSource({"--pitch,46", "--yaw,x", "--far,101", "--apply,"})
    void plumb_ofNonsense_isRefusedWithWords(String option, String value) {
        assertEquals(2, value == null ? run("plumb", shoot(), option) : run("plumb", shoot(), option, value));
        assertFalse(said().contains("Exception"), this::said);
    }

    @Test
    void crop_tiltedOrTurned_keepsThePlumb() throws IOException {
        json("formats", shoot(), "--add", "Print=4:5");
        json("plumb", shoot(), "--photo", "h.jpg", "--pitch", "8");
        json("crop", shoot(), "--format", "Print", "--photo", "h.jpg", "--tilt", "1.5", "--mirror", "false");
        assertEquals(
                8,
                json("plumb", shoot(), "--photo", "h.jpg").get(0).get("pitch").asDouble());
    }

    @Test
    void carry_takesLensAndPlumbEachByItself_eachPhotoByItsOwnData() throws IOException {
        canon();
        TestPhotos.jpegBy(
                folder.resolve("other.jpg"),
                600,
                400,
                "Canon",
                "Canon EOS 5D Mark III",
                "EF24-105mm f/4L IS USM",
                105,
                5.6,
                10);
        json("formats", shoot(), "--add", "Print=4:5");
        json("lens", shoot(), "--photo", "canon.jpg", "--use", "found", "--fringes", "0");
        json("plumb", shoot(), "--photo", "canon.jpg", "--pitch", "6");
        json("carry", shoot(), "--format", "Print", "--from", "canon.jpg", "--to", "other.jpg", "--parts", "lens");
        JsonNode other = json("lens", shoot(), "--photo", "other.jpg").get(0);
        assertEquals("found", other.get("state").asText());
        assertEquals(0, other.get("fringes").asDouble());
        assertEquals(
                0,
                json("plumb", shoot(), "--photo", "other.jpg")
                        .get(0)
                        .get("pitch")
                        .asDouble());
        JsonNode wide =
                json("lens", shoot(), "--photo", "canon.jpg", "--points", "0,0").get(0);
        JsonNode near =
                json("lens", shoot(), "--photo", "other.jpg", "--points", "0,0").get(0);
        assertTrue(
                Math.abs(wide.get("green").get(0).asDouble() / 5760
                                - near.get("green").get(0).asDouble() / 600)
                        > 1e-3,
                () -> "each by its own focal length: " + wide + near);
        json("carry", shoot(), "--format", "Print", "--from", "canon.jpg", "--to", "other.jpg", "--parts", "plumb");
        assertEquals(
                6,
                json("plumb", shoot(), "--photo", "other.jpg")
                        .get(0)
                        .get("pitch")
                        .asDouble());
    }

    @Test
    void chart_isPrinted_andAFolderWithoutItIsToldSo() throws IOException {
        Path chart = base.resolve("chart.pdf");
        assertEquals(0, run("lens", "chart", "--paper", "A4", "--out", chart.toString()), this::said);
        assertTrue(Files.size(chart) > 1000);
        assertFalse(run("lens", "chart", "--out", chart.toString()) == 0, "a file that is there stays");
        assertEquals(
                1,
                run(
                        "lens",
                        "measure",
                        shoot(),
                        "--out",
                        base.resolve("lens.xml").toString()));
        assertTrue(said().contains("lens chart"), this::said);
    }
}
