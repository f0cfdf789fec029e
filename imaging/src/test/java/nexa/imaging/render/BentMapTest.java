package nexa.imaging.render;

import static org.junit.jupiter.api.Assertions.assertEquals;

import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.plumb.Plumb;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.junit.jupiter.api.Test;

class BentMapTest {
    private static final PixelSize PHOTO = new PixelSize(3000, 2000);

    @Test
    void places_areThoseOfTheMapping() {
        Pose pose = new Pose(Turn.CLOCKWISE, new Tilt(3))
                .withLens(Lens.byHand(new ByHand(-0.06, 0, 0.5)))
                .withPlumb(Plumb.of(9, -5, 0.8));
        Mapping map = new PhotoSpace(PHOTO, pose)
                .outputToStored(Turn.NONE, new Frame(0, 0, 0.6, 0.9), new PixelSize(1200, 1800));
        for (PixelSize tile : new PixelSize[] {new PixelSize(192, 192), new PixelSize(7, 3), new PixelSize(65, 1)}) {
            try (BentMap.Places places =
                            BentMap.of(map, tile.width(), tile.height()).places();
                    FloatIndexer x = places.xs().createIndexer();
                    FloatIndexer y = places.ys().createIndexer()) {
                for (int row = 0; row < tile.height(); row++) {
                    for (int column = 0; column < tile.width(); column++) {
                        Point exact = map.apply(new Point(column + 0.5, row + 0.5));
                        assertEquals(exact.x() - 0.5, x.get(row, column), 0.003);
                        assertEquals(exact.y() - 0.5, y.get(row, column), 0.003);
                    }
                }
            }
        }
    }
}
