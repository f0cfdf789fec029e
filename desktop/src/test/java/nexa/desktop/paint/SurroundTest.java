package nexa.desktop.paint;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

class SurroundTest {
    private static final Pattern GREY = Pattern.compile("-nx-surround: (#\\w+);");

    /** The window's ground is filled by the one, what lies on it by the other. */
    @Test
    void stylesheetsGreys_areTheSurrounds() throws IOException {
        try (InputStream sheet = Objects.requireNonNull(Surround.class.getResourceAsStream("/nexa/desktop/nexa.css"))) {
            List<List<Long>> inSheet = GREY.matcher(new String(sheet.readAllBytes(), StandardCharsets.UTF_8))
                    .results()
                    .map(found -> eightBits(Color.web(found.group(1))))
                    .toList();
            assertEquals(
                    Stream.of(Surround.values())
                            .map(surround -> eightBits(surround.colour()))
                            .toList(),
                    inSheet);
        }
    }

    private static List<Long> eightBits(Color colour) {
        return Stream.of(colour.getRed(), colour.getGreen(), colour.getBlue())
                .map(part -> Math.round(part * 255))
                .toList();
    }
}
