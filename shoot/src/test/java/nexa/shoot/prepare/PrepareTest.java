package nexa.shoot.prepare;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.mark.Marks;
import nexa.shoot.Preferences;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PrepareTest {
    private static final Path DEMO = Path.of("..", "demo", "fennick-kiln");

    @TempDir
    Path base;

    private TestShoot test;

    @BeforeEach
    void photos() throws IOException {
        test = new TestShoot(base);
        for (String name : new String[] {"kiln_0202.jpg", "kiln_0206.jpg", "kiln_0207.jpg"}) {
            Files.copy(DEMO.resolve(name), test.folder().resolve(name));
        }
        test.photo("plain.jpg", 600, 400);
    }

    private Prepared look(Shoot shoot, String file, Framing framing) throws IOException {
        try (Preferences preferences = Preferences.open(test.locations())) {
            return new Preparer(shoot, new Lenses(test.locations(), preferences))
                    .look(TestShoot.photo(shoot, file), framing);
        }
    }

    @Test
    void leaningPot_isLevelled_andItsSubjectMarked() throws IOException {
        Map<String, String> before = TestShoot.hashes(test.folder());
        try (Shoot shoot = test.open()) {
            Prepared prepared = look(shoot, "kiln_0206.jpg", Framing.UNTOUCHED);
            assertEquals(
                    Step.Decision.ACCEPT,
                    prepared.step(Part.LEVEL).orElseThrow().decision());
            assertEquals(-2.16, prepared.sure().pose().tilt().degrees(), 0.2);
            assertEquals(2, prepared.sure().marks().count());
            assertFalse(prepared.sure().subject().sight().orElseThrow().isNone());
            assertFalse(prepared.lines().isEmpty());
            assertEquals(Framing.UNTOUCHED, prepared.before());
        }
        assertEquals(before, TestShoot.hashes(test.folder()));
    }

    @Test
    void likelyLevelPhoto_thatIsLevelAlready_isNotAskedAbout() throws IOException {
        try (Shoot shoot = test.open()) {
            Prepared prepared = look(shoot, "kiln_0207.jpg", Framing.UNTOUCHED);
            assertTrue(prepared.step(Part.LEVEL).isEmpty());
            assertFalse(prepared.isDoubtful());
        }
    }

    @Test
    void whatWasDoneByHand_stays() throws IOException {
        try (Shoot shoot = test.open()) {
            Photo photo = TestShoot.photo(shoot, "kiln_0206.jpg");
            Marks marks = Marks.of(shoot.space(photo).orElseThrow(), List.of(new Point(0.1, 0.1)));
            Framing byHand = Framing.UNTOUCHED
                    .withPose(Framing.UNTOUCHED.pose().withTilt(new Tilt(1)))
                    .withMarks(marks);
            Prepared prepared = look(shoot, "kiln_0206.jpg", byHand);
            assertEquals(Optional.empty(), prepared.step(Part.LEVEL));
            assertEquals(Optional.empty(), prepared.step(Part.SUBJECT));
            assertTrue(prepared.isNothing());
        }
    }

    @Test
    void photoOfNothing_staysAsItIs() throws IOException {
        try (Shoot shoot = test.open()) {
            Prepared prepared = look(shoot, "plain.jpg", Framing.UNTOUCHED);
            assertEquals(Framing.UNTOUCHED, prepared.sure());
        }
    }
}
