package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCode;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.space.Pose;
import nexa.desktop.session.MainView;
import nexa.desktop.wall.PhotoTile;
import nexa.desktop.window.Pixels;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoFilter;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Carrying a crop from the Bench or the Wall to the others. */
class CarryTest extends WindowTest {
    private Photo photo(int index) {
        return session().shoot().photos().get(index);
    }

    private FrameState state(int index) {
        return session().framing(photo(index)).state(session().format().orElseThrow());
    }

    private void prepare(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", new Pose(Turn.NONE, new Tilt(2)));
        place(0.6);
        press(robot, KeyCode.SHIFT, KeyCode.B);
        assertEquals(MainView.WALL, session().viewProperty().get());
        assertEquals(2, session().carry().planProperty().get().size());
    }

    @Test
    void prepared_showsGhostsAndChangesNothing(FxRobot robot) throws Exception {
        prepare(robot);
        PhotoTile tile = tile(robot, "kiln_0206.jpg");
        until(() -> Pixels.accented(tile.snapshot(null, null)) > 100);
        assertEquals(FrameState.DERIVED, state(1));
        press(robot, KeyCode.ESCAPE);
        assertTrue(session().carry().planProperty().get().isEmpty());
        until(() -> Pixels.accented(tile.snapshot(null, null)) < 5); // dark edges on wood come near the colour
    }

    private static PhotoTile tile(FxRobot robot, String file) {
        return robot.lookup(".photo-tile")
                .match((PhotoTile t) -> t.photo().file().equals(file))
                .queryAs(PhotoTile.class);
    }

    @Test
    void carried_isOneStepAndRepeatedByOneKey(FxRobot robot) throws Exception {
        prepare(robot);
        click(robot, "#carry-apply");
        assertEquals(FrameState.PLACED, state(1));
        assertEquals(2, session().framing(photo(1)).pose().tilt().degrees());
        Frame upright =
                session().frame(photo(1), session().format().orElseThrow()).orElseThrow();
        assertEquals(0.8, upright.aspect(), 1e-9, "turned for the upright photo");
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(FrameState.DERIVED, state(1));
        assertEquals(FrameState.DERIVED, state(2));
        press(robot, KeyCode.SHORTCUT, KeyCode.B);
        assertEquals(FrameState.PLACED, state(1));
        assertEquals(FrameState.PLACED, state(2));
    }

    @Test
    void selectionPartsAndOpposite_areFollowedAndRemembered(FxRobot robot) throws Exception {
        prepare(robot);
        click(robot, "#part-TILT");
        click(robot, "#opposite-SKIP");
        PhotoTile tile = tile(robot, "kiln_0230.jpg");
        for (int tries = 0; tries < 5 && session().selection().property().get().isEmpty(); tries++) {
            untilAtRest(tile); // on a busy machine a click right after the pane's met no photo
            robot.press(KeyCode.CONTROL).clickOn(tile).release(KeyCode.CONTROL);
            WaitForAsyncUtils.waitForFxEvents();
        }
        assertEquals("kiln_0201.jpg", session().photo().orElseThrow().file(), "still carried from");
        assertEquals(
                Set.of(photo(0), photo(2)), session().selection().property().get(), () -> "clicked at " + tile);
        assertEquals(Set.of(photo(2)), session().carry().planProperty().get().keySet());
        click(robot, "#carry-apply");
        assertEquals(FrameState.PLACED, state(2));
        assertTrue(session().framing(photo(2)).pose().tilt().isNone(), "the tilt was not carried");
        assertEquals(FrameState.DERIVED, state(1));
        reopen();
        assertEquals(2, session().settings().carryPartsProperty().get().size());
    }

    @Test
    void targets_areTheNextFew_orWhatTheFilterLetsThrough(FxRobot robot) throws Exception {
        prepare(robot);
        click(robot, "#to-NEXT");
        onFx(() -> session().settings().carryNextProperty().set(1));
        assertEquals(Set.of(photo(1)), session().carry().planProperty().get().keySet());
        onFx(() -> session().list().filterProperty().set(PhotoFilter.ALL.lying(Set.of(Orientation.HORIZONTAL))));
        click(robot, "#to-FILTERED");
        assertEquals(Set.of(photo(2)), session().carry().planProperty().get().keySet());
        click(robot, "#to-ALL");
        assertEquals(2, session().carry().planProperty().get().size());
    }

    @Test
    void overlay_isCarriedAndShowsWhereItWasCarriedTo(FxRobot robot) throws Exception {
        prepare(robot);
        onFx(() -> session().overlayProperty().set(new OverlayChoice(Optional.of(Overlay.GOLDEN_SPIRAL), 2)));
        click(robot, "#part-OVERLAY");
        click(robot, "#carry-apply");
        press(robot, KeyCode.ESCAPE);
        onFx(() -> session().overlayProperty().set(OverlayChoice.of(Overlay.THIRDS)));
        onFx(() -> session().choose(photo(2)));
        assertEquals(
                new OverlayChoice(Optional.of(Overlay.GOLDEN_SPIRAL), 2),
                session().overlayProperty().get());
        press(robot, KeyCode.SHIFT, KeyCode.G);
        onFx(() -> session().choose(photo(1)));
        assertEquals(2, session().overlayProperty().get().orientation());
        onFx(() -> session().choose(photo(2)));
        assertEquals(3, session().overlayProperty().get().orientation(), "its own, as turned there");
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(2, session().overlayProperty().get().orientation());
        reopen();
        assertEquals(2, session().framing(photo(2)).overlay().orElseThrow().orientation());
    }

    @Test
    void byMarks_photosWithoutMarksAreCountedAndLeftAlone(FxRobot robot) throws Exception {
        onBench(robot, "4:5", "kiln_0201.jpg", Pose.AS_SHOT);
        place(0.6);
        onFx(() -> window.models().orElseThrow().marking().click(new Point(0.02, 0.03)));
        onFx(() -> session().choose(photo(2)));
        onFx(() -> window.models().orElseThrow().marking().click(new Point(-0.05, 0)));
        onFx(() -> session().choose(photo(0)));
        press(robot, KeyCode.SHIFT, KeyCode.B);
        click(robot, "#by-MARKS");
        assertTrue(robot.lookup("#carry-losses").queryLabeled().getText().contains("no marks: 1"));
        click(robot, "#carry-apply");
        assertEquals(FrameState.DERIVED, state(1));
        assertEquals(FrameState.PLACED, state(2));
        Frame carried =
                session().frame(photo(2), session().format().orElseThrow()).orElseThrow();
        assertEquals(
                0, new Point(-0.07, -0.03).distance(carried.centre()), 1e-9, "its mark lies where the other's does");
    }
}
