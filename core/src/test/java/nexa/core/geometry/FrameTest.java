package nexa.core.geometry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;

class FrameTest {
    private final Random random = new Random(5);

    private Frame frame() {
        return new Frame(
                random.nextDouble(-1, 1),
                random.nextDouble(-1, 1),
                random.nextDouble(0.01, 1),
                random.nextDouble(0.01, 1));
    }

    @Test
    void union_holdsBothAndNoMore() {
        for (int i = 0; i < 1000; i++) {
            Frame one = frame();
            Frame other = frame();
            Frame both = one.union(other);
            assertTrue(
                    both.scaled(1 + 1e-9).contains(one) && both.scaled(1 + 1e-9).contains(other));
            assertEquals(Math.min(one.left(), other.left()), both.left(), 1e-12);
            assertEquals(Math.max(one.bottom(), other.bottom()), both.bottom(), 1e-12);
        }
    }

    @Test
    void overlap_isOfBothAlike_andTheSameInAnyUnit() {
        for (int i = 0; i < 1000; i++) {
            Frame one = frame();
            Frame other = frame();
            double overlap = one.overlap(other);
            assertTrue(overlap >= 0 && overlap < 1);
            assertEquals(overlap, other.overlap(one), 1e-12);
            assertEquals(overlap, one.times(300).overlap(other.times(300)), 1e-9);
            assertEquals(1, one.overlap(one), 1e-12);
            assertEquals(0, one.overlap(one.movedBy(new Point(3, 0))));
        }
    }

    @Test
    void overlap_ofAQuarter_isAQuarter() {
        assertEquals(0.25, new Frame(0, 0, 2, 2).overlap(new Frame(0.5, 0.5, 1, 1)), 1e-12);
    }

    @Test
    void centre_hasOneZero() {
        assertEquals(new Frame(0, 0, 0.5, 0.4), new Frame(-0.0, -0.0, 0.5, 0.4));
    }
}
