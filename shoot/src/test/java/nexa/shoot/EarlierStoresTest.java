package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.geometry.Point;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Stores as each earlier version of the tables had them, made by the program of that time: of three photos, placed,
 * tilted, turned, mirrored, marked and carried, with the frames that it printed.
 */
class EarlierStoresTest {
    private static final Path STORES = Path.of("src", "test", "resources", "stores");

    @TempDir
    Path base;

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void open_storeOfAnEarlierVersion_hasEveryFrameToTheLastBit(int version) throws IOException {
        TestShoot test = new TestShoot(base);
        try (Stream<Path> photos = Files.list(STORES.resolve("photos"))) {
            for (Path photo : photos.toList()) {
                Files.copy(photo, test.folder().resolve(photo.getFileName()));
            }
        }
        Path made = STORES.resolve("v" + version);
        Files.createDirectories(test.folder().resolve(".nexa"));
        Files.copy(made.resolve("shoot.db"), test.folder().resolve(".nexa/shoot.db"));
        JsonNode printed =
                new ObjectMapper().readTree(made.resolve("frames.json").toFile());
        try (Shoot shoot = test.open()) {
            assertEquals(9, printed.size());
            for (JsonNode row : printed) {
                if (version > 1 || !row.path("state").asText().equals("derived")) { // followed no placed frame then
                    assertSame(row, shoot);
                }
            }
        }
    }

    private static void assertSame(JsonNode row, Shoot shoot) {
        Photo photo = TestShoot.photo(shoot, row.path("photo").asText());
        Format format = shoot.brief().find(row.path("format").asText()).orElseThrow();
        assertEquals(
                row.path("tilt").asDouble(), shoot.framing(photo).pose().tilt().degrees());
        assertEquals(
                row.path("state").asText(),
                shoot.framing(photo).state(format).name().toLowerCase(Locale.ROOT));
        List<Point> corners = shoot.space(photo)
                .orElseThrow()
                .toUpright(shoot.frame(photo, format).orElseThrow());
        for (int i = 0; i < 4; i++) {
            Point expected = new Point(
                    row.path("corners").path(i).path(0).asDouble(),
                    row.path("corners").path(i).path(1).asDouble());
            assertEquals(expected, corners.get(i), () -> row.toString());
        }
    }
}
