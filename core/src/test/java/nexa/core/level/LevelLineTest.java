package nexa.core.level;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import nexa.core.Cases;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.plumb.PlumbLine;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.core.trim.Bands;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LevelLineTest {
    @ParameterizedTest
    @CsvSource({
        "100,0,0",
        "100,10,5.7106",
        "-100,-10,5.7106",
        "100,-10,-5.7106",
        "10,100,-5.7106",
        "-10,100,5.7106",
        "0,-7,0"
    })
    void lean_isFromTheNearerOfHorizontalAndVertical(double dx, double dy, double degrees) {
        assertEquals(degrees, new LevelLine(new Point(50, 60), new Point(50 + dx, 60 + dy)).lean(), 1e-4);
    }

    @Test
    void lean_doesNotDependOnWhichEndIsFirst() {
        Cases.some(500).forEach(c -> {
            Point a = new Point(c.between(0, 1000), c.between(0, 1000));
            Point b = new Point(c.between(0, 1000), c.between(0, 1000));
            assertEquals(new LevelLine(a, b).lean(), new LevelLine(b, a).lean(), 1e-9);
        });
    }

    @Test
    void tilt_makesTheLineLevelOrPlumb() {
        Cases.some(1000).forEach(c -> {
            PixelSize photo = new PixelSize(3000, 2000);
            LevelLine line = new LevelLine(
                    new Point(c.between(0, 3000), c.between(0, 2000)),
                    new Point(c.between(0, 3000), c.between(0, 2000)));
            PhotoSpace levelled = new PhotoSpace(photo, new Pose(Turn.NONE, line.tilt()));
            Point along = levelled.toLevel(line.to()).minus(levelled.toLevel(line.from()));
            double off = line.isPlumb() ? along.x() : along.y();
            assertEquals(0, off, ROUNDING);
        });
    }

    @Test
    void isPlumb_tellsWhichOneItWas() {
        assertTrue(new LevelLine(new Point(0, 0), new Point(3, 50)).isPlumb());
        assertFalse(new LevelLine(new Point(0, 0), new Point(50, 3)).isPlumb());
    }

    @Test
    void lineWithoutLength_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> new LevelLine(new Point(1, 2), new Point(1, 2)));
    }

    @Test
    void through_aCorrection_isTheSameLineWhereItBringsIt() {
        PixelSize photo = new PixelSize(600, 400);
        LevelLine line = new LevelLine(new Point(100, 100), new Point(400, 250));
        assertSame(line, line.through(Affine.IDENTITY, photo).orElseThrow());
        LevelLine moved = line.through(Affine.translation(0.1, -0.05), photo).orElseThrow();
        assertEquals(0, new Point(160, 70).distance(moved.from()), 1e-9);
        assertEquals(0, new Point(460, 220).distance(moved.to()), 1e-9);
        LevelLine larger = line.through(Affine.scale(2, 2), photo).orElseThrow(); // about the photo's middle
        assertEquals(0, new Point(-100, 0).distance(larger.from()), 1e-9);
        assertEquals(2 * line.length(), larger.length(), 1e-9);
    }

    @Test
    void through_ABandThatIsLeftOut_noLineIsLeft() {
        PixelSize photo = new PixelSize(600, 400);
        Bands bands = Bands.NONE.plus(new Bands.Band(true, new Gaps.Gap(0.1, 0.2)));
        LevelLine inside = new LevelLine(new Point(365, 100), new Point(415, 100));
        LevelLine across = new LevelLine(new Point(350, 100), new Point(430, 100));
        assertEquals(Optional.empty(), inside.through(bands.mapping(), photo));
        assertEquals(20, across.through(bands.mapping(), photo).orElseThrow().length(), 1e-9);
    }

    @Test
    void plumbLine_ofALevelLine_isInLongEdgesFromTheMiddle() {
        PixelSize photo = new PixelSize(400, 600);
        PlumbLine upright = PlumbLine.of(new LevelLine(new Point(200, 300), new Point(210, 600)), photo);
        assertEquals(Point.ORIGIN, upright.from());
        assertEquals(0, new Point(10 / 600.0, 0.5).distance(upright.to()), 1e-12);
        assertTrue(upright.upright());
        assertFalse(PlumbLine.of(new LevelLine(new Point(0, 0), new Point(100, 10)), photo)
                .upright());
        assertEquals(
                Math.hypot(100, 10) / 600,
                PlumbLine.of(new LevelLine(new Point(0, 0), new Point(100, 10)), photo)
                        .length(),
                1e-12);
    }
}
