package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class NeutralCommandTest extends CommandTest {
    private static final Color WARM_GREY = new Color(150, 128, 96);

    @BeforeEach
    void card() throws IOException {
        Files.delete(folder.resolve("h.jpg"));
        Files.delete(folder.resolve("v.jpg"));
        BufferedImage image = new BufferedImage(600, 400, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = image.createGraphics();
        canvas.setColor(Color.WHITE);
        canvas.fillRect(0, 0, 600, 400);
        canvas.setColor(WARM_GREY);
        canvas.fillRect(100, 100, 400, 200);
        canvas.dispose();
        ImageIO.write(image, "png", folder.resolve("card.png").toFile());
    }

    @Test
    void aGreyPlace_isDeliveredNeutral_andTheFileStays() throws IOException {
        byte[] before = Files.readAllBytes(folder.resolve("card.png"));
        rows(0, "formats", shoot(), "--add", "Photo=as photo", "--files", "Photo=png");
        JsonNode as = rows(0, "neutral", shoot()).get(0);
        assertEquals(1, as.get("red").asDouble(), 0.001);
        assertEquals(1, as.get("blue").asDouble(), 0.001);

        JsonNode row = rows(0, "neutral", shoot(), "--at", "300,200").get(0);
        assertTrue(row.get("red").asDouble() < 1 && row.get("blue").asDouble() > 1, row.toString());
        assertTrue(row.get("temperature").asDouble() < 5500);
        rows(0, "handover", shoot(), "--out", folder.resolve("out").toString());
        Color grey = delivered(300, 200);
        assertEquals(grey.getGreen(), grey.getRed(), 1);
        assertEquals(grey.getGreen(), grey.getBlue(), 1);
        assertTrue(java.util.Arrays.equals(before, Files.readAllBytes(folder.resolve("card.png"))));

        rows(0, "neutral", shoot(), "--clear");
        assertEquals(1, rows(0, "neutral", shoot()).get(0).get("blue").asDouble(), 0.001);
    }

    private Color delivered(int x, int y) throws IOException {
        try (Stream<Path> files = Files.walk(folder.resolve("out"))) {
            Path file = files.filter(each -> each.toString().matches(".*\\.(png|jpg)"))
                    .findFirst()
                    .orElseThrow();
            return new Color(ImageIO.read(file.toFile()).getRGB(x, y));
        }
    }

    @Test
    void temperatures_areTyped_andBadPlacesRefused() throws IOException {
        JsonNode row = rows(0, "neutral", shoot(), "--temperature", "3200", "--tint", "4")
                .get(0);
        assertEquals(3200, row.get("temperature").asDouble(), 5);
        assertEquals(4, row.get("tint").asDouble(), 0.1);
        assertEquals(0, rows(1, "neutral", shoot(), "--at", "5,5").size(), "white is clipped");
        assertEquals(3200, rows(0, "neutral", shoot()).get(0).get("temperature").asDouble(), 5, "and nothing changed");
        rows(2, "neutral", shoot(), "--at", "700,5");
        rows(2, "neutral", shoot(), "--at", "middle");
        rows(2, "neutral", shoot(), "--temperature", "99");
        rows(2, "neutral", shoot(), "--clear", "--tint", "2");
    }

    @Test
    void redEyes_areLookedFor_andCleared() throws IOException {
        assertEquals(0, rows(0, "redeye", shoot()).get(0).get("eyes").asInt());
        assertEquals(0, rows(0, "redeye", shoot(), "--apply").get(0).get("eyes").asInt());
        assertEquals(0, rows(0, "redeye", shoot(), "--clear").get(0).get("eyes").asInt());
        rows(2, "redeye", shoot(), "--clear", "--apply");
    }
}
