package nexa.desktop.delivering;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;
import nexa.core.shape.Shape;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.exchange.KeptHandover;
import nexa.shoot.handover.request.Collision;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HandoverModelTest {
    @TempDir
    Path base;

    private interface Trial {
        void with(HandoverModel model, Deque<Runnable> work) throws IOException;
    }

    /** Of a shoot of one photo in one format. */
    private void model(Trial trial) throws IOException {
        Path folder = Files.createDirectory(base.resolve("shoot"));
        Files.copy(Path.of("..", "demo", "fennick-kiln", "kiln_0201.jpg"), folder.resolve("a.jpg"));
        Deque<Runnable> work = new ArrayDeque<>();
        try (Shoot shoot = Shoot.open(folder, new Locations(base.resolve("data"), base.resolve("cache")))) {
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), shoot.brief().with("Print", Shape.parse("4:5"))));
            HandoverModel model = new HandoverModel(shoot, mock(HandoverChoice.Around.class), work::add, Runnable::run);
            model.choice().folderProperty().set(base.resolve("out"));
            trial.with(model, work);
        }
    }

    @Test
    void nothingIsKnown_untilItIsLookedAt() throws IOException {
        model((model, work) -> {
            model.look();
            assertFalse(model.outlookProperty().get().isKnown());
            work.remove().run();
            assertTrue(model.outlookProperty().get().isKnown());
        });
    }

    /** Closing ends the work that is waited for, and a run that ends then must not ask for more. */
    @Test
    void runThatEndsAfterClosing_looksAtNothingMore() throws IOException {
        model((model, work) -> {
            model.start();
            model.dispose();
            assertEquals(1, work.size());
            work.remove().run();
            assertInstanceOf(
                    HandoverModel.State.Done.class, model.stateProperty().get());
            assertTrue(work.isEmpty(), "nothing is looked at any more");
            model.look();
            assertTrue(work.isEmpty());
        });
    }

    @Test
    void keptHandover_isTheSameInAnotherShoot_butForItsFolderInside() throws IOException {
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        KeptHandover kept;
        try (Shoot shoot = Shoot.open(Files.createDirectory(base.resolve("one")), locations)) {
            Brief brief = shoot.brief().with("Print", Shape.parse("4:5")).with("Web", Shape.parse("1:1"));
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), brief));
            HandoverChoice choice = new HandoverChoice(shoot, mock(HandoverChoice.Around.class));
            choice.folderProperty().set(shoot.folder().resolve("for the client"));
            choice.namesProperty().set(new NameTemplate("{format}/{photo}"));
            choice.collisionProperty().set(Collision.SKIP);
            choice.leftOut().add(brief.formats().getLast().id());
            kept = choice.kept(" Client ");
            assertEquals("Client", kept.name());
        }
        try (Shoot shoot = Shoot.open(Files.createDirectory(base.resolve("two")), locations)) {
            Brief brief = shoot.brief()
                    .with("Web", Shape.parse("1:1"))
                    .withAll(kept.brief().formats());
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), brief));
            HandoverChoice choice = new HandoverChoice(shoot, mock(HandoverChoice.Around.class));
            choice.take(kept);
            assertEquals(
                    shoot.folder().resolve("for the client"),
                    choice.folderProperty().get());
            assertEquals("{format}/{photo}", choice.namesProperty().get().text());
            assertEquals(Collision.SKIP, choice.collisionProperty().get());
            assertEquals(
                    List.of("Print"),
                    choice.chosenFormats().stream().map(Format::name).toList());
        }
    }

    /** Where a shoot was before, a folder may have a name that is none here. */
    @ParameterizedTest
    @ValueSource(strings = {"", "C:\\Users\\Ada\\delivered", "delivered\0", "../out"})
    void folderOfAnotherSystem_isTheUsualOneHere(String stored) throws IOException {
        Path folder = Files.createDirectory(base.resolve("shoot"));
        try (Shoot shoot = Shoot.open(folder, new Locations(base.resolve("data"), base.resolve("cache")))) {
            shoot.remember("handover folder", stored);
            HandoverChoice choice = new HandoverChoice(shoot, mock(HandoverChoice.Around.class));
            assertEquals(folder.resolve("delivered"), choice.folderProperty().get());
        }
    }
}
