package nexa.core.space;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.geometry.Affine;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.trim.Trim;
import org.junit.jupiter.api.Test;

class LensOutlineTest {
    private static final PixelSize PHOTO = new PixelSize(6000, 4000);
    private static final Trim TRIMMED = new Trim(-0.8, -0.9, 1, 1, Tilt.NONE, 0);
    private static final LensOutline BENT = new LensOutline(
            Correction.NONE.withLens(Lens.byHand(new ByHand(-0.06, 0, 0.5))).lensMapping());

    /** It is asked for at every step of a drag. */
    @Test
    void traces_areKept_oneOfTheWholePhotoAndOneOfATrimmedOne() {
        List<Point> whole = BENT.corners(PHOTO, Trim.NONE, 1);
        List<Point> trimmed = BENT.corners(PHOTO, TRIMMED, 1);
        assertSame(whole, BENT.corners(PHOTO, Trim.NONE, 1));
        assertSame(trimmed, BENT.corners(PHOTO, TRIMMED, 1));
        assertNotSame(trimmed, BENT.corners(PHOTO, new Trim(-0.8, -0.88, 1, 1, Tilt.NONE, 0), 1));
    }

    @Test
    void anotherPhoto_isTracedAnew() {
        List<Point> wide = BENT.corners(PHOTO, Trim.NONE, 1);
        List<Point> square = BENT.corners(new PixelSize(4000, 4000), Trim.NONE, 1);
        assertTrue(highest(square) > highest(wide) + 0.1, "a square is higher");
        assertEquals(wide, BENT.corners(PHOTO, Trim.NONE, 1));
    }

    private static double highest(List<Point> corners) {
        return corners.stream().mapToDouble(Point::y).max().orElseThrow();
    }

    /** By steps, so that plumbing on seldom traces anew. */
    @Test
    void whatIsStretchedAfterwards_isTracedMoreFinely() {
        List<Point> plain = BENT.corners(PHOTO, Trim.NONE, 1);
        List<Point> stretched = BENT.corners(PHOTO, Trim.NONE, 4);
        assertTrue(stretched.size() > 1.5 * plain.size(), () -> plain.size() + " " + stretched.size());
        assertSame(stretched, BENT.corners(PHOTO, Trim.NONE, 3.9));
        assertEquals(plain, BENT.corners(PHOTO, Trim.NONE, 0.5), "what is made smaller, as it is");
    }

    @Test
    void withoutALens_itIsTheFourCorners() {
        List<Point> corners = new LensOutline(Affine.IDENTITY).corners(PHOTO, Trim.NONE, 1);
        assertEquals(4, corners.size());
        assertTrue(corners.contains(new Point(0.5, 1 / 3.0)), corners::toString);
    }
}
