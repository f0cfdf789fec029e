package nexa.desktop.beside;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

class SharedZoomTest {
    private static final Frame FRAME = new Frame(0.1, -0.05, 0.8, 0.4);

    @Test
    void whole_isTheFrame() {
        Frame seen = SharedZoom.WHOLE.of(FRAME);
        assertEquals(0, seen.centre().distance(FRAME.centre()), 1e-12);
        assertEquals(FRAME.width(), seen.width(), 1e-12);
    }

    @Test
    void by_keepsWhatIsUnderThePointer_andNeverLeavesTheFrame() {
        Random random = new Random(7);
        for (int i = 0; i < 500; i++) {
            SharedZoom zoom =
                    new SharedZoom(1 + 10 * random.nextDouble(), new Point(random.nextDouble(), random.nextDouble()));
            Point at = new Point(random.nextDouble(), random.nextDouble());
            Point before = zoom.of(FRAME).at(at.x(), at.y());
            SharedZoom closer = zoom.by(1 + random.nextDouble(), at);
            assertEquals(0, before.distance(closer.of(FRAME).at(at.x(), at.y())), 1e-9);
            SharedZoom moved =
                    zoom.by(0.2 + random.nextDouble(), at).movedBy(random.nextGaussian(), random.nextGaussian());
            assertTrue(FRAME.left() <= moved.of(FRAME).left() + 1e-9
                    && FRAME.right() >= moved.of(FRAME).right() - 1e-9);
            assertTrue(FRAME.top() <= moved.of(FRAME).top() + 1e-9
                    && FRAME.bottom() >= moved.of(FRAME).bottom() - 1e-9);
        }
    }

    @Test
    void movedBy_takesThePhotoAlong() {
        SharedZoom zoom = new SharedZoom(4, new Point(0.5, 0.5));
        Point before = zoom.of(FRAME).at(0.5, 0.5);
        assertEquals(0, before.distance(zoom.movedBy(0.25, -0.1).of(FRAME).at(0.75, 0.4)), 1e-12);
    }

    @Test
    void layout_takesTheArrangementThatShowsMost() {
        assertEquals(2, SideLayout.of(List.of(0.8, 0.8), 1000, 600, 10, 20).columns(), "uprights beside each other");
        assertEquals(1, SideLayout.of(List.of(3.0, 3.0), 800, 600, 10, 20).columns(), "wide ones below each other");
        assertEquals(
                2, SideLayout.of(List.of(1.5, 1.5, 1.5, 1.5), 1000, 700, 10, 20).columns());
        assertEquals(
                4, SideLayout.of(List.of(0.5, 0.5, 0.5, 0.5), 1200, 500, 10, 20).columns());
    }
}
