package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.Pose;
import nexa.imaging.TestPhotos;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.store.StoreFile;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What becomes of a shoot's crops when its store is damaged, its folder can't be written, or a disk is full. */
class SafekeepingTest {
    private static final int PHOTOS = 12;
    private static final int DAMAGES = 50;

    @TempDir
    Path base;

    private TestShoot test;
    private Path store;

    @BeforeEach
    void fill() throws IOException {
        test = new TestShoot(base);
        store = test.store();
        for (int i = 1; i <= PHOTOS; i++) {
            test.photo("k" + i + ".jpg", 90, 60 + i);
        }
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.addFormat(shoot, "Square", "1:1");
            for (Photo photo : shoot.photos()) {
                hold(shoot, photo, print, photo.id() / 7.0);
            }
        }
    }

    private static void hold(Shoot shoot, Photo photo, Format format, double tilt) {
        Framing before = shoot.framing(photo);
        Framing after = before.withCrop(format, new Crop(TestShoot.WISH))
                .withPose(new Pose(new Turn(1, false), new Tilt(tilt)));
        shoot.apply(Edit.framing("edit.tilt", photo.id(), before, after));
    }

    private List<Framing> framings() throws IOException {
        try (Shoot shoot = test.open()) {
            return framings(shoot);
        }
    }

    private static List<Framing> framings(Shoot shoot) {
        return shoot.photos().stream().map(shoot::framing).toList();
    }

    private void sql(String... statements) throws Exception {
        try (Connection database = test.database();
                Statement statement = database.createStatement()) {
            statement.executeUpdate("DELETE FROM setting WHERE name = 'seal'"); // as if closed by a crash
            for (String each : statements) {
                statement.executeUpdate(each);
            }
        }
    }

    private List<Path> copies() throws IOException {
        try (Stream<Path> files = Files.list(store.resolveSibling("copies"))) {
            return files.sorted().toList();
        }
    }

    @Test
    void copies_areMadeOnceADay_andThreeAreKept() throws IOException {
        assertEquals(List.of(), Files.exists(store.resolveSibling("copies")) ? copies() : List.of());
        Instant now = Instant.now();
        for (int day = 0; day < 5; day++) {
            for (int hours : new int[] {0, 5}) {
                Instant then = now.plus(Duration.ofHours(25L * day + hours));
                StoreFile.open(store, () -> then).store().close();
            }
        }
        assertEquals(3, copies().size());
    }

    @Test
    void damagedStores_comeBackFromTheCopy_andItIsSaid() throws Exception {
        List<Framing> before = framings(); // makes a copy
        byte[] good = Files.readAllBytes(store);
        Random random = new Random(13);
        int back = 0;
        for (int i = 0; i < DAMAGES; i++) {
            damage(good, i, random);
            boolean changed = !java.util.Arrays.equals(good, Files.readAllBytes(store));
            try (Shoot shoot = test.open()) {
                boolean same =
                        framings(shoot).equals(before) && shoot.brief().names().equals("Print, Square");
                assertTrue(same || !shoot.told().isEmpty(), "damage " + i + " was silent");
                back += same ? 1 : 0;
                assertTrue(changed);
            }
            Files.deleteIfExists(Path.of(store + "-wal"));
            Files.write(store, good);
        }
        assertTrue(back >= 45, back + " of " + DAMAGES);
    }

    /** Emptied, cut, written over in places, in whole pages, or with text. */
    private void damage(byte[] good, int i, Random random) throws IOException {
        Files.write(store, good);
        try (RandomAccessFile file = new RandomAccessFile(store.toFile(), "rw")) {
            switch (i % 6) {
                case 0 -> file.setLength(i == 0 ? 0 : random.nextInt(good.length - 1));
                case 1 -> {
                    file.seek(random.nextInt(good.length - 5000));
                    byte[] noise = new byte[4096];
                    random.nextBytes(noise);
                    file.write(noise);
                }
                case 2 -> {
                    file.seek(random.nextInt(100));
                    file.write("no database at all".getBytes());
                }
                default -> {
                    int at;
                    do { // free space holds nothing
                        at = random.nextInt(good.length);
                    } while (good[at] == 0);
                    file.seek(at);
                    file.write(good[at] ^ (1 << random.nextInt(8)));
                }
            }
        }
    }

    @Test
    void changesSinceTheCopy_areLost_andThatIsSaid() throws Exception {
        framings(); // makes a copy
        try (Shoot shoot = test.open()) {
            hold(shoot, shoot.photos().getFirst(), shoot.brief().formats().getFirst(), 44);
        }
        Files.writeString(store, "no database at all, just text");
        try (Shoot shoot = test.open()) {
            assertNotEquals(
                    44, shoot.framing(shoot.photos().getFirst()).pose().tilt().degrees());
            assertEquals(1, shoot.framing(shoot.photos().getFirst()).crops().size());
            assertTrue(shoot.told().getFirst().code().equals("told.store.damaged-copy-back"), shoot.told()::toString);
            assertTrue(shoot.mayEdit());
        }
        try (Stream<Path> files = Files.list(store.getParent())) {
            assertTrue(files.anyMatch(file -> file.getFileName().toString().startsWith("damaged ")), "it is kept");
        }
        try (Shoot shoot = test.open()) {
            assertEquals(List.of(), shoot.told(), "said once");
        }
    }

    @Test
    void damagedStoreWithoutACopy_keepsTheRowsThatCanBeRead() throws Exception {
        List<Framing> before = framings();
        TestShoot.clear(store.resolveSibling("copies"));
        sql("PRAGMA writable_schema = ON", "DELETE FROM sqlite_master WHERE name = 'alternate'");
        try (Shoot shoot = test.open()) {
            if (shoot.told().isEmpty()) { // SQLite may find nothing wrong with a table that is gone
                return;
            }
            assertEquals(before, framings(shoot));
        } catch (IOException refused) {
            assertTrue(refused.getMessage().contains("database"), refused.getMessage());
        }
    }

    @Test
    void oneBadCell_spoilsOnePhoto() throws Exception {
        List<Framing> before = framings();
        sql(
                "UPDATE photo SET tilt = 'abc' WHERE file = 'k2.jpg'",
                "UPDATE crop SET width = 1e-320 WHERE photo = (SELECT id FROM photo WHERE file = 'k3.jpg')",
                "UPDATE crop SET height = -1 WHERE photo = (SELECT id FROM photo WHERE file = 'k4.jpg')",
                "UPDATE photo SET quarter_turns = 2.5, marks = 'x' WHERE file = 'k5.jpg'",
                "UPDATE photo SET kind = 'HAM', taken = 'yesterday' WHERE file = 'k6.jpg'",
                "UPDATE format SET shape = 'none such' WHERE name = 'Square'",
                "UPDATE setting SET value = 'many' WHERE name = 'next format'",
                "UPDATE step SET edit = x'00' WHERE place = 3");
        try (Shoot shoot = test.open()) {
            assertEquals(PHOTOS, shoot.photos().size());
            List<Framing> after = framings(shoot);
            long same = Stream.of(0, 5, 6, 7, 8, 9, 10, 11)
                    .filter(i -> before.get(i).equals(after.get(i)))
                    .count();
            assertEquals(8, same, "those of the others");
            assertEquals(Framing.UNTOUCHED.pose(), after.get(1).pose());
            assertEquals(1, after.get(1).crops().size(), "its crop is there");
            assertEquals(0, after.get(2).crops().size());
            assertTrue(TestShoot.photo(shoot, "k6.jpg").isReadable(), "its facts are read again");
            for (String said : List.of("k2.jpg", "k3.jpg", "k4.jpg", "k5.jpg", "Square", "steps")) {
                assertTrue(
                        shoot.told().stream().anyMatch(told -> told.toString()
                                .toLowerCase(Locale.ROOT)
                                .contains(said.toLowerCase(Locale.ROOT))),
                        said + shoot.told());
            }
            TestShoot.addFormat(shoot, "New", "1:1");
            assertTrue(shoot.brief().find("New").orElseThrow().id() > 1, "no crop of another format becomes its own");
        }
    }

    @Test
    void storeThatAnotherProgramHolds_isNotTakenForDamaged() throws Exception {
        List<Framing> before = framings();
        try (Connection holding = test.database();
                Statement statement = holding.createStatement()) {
            statement.execute("PRAGMA locking_mode = EXCLUSIVE");
            statement.execute("BEGIN EXCLUSIVE");
            statement.execute("UPDATE setting SET value = value");
            String message = assertThrows(IOException.class, test::open).getMessage();
            assertTrue(message.contains("told.store.held"), message);
            statement.execute("ROLLBACK");
        }
        assertEquals(before, framings());
    }

    @Test
    void storeThatIsGone_comesBackFromTheCopy() throws IOException {
        List<Framing> before = framings();
        Files.delete(store);
        assertEquals(before, framings());
    }

    // ---- a folder that can't be written ----

    /** Nobody can take a lock that is a folder; a test run by the system's owner can write anywhere else. */
    private Path lockOut() throws IOException {
        Path lock = store.resolveSibling("lock");
        Files.deleteIfExists(lock);
        return Files.createDirectory(lock);
    }

    @Test
    void folderThatCantBeWritten_showsItsCrops_andChangesAreBroughtIn() throws IOException {
        List<Framing> before = framings();
        Path lock = lockOut();
        List<Framing> changed;
        try (Shoot shoot = test.open()) {
            assertEquals(before, framings(shoot));
            assertTrue(shoot.mayEdit());
            hold(shoot, shoot.photos().getFirst(), shoot.brief().formats().getFirst(), 33);
            changed = framings(shoot);
        }
        assertEquals(changed, framings());
        Path moved = Files.move(test.folder(), base.resolve("mounted elsewhere"));
        try (Shoot shoot = Shoot.open(moved, test.locations())) {
            assertEquals(changed, framings(shoot), "it is known wherever it is");
        }
        Files.move(moved, test.folder());
        Files.delete(lock);
        try (Shoot shoot = test.open()) {
            assertEquals(changed, framings(shoot));
            assertTrue(shoot.told().toString().contains("brought-back"), shoot.told()::toString);
        }
        assertEquals(changed, framings());
    }

    @Test
    void folderThatChangedThereAndHere_keepsBoth() throws IOException {
        Path lock = lockOut();
        try (Shoot shoot = test.open()) {
            hold(shoot, shoot.photos().getFirst(), shoot.brief().formats().getFirst(), 33);
        }
        Files.delete(lock);
        Path data = Files.move(test.locations().data(), base.resolve("away"));
        try (Shoot shoot = test.open()) {
            hold(shoot, shoot.photos().getFirst(), shoot.brief().formats().getFirst(), 22);
        }
        TestShoot.clear(test.locations().data());
        Files.move(data, test.locations().data());
        try (Shoot shoot = test.open()) {
            assertEquals(
                    22, shoot.framing(shoot.photos().getFirst()).pose().tilt().degrees());
            assertTrue(shoot.told().toString().contains("changed-both"), shoot.told()::toString);
        }
    }

    @Test
    void anotherCardAtTheSamePlace_hasNoneOfItsCrops() throws IOException {
        Path card = Files.createDirectories(base.resolve("card"));
        TestPhotos.jpeg(card.resolve("a.jpg"), 90, 60, 1);
        Files.writeString(card.resolve(".nexa"), "a file where the folder would be");
        try (Shoot shoot = Shoot.open(card, test.locations())) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.place(shoot, shoot.photos().getFirst(), print, new Frame(0, 0, 0.4, 0.5));
        }
        Path first = Files.move(card.resolve("a.jpg"), base.resolve("first.jpg"));
        TestPhotos.jpeg(card.resolve("a.jpg"), 90, 61, 1);
        try (Shoot shoot = Shoot.open(card, test.locations())) {
            assertEquals(Framing.UNTOUCHED, shoot.framing(shoot.photos().getFirst()));
            assertTrue(shoot.brief().formats().isEmpty());
        }
        Files.delete(card.resolve("a.jpg"));
        Files.move(first, card.resolve("a.jpg"));
        try (Shoot shoot = Shoot.open(card, test.locations())) {
            assertEquals(1, shoot.framing(shoot.photos().getFirst()).crops().size());
        }
    }

    @Test
    void pathsOfTheSameHash_shareNothing() throws IOException {
        for (String parent : List.of("Aa", "BB")) {
            Path folder = Files.createDirectories(base.resolve(parent).resolve("DCIM"));
            TestPhotos.jpeg(folder.resolve("a.jpg"), 90, 60, 1);
            Files.writeString(folder.resolve(".nexa"), "a file where the folder would be");
            try (Shoot shoot = Shoot.open(folder, test.locations())) {
                assertTrue(shoot.brief().formats().isEmpty(), parent);
                TestShoot.addFormat(shoot, "Print", "4:5");
            }
        }
    }

    @Test
    void nowhereToWrite_showsTheShootForLooking() throws IOException {
        List<Framing> before = framings();
        lockOut();
        TestShoot.clear(test.locations().data());
        Files.writeString(test.locations().data(), "a file where the folder would be");
        try (Shoot shoot = test.open()) {
            assertEquals(before, framings(shoot));
            assertFalse(shoot.mayEdit());
            assertTrue(shoot.told().getFirst().code().equals("told.elsewhere.nowhere"), shoot.told()::toString);
        }
    }

    // ---- another program ----

    @Test
    void shortEditsOfAnother_areWaitedFor() throws Exception {
        Shoot first = test.open();
        Thread closing = Thread.ofPlatform().start(() -> {
            try {
                Thread.sleep(300); // as long as a short edit takes
                first.close();
            } catch (InterruptedException | IOException failed) {
                throw new IllegalStateException(failed);
            }
        });
        try (Shoot second =
                Shoot.open(test.folder(), test.locations(), Opening.WHOLE.waiting(Duration.ofSeconds(10)))) {
            assertTrue(second.mayEdit());
        }
        closing.join();
    }

    @Test
    void shootThatLetsOthersEdit_showsWhatItHad() throws Exception {
        try (Shoot first = test.open()) {
            List<Framing> before = framings(first);
            first.letOthersEdit();
            try (Shoot second = test.open()) {
                assertTrue(second.mayEdit());
                hold(
                        second,
                        second.photos().getFirst(),
                        second.brief().formats().getFirst(),
                        11);
            }
            assertEquals(before, framings(first));
            assertFalse(first.mayEdit());
        }
    }
}
