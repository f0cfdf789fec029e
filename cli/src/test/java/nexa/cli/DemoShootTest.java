package nexa.cli;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32FC2;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.getPerspectiveTransform;
import static org.bytedeco.opencv.global.opencv_imgproc.warpPerspective;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.level.LevelLine;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The committed demo shoot, through the commands, against OpenCV's own warp and the scenes' own truth. */
class DemoShootTest {
    private static final Path DEMO = Path.of("..", "demo");

    private static final int PHOTOS = 39;

    @TempDir
    Path base;

    private Path folder;

    @BeforeEach
    void copy() throws IOException {
        folder = Files.createDirectory(base.resolve("shoot"));
        try (Stream<Path> photos = Files.list(DEMO.resolve("fennick-kiln"))) {
            for (Path photo : (Iterable<Path>) photos::iterator) {
                Files.copy(photo, folder.resolve(photo.getFileName()));
            }
        }
    }

    private static JsonNode json(String... arguments) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        String[] all = Stream.concat(Stream.of(arguments), Stream.of("--json")).toArray(String[]::new);
        assertEquals(0, Main.run(new PrintStream(out, true), System.err, all));
        return new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
    }

    @Test
    void deliveredFiles_agreeWithTheReportedCorners() throws IOException {
        String shoot = folder.toString();
        json("formats", shoot, "--add", "Print=4:5");
        json(
                "crop",
                shoot,
                "--format",
                "Print",
                "--photo",
                "kiln_02*1.jpg",
                "--tilt",
                "2.3",
                "--centre",
                "0.45,0.5",
                "--size",
                "0.8");
        json("crop", shoot, "--format", "Print", "--photo", "kiln_02*5.jpg", "--tilt", "-4", "--turn", "90");
        json("crop", shoot, "--format", "Print", "--photo", "kiln_02*7.jpg", "--mirror", "true", "--size", "0.6");
        JsonNode crops = json("crops", shoot);
        JsonNode files = json("handover", shoot, "--out", base.resolve("out").toString(), "--type", "png");
        assertEquals(PHOTOS, files.size());
        for (int i = 0; i < crops.size(); i++) {
            Path delivered = Path.of(files.get(i).get("output").asText());
            try (Picture expected = warped(crops.get(i));
                    Picture actual = Decoder.decode(delivered, Reduction.NONE)) {
                double psnr = TestPhotos.psnr(expected, actual);
                assertTrue(psnr > 38, crops.get(i).get("photo") + ": " + psnr + " dB");
            }
        }
    }

    /** The reported corners, rendered by OpenCV's perspective warp out of the upright picture. */
    private Picture warped(JsonNode crop) throws IOException {
        Path file = folder.resolve(crop.get("photo").asText());
        var facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
        Turn turn =
                new Turn(crop.get("quarterTurns").asInt(), crop.get("mirrored").asBoolean());
        int width = crop.get("width").asInt();
        int height = crop.get("height").asInt();
        try (Picture stored = Decoder.decode(file, Reduction.NONE);
                Picture upright = stored.turned(facts.decodedToAsShot().then(turn));
                Mat from = corners(crop.get("corners"));
                Mat to = corners(new ObjectMapper()
                        .valueToTree(List.of(
                                List.of(0, 0), List.of(width, 0), List.of(width, height), List.of(0, height))));
                Mat map = getPerspectiveTransform(from, to);
                Size size = new Size(width, height)) {
            Mat warped = new Mat();
            warpPerspective(upright.mat(), warped, map, size, INTER_CUBIC, BORDER_REPLICATE, new Scalar());
            return new Picture(warped);
        }
    }

    /** OpenCV counts from pixel centres. */
    private static Mat corners(JsonNode points) {
        Mat matrix = new Mat(4, 1, CV_32FC2);
        try (FloatIndexer cells = matrix.createIndexer()) {
            for (int i = 0; i < 4; i++) {
                cells.put(
                        i,
                        0,
                        (float) points.get(i).get(0).asDouble() - 0.5f,
                        (float) points.get(i).get(1).asDouble() - 0.5f);
            }
        }
        return matrix;
    }

    @Test
    void levelLineAlongTrueLevelPoints_givesTheTrueRoll() throws IOException {
        List<String> lines = Files.readAllLines(DEMO.resolve("truth.csv"));
        assertEquals(PHOTOS + 1, lines.size());
        for (String line : lines.subList(1, lines.size())) {
            String[] cells = line.split(",");
            LevelLine drawn = new LevelLine(point(cells, 2), point(cells, 4));
            assertEquals(-Double.parseDouble(cells[1]), drawn.tilt().degrees(), 0.1, cells[0]);
        }
    }

    private static Point point(String[] cells, int at) {
        return new Point(Double.parseDouble(cells[at]), Double.parseDouble(cells[at + 1]));
    }

    private static Map<String, String[]> truth() throws IOException {
        return Files.readAllLines(DEMO.resolve("truth.csv")).stream()
                .skip(1)
                .map(line -> line.split(","))
                .collect(Collectors.toMap(cells -> cells[0], cells -> cells));
    }

    /** The three whose files tell the focal length that they were rendered with. */
    @Test
    void plumb_ofPhotosWithAKnownCamera_isRight() throws IOException {
        JsonNode found = json("plumb", folder.toString(), "--auto", "--photo", "kiln_023[789].jpg");
        assertEquals(3, found.size());
        for (JsonNode row : found) {
            String[] cells = truth().get(row.get("photo").asText());
            assertEquals("accept", row.get("decision").asText(), row::toString);
            assertEquals(Double.parseDouble(cells[15]), row.get("pitch").asDouble(), 0.5, row::toString);
            assertEquals(Double.parseDouble(cells[16]), row.get("yaw").asDouble(), 0.5, row::toString);
            assertEquals(0, row.get("roll").asDouble(), 0.3, row::toString);
        }
        assertTrue(json("plumb", folder.toString(), "--photo", "kiln_0237.jpg")
                        .get(0)
                        .get("pitch")
                        .asDouble()
                == 0);
        json("plumb", folder.toString(), "--auto", "--apply", "--far", "50", "--photo", "kiln_0237.jpg");
        assertEquals(
                12,
                json("plumb", folder.toString(), "--photo", "kiln_0237.jpg")
                        .get(0)
                        .get("pitch")
                        .asDouble(),
                0.5);
    }

    /** The bent shelves of 0225 lean by 0.7°; corrected, automatic level sees that at least as well. */
    @Test
    void level_looksAtTheCorrectedPicture() throws IOException {
        json("lens", folder.toString(), "--photo", "kiln_0225.jpg", "--use", "found", "--corners", "0");
        JsonNode row =
                json("level", folder.toString(), "--photo", "kiln_0225.jpg").get(0);
        assertEquals(0.7, row.get("angle").asDouble(), 0.15, row::toString);
        assertEquals("accept", row.get("decision").asText(), row::toString);
    }

    /** As the scenes bent them, a straight line of the world comes out straight again. */
    @Test
    void barrelPhotos_areStraightened() throws IOException {
        for (String photo : List.of("kiln_0224.jpg", "kiln_0225.jpg")) {
            JsonNode row = json("lens", folder.toString(), "--photo", photo, "--use", "found")
                    .get(0);
            assertEquals("found", row.get("state").asText(), row::toString);
            double barrel = Double.parseDouble(truth().get(photo)[14]);
            for (int line = 0; line < 12; line++) {
                assertStraight(photo, barrel, 100 * line + 40);
            }
        }
    }

    /** @param height of a level line in the picture without a lens, in pixels */
    private void assertStraight(String photo, double barrel, double height) throws IOException {
        StringBuilder asked = new StringBuilder();
        for (int x = 100; x < 1750; x += 50) {
            asked.append(x).append(',').append(height).append(';');
        }
        JsonNode rows = json("lens", folder.toString(), "--photo", photo, "--points", asked.toString());
        // what is read for a straight line of the corrected picture, unbent as the scenes bent it, must lie on a line
        double[] xs = new double[rows.size()];
        double[] ys = new double[rows.size()];
        for (int i = 0; i < xs.length; i++) {
            double right = (rows.get(i).get("green").get(0).asDouble() + 0.5 - 900) / 600;
            double down = (rows.get(i).get("green").get(1).asDouble() + 0.5 - 600) / 600;
            double squared = right * right + down * down;
            double factor = barrel * squared + 1 - barrel * (1 + 1.5 * 1.5);
            xs[i] = 600 * right * factor;
            ys[i] = 600 * down * factor;
        }
        int last = xs.length - 1;
        for (int i = 0; i <= last; i++) {
            double along = (xs[i] - xs[0]) / (xs[last] - xs[0]);
            assertEquals(ys[0] + along * (ys[last] - ys[0]), ys[i], 0.5, photo + " at " + height);
        }
    }

    @Test
    void level_acceptsMostPhotosAndIsRightOnThem() throws IOException {
        Map<String, Double> rolls = Files.readAllLines(DEMO.resolve("truth.csv")).stream()
                .skip(1)
                .map(line -> line.split(","))
                .collect(Collectors.toMap(cells -> cells[0], cells -> Double.parseDouble(cells[1])));
        JsonNode found = json("level", folder.toString());
        assertEquals(PHOTOS, found.size());
        int accepted = 0;
        int right = 0;
        for (JsonNode row : found) {
            double error =
                    row.get("angle").asDouble() + rolls.get(row.get("photo").asText());
            if (row.get("decision").asText().equals("accept")) {
                accepted++;
                right += Math.abs(error) <= 0.3 ? 1 : 0;
                assertTrue(row.get("reason").isNull());
            } else {
                assertFalse(row.get("reason").isNull());
            }
        }
        assertTrue(accepted >= 0.6 * PHOTOS, accepted + " accepted");
        assertTrue(right >= 0.9 * accepted, right + " right of " + accepted);
    }

    @Test
    void level_changesOnlyWithApplyAndOnlyTheAccepted() throws IOException {
        String shoot = folder.toString();
        json("formats", shoot, "--add", "Print=4:5");
        json("crop", shoot, "--format", "Print", "--photo", "kiln_0206.jpg", "--mirror", "true");
        json("level", shoot, "--photo", "kiln_0206.jpg", "--photo", "kiln_0219.jpg");
        assertEquals(0, tilt("kiln_0206.jpg"));
        JsonNode applied = json("level", shoot, "--photo", "kiln_0206.jpg", "--photo", "kiln_0219.jpg", "--apply");
        assertEquals(applied.get(0).get("angle").asDouble(), tilt("kiln_0206.jpg"), 1e-9);
        assertEquals(2.1, tilt("kiln_0206.jpg"), 0.3, "mirrored, the photo leans the other way");
        assertEquals("refuse", applied.get(1).get("decision").asText());
        assertEquals(0, tilt("kiln_0219.jpg"));
    }

    private double tilt(String photo) throws IOException {
        for (JsonNode crop : json("crops", folder.toString())) {
            if (crop.get("photo").asText().equals(photo)) {
                return crop.get("tilt").asDouble();
            }
        }
        throw new AssertionError(photo);
    }
}
