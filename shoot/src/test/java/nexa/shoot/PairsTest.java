package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.shape.Shape;
import nexa.imaging.RawMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Picture;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.guard.RefusedException;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.PairShown;
import nexa.shoot.scan.Pairs;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A raw file and a finished picture of its name are one photo, and lose nothing by it. */
class PairsTest {
    @TempDir
    Path base;

    private Path folder;

    @BeforeEach
    void makePair() throws IOException {
        folder = Files.createDirectory(base.resolve("shoot"));
        TestPhotos.jpeg(folder.resolve("a.JPG"), 1200, 800, 1);
        TestPhotos.jpeg(folder.resolve("b.jpg"), 300, 200, 1);
        try (Picture scene = TestPhotos.scene(1200, 800)) {
            Files.write(
                    folder.resolve("a.dng"),
                    RawMaker.of(150, 100).preview(Encoder.plainJpeg(scene, 90)).bytes((x, y) ->
                            new double[] {x, y, 0.4}));
        }
    }

    private Shoot open() throws IOException {
        return Shoot.open(folder, new Locations(base.resolve("data"), base.resolve("cache")));
    }

    private void set(PairShown shown) throws IOException {
        try (Shoot shoot = open()) {
            shoot.remember(PairShown.SETTING, shown.setting());
        }
    }

    private static List<String> files(Shoot shoot) {
        return shoot.photos().stream().map(Photo::file).toList();
    }

    private static Photo photo(Shoot shoot, String file) {
        return shoot.photos().stream()
                .filter(photo -> photo.file().equals(file))
                .findFirst()
                .orElseThrow();
    }

    private static Format format(Shoot shoot) {
        if (shoot.brief().formats().isEmpty()) {
            Brief with = shoot.brief().with("Post", Shape.parse("4:5"));
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), with));
        }
        return shoot.brief().formats().getFirst();
    }

    private static void place(Shoot shoot, String file, double centreX) {
        Photo photo = photo(shoot, file);
        Framing before = shoot.framing(photo);
        Crop crop = new Crop(new Frame(centreX, 0, 0.24, 0.3));
        shoot.apply(new Edit(
                "edit.frame",
                List.of(new FramingChange(photo.id(), before, before.withCrop(format(shoot), crop))),
                null));
    }

    private static Optional<Double> placed(Shoot shoot, String file) {
        return shoot.framing(photo(shoot, file)).crop(format(shoot)).map(crop -> crop.wish()
                .centreX());
    }

    @Test
    void pairs_areOneRawAndOneFinishedPictureOfOneName() {
        List<Path> files = List.of(
                Path.of("x/1.cr3"),
                Path.of("x/1.JPG"),
                Path.of("y/1.jpg"),
                Path.of("2.nef"),
                Path.of("2.heic"),
                Path.of("2.jpg"),
                Path.of("3.png"),
                Path.of("3.dng"),
                Path.of("4.jpeg"));
        Pairs pairs = Pairs.of(files, PairShown.PICTURE);
        assertEquals(
                Map.of(Path.of("x/1.JPG"), Path.of("x/1.cr3")), pairs.companions(), "two of three are not guessed");
        assertFalse(pairs.shown().contains(Path.of("x/1.cr3")));
        assertEquals(
                Map.of(Path.of("x/1.cr3"), Path.of("x/1.JPG")),
                Pairs.of(files, PairShown.RAW).companions());
        assertEquals(files, Pairs.of(files, PairShown.APART).shown());
    }

    @Test
    void pair_isOnePhoto_andBothFilesAreGuarded() throws IOException {
        try (Shoot shoot = open()) {
            assertEquals(List.of("a.JPG", "b.jpg"), files(shoot));
            assertEquals(Optional.of("a.dng"), shoot.companion(photo(shoot, "a.JPG")));
            assertThrows(RefusedException.class, () -> shoot.guard()
                    .require(folder.resolve("a.dng"), WriteGuard.IfTaken.REPLACE));
            place(shoot, "a.JPG", 0.1);
        }
        set(PairShown.RAW);
        try (Shoot shoot = open()) {
            assertEquals(List.of("a.dng", "b.jpg"), files(shoot));
            assertEquals(Optional.of(0.1), placed(shoot, "a.dng"), "crops belong to the pair");
            shoot.undo();
            assertEquals(Optional.empty(), placed(shoot, "a.dng"), "and its steps, too");
            shoot.redo();
        }
        set(PairShown.PICTURE);
        try (Shoot shoot = open()) {
            assertEquals(Optional.of(0.1), placed(shoot, "a.JPG"));
        }
    }

    @Test
    void oldShootWithBothAsPhotos_isJoined_withoutLosingCrops() throws IOException {
        set(PairShown.APART);
        try (Shoot shoot = open()) {
            assertEquals(List.of("a.dng", "a.JPG", "b.jpg"), files(shoot));
            place(shoot, "a.JPG", 0.1);
            place(shoot, "a.dng", -0.1);
        }
        set(PairShown.PICTURE);
        try (Shoot shoot = open()) {
            assertEquals(Optional.of(0.1), placed(shoot, "a.JPG"));
            var kept = shoot.framing(photo(shoot, "a.JPG")).alternates(format(shoot));
            assertEquals(1, kept.size());
            assertEquals("a.dng", kept.getFirst().name());
            assertEquals(-0.1, kept.getFirst().crop().wish().centreX());
        }
        try (Shoot shoot = open()) {
            assertEquals(
                    1,
                    shoot.framing(photo(shoot, "a.JPG"))
                            .alternates(format(shoot))
                            .size(),
                    "it is joined once");
            shoot.undo();
            assertTrue(shoot.framing(photo(shoot, "a.JPG"))
                    .alternates(format(shoot))
                    .isEmpty());
        }
    }

    @Test
    void movedPair_keepsItsCrops() throws IOException {
        try (Shoot shoot = open()) {
            place(shoot, "a.JPG", 0.1);
        }
        Files.createDirectory(folder.resolve("picks"));
        Files.move(folder.resolve("a.JPG"), folder.resolve("picks/z.jpg"));
        Files.move(folder.resolve("a.dng"), folder.resolve("picks/z.dng"));
        try (Shoot shoot = open()) {
            assertEquals(Optional.of(0.1), placed(shoot, "picks/z.jpg"));
            assertEquals(Optional.of("picks/z.dng"), shoot.companion(photo(shoot, "picks/z.jpg")));
        }
    }
}
