package nexa.desktop.window.batch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.desktop.bench.BenchView;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/**
 * A hundred photos, horizontal and vertical mixed, checked in two formats: how many keys that takes, and that the frames are
 * right then. With {@code -Dnexa.keys.photos=FOLDER} it is walked on real ones.
 */
class FewKeysTest extends WindowTest {
    private static final double MOST_KEYS_A_PHOTO = 1.6;

    /** Of the subject's area. */
    private static final double CUT = 0.05;

    private Map<String, Frame> truth = Map.of();
    private int keys;

    @Override
    protected String[] photos() {
        return new String[0];
    }

    @Override
    protected void prepare(Path shoot) throws IOException {
        String real = System.getProperty("nexa.keys.photos");
        truth = (real == null ? MixedHundred.ofDemo(DEMO, shoot) : MixedHundred.ofReal(Path.of(real), shoot))
                .subjects();
    }

    private void key(FxRobot robot, KeyCode... pressed) {
        press(robot, pressed);
        keys++;
    }

    @Test
    void mixedSet_isCheckedInTwoFormats(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        addFormat(robot, "16:9");
        prepare(robot);
        checkAllOnTheWall(robot);
        adjustWhatIsCut(robot);

        Shoot shoot = session().shoot();
        long cut = 0;
        for (Photo photo : shoot.photos()) {
            for (Format format : shoot.brief().formats()) {
                assertEquals(FrameState.CHECKED, shoot.framing(photo).state(format), photo.name());
                cut += isCut(photo, format) ? 1 : 0;
            }
        }
        System.getLogger(FewKeysTest.class.getName()).log(System.Logger.Level.INFO, "{0} keys", keys);
        assertEquals(100, shoot.photos().size());
        assertTrue(keys <= MOST_KEYS_A_PHOTO * shoot.photos().size(), keys + " keys");
        assertEquals(0, cut, "frames that still cut their subject");
    }

    private void prepare(FxRobot robot) throws Exception {
        key(robot, KeyCode.SHORTCUT, KeyCode.M);
        until(() -> robot.lookup("#prepare-finish")
                        .tryQueryAs(Labeled.class)
                        .filter(finish -> !finish.isDisabled())
                        .isPresent()
                && robot.lookup(".progress-bar").queryAll().stream().noneMatch(bar -> bar.isVisible()));
        for (int doubtful = robot.lookup(".review-row").queryAll().size(); doubtful > 0; doubtful--) {
            key(robot, KeyCode.ENTER);
        }
        key(robot, KeyCode.SHORTCUT, KeyCode.ENTER);
        until(() -> robot.lookup("#prepare-view").tryQuery().isEmpty());
    }

    /** All frames are in sight there, and are judged by eye. */
    private void checkAllOnTheWall(FxRobot robot) throws Exception {
        assertEquals(MainView.WALL, session().viewProperty().get());
        key(robot, KeyCode.SHORTCUT, KeyCode.A);
        for (KeyCode format : List.of(KeyCode.DIGIT1, KeyCode.DIGIT2)) {
            key(robot, format);
            key(robot, KeyCode.SHORTCUT, KeyCode.ENTER);
        }
        key(robot, KeyCode.ESCAPE);
    }

    /** On the Bench the frame is drawn over its subject and checked again; a double click and a drag count as a key each. */
    private void adjustWhatIsCut(FxRobot robot) throws Exception {
        for (Photo photo : session().shoot().photos()) {
            for (Format format : session().brief().formats()) {
                if (isCut(photo, format)) {
                    onFx(() -> session().choose(photo));
                    onFx(() -> session().viewProperty().set(MainView.BENCH));
                    keys++;
                    boolean first = format.equals(session().brief().formats().getFirst());
                    key(robot, first ? KeyCode.DIGIT1 : KeyCode.DIGIT2);
                    BenchView bench = bench(robot);
                    Point middle = frame().centre();
                    drag(
                            robot,
                            onScreen(bench, middle),
                            onScreen(bench, subject(photo).centre()));
                    keys++;
                    key(robot, KeyCode.ENTER);
                }
            }
        }
    }

    /** Whether a frame of the same size would have clearly more of the subject elsewhere in the photo. */
    private boolean isCut(Photo photo, Format format) {
        if (!truth.containsKey(photo.name())) {
            return false;
        }
        Frame frame = session().shoot().frame(photo, format).orElseThrow();
        Frame subject = subject(photo);
        Frame over = Fit.within(
                session().shoot().space(photo).orElseThrow().outline(),
                Frame.around(subject.centre(), frame.width(), frame.height()));
        return kept(over, subject) - kept(frame, subject) > CUT;
    }

    /** Of the subject's area. */
    private static double kept(Frame frame, Frame subject) {
        double across = Math.min(frame.right(), subject.right()) - Math.max(frame.left(), subject.left());
        double down = Math.min(frame.bottom(), subject.bottom()) - Math.max(frame.top(), subject.top());
        return Math.max(0, across) * Math.max(0, down) / (subject.width() * subject.height());
    }

    private Frame subject(Photo photo) {
        Frame box = truth.getOrDefault(photo.name(), new Frame(0, 0, 1, 1));
        PhotoSpace space = session().shoot().space(photo).orElseThrow();
        List<Point> corners = box.corners().stream().map(space::toLevel).toList();
        return Frame.between(corners.get(0), corners.get(2));
    }
}
