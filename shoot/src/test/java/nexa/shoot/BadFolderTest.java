package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import nexa.core.told.Told;
import nexa.imaging.TestPhotos;
import nexa.imaging.file.Trouble;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.RunControl;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A folder in which nearly everything is wrong: what can be read works, the rest is listed with its reason. */
class BadFolderTest {
    @TempDir
    Path base;

    private TestShoot bad() throws IOException {
        TestShoot test = new TestShoot(base);
        Path folder = test.folder();
        byte[] whole = Files.readAllBytes(test.photo("good.jpg", 900, 600));
        TestPhotos.write(folder.resolve("cut.jpg"), Arrays.copyOf(whole, whole.length * 2 / 5));
        Files.createFile(folder.resolve("empty.jpg"));
        Files.writeString(folder.resolve("text.jpg"), "not a photo");
        Files.writeString(folder.resolve("notes.txt"), "of no interest");
        ImageIO.write(
                new java.awt.image.BufferedImage(60, 40, 1),
                "png",
                folder.resolve("png.jpg").toFile());
        ImageIO.write(
                new java.awt.image.BufferedImage(1, 1, 1),
                "png",
                folder.resolve("one.png").toFile());
        ImageIO.write(
                new java.awt.image.BufferedImage(20_000, 50, 1),
                "jpg",
                folder.resolve("wide.jpg").toFile());
        test.photo("日本 – née.jpg", 90, 60);
        test.photo("n".repeat(240) + ".jpg", 90, 60);
        Files.createSymbolicLink(folder.resolve("loop"), folder);
        Files.createSymbolicLink(folder.resolve("self.jpg"), folder.resolve("self.jpg"));
        Files.createDirectory(folder.resolve("folder.jpg"));
        return test;
    }

    @Test
    void open_listsEveryClaimedPhotoWithItsReason() throws IOException {
        try (Shoot shoot = bad().open()) {
            assertEquals(Told.of("trouble.truncated", 40), truncatedRounded(shoot));
            assertEquals(Trouble.Kind.EMPTY, kind(shoot, "empty.jpg"));
            assertEquals(Trouble.Kind.NOT_AN_IMAGE, kind(shoot, "text.jpg"));
            assertTrue(TestShoot.photo(shoot, "self.jpg").trouble().isPresent());
            for (String name : List.of("good.jpg", "png.jpg", "one.png", "wide.jpg", "日本 – née.jpg")) {
                assertTrue(TestShoot.photo(shoot, name).isReadable(), name);
            }
            assertEquals(10, shoot.photos().size(), "neither text files nor linked folders");
        }
    }

    /** A card's root, or a folder on a server. */
    @ParameterizedTest
    @ValueSource(strings = {".Trashes", "$RECYCLE.BIN", "System Volume Information", "@eaDir", "sub/@eaDir"})
    void open_leavesOutWhatSystemsKeepBesidePhotos(String name) throws IOException {
        TestShoot test = new TestShoot(base);
        test.photo("good.jpg", 90, 60);
        Path there = Files.createDirectories(test.folder().resolve(name));
        TestPhotos.jpeg(there.resolve("thrown away.jpg"), 60, 40, 1);
        Files.write(test.folder().resolve("._good.jpg"), new byte[4096]);
        try (Shoot shoot = test.open()) {
            assertEquals(
                    List.of("good.jpg"),
                    shoot.photos().stream().map(Photo::file).toList());
        }
    }

    private static Told truncatedRounded(Shoot shoot) {
        Trouble trouble = TestShoot.photo(shoot, "cut.jpg").trouble().orElseThrow();
        return new Trouble(trouble.kind(), (trouble.percent() + 10) / 20 * 20).told();
    }

    private static Trouble.Kind kind(Shoot shoot, String name) {
        return TestShoot.photo(shoot, name).trouble().orElseThrow().kind();
    }

    @Test
    void handover_deliversAllThatCanBeRead() throws IOException {
        TestShoot test = bad();
        Path out = base.resolve("out");
        try (Shoot shoot = test.open()) {
            var square = TestShoot.addFormat(shoot, "Square", "1:1");
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out, List.of(square)));
            List<Outcome> outcomes = new Handover(plan, told -> {}, new RunControl()).run(shoot);
            assertEquals(
                    6,
                    outcomes.stream().filter(Outcome.Written.class::isInstance).count(),
                    outcomes::toString);
            assertEquals(4, plan.unreadable().size());
        }
    }
}
