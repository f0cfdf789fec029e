package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Line;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.lineup.Trait;
import nexa.core.mark.Marks;
import nexa.core.neutral.Neutral;
import nexa.core.shape.Shape;
import nexa.desktop.lineup.FlipPane;
import nexa.desktop.lineup.LineupRows;
import nexa.desktop.lineup.ResultTile;
import nexa.desktop.model.Marking;
import nexa.desktop.repair.LightModel;
import nexa.desktop.session.LineupModel;
import nexa.desktop.session.MainView;
import nexa.desktop.window.Pixels;
import nexa.desktop.window.WindowTest;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.NodeQueryUtils;

/** Results side by side: figures, lines across, what stands out and is pulled in. */
class LineupTest extends WindowTest {
    @Override
    protected String[] photos() {
        return new String[] {
            "kiln_0201.jpg", "kiln_0206.jpg", "kiln_0207.jpg", "kiln_0208.jpg", "kiln_0211.jpg", "kiln_0232.jpg"
        };
    }

    private List<Photo> all() {
        return session().shoot().photos();
    }

    private LineupModel.Shown shown() {
        return session().lineup().shownProperty().get();
    }

    /** Every photo with two marks about its middle, and its frame about them; the fourth one's frame elsewhere. */
    private void prepare() throws Exception {
        onFx(() -> {
            session().briefEdits().add("4:5", Shape.parse("4:5"));
            for (Photo photo : all()) {
                session().choose(photo);
                window.models().orElseThrow().marking().click(new Point(0, -0.1));
                window.models().orElseThrow().marking().click(new Point(0, 0.1));
                double width = session().frame().orElseThrow().aspect() >= 1 ? 0.45 : 0.288;
                Point centre = photo.equals(all().get(3)) ? new Point(0.12, 0.02) : new Point(0.001 * photo.id(), 0);
                session().frameEdits().place("edit.frame", Frame.around(centre, width, width / frame().aspect()));
            }
            session().choose(all().getFirst());
            session().viewProperty().set(MainView.LINEUP);
        });
        until(() -> shown().deviations().size() == 6);
    }

    @Test
    void anotherLight_isNamed_andEvenedOutByOneStep(FxRobot robot) throws Exception {
        prepare();
        Photo dark = all().get(2);
        Supplier<List<Photo>> out = () -> window.models()
                .orElseThrow()
                .light()
                .shownProperty()
                .get()
                .map(LightModel.Shown::standOut)
                .orElse(List.of());
        onFx(() -> session()
                .shoot()
                .apply(Edit.framing(
                        "edit.neutral",
                        dark.id(),
                        session().shoot().framing(dark),
                        session()
                                .shoot()
                                .framing(dark)
                                .withPose(session()
                                        .shoot()
                                        .framing(dark)
                                        .pose()
                                        .withNeutral(Neutral.AS_FILED.withStops(-2.5))))));
        until(() -> out.get().contains(dark));
        assertTrue(robot.lookup("#lineup-light").queryAs(Label.class).getText().contains("kiln_0207"));
        click(robot, "#lineup-even");
        until(() -> !out.get().contains(dark));
        assertTrue(session().shoot().framing(dark).pose().neutral().stops() > -1.5);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(-2.5, session().shoot().framing(dark).pose().neutral().stops());
    }

    @Test
    void standingOut_isNamed_andPulledInByOneStep(FxRobot robot) throws Exception {
        prepare();
        Photo stray = all().get(3);
        assertEquals(Set.of(stray), shown().standingOut());
        assertEquals(Set.of(Trait.PLACE), shown().outliers().get(stray));
        Label words = robot.lookup("#lineup-outliers").queryAs(Label.class);
        assertTrue(words.getText().contains("kiln_0208"), words.getText());
        assertTrue(shown().spread().orElseThrow().place() > 0.1);
        click(robot, "#lineup-pull");
        assertEquals(0, shown().deviations().get(stray).offset().length(), 1e-9);
        assertTrue(shown().standingOut().isEmpty());
        assertTrue(shown().spread().orElseThrow().place() < 0.02);
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        assertEquals(Set.of(stray), shown().standingOut());
        press(robot, KeyCode.SHORTCUT, KeyCode.I);
        assertTrue(shown().standingOut().isEmpty(), "and by its key");
    }

    /** Nobody looks for what else could be pulled. */
    @Test
    void whatItsPhotoKeepsAway_isPulledAsNearAsThatGoes_andSaid(FxRobot robot) throws Exception {
        prepare();
        Photo stray = all().get(3);
        onFx(() -> {
            Framing before = session().shoot().framing(stray);
            Marks atTheEdge = Marks.of(
                    session().shoot().space(stray).orElseThrow(),
                    List.of(new Point(-0.42, -0.1), new Point(-0.42, 0.1)));
            session().shoot().apply(Edit.framing("edit.mark", stray.id(), before, before.withMarks(atTheEdge)));
        });
        assertEquals(Set.of(stray), shown().standingOut());
        assertEquals(Set.of(), shown().reached());
        double far = shown().deviations().get(stray).amount();
        click(robot, "#lineup-pull");
        assertTrue(shown().deviations().get(stray).amount() < far, "nearer");
        assertEquals(Set.of(stray), shown().standingOut());
        assertEquals(Set.of(stray), shown().reached());
        assertEquals(List.of(), session().lineup().pulled());
        String words = robot.lookup("#lineup-outliers").queryAs(Label.class).getText();
        assertTrue(words.contains("as near as the photo reaches: kiln_0208"), words);
        assertTrue(robot.lookup("#lineup-pull").query().isDisabled());
    }

    @Test
    void exemplar_isFirstAndCanBeAnother(FxRobot robot) throws Exception {
        prepare();
        assertEquals(all().getFirst(), shown().exemplar().orElseThrow());
        press(robot, KeyCode.N);
        press(robot, KeyCode.N);
        press(robot, KeyCode.SHORTCUT, KeyCode.E);
        assertEquals(all().get(2), shown().exemplar().orElseThrow());
        assertEquals(0, shown().deviations().get(all().get(2)).offset().length());
        ResultTile first = tile(robot, all().get(2));
        assertTrue(
                all().stream()
                        .map(photo -> tile(robot, photo))
                        .allMatch(tile ->
                                tile.getLayoutY() > first.getLayoutY() || tile.getLayoutX() >= first.getLayoutX()),
                "pinned first");
    }

    private static ResultTile tile(FxRobot robot, Photo photo) {
        return robot.lookup(".result-tile")
                .match((ResultTile tile) -> tile.isVisible() && tile.photo().equals(photo))
                .queryAs(ResultTile.class);
    }

    @Test
    void results_areAllAsHighAndHoldTheSameLine(FxRobot robot) throws Exception {
        prepare();
        assertEquals(2, session().lineup().guidesProperty().get().size(), "at the exemplar's marks");
        Node handle = robot.lookup("#guide-1").query();
        Point2D from = robot.point(handle).query();
        double before = session().lineup().guidesProperty().get().get(1);
        drag(robot, from, from.add(0, -30));
        double after = session().lineup().guidesProperty().get().get(1);
        assertTrue(after < before - 0.05, before + " to " + after);
        double high = robot.lookup("#lineup-rows").queryAs(LineupRows.class).resultHeight();
        assertEquals(30 / high, before - after, 0.02, "the line goes with the pointer");
        Set<Line> lines = robot.lookup(".guide").queryAllAs(Line.class);
        assertTrue(lines.stream().allMatch(line -> line.getEndX() - line.getStartX() > 900), "across all results");
        click(robot, "#lineup-guide");
        assertEquals(3, session().lineup().guidesProperty().get().size());
        robot.doubleClickOn("#guide-0");
        until(() -> session().lineup().guidesProperty().get().size() == 2);
        reopen();
        assertEquals(2, session().lineup().guidesProperty().get().size(), "remembered");
    }

    @Test
    void lines_areMovedAndTakenAwayByKeysToo(FxRobot robot) throws Exception {
        prepare();
        double before = session().lineup().guidesProperty().get().get(1);
        for (int i = 0;
                i < 80 && !"guide-1".equals(window.scene().getFocusOwner().getId());
                i++) {
            press(robot, KeyCode.TAB);
        }
        Node handle = window.scene().getFocusOwner();
        press(robot, KeyCode.UP);
        press(robot, KeyCode.SHIFT, KeyCode.UP);
        assertEquals(before - 0.06, session().lineup().guidesProperty().get().get(1), 1e-9);
        assertEquals(100 * (before - 0.06), (double) handle.queryAccessibleAttribute(AccessibleAttribute.VALUE), 1e-9);
        press(robot, KeyCode.DELETE);
        assertEquals(1, session().lineup().guidesProperty().get().size());
    }

    @Test
    void withoutAFormat_itSaysWhatIsMissing_andHasNothingToFlip(FxRobot robot) throws Exception {
        onFx(() -> session().viewProperty().set(MainView.LINEUP));
        until(() -> missing(robot).equals("With a format, results show here side by side."));
        press(robot, KeyCode.SHORTCUT, KeyCode.J);
        assertTrue(robot.lookup("#flip-results").tryQuery().isEmpty());

        onFx(() -> session().briefEdits().add("4:5", Shape.parse("4:5")));
        press(robot, KeyCode.SHORTCUT, KeyCode.J);
        assertTrue(robot.lookup("#flip-results").tryQuery().isPresent());
        onFx(session().shoot()::undo);
        until(() -> !missing(robot).isEmpty());
    }

    /** What the Line-up says while it is seen and shows nothing. */
    private static String missing(FxRobot robot) {
        return robot.lookup(".empty-words")
                .match(NodeQueryUtils.isVisible())
                .tryQuery()
                .map(node -> ((Label) node).getText())
                .orElse("");
    }

    @Test
    void flip_showsOneThenTheOtherInTheSamePlace(FxRobot robot) throws Exception {
        prepare();
        press(robot, KeyCode.N);
        press(robot, KeyCode.SHORTCUT, KeyCode.J);
        FlipPane flip = robot.lookup("#flip-results").queryAs(FlipPane.class);
        assertEquals(all().get(1), flip.shown().orElseThrow());
        press(robot, KeyCode.SHORTCUT, KeyCode.J);
        assertEquals(all().getFirst(), flip.shown().orElseThrow());
        click(robot, flip);
        assertEquals(all().get(1), flip.shown().orElseThrow());
        press(robot, KeyCode.N);
        assertEquals(all().get(2), flip.shown().orElseThrow(), "the next against the exemplar");
        press(robot, KeyCode.ESCAPE);
        assertTrue(robot.lookup("#flip-results").tryQuery().isEmpty());
        assertEquals(MainView.LINEUP, session().viewProperty().get());
    }

    @Test
    void withoutMarks_itSaysWhatToDo(FxRobot robot) throws Exception {
        prepare();
        onFx(() -> {
            session().choose(all().getFirst());
            session().gestures().editAll("edit.mark.clear", (photo, framing) -> framing.withMarks(Marks.NONE));
        });
        assertTrue(shown().spread().isEmpty());
        assertTrue(robot.lookup("#lineup-spread").queryAs(Label.class).getText().contains("Nothing"));
        assertFalse(robot.lookup("#lineup-pull").queryButton().isVisible());
        assertEquals(6, shown().photos().size(), "results show all the same");
    }

    @Test
    void proposedMarks_showOnTheResultsBeforeTheyAreAccepted(FxRobot robot) throws Exception {
        onFx(() -> {
            session().briefEdits().add("4:5", Shape.parse("4:5"));
            session().selection().property().set(Set.copyOf(all().subList(0, 4)));
            session().viewProperty().set(MainView.LINEUP);
        });
        Marking marking = window.models().orElseThrow().marking();
        assertEquals(4, marking.searchable().size(), "those that are lined up");
        click(robot, "#lineup-propose");
        until(() -> !marking.proposalsProperty().get().isEmpty()
                && marking.searchProperty().get().isEmpty());
        Photo found = marking.proposalsProperty().get().keySet().iterator().next();
        Node tile = tile(robot, found);
        untilAtRest(tile);
        AtomicInteger with = new AtomicInteger();
        onFx(() -> with.set(Pixels.accented(tile.snapshot(null, null))));
        onFx(marking::decline);
        until(() -> Pixels.accented(tile.snapshot(null, null)) < with.get() - 15); // rings, and the line between them
    }

    @Test
    void selectionOnTheWall_isWhatIsLinedUp(FxRobot robot) throws Exception {
        prepare();
        double among = robot.lookup("#lineup-rows").queryAs(LineupRows.class).resultHeight();
        press(robot, KeyCode.W);
        onFx(() -> session().selection().property().set(Set.copyOf(all().subList(1, 4))));
        press(robot, KeyCode.SHORTCUT, KeyCode.L);
        assertEquals(Set.copyOf(all().subList(1, 4)), Set.copyOf(shown().photos()));
        assertFalse(session().together().isOn());
        double high = robot.lookup("#lineup-rows").queryAs(LineupRows.class).resultHeight();
        assertTrue(high > among, "three have more room than six");
        ResultTile second = tile(robot, all().get(2));
        until(() -> robot.from(second)
                        .lookup(Canvas.class::isInstance)
                        .queryAs(Canvas.class)
                        .getHeight()
                == high);
        robot.doubleClickOn(second);
        until(() -> session().viewProperty().get() == MainView.BENCH);
        assertEquals(all().get(2), session().photo().orElseThrow());
    }
}
