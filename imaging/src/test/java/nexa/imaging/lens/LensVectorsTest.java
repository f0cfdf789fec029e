package nexa.imaging.lens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.lens.Bend;
import nexa.core.lens.LensTerms;
import nexa.core.lens.Taken;
import nexa.core.lens.data.LensProfile;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Against what the calibration format's own library computes. */
public class LensVectorsTest {
    private static final double PIXEL = 0.01;
    private static final double GAIN = 1e-4;
    private static final double BACK = 0.001;

    @TempDir
    private static Path none;

    private static LensData data;
    private static final List<JsonNode> VECTORS = new ArrayList<>();

    @BeforeAll
    static void read() throws IOException {
        data = LensData.read(none);
        try (InputStream in = LensVectorsTest.class.getResourceAsStream("vectors.json")) {
            new ObjectMapper().readTree(in).get("vectors").forEach(VECTORS::add);
        }
    }

    private static PixelSize size(JsonNode vector) {
        return new PixelSize(vector.get("width").asInt(), vector.get("height").asInt());
    }

    private static LensTerms terms(JsonNode vector) {
        double crop = data.book()
                .camera(
                        vector.get("camera_maker").asText(),
                        vector.get("camera_model").asText())
                .orElseThrow()
                .crop();
        assertEquals(vector.get("camera_crop").asDouble(), crop, 1e-6);
        String name = vector.get("lens_maker").asText() + " "
                + vector.get("lens_model").asText();
        LensProfile lens = data.book().named(name, crop).orElseThrow(() -> new AssertionError(name));
        assertEquals(vector.get("lens_crop").asDouble(), lens.crop(), 1e-6, name);
        return data.book()
                .terms(
                        lens,
                        size(vector),
                        crop,
                        new Taken(
                                vector.get("focal").asDouble(),
                                vector.get("aperture").asDouble(),
                                vector.get("distance").asDouble()));
    }

    private static Point point(JsonNode vector, JsonNode at) {
        PixelSize size = size(vector);
        return new Point(
                (at.get(0).asDouble() + 0.5 - size.width() / 2.0) / size.longEdge(),
                (at.get(1).asDouble() + 0.5 - size.height() / 2.0) / size.longEdge());
    }

    private static void assertNear(JsonNode vector, JsonNode point, String name, Mapping mapping) {
        Point from = point(vector, point.get("undistorted"));
        double edge = size(vector).longEdge();
        Point expected = point(vector, point.get(name));
        Point read = mapping.apply(from);
        assertEquals(0, read.distance(expected) * edge, PIXEL, () -> name + " of " + point);
        assertEquals(0, mapping.inverse().apply(read).distance(from) * edge, BACK, () -> name + " back of " + point);
    }

    @Test
    void places_ofAllColours_areTheLibrarys() {
        assertTrue(VECTORS.size() >= 12);
        for (JsonNode vector : VECTORS) {
            LensTerms terms = terms(vector);
            Mapping bent = terms.distortion().mapping(terms.unit());
            vector.get("points").forEach(point -> {
                assertNear(vector, point, "distorted_geometry_only", bent);
                assertNear(vector, point, "distorted_g", bent);
                assertNear(vector, point, "distorted_r", bent.then(colour(terms.red(), terms)));
                assertNear(vector, point, "distorted_b", bent.then(colour(terms.blue(), terms)));
            });
        }
    }

    private static Mapping colour(Bend bend, LensTerms terms) {
        return bend.mapping(terms.unit());
    }

    @Test
    void light_isTheLibrarys() {
        int known = 0;
        for (JsonNode vector : VECTORS) {
            LensTerms terms = terms(vector);
            assertEquals(
                    vector.has("vignetting"),
                    terms.light().isPresent(),
                    vector.get("lens_query").asText());
            for (JsonNode point : vector.get("points")) {
                if (point.has("devignetting_gain") && terms.light().isPresent()) {
                    Point at = point(vector, point.get("undistorted"));
                    PixelSize size = size(vector);
                    double corner = Math.hypot(size.width(), size.height()) / size.longEdge() / 2;
                    double squared = at.length() * at.length() / corner / corner;
                    assertEquals(
                            point.get("devignetting_gain").asDouble(),
                            terms.light().orElseThrow().gain(squared),
                            GAIN,
                            point::toString);
                    known++;
                }
            }
        }
        assertTrue(known > 50);
    }
}
