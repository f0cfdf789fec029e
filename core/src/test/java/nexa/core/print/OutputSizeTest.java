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

    /** A box's own shape, rounded to whole pixels, is filled; any other lies inside it, its sides laid as it lies. */
    @Test
    void inside_fillsABoxOfItsShape_andLiesInAnyOther() {
        assertEquals(new PixelSize(1920, 1080), OutputSize.inside(1080, 1920, 16 / 9.0));
        assertEquals(new PixelSize(1080, 1920), OutputSize.inside(1920, 1080, 9 / 16.0));
        assertEquals(new PixelSize(1000, 667), OutputSize.inside(1000, 667, 1.5));
        assertEquals(new PixelSize(1000, 666), OutputSize.inside(1000, 666, 1.5));
        assertEquals(new PixelSize(1000, 667), OutputSize.inside(1000, 668, 1.5), "too high");
        assertEquals(new PixelSize(998, 665), OutputSize.inside(1000, 665, 1.5), "too low");
        assertEquals(new PixelSize(500, 500), OutputSize.inside(1000, 500, 1));
        assertEquals(new PixelSize(667, 1000), OutputSize.inside(1000, 800, 1 / 1.5));
    }

    @Test
    void edges_areLaidAsTheShapeLies() {
        assertEquals(new PixelSize(300, 200), OutputSize.ofLongEdge(300, 1.5));
        assertEquals(new PixelSize(200, 300), OutputSize.ofLongEdge(300, 1 / 1.5));
        assertEquals(new PixelSize(300, 200), OutputSize.ofShortEdge(200, 1.5));
        assertEquals(new PixelSize(200, 300), OutputSize.ofShortEdge(200, 1 / 1.5));
        assertEquals(new PixelSize(200, 200), OutputSize.ofShortEdge(200, 1));
        assertEquals(new PixelSize(600, 400), OutputSize.enlarged(new PixelSize(300, 200), 1.5, 2));
        assertEquals(new PixelSize(300, 200), OutputSize.enlarged(new PixelSize(300, 200), 1.5, 1));
    }
}
