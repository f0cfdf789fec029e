package nexa.desktop.stage;

import static org.junit.jupiter.api.Assertions.assertEquals;

import javafx.geometry.Rectangle2D;
import org.junit.jupiter.api.Test;

/** A window whose screen is smaller now. */
class WindowPlaceFittedTest {
    private static final Rectangle2D ROOM = new Rectangle2D(0, 30, 1280, 690);

    private static Rectangle2D fitted(double x, double y, double width, double height) {
        return WindowPlace.fitted(new Rectangle2D(x, y, width, height), ROOM, 1010, 600);
    }

    @Test
    void oneThatIsNotLarger_staysWhereItsUserPutIt() {
        assertEquals(new Rectangle2D(700, 200, 1100, 650), fitted(700, 200, 1100, 650), "partly beside the screen");
    }

    @Test
    void largerOne_fillsTheScreen() {
        assertEquals(ROOM, fitted(300, 200, 2560, 1440));
        assertEquals(new Rectangle2D(180, 30, 1100, 690), fitted(300, 200, 1100, 800));
    }

    @Test
    void screenSmallerThanTheLeastSize_showsItsTopLeft() {
        assertEquals(
                new Rectangle2D(0, 0, 1010, 600),
                WindowPlace.fitted(new Rectangle2D(50, 50, 1280, 800), new Rectangle2D(0, 0, 800, 480), 1010, 600));
    }
}
