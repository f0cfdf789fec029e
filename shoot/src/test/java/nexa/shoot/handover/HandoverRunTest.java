package nexa.shoot.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.naming.NameTemplate;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.handover.request.Collision;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Names, lists, and runs that do not come to their end. */
class HandoverRunTest {
    private static final int PHOTOS = 6;

    @TempDir
    Path base;

    private TestShoot test;
    private Path out;

    @BeforeEach
    void fill() throws IOException {
        test = new TestShoot(base);
        out = base.resolve("out");
        for (int i = 1; i <= PHOTOS; i++) {
            test.photo("k" + i + ".jpg", 300, 200);
        }
    }

    private HandoverRequest request(Shoot shoot) {
        Format format = shoot.brief().find("Print").orElseGet(() -> TestShoot.addFormat(shoot, "Print", "4:5"));
        FileSettings files = new FileSettings(FileType.JPEG, 90);
        return new HandoverRequest(out, List.of(format.filed(files)));
    }

    private static Handover cancelledAfter(int files, HandoverPlan plan) {
        RunControl control = new RunControl();
        AtomicInteger done = new AtomicInteger();
        return new Handover(
                plan,
                told -> {
                    if (done.incrementAndGet() >= files) {
                        control.cancel();
                    }
                },
                control);
    }

    private static List<Outcome> run(Shoot shoot, HandoverPlan plan) throws IOException {
        return new Handover(plan, told -> {}, new RunControl()).run(shoot);
    }

    private List<String> files() throws IOException {
        try (Stream<Path> files = Files.walk(out)) {
            return files.filter(Files::isRegularFile)
                    .map(file -> out.relativize(file).toString())
                    .filter(file -> !file.startsWith("handover."))
                    .sorted()
                    .toList();
        }
    }

    @Test
    void names_followTheTemplate_intoFolders() throws IOException {
        try (Shoot shoot = test.open()) {
            HandoverRequest request =
                    request(shoot).named(new NameTemplate("{format}/{date}_{number:3}"), Collision.NUMBER);
            run(shoot, HandoverPlan.of(shoot, request));
            assertEquals("Print/2026-09-21_001.jpg", files().getFirst());
            assertEquals(PHOTOS, files().size());
        }
    }

    @Test
    void manifest_isTrue_andKeepsEarlierRuns() throws Exception {
        try (Shoot shoot = test.open()) {
            run(shoot, HandoverPlan.of(shoot, request(shoot)));
            run(
                    shoot,
                    HandoverPlan.of(
                            shoot, request(shoot).named(new NameTemplate("second, {photo}"), Collision.NUMBER)));
        }
        JsonNode list = new ObjectMapper()
                .readTree(out.resolve("handover.json").toFile())
                .path("files");
        assertEquals(2 * PHOTOS, list.size());
        for (JsonNode entry : list) {
            byte[] bytes = Files.readAllBytes(out.resolve(entry.path("file").asText()));
            assertEquals(bytes.length, entry.path("bytes").asInt());
            assertEquals(
                    HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)),
                    entry.path("sha256").asText());
        }
        List<String> csv = Files.readAllLines(out.resolve("handover.csv"));
        assertEquals(2 * PHOTOS + 1, csv.size());
        assertTrue(csv.getLast().startsWith("\"second, k6.jpg\",k6.jpg,Print,"), csv.getLast());
    }

    @Test
    void takenNames_areNumberedSkippedOrReplaced() throws IOException {
        try (Shoot shoot = test.open()) {
            run(shoot, HandoverPlan.of(shoot, request(shoot)));
            HandoverPlan skip = HandoverPlan.of(shoot, request(shoot).named(NameTemplate.DEFAULT, Collision.SKIP));
            assertEquals(PHOTOS, skip.there().size());
            assertEquals(List.of(), skip.deliveries());
            HandoverPlan replace =
                    HandoverPlan.of(shoot, request(shoot).named(NameTemplate.DEFAULT, Collision.REPLACE));
            assertEquals(PHOTOS, replace.replaced());
            run(shoot, replace);
            assertEquals(PHOTOS, files().size());
            run(shoot, HandoverPlan.of(shoot, request(shoot)));
            assertEquals(2 * PHOTOS, files().size());
            assertTrue(files().contains("k1_Print-2.jpg"));
        }
    }

    /** Even if somebody asks to replace, and the names are those of the photos. */
    @Test
    void originals_areNeverReplaced() throws IOException {
        Map<String, String> before = TestShoot.hashes(test.folder());
        try (Shoot shoot = test.open()) {
            HandoverRequest own = new HandoverRequest(
                            test.folder(), List.of(TestShoot.addFormat(shoot, "Print", "4:5")))
                    .named(new NameTemplate("{photo}"), Collision.REPLACE);
            run(shoot, HandoverPlan.of(shoot, own));
        }
        Map<String, String> after = TestShoot.hashes(test.folder());
        before.forEach((file, hash) -> assertEquals(hash, after.get(file), file));
        assertTrue(after.containsKey("k1-2.jpg"));
    }

    @Test
    void pausedRun_writesNothingUntilItGoesOn() throws Exception {
        try (Shoot shoot = test.open()) {
            RunControl control = new RunControl();
            control.pause(true);
            HandoverPlan plan = HandoverPlan.of(shoot, request(shoot));
            CompletableFuture<List<Outcome>> run = new CompletableFuture<>();
            Set<Thread> before = Thread.getAllStackTraces().keySet();
            Thread running = Thread.ofPlatform().start(() -> {
                try {
                    run.complete(new Handover(plan, told -> {}, control).run(shoot));
                } catch (IOException failed) {
                    run.completeExceptionally(failed);
                }
            });
            while (waiting(before, running) == 0) { // the workers have begun and stand still
                Thread.onSpinWait();
            }
            assertEquals(
                    List.of(),
                    files().stream().filter(file -> file.endsWith(".jpg")).toList());
            assertFalse(run.isDone());
            control.pause(false);
            assertEquals(PHOTOS, run.get().size());
            assertEquals(PHOTOS, files().size());
        }
    }

    private static long waiting(Set<Thread> before, Thread but) {
        return Thread.getAllStackTraces().entrySet().stream()
                .filter(thread -> !before.contains(thread.getKey()) && thread.getKey() != but)
                .filter(thread -> Stream.of(thread.getValue())
                        .anyMatch(at -> at.getMethodName().equals("mayGoOn")))
                .count();
    }

    @Test
    void cancelledRun_isGoneOnWith() throws IOException {
        try (Shoot shoot = test.open()) {
            HandoverPlan plan = HandoverPlan.of(shoot, request(shoot));
            List<Outcome> first = cancelledAfter(2, plan).run(shoot);
            assertTrue(first.size() >= 2 && first.size() < PHOTOS);
            assertTrue(HandoverPlan.isUnfinished(out));
            HandoverPlan rest = HandoverPlan.resumed(shoot, request(shoot));
            assertEquals(first.size(), rest.there().size());
            run(shoot, rest);
            assertFalse(HandoverPlan.isUnfinished(out));
            assertEquals(PHOTOS, files().size());
            JsonNode list = new ObjectMapper()
                    .readTree(out.resolve("handover.json").toFile())
                    .path("files");
            assertEquals(PHOTOS, list.size());
        }
    }

    @Test
    void resumedRun_doesAgainWhatChangedMeanwhile() throws IOException {
        try (Shoot shoot = test.open()) {
            cancelledAfter(3, HandoverPlan.of(shoot, request(shoot))).run(shoot);
            Photo first = shoot.photos().getFirst();
            TestShoot.place(shoot, first, shoot.brief().formats().getFirst(), TestShoot.WISH);
            HandoverPlan rest = HandoverPlan.resumed(shoot, request(shoot));
            assertTrue(rest.deliveries().stream().anyMatch(d -> d.photo().equals(first)), "its frame is another one");
        }
    }
}
