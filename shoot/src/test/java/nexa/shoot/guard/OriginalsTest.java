package nexa.shoot.guard;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;
import nexa.imaging.TestPhotos;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.exchange.BriefFile;
import nexa.shoot.exchange.CropsTable;
import nexa.shoot.exchange.Sidecars;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.RunControl;
import nexa.shoot.handover.request.Collision;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever leads to a photo or to somebody else's file: it stays as it is. */
class OriginalsTest {
    @TempDir
    Path base;

    private TestShoot test;
    private Path elsewhere;
    private Map<String, String> before;

    @BeforeEach
    void fill() throws IOException {
        test = new TestShoot(base);
        elsewhere = Files.createDirectories(base.resolve("elsewhere"));
        for (int i = 1; i <= 4; i++) {
            test.photo("k" + i + ".jpg", 300, 200 + i);
        }
        TestPhotos.jpeg(elsewhere.resolve("linked.jpg"), 300, 211, 1);
        Files.writeString(elsewhere.resolve("letter.txt"), "somebody else's");
        Files.createSymbolicLink(test.folder().resolve("far.jpg"), elsewhere.resolve("linked.jpg"));
        before = hashes();
    }

    private Map<String, String> hashes() throws IOException {
        Map<String, String> all = TestShoot.hashes(base);
        all.keySet().removeIf(file -> file.startsWith("data") || file.startsWith("out"));
        return all;
    }

    @AfterEach
    void nothingChanged() throws IOException {
        Map<String, String> after = hashes();
        before.forEach((file, hash) -> assertEquals(hash, after.get(file), file));
    }

    private List<Outcome> handover(Path out, String names, Collision collision) throws IOException {
        try (Shoot shoot = test.open()) {
            Format format = shoot.brief().find("Print").orElseGet(() -> TestShoot.addFormat(shoot, "Print", "4:5"));
            HandoverRequest request =
                    new HandoverRequest(out, List.of(format)).named(new NameTemplate(names), collision);
            return new Handover(HandoverPlan.of(shoot, request), told -> {}, new RunControl()).run(shoot);
        }
    }

    private static void allRefused(List<Outcome> outcomes) {
        assertEquals(
                List.of(),
                outcomes.stream().filter(Outcome.Written.class::isInstance).toList());
    }

    @Test
    void handover_throughALinkToTheShoot_replacesNothing() throws IOException {
        Path link = Files.createSymbolicLink(base.resolve("out"), test.folder());
        allRefused(handover(link, "{photo}", Collision.REPLACE).stream()
                .filter(outcome -> before.containsKey(
                        "shoot/" + outcome.delivery().output().getFileName()))
                .toList());
    }

    /** Also if the program that delivers may not edit the shoot, so that only the list tells. */
    @Test
    void deliveriesThroughALinkToTheShoot_areNoPhotos() throws Exception {
        Path link = Files.createSymbolicLink(base.resolve("out"), test.folder());
        try (Shoot shoot = test.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5");
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(link, List.of(format)));
            shoot.letOthersEdit();
            new Handover(plan, told -> {}, new RunControl()).run(shoot);
        }
        assertEquals(5, files().size());
    }

    @Test
    void handover_throughALinkInItsFolder_leavesNeitherTheFolderNorTheFilesThere() throws IOException {
        Path out = Files.createDirectories(base.resolve("out"));
        Files.createSymbolicLink(out.resolve("Print"), test.folder());
        List<Outcome> outcomes = handover(out, "{format}/{photo}", Collision.REPLACE);
        allRefused(outcomes);
        assertTrue(outcomes.getFirst() instanceof Outcome.Failed failed
                && failed.reason().toString().contains("outside"));
    }

    @Test
    void handover_intoTheFolderThatAPhotosLinkPointsTo_replacesNothing() throws IOException {
        handover(elsewhere, "linked", Collision.REPLACE);
    }

    @Test
    void handover_ontoASecondNameOfAPhoto_leavesIt() throws IOException {
        Path out = Files.createDirectories(base.resolve("out"));
        Path second =
                Files.createLink(out.resolve("k1_Print.jpg"), test.folder().resolve("k1.jpg"));
        List<Outcome> outcomes = handover(out, "{photo}_{format}", Collision.REPLACE);
        assertTrue(Files.isSameFile(second, test.folder().resolve("k1.jpg")));
        assertEquals(
                1, outcomes.stream().filter(Outcome.Failed.class::isInstance).count());
    }

    @Test
    void handover_intoAnotherShoot_leavesItsPhotos() throws IOException {
        Path other = Files.createDirectories(base.resolve("other"));
        TestPhotos.jpeg(other.resolve("k1.jpg"), 200, 200, 1);
        Shoot.open(other, test.locations()).close();
        String hash = TestShoot.hashes(other).get("k1.jpg");
        handover(other, "{photo}", Collision.REPLACE);
        assertEquals(hash, TestShoot.hashes(other).get("k1.jpg"));
    }

    @Test
    void handover_withPlantedLinks_followsNone() throws IOException {
        Path out = Files.createDirectories(base.resolve("out"));
        for (String planted : List.of(".nexa-handover", ".nexa-delivered", "handover.json", "handover.csv")) {
            Files.createSymbolicLink(out.resolve(planted), elsewhere.resolve("letter.txt"));
        }
        assertThrows(IOException.class, () -> handover(out, "{photo}", Collision.NUMBER));
        Files.delete(out.resolve(".nexa-handover"));
        assertEquals(5, handover(out, "{photo}", Collision.NUMBER).size());
        assertTrue(Files.exists(out.resolve("handover-2.json")), "its own list has another name");
        Files.createLink(out.resolve(".nexa-handover"), elsewhere.resolve("letter.txt"));
        assertThrows(IOException.class, () -> handover(out, "{photo}", Collision.NUMBER), "a second name");
    }

    @Test
    void handover_besideSomebodysOwnList_leavesIt() throws IOException {
        Path out = Files.createDirectories(base.resolve("out"));
        Files.writeString(out.resolve("handover.json"), "{\"mine\": true}");
        handover(out, "{photo}", Collision.NUMBER);
        handover(out, "again {photo}", Collision.NUMBER);
        assertEquals("{\"mine\": true}", Files.readString(out.resolve("handover.json")));
        assertTrue(Files.readString(out.resolve("handover-2.json")).contains("again k1.jpg"));
        assertTrue(Files.readString(out.resolve("handover-2.json")).contains("\"k1.jpg\""));
    }

    @Test
    void twoRunsAtTheSameTime_deliverEveryFileTheySay() throws Exception {
        Path out = base.resolve("out");
        try (Shoot shoot = test.open();
                ExecutorService both = Executors.newFixedThreadPool(2)) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5");
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out, List.of(format)));
            CountDownLatch begun = new CountDownLatch(1);
            CountDownLatch tried = new CountDownLatch(1);
            Future<List<Outcome>> first = both.submit(() -> new Handover(
                            plan,
                            told -> {
                                begun.countDown();
                                await(tried);
                            },
                            new RunControl())
                    .run(shoot));
            await(begun);
            String refusal = assertThrows(
                            IOException.class, () -> new Handover(plan, told -> {}, new RunControl()).run(shoot))
                    .getMessage();
            tried.countDown();
            assertTrue(refusal.contains("running"), refusal);
            assertEquals(
                    5,
                    first.get().stream()
                            .filter(Outcome.Written.class::isInstance)
                            .map(outcome -> outcome.delivery().output())
                            .filter(Files::exists)
                            .distinct()
                            .count());
        }
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void fileThatComesMeanwhile_isNotReplaced() throws IOException {
        Path out = Files.createDirectories(base.resolve("out"));
        try (Shoot shoot = test.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5");
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out, List.of(format)));
            Path taken = plan.deliveries().getFirst().output();
            Files.writeString(taken, "came meanwhile");
            List<Outcome> outcomes = new Handover(plan, told -> {}, new RunControl()).run(shoot);
            assertEquals(
                    1,
                    outcomes.stream().filter(Outcome.Failed.class::isInstance).count());
            assertEquals("came meanwhile", Files.readString(taken));
        }
    }

    @Test
    void exports_replaceNeitherPhotosNorStoresNorLinks() throws IOException {
        try (Shoot shoot = test.open()) {
            WriteGuard guard = shoot.guard();
            Path link = Files.createSymbolicLink(base.resolve("link.csv"), elsewhere.resolve("letter.txt"));
            for (Path target : List.of(
                    test.folder().resolve("k1.jpg"),
                    test.folder().resolve("far.jpg"),
                    elsewhere.resolve("linked.jpg"),
                    test.folder().resolve("../shoot/k2.jpg"),
                    test.folder().resolve(".nexa/shoot.db"),
                    test.locations().data().resolve("settings.json"),
                    link)) {
                assertThrows(
                        RefusedException.class,
                        () -> CropsTable.write(shoot, target, IfTaken.REPLACE),
                        target::toString);
                assertThrows(
                        RefusedException.class,
                        () -> new BriefFile("x", List.of()).write(target, guard, IfTaken.REPLACE),
                        target::toString);
            }
            Path letter = elsewhere.resolve("letter.txt");
            assertThrows(NameTakenException.class, () -> CropsTable.write(shoot, letter, IfTaken.REFUSE));
        }
    }

    @Test
    void sidecar_thatIsALink_isNotFollowed() throws IOException {
        Files.createSymbolicLink(test.folder().resolve("k1.jpg.xmp"), elsewhere.resolve("letter.txt"));
        try (Shoot shoot = test.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.place(shoot, TestShoot.photo(shoot, "k1.jpg"), format, TestShoot.WISH);
            assertEquals(1, Sidecars.write(shoot, photo -> true).troubles().size());
        }
    }

    @Test
    void deliveries_areTold_andPhotosBesideThemStayPhotos() throws IOException {
        Path sub = Files.createDirectories(test.folder().resolve("sub"));
        TestPhotos.jpeg(sub.resolve("s.jpg"), 300, 230, 1);
        handover(sub, "{photo}_{format}", Collision.NUMBER);
        handover(test.folder(), "{photo}_{format}", Collision.NUMBER);
        List<String> photos = List.of("far.jpg", "k1.jpg", "k2.jpg", "k3.jpg", "k4.jpg", "sub/s.jpg");
        assertEquals(photos, files());
        Files.delete(test.folder().resolve(".nexa/shoot.db"));
        TestShoot.clear(test.folder().resolve(".nexa"));
        assertEquals(photos, files(), "the lists beside them tell too");
        TestPhotos.jpeg(test.folder().resolve("k1_Print.jpg"), 300, 240, 1);
        assertTrue(files().contains("k1_Print.jpg"), "another picture under a delivered file's name is a photo");
    }

    @Test
    void list_thatSaysAKnownPhotoWasDelivered_isNotBelieved() throws IOException {
        assertEquals(5, files().size());
        Path photo = test.folder().resolve("k1.jpg");
        Files.writeString(
                test.folder().resolve("handover.json"),
                "{\"nexaHandover\":1,\"files\":[{\"file\":\"k1.jpg\",\"bytes\":%d,\"sha256\":\"%s\"}]}"
                        .formatted(Files.size(photo), before.get("shoot/k1.jpg")));
        before = hashes();
        assertEquals(5, files().size());
    }

    /** Neither in a folder that was never opened, nor for what is written. */
    @Test
    void plantedList_hidesNoPhoto_andLetsNoneBeReplaced() throws IOException {
        Path photo = test.folder().resolve("k1.jpg");
        Files.writeString(
                test.folder().resolve("handover.json"),
                "{\"nexaHandover\":1,\"files\":[{\"file\":\"k1.jpg\",\"bytes\":%d,\"sha256\":\"%s\",\"seal\":\"0\"}]}"
                        .formatted(Files.size(photo), before.get("shoot/k1.jpg")));
        Files.writeString(test.folder().resolve(".nexa-delivered"), "");
        before = hashes();
        before.remove("shoot/handover.json");
        assertEquals(5, files().size());
        handover(test.folder(), "{photo}", Collision.REPLACE);
    }

    /** What version 0.1 delivered into a marked folder shows as no photo, and is not replaced either. */
    @Test
    void deliveriesOfVersion01_areKnownByTheirFolderAndList() throws IOException {
        Path sub = Files.createDirectories(test.folder().resolve("delivered"));
        Path delivered = TestPhotos.jpeg(sub.resolve("k1_Print.jpg"), 200, 160, 1);
        Files.writeString(sub.resolve(".nexa-delivered"), "");
        Files.writeString(
                sub.resolve("handover.json"),
                "{\"nexaHandover\":1,\"files\":[{\"file\":\"k1_Print.jpg\",\"bytes\":%d,\"sha256\":\"%s\"}]}"
                        .formatted(Files.size(delivered), TestShoot.hashes(sub).get("k1_Print.jpg")));
        assertEquals(5, files().size());
    }

    @Test
    void deliveries_whileTheyAreWritten_arriveAsNoPhotos() throws Exception {
        try (Shoot shoot = test.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5");
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(test.folder(), List.of(format)));
            new Handover(plan, told -> {}, new RunControl()).run(shoot);
            assertTrue(shoot.look(file -> true, 100).photos().isEmpty());
        }
    }

    private List<String> files() throws IOException {
        try (Shoot shoot = test.open()) {
            return shoot.photos().stream().map(Photo::file).toList();
        }
    }

    @Test
    void store_thatIsALink_isNotWrittenThrough() throws IOException {
        Files.createDirectories(test.folder().resolve(".nexa"));
        Files.createSymbolicLink(test.folder().resolve(".nexa/shoot.db"), elsewhere.resolve("letter.txt"));
        try (Shoot shoot = test.open()) {
            TestShoot.addFormat(shoot, "Print", "4:5");
            assertFalse(shoot.told().isEmpty());
        }
    }
}
