package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class TrimCommandTest extends CommandTest {
    @BeforeEach
    void scans() throws IOException {
        Files.delete(folder.resolve("h.jpg"));
        Files.delete(folder.resolve("v.jpg"));
        photo("bars.png", 0, 40);
        photo("plain.png", 0, 0);
        Files.writeString(folder.resolve("broken.jpg"), "no photo");
    }

    /** Texture with black bars at the left and right, and above and below. */
    private void photo(String name, int bar, int pillar) throws IOException {
        BufferedImage image = new BufferedImage(600, 400, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(3);
        Graphics2D canvas = image.createGraphics();
        for (int i = 0; i < 4000; i++) {
            canvas.setColor(new Color(random.nextInt(40, 255), random.nextInt(40, 255), random.nextInt(40, 255)));
            canvas.fillRect(random.nextInt(600), random.nextInt(400), 20, 15);
        }
        canvas.setColor(Color.BLACK);
        canvas.fillRect(0, 0, pillar, 400);
        canvas.fillRect(600 - pillar, 0, pillar, 400);
        canvas.fillRect(0, 0, 600, bar);
        canvas.dispose();
        ImageIO.write(image, "png", folder.resolve(name).toFile());
    }

    @Test
    void looks_thenTrims_andClears_withoutTouchingTheFile() throws IOException {
        byte[] before = Files.readAllBytes(folder.resolve("bars.png"));
        JsonNode rows = rows(1, "trim", shoot());
        assertEquals(2, rows.size(), "one is no photo, and it is said");
        assertEquals("accept", rows.get(0).get("decision").asText());
        assertEquals(40, rows.get(0).get("left").asDouble(), 0.2);
        assertEquals(0, rows.get(0).get("top").asDouble());
        assertEquals(560, rows.get(0).get("right").asDouble(), 0.2);
        assertEquals(400, rows.get(0).get("bottom").asDouble());
        assertEquals(0, rows.get(0).get("angle").asDouble());
        assertEquals("refuse", rows.get(1).get("decision").asText());
        assertEquals("no border", rows.get(1).get("reason").asText());
        rows(0, "formats", shoot(), "--add", "Photo=as photo");
        assertEquals(600, width("bars.png"), "nothing was applied");

        rows(0, "trim", shoot(), "--photo", "*.png", "--apply");
        assertEquals(520, width("bars.png"), 1);
        assertEquals(600, width("plain.png"));

        rows(0, "trim", shoot(), "--photo", "bars.png", "--clear");
        assertEquals(600, width("bars.png"));
        assertTrue(Arrays.equals(before, Files.readAllBytes(folder.resolve("bars.png"))));
    }

    @Test
    void applyAndClear_areNotForOneCall() {
        assertEquals(2, run("trim", shoot(), "--apply", "--clear"));
    }

    @Test
    void scanOfTwoPictures_isSplit_andDeliveredAsTwoFiles() throws IOException {
        BufferedImage photo = ImageIO.read(folder.resolve("plain.png").toFile());
        BufferedImage bed = new BufferedImage(1400, 520, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = bed.createGraphics();
        canvas.setColor(Color.WHITE);
        canvas.fillRect(0, 0, 1400, 520);
        canvas.drawImage(photo, 60, 60, null);
        canvas.drawImage(photo, 740, 60, null);
        canvas.dispose();
        ImageIO.write(bed, "png", folder.resolve("scan.png").toFile());
        rows(0, "formats", shoot(), "--add", "Photo=as photo", "--files", "Photo=png");

        JsonNode pieces = rows(0, "trim", shoot(), "--photo", "scan.png", "--split");
        assertEquals(2, pieces.size());
        assertEquals(60, pieces.get(0).get("left").asDouble(), 1);
        assertEquals(1340, pieces.get(1).get("right").asDouble(), 1);
        rows(0, "trim", shoot(), "--photo", "scan.png", "--split", "--apply");

        Path out = folder.resolve("out");
        rows(1, "handover", shoot(), "--out", out.toString(), "--names", "{photo}", "--alternates");
        assertEquals(600, ImageIO.read(out.resolve("scan-1.png").toFile()).getWidth(), 2);
        assertEquals(400, ImageIO.read(out.resolve("scan-2.png").toFile()).getHeight(), 2);
        assertFalse(Files.exists(out.resolve("scan.png")), "it is one of the two");
        assertTrue(Files.exists(out.resolve("plain.png")));
        rows(2, "trim", shoot(), "--split", "--clear");
    }

    /** A picture that was cut in two comes out whole, as if it had never been cut. */
    @Test
    void bandInside_isClosedUp_andDeliveredWithoutIt() throws IOException {
        BufferedImage photo = cutInTwo();
        rows(0, "formats", shoot(), "--add", "Photo=as photo", "--files", "Photo=png");

        JsonNode bands = rows(0, "trim", shoot(), "--photo", "*.png", "--close", "--apply");
        assertEquals(1, bands.size(), "the others have none");
        assertEquals("cut.png", bands.get(0).get("photo").asText());
        assertEquals(250, bands.get(0).get("left").asDouble());
        assertEquals(280, bands.get(0).get("right").asDouble());
        assertEquals(400, bands.get(0).get("bottom").asDouble());

        Path out = folder.resolve("out");
        rows(1, "handover", shoot(), "--out", out.toString(), "--names", "{photo}");
        assertSame(photo, ImageIO.read(out.resolve("cut.png").toFile()));
        rows(0, "trim", shoot(), "--photo", "cut.png", "--clear");
        assertEquals(630, width("cut.png"));
    }

    /** A photo so narrow that nothing may be taken from it stays as it is, and the others are done all the same. */
    @Test
    void bandThatLeavesHardlyAnything_isSaid_andTheOthersAreDone() throws IOException {
        Random random = new Random(5);
        BufferedImage sliver = new BufferedImage(2, 300, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 300; y++) {
            int colour = y >= 205 && y < 225 ? 0xf5f4f0 : random.nextInt(0xffffff);
            sliver.setRGB(0, y, colour);
            sliver.setRGB(1, y, colour);
        }
        ImageIO.write(sliver, "png", folder.resolve("narrow.png").toFile());
        cutInTwo();
        JsonNode rows = rows(0, "trim", shoot(), "--photo", "*.png", "--close", "--apply");
        assertEquals(List.of("cut.png", "narrow.png"), rows.findValuesAsText("photo"));
        assertTrue(said().contains("narrow.png: hardly anything of the photo would be left"), said());

        rows(0, "formats", shoot(), "--add", "Photo=as photo");
        assertEquals(600, width("cut.png"));
        assertEquals(2, width("narrow.png"));
    }

    /** @return what lies on both sides of the band of {@code cut.png}, joined */
    private BufferedImage cutInTwo() throws IOException {
        BufferedImage photo = ImageIO.read(folder.resolve("plain.png").toFile());
        BufferedImage cut = new BufferedImage(630, 400, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = cut.createGraphics();
        canvas.setColor(new Color(245, 244, 240));
        canvas.fillRect(0, 0, 630, 400);
        canvas.drawImage(photo.getSubimage(0, 0, 250, 400), 0, 0, null);
        canvas.drawImage(photo.getSubimage(250, 0, 350, 400), 280, 0, null);
        canvas.dispose();
        ImageIO.write(cut, "png", folder.resolve("cut.png").toFile());
        return photo;
    }

    private static void assertSame(BufferedImage expected, BufferedImage delivered) {
        assertEquals(expected.getWidth(), delivered.getWidth());
        for (int y = 0; y < expected.getHeight(); y++) {
            for (int x = 0; x < expected.getWidth(); x++) {
                Color one = new Color(expected.getRGB(x, y));
                Color other = new Color(delivered.getRGB(x, y));
                assertEquals(one.getRed(), other.getRed(), 1, x + ", " + y);
                assertEquals(one.getBlue(), other.getBlue(), 1, x + ", " + y);
            }
        }
    }

    @Test
    void bandIsGivenInPixels_andNonsenseIsSaid() throws IOException {
        rows(0, "formats", shoot(), "--add", "Photo=as photo");
        rows(
                0,
                "trim",
                shoot(),
                "--photo",
                "plain.png",
                "--close",
                "--band",
                "x:100-160",
                "--band",
                "y:0-20",
                "--apply");
        assertEquals(540, width("plain.png"));
        for (String wrong : new String[] {"x:160", "z:1-9", "x:5-5"}) {
            assertEquals(2, run("trim", shoot(), "--photo", "plain.png", "--close", "--band", wrong, "--apply"), wrong);
        }
        assertEquals(2, run("trim", shoot(), "--close", "--band", "x:0-595", "--photo", "plain.png", "--apply"));
        assertEquals(2, run("trim", shoot(), "--band", "x:1-9"));
        assertEquals(2, run("trim", shoot(), "--split", "--close"));
        assertEquals(540, width("plain.png"));
    }

    private int width(String photo) throws IOException {
        return StreamSupport.stream(rows(1, "crops", shoot()).spliterator(), false)
                .filter(row -> row.get("photo").asText().equals(photo))
                .findFirst()
                .orElseThrow()
                .get("width")
                .asInt();
    }
}
