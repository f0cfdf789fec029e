package nexa.shoot.mark;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.sight.Sight;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.exchange.Sidecars;
import nexa.shoot.photo.Photo;
import nexa.shoot.preview.PreviewCache;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a photo shows is known of it, apart from what is asked of it. */
class SeenPhotosTest {
    private static final Path DEMO = Path.of("..", "demo", "fennick-kiln");
    private static final String POT = "kiln_0201.jpg";
    private static final Sight LEFT = new Sight(List.of(), Optional.of(new Frame(-0.3, 0, 0.1, 0.1)), 0);

    @TempDir
    private Path base;

    private TestShoot test;

    @BeforeEach
    void onePot() throws IOException {
        test = new TestShoot(base);
        Files.copy(DEMO.resolve(POT), test.folder().resolve(POT));
    }

    private static Photo pot(Shoot shoot) {
        return TestShoot.photo(shoot, POT);
    }

    private static Optional<Sight> seen(Shoot shoot) {
        return shoot.framing(pot(shoot)).subject().sight();
    }

    private List<Path> files() throws IOException {
        try (Stream<Path> all = Files.list(test.folder())) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    private static void ask(Shoot shoot, Framing before, Framing after) {
        shoot.apply(
                new Edit("edit.frame", List.of(new Edit.FramingChange(pot(shoot).id(), before, after)), null));
    }

    private Onlooker onlooker(Shoot shoot) {
        return new Onlooker(
                shoot,
                new PreviewCache(base.resolve("previews"), Long.MAX_VALUE, new PreviewMaker(PhotoCodecs.STANDARD)));
    }

    @Test
    void whatIsSeen_movesTheFrameOverTheSubject_andIsKept() throws IOException {
        Map<String, String> files = TestShoot.hashes(test.folder());
        Frame kept;
        try (Shoot shoot = test.open()) {
            Format square = TestShoot.addFormat(shoot, "Square", "1:1");
            Frame middle = shoot.frame(pot(shoot), square).orElseThrow();
            List<Set<Photo>> told = new ArrayList<>();
            shoot.listen(new Shoot.Listener() {
                @Override
                public void changed(Edit edit) {}

                @Override
                public void saw(Set<Photo> photos) {
                    told.add(photos);
                }
            });
            Onlooker onlooker = onlooker(shoot);
            assertEquals(List.of(pot(shoot)), Onlooker.unseen(shoot));

            shoot.saw(Map.of(pot(shoot), onlooker.look(pot(shoot))));

            assertEquals(List.of(Set.of(pot(shoot))), told);
            assertEquals(List.of(), Onlooker.unseen(shoot));
            kept = shoot.frame(pot(shoot), square).orElseThrow();
            Frame subject = seen(shoot).orElseThrow().subject().orElseThrow();
            assertTrue(kept.contains(subject.centre()), kept + " and " + subject);
            assertNotEquals(middle, kept);
            assertEquals(1, shoot.history().done().size(), "the format alone");
        }
        try (Shoot again = test.open()) {
            assertEquals(
                    Optional.of(kept),
                    again.frame(pot(again), again.brief().formats().getFirst()));
        }
        assertEquals(files, TestShoot.hashes(test.folder()));
    }

    @Test
    void nothingSeen_isKeptToo() throws IOException {
        try (Shoot shoot = test.open()) {
            shoot.saw(Map.of(pot(shoot), Sight.NONE));
        }
        try (Shoot again = test.open()) {
            assertEquals(Optional.of(Sight.NONE), seen(again));
            assertEquals(List.of(), Onlooker.unseen(again));
        }
    }

    @Test
    void edits_andTakingThemBack_leaveWhatIsSeen() throws IOException {
        try (Shoot shoot = test.open()) {
            Framing before = shoot.framing(pot(shoot));
            Framing aside = before.withSetAside(true);
            shoot.saw(Map.of(pot(shoot), LEFT)); // while the edit is on its way
            ask(shoot, before, aside);
            assertEquals(Optional.of(LEFT), seen(shoot));
            shoot.undo();
            assertEquals(Optional.of(LEFT), seen(shoot));
            assertTrue(shoot.framing(pot(shoot)).isUntouched());
        }
        try (Shoot again = test.open()) {
            assertEquals(Optional.of(LEFT), seen(again));
        }
    }

    @Test
    void whatTheUserDoesNotWantSeen_isNotSeenAgain() throws IOException {
        try (Shoot shoot = test.open()) {
            shoot.saw(Map.of(pot(shoot), LEFT));
            Framing before = shoot.framing(pot(shoot));
            ask(shoot, before, before.unmarked());
            shoot.saw(Map.of(pot(shoot), LEFT));
            assertEquals(Optional.of(Sight.NONE), seen(shoot));
            shoot.undo();
            assertEquals(Optional.of(LEFT), seen(shoot));
        }
    }

    @Test
    void photoThatIsOnlySeen_getsNoSidecar() throws IOException {
        try (Shoot shoot = test.open()) {
            shoot.saw(Map.of(pot(shoot), LEFT));
            assertEquals(0, Sidecars.write(shoot, photo -> true).photos());
            assertEquals(List.of(shoot.fileOf(pot(shoot))), files());
        }
    }

    /** Nor is a sidecar from before it was seen a change. */
    @Test
    void sidecarThatKnowsNothingOfIt_changesNothing() throws IOException {
        try (Shoot shoot = test.open()) {
            Framing before = shoot.framing(pot(shoot));
            ask(shoot, before, before.withSetAside(true));
            Sidecars.write(shoot, photo -> true);
            shoot.saw(Map.of(pot(shoot), LEFT));
            int steps = shoot.history().done().size();
            assertEquals(0, Sidecars.read(shoot).apply().photos());
            assertEquals(steps, shoot.history().done().size());
            assertEquals(Optional.of(LEFT), seen(shoot));
        }
    }

    /** The same photo, worked on: taken at the same moment. */
    private void workOnIt() throws IOException {
        Files.write(test.folder().resolve(POT), new byte[] {0, 0}, StandardOpenOption.APPEND);
    }

    @Test
    void photoThatWasWorkedOn_isLookedAtAnew() throws IOException {
        try (Shoot shoot = test.open()) {
            shoot.saw(Map.of(pot(shoot), LEFT));
        }
        workOnIt();
        try (Shoot again = test.open()) {
            assertEquals(Optional.empty(), seen(again));
        }
        try (Shoot again = test.open()) {
            assertEquals(Optional.empty(), seen(again), "in the store too");
        }
    }

    @Test
    void photoThatIsWorkedOnWhileTheShootIsOpen_isLookedAtAnew() throws Exception {
        try (Shoot shoot = test.open()) {
            Framing before = shoot.framing(pot(shoot));
            ask(shoot, before, before.withSetAside(true));
            shoot.saw(Map.of(pot(shoot), LEFT));
            workOnIt();
            shoot.take(shoot.look(found -> true, Integer.MAX_VALUE));
            assertEquals(Optional.empty(), seen(shoot));
            assertTrue(shoot.framing(pot(shoot)).setAside(), "what is asked stays");
        }
    }

    @Test
    void programThatMayOnlyRead_keepsWhatItSeesToItself() throws IOException {
        try (Shoot first = test.open();
                Shoot second = test.open()) {
            assertFalse(second.mayEdit());
            second.saw(Map.of(pot(second), LEFT));
            assertEquals(Optional.of(LEFT), seen(second));
            assertEquals(Optional.empty(), seen(first));
        }
        try (Shoot again = test.open()) {
            assertEquals(Optional.empty(), seen(again));
        }
    }

    @Test
    void photoThatCantBeDecoded_showsNothing() throws IOException {
        try (Shoot shoot = test.open()) {
            Files.write(test.folder().resolve(POT), new byte[] {1, 2, 3});
            assertEquals(Sight.NONE, onlooker(shoot).look(pot(shoot)));
        }
    }
}
