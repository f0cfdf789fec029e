package nexa.shoot.disk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.imaging.TestPhotos;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.RunControl;
import nexa.shoot.handover.request.HandoverRequest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A handover onto a disk that becomes full; where the system lets a test make a small one. */
class FullDiskTest {
    private static final int PHOTOS = 12;

    @TempDir
    Path base;

    private static boolean ran(String... command) {
        try {
            return new ProcessBuilder(command)
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (IOException | InterruptedException impossible) {
            return false;
        }
    }

    @AfterEach
    void unmount() {
        ran("umount", base.resolve("out").toString());
    }

    private static HandoverRequest request(Path out, Shoot shoot) {
        return new HandoverRequest(
                out,
                shoot.brief().formats().stream()
                        .map(format -> format.filed(new FileSettings(FileType.PNG, 90)))
                        .toList());
    }

    @Test
    void fullDisk_isSaid_andTheRestIsDeliveredWhenThereIsRoom() throws IOException {
        Path out = Files.createDirectories(base.resolve("out"));
        assumeTrue(
                ran("mount", "-t", "tmpfs", "-o", "size=600k", "tmpfs", out.toString()),
                "no small disk can be made here");
        TestShoot test = new TestShoot(base);
        for (int i = 0; i < PHOTOS; i++) {
            TestPhotos.jpeg(test.folder().resolve("k%02d.jpg".formatted(i)), 400, 300, 1);
        }
        try (Shoot shoot = test.open()) {
            TestShoot.addFormat(shoot, "Print", "4:5");
            List<Outcome> outcomes =
                    new Handover(HandoverPlan.of(shoot, request(out, shoot)), told -> {}, new RunControl()).run(shoot);
            long written =
                    outcomes.stream().filter(Outcome.Written.class::isInstance).count();
            assertTrue(written > 0 && written < PHOTOS, "some found room: " + written);
            assertTrue(outcomes.stream()
                    .filter(Outcome.Failed.class::isInstance)
                    .map(Outcome.Failed.class::cast)
                    .allMatch(failed -> failed.reason().toString().contains("No space left")));
            allWhole(out);
            assertTrue(ran("mount", "-o", "remount,size=20m", out.toString()));
            HandoverPlan rest = HandoverPlan.resumed(shoot, request(out, shoot));
            assertTrue(rest.there().size() >= 1);
            new Handover(rest, told -> {}, new RunControl()).run(shoot);
        }
        assertEquals(PHOTOS, allWhole(out));
        assertTrue(Files.exists(out.resolve("handover.json")));
    }

    /** A shoot on a full disk shows its crops, keeps changes in the user's data, and has them when there is room. */
    @Test
    void shootOnAFullDisk_opens_andKeepsChangesElsewhere() throws IOException {
        Path disk = Files.createDirectories(base.resolve("out"));
        assumeTrue(
                ran("mount", "-t", "tmpfs", "-o", "size=2m", "tmpfs", disk.toString()),
                "no small disk can be made here");
        Path folder = Files.createDirectories(disk.resolve("shoot"));
        TestPhotos.jpeg(folder.resolve("a.jpg"), 300, 200, 1);
        Locations data = new Locations(base.resolve("data"), base.resolve("cache"));
        Locations onDisk = new Locations(disk.resolve("data"), disk.resolve("cache"));
        try (Shoot shoot = Shoot.open(folder, data)) {
            TestShoot.addFormat(shoot, "Print", "4:5");
        }
        Path filling = disk.resolve("filling");
        fill(filling);
        try (Shoot shoot = Shoot.open(folder, onDisk)) {
            assertEquals("Print", shoot.brief().names());
            assertFalse(shoot.mayEdit(), "nothing can be written anywhere");
        }
        try (Shoot shoot = Shoot.open(folder, data)) {
            assertEquals("Print", shoot.brief().names());
            TestShoot.addFormat(shoot, "Square", "1:1");
        }
        Files.delete(filling);
        try (Shoot shoot = Shoot.open(folder, data)) {
            assertEquals("Print, Square", shoot.brief().names());
        }
    }

    private static void fill(Path file) {
        try (var out = Files.newOutputStream(file)) {
            while (true) {
                out.write(new byte[512]);
            }
        } catch (IOException full) {
            assertTrue(String.valueOf(full.getMessage()).contains("No space left"), full::toString);
        }
    }

    private static int allWhole(Path out) throws IOException {
        try (Stream<Path> files = Files.list(out)) {
            List<Path> delivered =
                    files.filter(file -> file.toString().endsWith(".png")).toList();
            for (Path file : delivered) {
                try (Picture picture = Decoder.decode(file, Reduction.NONE)) {
                    assertTrue(picture.size().width() > 100);
                }
            }
            return delivered.size();
        }
    }
}
