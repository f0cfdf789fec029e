package nexa.core.geometry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class PixelSizeTest {
    @Test
    void measures_areOfBothSides() {
        PixelSize size = new PixelSize(60_000, 40_000);
        assertEquals(2_400_000_000L, size.area(), "more than an int holds");
        assertEquals(60_000, size.longEdge());
        assertEquals(60_000, size.transposed().longEdge());
        assertEquals(1.5, size.aspect());
        assertEquals("60000 × 40000", size.toString());
        assertEquals(new PixelSize(40_000, 60_000), size.transposed());
        assertEquals(Orientation.VERTICAL, size.transposed().orientation());
    }

    @Test
    void sidesBelowOne_areRefused() {
        assertThrows(IllegalArgumentException.class, () -> new PixelSize(0, 1));
        assertThrows(IllegalArgumentException.class, () -> new PixelSize(1, 0));
        assertEquals(1, new PixelSize(1, 1).area());
    }

    /** Lengths by themselves; shapes and ratios in relation to what they are. */
    @Test
    void tolerance_forgivesRoundingAndNoMore() {
        assertTrue(Tolerance.sameLength(1000, 1000 + 0.9e-9));
        assertFalse(Tolerance.sameLength(0, 1.1e-9));
        assertTrue(Tolerance.sameShape(5, 5 + 4e-9));
        assertFalse(Tolerance.sameShape(0.2, 0.2 + 0.3e-9));
        assertTrue(Tolerance.sameRatio(1e6, 1e6 + 1e-7));
        assertFalse(Tolerance.sameRatio(1, 1 + 2e-12));
    }
}
