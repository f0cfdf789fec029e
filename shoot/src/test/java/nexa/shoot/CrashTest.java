package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.carry.By;
import nexa.core.carry.Carry;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.Pose;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A program killed while it edits: the store is sound, and holds all edits but the last few. */
class CrashTest {
    private static final int KILLS = 4;
    private static final int CARRIED = 10_000;

    @TempDir
    Path base;

    /** Edits for ever: the tilt counts the edits, the frame's width follows it in the same edit. */
    public static final class Editor {
        public static void main(String[] arguments) throws IOException {
            TestShoot test = new TestShoot(Path.of(arguments[0]));
            Shoot shoot = test.open();
            Photo photo = shoot.photos().getFirst();
            Format print = shoot.brief().formats().getFirst();
            for (int i = 1; ; i++) {
                double count = i % 4000 / 100.0 + 0.01;
                Framing before = shoot.framing(photo);
                Framing after = before.withPose(new Pose(Turn.NONE, new Tilt(count)))
                        .withCrop(print, new nexa.core.brief.Crop(new Frame(0, 0, count, count)));
                shoot.apply(Edit.framing("edit.tilt", photo.id(), before, after));
                if (i == 50) {
                    System.out.println("editing");
                    System.out.flush();
                }
                Thread.yield();
            }
        }
    }

    @Test
    void kill_whileEditing_leavesWholeEdits() throws Exception {
        TestShoot test = new TestShoot(base);
        test.photo("a.jpg", 300, 200);
        try (Shoot shoot = test.open()) {
            TestShoot.addFormat(shoot, "Print", "1:1");
        }
        for (int kill = 0; kill < KILLS; kill++) {
            editAndKill();
            assertEquals("ok", integrity(test));
            try (Shoot shoot = test.open()) {
                assertTrue(shoot.mayEdit(), "a dead program holds no lock");
                Framing framing = shoot.framing(shoot.photos().getFirst());
                double tilt = framing.pose().tilt().degrees();
                assertTrue(tilt > 0, "edits were stored");
                assertEquals(
                        tilt, framing.crops().values().iterator().next().wish().width(), "one edit is one whole");
            }
        }
    }

    /** Carries one photo's crop to all others again and again, each time with another tilt. */
    public static final class Carrier {
        public static void main(String[] arguments) throws IOException {
            Shoot shoot = new TestShoot(Path.of(arguments[0])).open();
            Photo from = shoot.photos().getFirst();
            Format print = shoot.brief().formats().getFirst();
            for (int i = 1; ; i++) {
                Framing source = shoot.framing(from).withPose(new Pose(Turn.NONE, new Tilt(i % 40 + 1)));
                Carry carry = new Carry(
                        from.facts().orElseThrow().asShot(),
                        source,
                        print,
                        shoot.brief(),
                        Set.of(Part.SHAPE, Part.PLACE, Part.TILT),
                        Opposite.TURN,
                        By.PLACE);
                List<FramingChange> changes = new ArrayList<>();
                for (Photo photo : shoot.photos()) {
                    Framing before = shoot.framing(photo);
                    PixelSize size = photo.facts().orElseThrow().asShot();
                    changes.add(new FramingChange(
                            photo.id(), before, carry.to(size, before).framing()));
                }
                shoot.apply(new Edit("edit.carry", changes, null));
                System.out.println("carrying");
                System.out.flush();
            }
        }
    }

    @Test
    void kill_whileCarryingToTenThousand_leavesAllOrNothing() throws Exception {
        TestShoot test = new TestShoot(base);
        byte[] photo = Files.readAllBytes(test.photo("p00000.jpg", 60, 40));
        for (int i = 1; i < CARRIED; i++) {
            byte[] numbered = Arrays.copyOf(photo, photo.length + 2); // after its end, so that no two are the same
            numbered[photo.length] = (byte) i;
            numbered[photo.length + 1] = (byte) (i >> 8);
            Files.write(test.folder().resolve("p%05d.jpg".formatted(i)), numbered);
        }
        try (Shoot shoot = test.open()) {
            TestShoot.addFormat(shoot, "Print", "4:5");
        }
        int begun = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            startAndKill(Carrier.class, "carrying", kill + 1, kill == KILLS - 1);
            assertEquals("ok", integrity(test));
            try (Shoot shoot = test.open()) {
                assertEquals(CARRIED, shoot.photos().size());
                Set<Double> tilts = shoot.photos().stream()
                        .map(each -> shoot.framing(each).pose().tilt().degrees())
                        .collect(Collectors.toSet());
                assertEquals(1, tilts.size(), "every photo has the same carry");
                long placed = shoot.photos().stream()
                        .filter(each -> !shoot.framing(each).crops().isEmpty())
                        .count();
                assertTrue(placed == 0 || placed == CARRIED, placed + " of " + CARRIED);
                begun += placed == 0 ? 0 : 1;
            }
        }
        assertTrue(begun > 0, "some carry was stored");
    }

    private void editAndKill() throws Exception {
        Process editor = start(Editor.class);
        assertEquals("editing", editor.inputReader().readLine());
        awaitStored();
        kill(editor);
    }

    /**
     * After so many lines, so that the kill comes while one of them is being stored.
     *
     * @param stored whether one is awaited that is stored
     */
    private void startAndKill(Class<?> main, String line, int lines, boolean stored) throws Exception {
        Process running = start(main);
        BufferedReader output = running.inputReader();
        for (int i = 0; i < lines; i++) {
            assertEquals(line, output.readLine());
        }
        if (stored) {
            awaitStored();
        }
        kill(running);
    }

    private static void kill(Process running) throws InterruptedException {
        running.destroyForcibly();
        assertTrue(running.waitFor(20, TimeUnit.SECONDS));
    }

    private Process start(Class<?> main) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "--enable-native-access=ALL-UNNAMED",
                        "-Xmx512m",
                        "-cp",
                        System.getProperty("java.class.path"),
                        main.getName(),
                        base.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    /** Edits are stored a moment after they are made. */
    private void awaitStored() throws Exception {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (tilt() == 0 && System.nanoTime() < end) {
            Thread.onSpinWait();
        }
    }

    private double tilt() throws Exception {
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + base.resolve("shoot/.nexa/shoot.db"));
                var statement = connection.createStatement();
                var result = statement.executeQuery("SELECT tilt FROM photo")) {
            return result.getDouble(1);
        }
    }

    private static String integrity(TestShoot test) throws Exception {
        try (var connection = test.database();
                var statement = connection.createStatement();
                var result = statement.executeQuery("PRAGMA integrity_check")) {
            return result.getString(1);
        }
    }
}
