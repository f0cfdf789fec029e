package nexa.shoot.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Reduction;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.handover.request.HandoverRequest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A handover of 500 killed at random moments: no file is there in part, and another run completes it. */
class HandoverKillTest {
    private static final int PHOTOS = 500;
    private static final int KILLS = 10;

    @TempDir
    Path base;

    private static HandoverRequest request(Path base, Shoot shoot) {
        return new HandoverRequest(base.resolve("out"), shoot.brief().formats());
    }

    /** Goes on with the run, and tells of each file. */
    public static final class Deliverer {
        public static void main(String[] arguments) throws IOException {
            Path base = Path.of(arguments[0]);
            try (Shoot shoot = new TestShoot(base).open()) {
                System.out.println("begun");
                HandoverPlan plan = HandoverPlan.resumed(shoot, request(base, shoot));
                new Handover(plan, outcome -> System.out.println("file"), new RunControl()).run(shoot);
            }
        }
    }

    @Test
    void kill_leavesWholeFiles_andTheRunIsGoneOnWith() throws Exception {
        TestShoot test = new TestShoot(base);
        byte[] photo = Files.readAllBytes(test.photo("p000.jpg", 90, 60));
        for (int i = 1; i < PHOTOS; i++) {
            byte[] numbered = Arrays.copyOf(photo, photo.length + 2);
            numbered[photo.length] = (byte) i;
            numbered[photo.length + 1] = (byte) (i >> 8);
            Files.write(test.folder().resolve("p%03d.jpg".formatted(i)), numbered);
        }
        try (Shoot shoot = test.open()) {
            TestShoot.addFormat(shoot, "Print", "4:5");
        }
        Random random = new Random(8);
        for (int kill = 0; kill < KILLS; kill++) {
            deliverAndKill(1 + random.nextInt(20));
            for (Path file : delivered()) {
                Decoder.decode(file, Reduction.NONE).close(); // throws if it is there in part
            }
        }
        try (Shoot shoot = test.open()) {
            assertTrue(HandoverPlan.isUnfinished(base.resolve("out")));
            HandoverPlan rest = HandoverPlan.resumed(shoot, request(base, shoot));
            assertTrue(rest.there().size() >= KILLS, "what was delivered is not done again");
            List<Outcome> outcomes = new Handover(rest, told -> {}, new RunControl()).run(shoot);
            assertTrue(outcomes.stream().allMatch(Outcome.Written.class::isInstance));
        }
        assertFalse(HandoverPlan.isUnfinished(base.resolve("out")));
        assertEquals(PHOTOS, delivered().size(), "none twice");
        JsonNode list = new ObjectMapper()
                .readTree(base.resolve("out/handover.json").toFile())
                .path("files");
        assertEquals(PHOTOS, list.size(), "every file is listed, also those of the killed runs");
    }

    private List<Path> delivered() throws IOException {
        try (Stream<Path> files = Files.list(base.resolve("out"))) {
            return files.filter(file -> file.toString().endsWith(".jpg")).toList();
        }
    }

    /** Lets it deliver so many files and kills it in the middle of the next. */
    private void deliverAndKill(int files) throws Exception {
        Process child = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElseThrow(),
                        "--enable-native-access=ALL-UNNAMED",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Deliverer.class.getName(),
                        base.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (BufferedReader lines = child.inputReader()) {
            for (int i = 0; i <= files; i++) {
                assertTrue(lines.readLine() != null, "it delivers");
            }
        } finally {
            child.destroyForcibly();
            assertTrue(child.waitFor(20, TimeUnit.SECONDS));
        }
    }
}
