package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.concurrent.TimeUnit;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Pose;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.shoot.edit.Edit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A program killed while it edits: the store is sound, and holds all edits but the last few. */
class CrashTest {
    private static final int KILLS = 4;

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
                Framing after = before.with(new Pose(Turn.NONE, new Tilt(count)))
                        .with(print, new nexa.core.brief.Crop(new Frame(0, 0, count, count)));
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

    private void editAndKill() throws Exception {
        Process editor = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "--enable-native-access=ALL-UNNAMED",
                        "-Xmx256m",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Editor.class.getName(),
                        base.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        assertEquals("editing", editor.inputReader().readLine());
        editor.destroyForcibly();
        assertTrue(editor.waitFor(20, TimeUnit.SECONDS));
    }

    private static String integrity(TestShoot test) throws Exception {
        try (var connection = DriverManager.getConnection(
                        "jdbc:sqlite:" + test.folder().resolve(".nexa/shoot.db"));
                var statement = connection.createStatement();
                var result = statement.executeQuery("PRAGMA integrity_check")) {
            return result.getString(1);
        }
    }
}
