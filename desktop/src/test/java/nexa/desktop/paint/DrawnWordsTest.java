package nexa.desktop.paint;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.concurrent.Callable;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.text.TextAlignment;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** Words and what is drawn now and then, on a view of 300 × 100. */
@ExtendWith(ApplicationExtension.class)
class DrawnWordsTest {
    @Test
    void tagAtTheEdge_isKeptOnTheView() {
        Bounds tag = onFx(() -> {
            DrawnWords words = words();
            words.begin();
            words.tag("4:5 · 1440 × 1800 px", 280, 95);
            words.end();
            return shown(words).getFirst().getBoundsInParent();
        });
        assertTrue(tag.getMaxX() <= 300 && tag.getMaxY() <= 100, tag::toString);
    }

    @Test
    void wordsThatAreNoLongerWritten_areGone() {
        int[] counts = onFx(() -> {
            DrawnWords words = words();
            words.begin();
            words.middle("Fennick Kiln");
            words.banner("two lines");
            words.end();
            int both = shown(words).size();
            words.begin();
            words.banner("three lines");
            words.end();
            return new int[] {both, shown(words).size()};
        });
        assertEquals(2, counts[0]);
        assertEquals(1, counts[1]);
    }

    @Test
    void captionOnTheRight_endsWhereItShould() {
        Bounds caption = onFx(() -> {
            DrawnWords words = words();
            words.begin();
            words.caption("Golden spiral 1 of 4", 290, TextAlignment.RIGHT, false);
            words.end();
            return shown(words).getFirst().getBoundsInParent();
        });
        assertEquals(290, caption.getMaxX(), 2);
    }

    @Test
    void canvas_isThereOnlyWhileSomethingIsDrawn() {
        boolean[] seen = onFx(() -> {
            boolean[] draws = {true};
            SketchPane pane = new SketchPane() {
                @Override
                protected void draw() {
                    if (draws[0]) {
                        canvas().fillRect(0, 0, 10, 10);
                    }
                }
            };
            pane.resize(300, 100);
            pane.redraw();
            pane.layout();
            Canvas canvas = (Canvas) pane.getChildrenUnmodifiable().getFirst();
            boolean drawn = canvas.isVisible() && canvas.getWidth() == 300;
            draws[0] = false;
            pane.redraw();
            pane.layout();
            return new boolean[] {drawn, canvas.isVisible()};
        });
        assertTrue(seen[0]);
        assertFalse(seen[1]);
    }

    private static DrawnWords words() {
        DrawnWords words = new DrawnWords();
        words.resize(300, 100);
        return words;
    }

    private static List<Node> shown(DrawnWords words) {
        return words.getChildrenUnmodifiable().stream().filter(Node::isVisible).toList();
    }

    private static <T> T onFx(Callable<T> what) {
        return WaitForAsyncUtils.waitForAsyncFx(10_000, what);
    }
}
