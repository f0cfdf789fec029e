package nexa.imaging.fill;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.colour.Profile;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Raster;
import org.junit.jupiter.api.Test;

class FilledRasterTest {
    private static final PixelSize PHOTO = new PixelSize(6000, 4000);
    private static final Fill GREEN = new Fill.Colour(20, 120, 60);

    /** A picture of a photo, its upper half light, its lower half dark. */
    private static Raster plain() {
        int[] argb = new int[300 * 200];
        Arrays.fill(argb, 0, argb.length / 2, 0xFFC8C8C8);
        Arrays.fill(argb, argb.length / 2, argb.length, 0xFF282828);
        return new Raster(300, 200, argb);
    }

    private static int red(Raster raster, double x, double y) {
        return raster.argb()[(int) (y * raster.height()) * raster.width() + (int) (x * raster.width())] >> 16 & 255;
    }

    @Test
    void frameAboveThePhoto_isFilledAboveAndIsThePhotoBelow() {
        PhotoSpace space = new PhotoSpace(PHOTO, Pose.AS_SHOT);
        Frame half = new Frame(0, -1 / 3.0, 1, 2 / 3.0);
        Raster filled = FilledRaster.of(plain(), space, half, GREEN, PictureLight.of(Profile.SRGB));
        assertEquals(300, filled.width());
        assertEquals(200, filled.height());
        assertEquals(20, red(filled, 0.5, 0.1), 1);
        assertEquals(20, red(filled, 0.5, 0.45), 1);
        assertEquals(0xC8, red(filled, 0.5, 0.55), 1);
        assertEquals(
                0xC8,
                red(FilledRaster.of(plain(), space, half, new Fill.Mirror(), PictureLight.of(Profile.SRGB)), 0.5, 0.3),
                1);
    }

    @Test
    void tilted_cornersOfTheFrameAreFilled() {
        PhotoSpace space = new PhotoSpace(PHOTO, new Pose(Turn.NONE, new Tilt(10)));
        Raster filled =
                FilledRaster.of(plain(), space, new Frame(0, 0, 1, 2 / 3.0), GREEN, PictureLight.of(Profile.SRGB));
        assertEquals(20, red(filled, 0.005, 0.99), 1);
        assertEquals(20, red(filled, 0.99, 0.005), 1);
        assertEquals(0xC8, red(filled, 0.5, 0.3), 1);
        assertEquals(0x28, red(filled, 0.5, 0.7), 1);
    }

    @Test
    void frameFarLargerThanThePhoto_isNoLargerThanSmallPicturesAre() {
        PhotoSpace space = new PhotoSpace(PHOTO, Pose.AS_SHOT);
        Raster filled = FilledRaster.of(plain(), space, new Frame(0, 0, 8, 4), GREEN, PictureLight.of(Profile.SRGB));
        assertEquals(480, filled.width());
        assertEquals(240, filled.height());
        assertEquals(20, red(filled, 0.02, 0.02), 1);
        assertEquals(0xC8, red(filled, 0.5, 0.48), 1);
    }
}
