package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.print.SizeTarget;
import nexa.core.space.Pose;
import nexa.desktop.model.RepeatsModel;
import nexa.desktop.session.MainView;
import nexa.desktop.wall.PhotoTile;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoGrouping;
import nexa.shoot.review.PhotoOrder;
import nexa.shoot.review.RepeatGroup;
import nexa.words.Words;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Filters, orders, near-repeats, warnings, and going through what is not checked yet. */
class ReviewingTest extends WindowTest {
    @Override
    protected String[] photos() {
        return new String[] {
            "kiln_0201.jpg", "kiln_0206.jpg", "kiln_0208.jpg", "kiln_0211.jpg", "kiln_0212.jpg", "kiln_0213.jpg"
        };
    }

    private List<Photo> all() {
        return session().shoot().photos();
    }

    private Set<String> onTheWall(FxRobot robot) {
        return robot.lookup(".photo-tile").queryAllAs(PhotoTile.class).stream()
                .filter(PhotoTile::isUsed)
                .map(tile -> tile.photo().file())
                .collect(Collectors.toSet());
    }

    private void format() throws Exception {
        onFx(() -> {
            session().briefEdits().add("4:5", nexa.core.shape.Shape.parse("4:5"));
            session().choose(all().getFirst());
        });
    }

    @Test
    void chips_countAndFilter_andShowOnlyWhatTheySay(FxRobot robot) throws Exception {
        format();
        until(() -> text(robot, "#chip-horizontal").equals("horizontal 5"));
        assertEquals("vertical 1", text(robot, "#chip-vertical"));
        assertEquals("not checked 6", text(robot, "#chip-unchecked"));
        click(robot, "#chip-vertical");
        assertEquals(Set.of("kiln_0206.jpg"), onTheWall(robot));
        assertEquals("kiln_0206.jpg", session().photo().orElseThrow().file(), "the next one that is vertical");
        assertEquals(
                Set.of("kiln_0206.jpg"),
                robot.lookup(".photo-tile").queryAllAs(PhotoTile.class).stream()
                        .filter(tile -> tile.getOpacity() > 0)
                        .map(tile -> tile.photo().file())
                        .collect(Collectors.toSet()),
                "the others are not drawn");
        click(robot, "#chip-vertical");
        assertEquals(6, onTheWall(robot).size());
        onFx(session().frameEdits()::checkAll);
        until(() -> text(robot, "#chip-unchecked").equals("not checked 5"));
        onFx(() -> session().choose(all().get(1)));
        click(robot, "#chip-unchecked");
        assertEquals(5, onTheWall(robot).size());
        assertTrue(robot.lookup("#chip-unchecked").queryAs(ToggleButton.class).isSelected());
    }

    private List<String> headings(FxRobot robot) {
        return robot.lookup(".wall-group").queryAllAs(Button.class).stream()
                .filter(Button::isVisible)
                .sorted(Comparator.comparing(Button::getLayoutY))
                .map(Button::getText)
                .toList();
    }

    @Test
    void groups_standUnderHeadings_thatSelectThem(FxRobot robot) throws Exception {
        format();
        assertEquals(List.of(), headings(robot));
        robot.press(KeyCode.CONTROL).type(KeyCode.F).release(KeyCode.CONTROL);
        click(robot, "#grouping-LYING");
        until(() -> headings(robot).equals(List.of("Horizontal · 5 photos", "Vertical · 1 photo")));
        assertEquals("kiln_0206.jpg", session().list().photos().getLast().file(), "arrows go as they hang");
        robot.type(KeyCode.ESCAPE);
        PhotoTile vertical = robot.lookup(".photo-tile").queryAllAs(PhotoTile.class).stream()
                .filter(tile -> tile.isUsed() && tile.photo().file().equals("kiln_0206.jpg"))
                .findFirst()
                .orElseThrow();
        Button heading = robot.lookup(".wall-group").queryAllAs(Button.class).stream()
                .filter(each -> each.getText().startsWith("Horizontal"))
                .findFirst()
                .orElseThrow();
        untilAtRest(heading);
        assertTrue(vertical.getBoundsInParent().getMinY() > heading.getLayoutY() + heading.getHeight());
        click(robot, heading);
        until(() -> session().selection().property().get().size() == 5);
        assertTrue(session().selection().property().get().stream()
                .noneMatch(photo -> photo.file().equals("kiln_0206.jpg")));
        reopen();
        until(() -> headings(robot).size() == 2);
        onFx(() -> session().list().groupingProperty().set(PhotoGrouping.NONE));
        until(() -> headings(robot).isEmpty());
        assertEquals("kiln_0206.jpg", session().list().photos().get(1).file());
    }

    private static String text(FxRobot robot, String query) {
        return robot.lookup(query).queryAs(Labeled.class).getText();
    }

    @Test
    void search_andPane_filterAndOrder(FxRobot robot) throws Exception {
        format();
        press(robot, KeyCode.SHORTCUT, KeyCode.F);
        robot.write("21");
        WaitForAsyncUtils.waitForFxEvents();
        onFx(() -> session().choose(all().get(3)));
        until(() -> onTheWall(robot).equals(Set.of("kiln_0211.jpg", "kiln_0212.jpg", "kiln_0213.jpg")));
        click(robot, "#filter-all");
        assertEquals(6, session().list().photos().size());
        click(robot, "#filter-CHECKED");
        assertEquals(List.of(), files());
        click(robot, "#filter-all");
        onFx(() -> session().choose(all().get(3)));
        onFx(session().frameEdits()::checkAll);
        click(robot, "#order-STATE");
        assertEquals("kiln_0211.jpg", files().getLast());
        assertEquals(PhotoOrder.STATE, session().list().orderProperty().get());
    }

    private List<String> files() {
        return session().list().photos().stream().map(Photo::file).toList();
    }

    @Test
    void notCheckedYet_isWalkedByKey_asideAndBack(FxRobot robot) throws Exception {
        format();
        press(robot, KeyCode.B);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.S);
        assertTrue(session().framing(all().get(1)).setAside());
        press(robot, KeyCode.SHIFT, KeyCode.N);
        press(robot, KeyCode.SHORTCUT, KeyCode.N);
        assertEquals("kiln_0208.jpg", session().photo().orElseThrow().file(), "past what is checked or set aside");
        onFx(() -> session().choose(all().get(1)));
        press(robot, KeyCode.S);
        press(robot, KeyCode.SHIFT, KeyCode.N);
        press(robot, KeyCode.SHORTCUT, KeyCode.N);
        assertEquals("kiln_0206.jpg", session().photo().orElseThrow().file());
    }

    @Test
    void nearRepeats_areFoundMarkedAndSelectedByKey(FxRobot robot) throws Exception {
        format();
        onFx(() -> session().choose(all().get(4)));
        press(robot, KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        until(() -> session().selection().property().get().size() == 3);
        assertEquals(
                Set.of("kiln_0211.jpg", "kiln_0212.jpg", "kiln_0213.jpg"),
                session().selection().property().get().stream().map(Photo::file).collect(Collectors.toSet()));
        until(() -> robot.lookup(".tile-state").queryAllAs(Labeled.class).stream()
                .anyMatch(label -> label.getText().contains("2/3")));
    }

    /** Of three that are equally good, the one whose pot lies as in the exemplar's frame. */
    @Test
    void ofNearRepeats_theOneMostLikeTheExemplar_isNamed(FxRobot robot) throws Exception {
        format();
        List<Double> beside = List.of(0.0, 0.0, 0.1, 0.0, -0.05, 0.09);
        onFx(() -> {
            for (int i = 2; i < 6; i++) {
                session().choose(all().get(i));
                window.models().orElseThrow().marking().click(new Point(0, -0.1));
                window.models().orElseThrow().marking().click(new Point(0, 0.1));
                Frame frame = frame();
                session().frameEdits().place("edit.frame", frame.scaled(0.6).movedBy(new Point(beside.get(i), 0)));
            }
            session().choose(all().get(2));
            session().viewProperty().set(MainView.LINEUP);
            session().lineup().makeExemplar();
            session().viewProperty().set(MainView.WALL);
            window.models().orElseThrow().repeats().find();
        });
        RepeatsModel repeats = window.models().orElseThrow().repeats();
        until(repeats::isFound);
        assertEquals(3, repeats.groupsProperty().get().get(all().get(3)).left().size(), "equally good");
        assertEquals(Set.of(), repeats.of(all().get(3)).orElseThrow().best());
        assertEquals(Set.of(), repeats.of(all().get(4)).orElseThrow().best());
        assertEquals(
                Set.of(RepeatGroup.Reason.AS_EXEMPLAR),
                repeats.of(all().get(5)).orElseThrow().best());
        until(() -> robot.lookup(".tile-state").queryAllAs(Labeled.class).stream()
                .anyMatch(label -> label.getText().contains(Words.of("wall.repeat.best", 3, 3))));
    }

    @Test
    void warnings_showOnWallRailAndBench(FxRobot robot) throws Exception {
        format();
        onFx(() -> {
            session()
                    .briefEdits()
                    .change(
                            "edit.brief.edit",
                            session()
                                    .brief()
                                    .changed(session()
                                            .format()
                                            .orElseThrow()
                                            .sized(SizeTarget.parse("long edge 4000"))));
            session().gestures().preview(session().framing().levelledAt(new Tilt(2)));
            session().gestures().commit("edit.level");
        });
        until(() -> text(robot, "#chip-warned").equals("⚠ 6"));
        assertTrue(robot.lookup(".format-note").queryAllAs(Labeled.class).stream()
                .anyMatch(label -> label.getText().contains("⚠ 6")));
        PhotoTile tile = robot.lookup(".photo-tile")
                .match((PhotoTile t) -> t.photo().equals(all().getFirst()))
                .queryAs(PhotoTile.class);
        assertEquals(
                "too few pixels for the size · not level, though its level is known",
                tile.explanation().lines().findFirst().orElseThrow());
        press(robot, KeyCode.B);
        assertTrue(robot.lookup(".format-note").queryAllAs(Labeled.class).stream()
                .anyMatch(label -> label.getText().contains("⚠")));
        onFx(() -> session().poseEdits().tilt(new Tilt(2), "edit.tilt"));
        assertEquals(1, session().moment().warnings().size(), "level now");
        onFx(() -> {
            session().frameEdits().place("edit.frame", frame().scaled(0.4));
            window.models().orElseThrow().marking().click(new Point(0.45, 0));
        });
        assertEquals(2, session().moment().warnings().size(), "the subject is cut");
    }

    @Test
    void emptyFilterResult_saysSo(FxRobot robot) throws Exception {
        format();
        onFx(() -> session()
                .list()
                .filterProperty()
                .set(session().list().filterProperty().get().named("nothing")));
        assertEquals(List.of(), files());
        assertEquals(Pose.AS_SHOT, session().framing().pose());
        press(robot, KeyCode.SHORTCUT, KeyCode.N);
        assertEquals(List.of(), files());
    }

    /** One that an edit takes out of the filter stays in sight, but is not among all. */
    @Test
    void selectAll_takesOnlyWhatTheFilterSays(FxRobot robot) throws Exception {
        format();
        click(robot, "#chip-unchecked");
        onFx(session().frameEdits()::checkAll);
        assertEquals(6, files().size(), "the current one is not pulled away");
        onFx(session().selection()::selectAll);
        assertEquals(5, session().selection().property().get().size());
        assertFalse(session().selection().property().get().contains(all().getFirst()));
    }
}
