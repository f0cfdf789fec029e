package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Why;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.HelpRecord;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** A set made ready in one step: the doubtful photos decided first, the sure ones in one look. */
class PrepareStoryTest extends WindowTest {
    @Override
    protected String[] photos() {
        return new String[] {"kiln_0202.jpg", "kiln_0206.jpg", "kiln_0210.jpg", "kiln_0215.jpg", "kiln_0232.jpg"};
    }

    private Framing framing(String name) throws Exception {
        return session().framing(photo(name));
    }

    private Photo photo(String name) throws Exception {
        return session().shoot().photos().stream()
                .filter(photo -> photo.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private Why why(String name) throws Exception {
        Photo photo = photo(name);
        Format format = session().brief().formats().getFirst();
        return Derivation.why(
                session().shoot().space(photo).orElseThrow(),
                framing(name),
                format,
                session().brief(),
                session().shoot().frame(photo, format).orElseThrow());
    }

    private void prepared(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        press(robot, KeyCode.SHORTCUT, KeyCode.M);
        until(() -> robot.lookup("#take-kiln_0210").tryQuery().isPresent()
                && robot.lookup("#prepare-finish")
                        .tryQueryAs(Labeled.class)
                        .filter(finish -> finish.getText().contains("4"))
                        .isPresent());
    }

    @Test
    void sureOnesInOneStep_doubtfulOnesByKey(FxRobot robot) throws Exception {
        prepared(robot);
        click(robot, "#sure-kiln_0232");
        press(robot, KeyCode.ENTER);
        until(() -> robot.lookup("#take-kiln_0210").query().getStyleClass().contains("primary"));
        click(robot, "#prepare-finish");
        until(() -> robot.lookup("#prepare-view").tryQuery().isEmpty());

        assertEquals(-2.16, framing("kiln_0206.jpg").pose().tilt().degrees(), 0.2);
        assertFalse(framing("kiln_0202.jpg").marks().isEmpty());
        assertEquals(new Why.Kept(0, true, 0), why("kiln_0206.jpg"));
        assertFalse(framing("kiln_0210.jpg").marks().isEmpty(), "taken though doubtful");
        assertEquals(Framing.UNTOUCHED, framing("kiln_0232.jpg"), "left by a click");
        HelpRecord.Counts counts =
                HelpRecord.read(session().shoot()).counts(session().shoot());
        assertEquals(1, counts.left());
        assertEquals(0, counts.adjusted());

        openInBench(robot, "kiln_0206.jpg");
        press(robot, KeyCode.SHORTCUT, KeyCode.Z);
        until(() -> framing("kiln_0206.jpg").isUntouched());
        assertTrue(framing("kiln_0202.jpg").isUntouched(), "one step");
        assertTrue(HelpRecord.read(session().shoot()).counts(session().shoot()).adjusted() > 0, "changed since");
    }

    @Test
    void doubtfulOneToBeAdjusted_isOnTheBenchThen(FxRobot robot) throws Exception {
        prepared(robot);
        press(robot, KeyCode.B);
        press(robot, KeyCode.SHORTCUT, KeyCode.ENTER);
        until(() -> session().viewProperty().get() == MainView.BENCH);
        assertEquals("kiln_0210.jpg", session().photo().orElseThrow().name());
    }

    @Test
    void changeNothing_changesNothing(FxRobot robot) throws Exception {
        prepared(robot);
        press(robot, KeyCode.BACK_SPACE);
        click(robot, "#review-done");
        until(() -> robot.lookup("#prepare-view").tryQuery().isEmpty());
        assertEquals(Framing.UNTOUCHED, framing("kiln_0206.jpg"));
        assertTrue(HelpRecord.read(session().shoot()).byPhoto().isEmpty());
    }
}
