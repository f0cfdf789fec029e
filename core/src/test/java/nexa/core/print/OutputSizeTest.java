package nexa.core.print;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import org.junit.jupiter.api.Test;

class OutputSizeTest {
    @Test
    void natural_isOffItsShapeByLessThanHalfAPixel() {
        Cases.some(2000).forEach(c -> {
            Frame frame = new Frame(0, 0, c.between(0.05, 1), c.between(0.05, 1));
            PixelSize size = OutputSize.natural(frame, new PixelSize(6000, 4000));
            double exactShort = size.longEdge() * Math.min(frame.aspect(), 1 / frame.aspect());
            assertEquals(exactShort, Math.min(size.width(), size.height()), 0.5);
        });
    }

    @Test
    void atMost_isExactlyTheAskedLongEdgeOrSmaller() {
        Cases.some(500).forEach(c -> {
            Frame frame = new Frame(0, 0, c.between(0.05, 1), c.between(0.05, 1));
            PixelSize size = OutputSize.atMost(frame, new PixelSize(6000, 4000), 2048);
            PixelSize natural = OutputSize.natural(frame, new PixelSize(6000, 4000));
            assertEquals(Math.min(2048, natural.longEdge()), size.longEdge());
        });
    }

    @Test
    void natural_wholePhoto_isItsSize() {
        assertEquals(
                new PixelSize(6000, 4000), OutputSize.natural(new Frame(0, 0, 1, 4 / 6.0), new PixelSize(6000, 4000)));
    }

    @Test
    void natural_thinnestFrame_hasAtLeastOnePixel() {
        PixelSize size = OutputSize.natural(new Frame(0, 0, 1, 0.0001), new PixelSize(100, 100));
        assertTrue(size.height() == 1 && size.width() == 100);
    }
}
