package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.fasterxml.jackson.databind.JsonNode;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import nexa.imaging.RawMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.system.SystemLibrary;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class RawCommandTest extends CommandTest {
    private static final RawMaker.Light LIGHT = (x, y) -> new double[] {0.1 + 0.5 * x, 0.1 + 0.5 * y, 0.3};

    private byte[] raw;

    @BeforeEach
    void makeRaw() throws IOException {
        assumeTrue(SystemLibrary.raw().isPresent(), "LibRaw is not installed");
        try (Picture scene = TestPhotos.scene(1200, 800)) {
            raw = RawMaker.of(1500, 1000).preview(Encoder.plainJpeg(scene, 90)).bytes(LIGHT);
        }
        Files.write(folder.resolve("k.dng"), raw);
    }

    private void assertShows(JsonNode row, String shows, int width) {
        assertEquals(shows, row.get("shows").asText());
        assertEquals(width, row.get("width").asInt());
    }

    @Test
    void listsRawFiles_andShowsTheOtherPicture_withoutTouchingTheFile() throws IOException {
        JsonNode rows = json("raw", shoot());
        assertEquals(1, rows.size(), "the others are no raw files");
        assertShows(rows.get(0), "camera", 1200);
        assertShows(json("raw", shoot(), "--show", "data").get(0), "data", 1500);
        assertShows(json("raw", shoot()).get(0), "data", 1500);
        Files.move(folder.resolve("k.dng"), folder.resolve("renamed.dng"));
        assertShows(json("raw", shoot()).get(0), "data", 1500);
        assertShows(json("raw", shoot(), "--show", "camera").get(0), "camera", 1200);
        assertArrayEquals(raw, Files.readAllBytes(folder.resolve("renamed.dng")));
    }

    @Test
    void rawFilesThatComeIn_showWhatIsUsual() throws IOException {
        assertShows(json("raw", shoot(), "--usual", "data").get(0), "camera", 1200);
        Files.write(folder.resolve("later.dng"), RawMaker.of(600, 400).black(3).bytes(LIGHT));
        JsonNode rows = json("raw", shoot());
        assertShows(rows.get(0), "camera", 1200);
        assertShows(rows.get(1), "data", 600);
    }

    @Test
    void rawFileWithoutPicture_hasOnlyItsData() throws IOException {
        Files.write(folder.resolve("k.dng"), RawMaker.of(600, 400).bytes(LIGHT));
        assertShows(json("raw", shoot()).get(0), "data", 600);
        assertShows(rows(1, "raw", shoot(), "--show", "camera").get(0), "data", 600);
        assertTrue(said().contains("without a preview"), said());
    }

    /** A lamp's light on a grey field and a red one, which the camera took for daylight. */
    @Test
    void neutralOfDevelopedRaw_isMadeByTheSensorsMultipliers_andDelivered() throws IOException {
        RawMaker.Light lamp = (x, y) ->
                x < 0.5 ? new double[] {0.25, 0.05 * 0.7, 0.05 * 0.4} : new double[] {0.2, 0.2 * 0.7, 0.2 * 0.4};
        Files.write(folder.resolve("k.dng"), RawMaker.of(600, 400).bytes(lamp));
        json("formats", shoot(), "--add", "Photo=as photo", "--files", "Photo=png srgb");
        JsonNode gains =
                json("neutral", shoot(), "--photo", "k.dng", "--at", "450,200").get(0);
        assertEquals(0.7, gains.get("red").asDouble(), 0.01);
        assertEquals(1, gains.get("green").asDouble(), 0.01);
        assertEquals(0.7 / 0.4, gains.get("blue").asDouble(), 0.02);

        Path out = base.resolve("out");
        json("handover", shoot(), "--out", out.toString(), "--names", "{photo}");
        BufferedImage delivered = ImageIO.read(out.resolve("k.png").toFile());
        Color grey = new Color(delivered.getRGB(450, 200));
        assertEquals(grey.getGreen(), grey.getRed(), 1);
        assertEquals(grey.getGreen(), grey.getBlue(), 1);
        Color red = new Color(delivered.getRGB(150, 200));
        assertEquals(1.25, light(red.getRed()) / light(grey.getGreen()), 0.04); // of 8 bits
        assertEquals(0.25, light(red.getGreen()) / light(grey.getGreen()), 0.02);
        assertEquals(0.25, light(red.getBlue()) / light(grey.getGreen()), 0.02);
    }

    /** Of a value in sRGB. */
    private static double light(int value) {
        return Math.pow((value / 255.0 + 0.055) / 1.055, 2.4);
    }

    @Test
    void developedRaw_isDelivered() throws IOException {
        json("formats", shoot(), "--add", "Square=1:1");
        json("raw", shoot(), "--show", "data");
        Path out = base.resolve("out");
        json("handover", shoot(), "--out", out.toString());
        Path delivered;
        try (var files = Files.walk(out)) {
            delivered = files.filter(file -> file.getFileName().toString().startsWith("k_"))
                    .findFirst()
                    .orElseThrow();
        }
        ExifIFD0Directory said = metadata(delivered).getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertEquals("Ann Example", said.getString(ExifIFD0Directory.TAG_ARTIST), "what the raw file says");
        assertEquals("Field Two", said.getString(ExifIFD0Directory.TAG_MODEL));
        assertFalse(said.containsTag(50706), "it is no DNG");
        assertFalse(said.containsTag(33422));
        assertEquals(1, said.getInteger(ExifIFD0Directory.TAG_ORIENTATION));
    }

    private static Metadata metadata(Path file) throws IOException {
        try {
            return ImageMetadataReader.readMetadata(file.toFile());
        } catch (ImageProcessingException damaged) {
            throw new IOException(damaged);
        }
    }
}
