package nexa.core.print;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.plumb.Plumb;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class ThinnedTest {
    private static final Frame FRAME = new Frame(0, 0, 0.6, 0.48);

    private static Optional<Thinned> of(double pitch, double yaw) {
        Pose pose = new Pose(Turn.NONE, Tilt.NONE).withPlumb(Plumb.of(pitch, yaw, 0.8));
        return Thinned.of(new PhotoSpace(new PixelSize(3000, 2000), pose), FRAME);
    }

    @Test
    void cameraThatLookedUp_leavesFewerPixelsAbove() {
        Thinned thinned = of(15, 0).orElseThrow();
        assertEquals(Thinned.Where.UPPER, thinned.where());
        // areas grow by the third power of how much nearer the place is to the turned camera (Hartley and Zisserman,
        // 8.4)
        assertTrue(thinned.share() < 0.85 && thinned.share() > 0.5, thinned::toString);
        assertEquals(Thinned.Where.LOWER, of(-15, 0).orElseThrow().where());
        assertEquals(Thinned.Where.RIGHT, of(0, 15).orElseThrow().where());
        assertEquals(Thinned.Where.UPPER_LEFT, of(15, -15).orElseThrow().where());
    }

    @Test
    void photosThatAreHardlyTurned_loseNothingWorthTelling() {
        assertEquals(Optional.empty(), of(0, 0));
        assertEquals(Optional.empty(), of(1, 0));
    }
}
