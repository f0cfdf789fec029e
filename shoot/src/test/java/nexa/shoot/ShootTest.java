package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import nexa.core.brief.Alternate;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.eye.GlowingEyes;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.plumb.Plumb;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.Pose;
import nexa.core.trim.Trim;
import nexa.imaging.TestPhotos;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.RelativePath;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShootTest {
    @TempDir
    Path base;

    private TestShoot test;

    @BeforeEach
    void twoPhotos() throws IOException {
        test = new TestShoot(base);
        test.photo("a.jpg", 300, 200);
        test.photo("b.jpg", 200, 300);
    }

    private static List<String> files(Shoot shoot) {
        return shoot.photos().stream().map(Photo::file).toList();
    }

    @Test
    void reopen_findsEverythingAsItWas() throws IOException {
        Framing framing;
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            TestShoot.place(shoot, a, print, TestShoot.WISH);
            Framing placed = shoot.framing(a);
            Pose pose = new Pose(new Turn(1, true), new Tilt(-2.345))
                    .withLens(Lens.byHand(new ByHand(-0.03, 0.5, 0.7)))
                    .withPlumb(Plumb.of(7.25, -1.5, 0.8))
                    .withNeutral(Neutral.AS_FILED
                            .picked(new White(0.38, 0.37), new Point(0.1, -0.2))
                            .withStops(0.3))
                    .withEyes(GlowingEyes.parse("red 0.1 0.1 0.01 1.0; bright -0.2 0.0 0.02 0.5"));
            shoot.apply(Edit.framing(
                    "edit.tilt", a.id(), placed, placed.withPose(pose).withSetAside(true)));
            framing = shoot.framing(a);
            shoot.remember("overlay", "THIRDS 0");
        }
        try (Shoot shoot = test.open()) {
            assertEquals(framing, shoot.framing(TestShoot.photo(shoot, "a.jpg")));
            assertEquals("Print", shoot.brief().names());
            assertEquals("THIRDS 0", shoot.setting("overlay").orElseThrow());
        }
    }

    @Test
    void reopen_findsOwnShapesOutsideAndAlternates() throws IOException {
        Framing framing;
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            Crop own = new Crop(TestShoot.WISH, Optional.of(Shape.parse("1.91:1")), true, true);
            framing = Framing.UNTOUCHED
                    .withPose(Pose.AS_SHOT.withTrim(new Trim(-0.4, -1, 0.31, 0.2, new Tilt(0.7), 0.01)))
                    .withCrop(print, own.withFill(Optional.of(new Fill.Stretch(0.2))))
                    .keeping(print, new Alternate("wide", own.withFill(Optional.of(new Fill.Mirror()))))
                    .keeping(print, new Alternate("tight", new Crop(TestShoot.WISH)));
            shoot.apply(Edit.framing("edit.frame", a.id(), shoot.framing(a), framing));
        }
        try (Shoot shoot = test.open()) {
            assertEquals(framing, shoot.framing(TestShoot.photo(shoot, "a.jpg")));
        }
    }

    @Test
    void reopen_findsMarksRulesLevelsAndSizeTargets() throws IOException {
        Framing framing;
        try (Shoot shoot = test.open()) {
            Photo a = TestShoot.photo(shoot, "a.jpg");
            Marks marks = new Marks(List.of(new Point(0.1, -0.2), new Point(1 / 3.0, 0.25)));
            framing = Framing.UNTOUCHED
                    .withSubject(Subject.UNKNOWN
                            .marked(marks)
                            .ruled(Optional.of(new Composition(marks.points(), 0.7)))
                            .seen(new Sight(
                                    List.of(new Frame(0.1, -0.2, 0.1, 0.12)),
                                    Optional.of(new Frame(0, 0, 0.5, 0.3)),
                                    1 / 3.0)))
                    .levelledAt(new Tilt(-1.5));
            shoot.apply(Edit.framing("edit.mark", a.id(), shoot.framing(a), framing));
            Format sized = new Format(0, "Print", Shape.parse("4:5"), OrientationRule.VERTICAL)
                    .sized(SizeTarget.parse("8 x 10 in at 240 ppi"))
                    .noted("for the catalogue")
                    .centred(true);
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), shoot.brief().with(sized)));
        }
        try (Shoot shoot = test.open()) {
            assertEquals(framing, shoot.framing(TestShoot.photo(shoot, "a.jpg")));
            Format print = shoot.brief().find("Print").orElseThrow();
            assertEquals("for the catalogue", print.note());
            assertEquals(SizeTarget.parse("8 x 10 in at 240 ppi"), print.target());
        }
    }

    @Test
    void undoAndRedo_goBackAndForthThroughAllEdits() throws IOException {
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            TestShoot.place(shoot, a, print, TestShoot.WISH);
            Framing placed = shoot.framing(a);
            shoot.undo();
            assertEquals(Framing.UNTOUCHED, shoot.framing(a));
            shoot.undo();
            assertTrue(shoot.brief().formats().isEmpty());
            shoot.undo();
            shoot.redo();
            shoot.redo();
            assertEquals(placed, shoot.framing(a));
        }
        try (Shoot shoot = test.open()) {
            assertEquals(
                    1, shoot.framing(TestShoot.photo(shoot, "a.jpg")).crops().size(), "the last state is stored");
        }
    }

    @Test
    void newEdit_afterUndo_forgetsWhatWasUndone() throws IOException {
        try (Shoot shoot = test.open()) {
            TestShoot.addFormat(shoot, "Print", "4:5");
            shoot.undo();
            TestShoot.addFormat(shoot, "Square", "1:1");
            shoot.redo();
            assertEquals("Square", shoot.brief().names());
        }
    }

    @Test
    void editThatChangesNothing_isNoStepBack() throws IOException {
        try (Shoot shoot = test.open()) {
            Photo a = TestShoot.photo(shoot, "a.jpg");
            shoot.apply(Edit.framing("edit.tilt", a.id(), shoot.framing(a), shoot.framing(a)));
            assertTrue(shoot.history().nextUndo().isEmpty());
        }
    }

    @Test
    void smallSteps_ofTwoFormats_areTwoStepsBack() throws IOException {
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Format square = TestShoot.addFormat(shoot, "Square", "1:1");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            for (Format format : List.of(print, print, square, square)) {
                Framing before = shoot.framing(a);
                double size =
                        before.crop(format).map(crop -> crop.wish().width()).orElse(0.2) + 0.1;
                Crop crop = new Crop(new nexa.core.geometry.Frame(0, 0, size, size));
                shoot.apply(Edit.framing("edit.nudge", a.id(), before, before.withCrop(format, crop)));
            }
            shoot.undo();
            assertTrue(shoot.framing(a).crop(square).isEmpty());
            assertTrue(shoot.framing(a).crop(print).isPresent());
        }
    }

    @Test
    void renamedAndMovedFile_keepsItsCrops() throws IOException {
        placeOnA();
        Files.createDirectories(test.folder().resolve("sub"));
        Files.move(test.folder().resolve("a.jpg"), test.folder().resolve("sub/z.jpg"));
        try (Shoot shoot = test.open()) {
            assertEquals(List.of("b.jpg", "sub/z.jpg"), files(shoot));
            assertEquals(
                    1,
                    shoot.framing(TestShoot.photo(shoot, "sub/z.jpg")).crops().size());
        }
    }

    @Test
    void filesThatExchangeNames_keepTheirOwnCrops() throws IOException {
        placeOnA();
        Path spare = test.folder().resolve("spare");
        Files.move(test.folder().resolve("a.jpg"), spare);
        Files.move(test.folder().resolve("b.jpg"), test.folder().resolve("a.jpg"));
        Files.move(spare, test.folder().resolve("b.jpg"));
        try (Shoot shoot = test.open()) {
            assertEquals(
                    1, shoot.framing(TestShoot.photo(shoot, "b.jpg")).crops().size());
            assertEquals(
                    0, shoot.framing(TestShoot.photo(shoot, "a.jpg")).crops().size());
        }
    }

    @Test
    void changedFile_isTheSamePhotoWithNewFacts() throws IOException {
        placeOnA();
        test.photo("a.jpg", 640, 480);
        try (Shoot shoot = test.open()) {
            Photo a = TestShoot.photo(shoot, "a.jpg");
            assertEquals(640, a.facts().orElseThrow().asShot().width());
            assertEquals(1, shoot.framing(a).crops().size());
        }
    }

    @Test
    void fileThatComesBack_hasItsCropsAgain() throws IOException {
        placeOnA();
        Path aside = base.resolve("aside.jpg");
        Files.move(test.folder().resolve("a.jpg"), aside);
        test.open().close();
        Files.move(aside, test.folder().resolve("a.jpg"), StandardCopyOption.REPLACE_EXISTING);
        try (Shoot shoot = test.open()) {
            assertEquals(
                    1, shoot.framing(TestShoot.photo(shoot, "a.jpg")).crops().size());
        }
    }

    @Test
    void anotherPhotoUnderADeletedOnesName_hasNoneOfItsCrops() throws IOException {
        placeOnA();
        Files.delete(test.folder().resolve("a.jpg"));
        Files.move(test.folder().resolve("b.jpg"), test.folder().resolve("a.jpg"));
        try (Shoot shoot = test.open()) {
            assertEquals(List.of("a.jpg"), files(shoot));
            assertEquals(Framing.UNTOUCHED, shoot.framing(shoot.photos().getFirst()));
        }
    }

    @Test
    void newPhotoUnderADeletedOnesName_isAnotherPhoto_andTheOldOneMayComeBack() throws IOException {
        placeOnA();
        Path aside = base.resolve("aside.jpg");
        Files.move(test.folder().resolve("a.jpg"), aside);
        TestPhotos.jpegTaken(test.folder().resolve("a.jpg"), 320, 200, "2026:10:01 08:00:00");
        try (Shoot shoot = test.open()) {
            assertEquals(Framing.UNTOUCHED, shoot.framing(TestShoot.photo(shoot, "a.jpg")));
        }
        Files.move(aside, test.folder().resolve("z.jpg"));
        try (Shoot shoot = test.open()) {
            assertEquals(
                    1, shoot.framing(TestShoot.photo(shoot, "z.jpg")).crops().size());
        }
    }

    @Test
    void steps_canBeTakenBackAndDoneAgain_afterARestart() throws IOException {
        List<Framing> framings = new java.util.ArrayList<>();
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            for (int i = 1; i <= 5; i++) {
                Framing before = shoot.framing(a);
                Crop own = new Crop(TestShoot.WISH.scaled(i / 7.0), Optional.of(Shape.parse("3:2")), true, i % 2 == 0)
                        .withFill(Optional.of(new Fill.Colour(i, 2, 3)));
                shoot.apply(Edit.framing(
                        "edit.frame",
                        a.id(),
                        before,
                        before.withCrop(print, own)
                                .keeping(print, new Alternate("n" + i, own))
                                .withMarks(new Marks(List.of(new Point(i / 9.0, 0.1))))
                                .levelledAt(new Tilt(i / 3.0))));
                framings.add(shoot.framing(a));
            }
            shoot.undo();
        }
        try (Shoot shoot = test.open()) {
            Photo a = TestShoot.photo(shoot, "a.jpg");
            assertEquals(framings.get(3), shoot.framing(a));
            shoot.redo();
            assertEquals(framings.get(4), shoot.framing(a));
            shoot.undo();
            shoot.undo();
            assertEquals(framings.get(2), shoot.framing(a));
        }
        try (Shoot shoot = test.open()) {
            Photo a = TestShoot.photo(shoot, "a.jpg");
            for (int i = 0; i < 3; i++) {
                shoot.undo();
            }
            assertEquals(Framing.UNTOUCHED, shoot.framing(a));
            shoot.undo();
            assertTrue(shoot.brief().formats().isEmpty());
            shoot.redo();
            TestShoot.addFormat(shoot, "Square", "1:1");
            assertTrue(shoot.history().undone().isEmpty(), "a new step forgets what was undone");
        }
        try (Shoot shoot = test.open()) {
            assertEquals(2, shoot.history().done().size());
            assertTrue(shoot.history().undone().isEmpty());
        }
    }

    @Test
    void namesThatLookLikePaths_stayInTheFolder() throws IOException {
        Path outside = TestPhotos.jpeg(base.resolve("x.jpg"), 300, 222, 1);
        Path odd = TestPhotos.jpeg(test.folder().resolve("sub\\..\\..\\x.jpg"), 300, 210, 1);
        try (Shoot shoot = test.open()) {
            Photo photo = TestShoot.photo(shoot, "sub\\..\\..\\x.jpg");
            assertEquals(odd.toRealPath(), shoot.fileOf(photo));
            assertEquals(210, photo.facts().orElseThrow().asShot().height());
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.place(shoot, photo, print, TestShoot.WISH);
            assertEquals(1, nexa.shoot.exchange.Sidecars.write(shoot, p -> true).photos());
        }
        assertTrue(Files.exists(outside));
        assertFalse(Files.exists(base.resolve("x.jpg.xmp")));
        assertTrue(Files.exists(test.folder().resolve("sub\\..\\..\\x.jpg.xmp")));
    }

    @Test
    void pathsThatLeadOut_leadNowhere() {
        for (String path : List.of("../x.jpg", "/etc/passwd", "a/../../x.jpg", "", ".", "a/..", "\0")) {
            assertEquals(Optional.empty(), RelativePath.resolve(test.folder(), path), path);
        }
    }

    private void placeOnA() throws IOException {
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.place(shoot, TestShoot.photo(shoot, "a.jpg"), print, TestShoot.WISH);
        }
    }

    @Test
    void secondProgram_mayLookButNotEdit() throws IOException {
        try (Shoot first = test.open();
                Shoot second = test.open()) {
            assertTrue(first.mayEdit());
            assertFalse(second.mayEdit());
            assertEquals(files(first), files(second));
            assertThrows(IllegalStateException.class, () -> TestShoot.addFormat(second, "Print", "4:5"));
        }
        try (Shoot later = test.open()) {
            assertTrue(later.mayEdit());
        }
    }

    @Test
    void folderThatCantBeWritten_isKeptInTheUsersData() throws IOException {
        Files.writeString(test.folder().resolve(".nexa"), "a file where the folder would be");
        placeOnA();
        try (Shoot shoot = test.open()) {
            assertEquals(
                    1, shoot.framing(TestShoot.photo(shoot, "a.jpg")).crops().size());
        }
        assertTrue(Files.exists(test.locations().data()));
    }

    @Test
    void folderThatIsNone_isSaidInWords() {
        assertThrows(IOException.class, () -> Shoot.open(base.resolve("nowhere"), test.locations()));
        assertThrows(IOException.class, () -> Shoot.open(test.folder().resolve("a.jpg"), test.locations()));
    }

    @Test
    void photos_areInNaturalOrder() throws IOException {
        test.photo("p10.jpg", 30, 20);
        test.photo("P9.jpg", 30, 20);
        TestPhotos.jpeg(test.folder().resolve("ünicode ☂ 名.jpg"), 30, 20, 1);
        try (Shoot shoot = test.open()) {
            assertEquals(List.of("a.jpg", "b.jpg", "P9.jpg", "p10.jpg", "ünicode ☂ 名.jpg"), files(shoot));
        }
    }

    @Test
    void locations_followTheSystem() {
        Path home = Path.of("/home/ines");
        assertEquals(
                home.resolve(".cache/nexa"),
                Locations.of(java.util.Map.of(), home, "Linux").cache());
        assertEquals(
                Path.of("/x/nexa"),
                Locations.of(java.util.Map.of("XDG_DATA_HOME", "/x"), home, "Linux")
                        .data());
        assertEquals(
                home.resolve("Library/Caches/Nexa"),
                Locations.of(java.util.Map.of(), home, "Mac OS X").cache());
        assertEquals(
                Path.of("/n/data"),
                Locations.of(java.util.Map.of("NEXA_HOME", "/n"), home, "Windows 11")
                        .data());
    }
}
