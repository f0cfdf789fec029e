package nexa.imaging.render;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Radial;
import nexa.core.geometry.Tilt;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.ScreenWarp.Quality;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ScreenWarpTest {
    private static final int WIDTH = 90;
    private static final int HEIGHT = 70;
    private static final int SIDE = 240;

    private final ScreenWarp warp = new ScreenWarp();
    private final IntBuffer screen = ByteBuffer.allocateDirect(4 * WIDTH * HEIGHT)
            .order(ByteOrder.nativeOrder())
            .asIntBuffer();

    @AfterEach
    void close() {
        warp.close();
    }

    /** Red grows to the right, green downwards. */
    private static Raster scene() {
        int[] argb = new int[SIDE * SIDE];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = 0xFF000000 | i % SIDE << 16 | i / SIDE << 8 | 40;
        }
        return new Raster(SIDE, SIDE, argb);
    }

    private void assertShows(Mapping map, double slack) {
        for (int y = 3; y < HEIGHT - 3; y++) {
            for (int x = 3; x < WIDTH - 3; x++) {
                Point at = map.apply(new Point(x + 0.5, y + 0.5));
                int pixel = screen.get(y * WIDTH + x);
                assertEquals(0xFF, pixel >>> 24);
                assertEquals(at.x() - 0.5, pixel >> 16 & 0xFF, slack, "red at " + x + ", " + y);
                assertEquals(at.y() - 0.5, pixel >> 8 & 0xFF, slack, "green at " + x + ", " + y);
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void show_pixelForPixel_copiesThem(Quality quality) {
        Raster scene = scene();
        warp.show(scene, Affine.translation(30, 50), quality, 0, screen, WIDTH, HEIGHT);
        for (int i = 0; i < WIDTH * HEIGHT; i++) {
            assertEquals(scene.argb()[(i / WIDTH + 50) * SIDE + i % WIDTH + 30], screen.get(i));
        }
    }

    @ParameterizedTest
    @EnumSource
    void show_turnedReducedAndBent_isWhereTheMappingSays(Quality quality) {
        Mapping turned = Affine.translation(-45, -35)
                .then(Affine.rotation(new Tilt(12)))
                .then(Affine.scale(1.9, 1.9))
                .then(Affine.translation(120, 120));
        Mapping bent = Affine.translation(-45, -35)
                .then(Affine.scale(1 / 90.0, 1 / 90.0))
                .then(Radial.of(Point.ORIGIN, 0.5, 1, 0, 0.1, 0, 0))
                .then(Affine.scale(100, 100))
                .then(Affine.translation(120, 120));
        for (Mapping map : new Mapping[] {turned, bent}) {
            warp.show(scene(), map, quality, 0, screen, WIDTH, HEIGHT);
            assertShows(map, quality == Quality.PIXELS ? 1.6 : 1.1);
        }
    }

    @Test
    void show_beyondThePicture_isTheColourAskedFor() {
        warp.show(scene(), Affine.translation(-20, 0), Quality.DRAFT, 0, screen, WIDTH, HEIGHT);
        assertEquals(0, screen.get(5));
        warp.show(scene(), Affine.translation(-20, 0), Quality.DRAFT, 0xFFFFFFFF, screen, WIDTH, HEIGHT);
        assertEquals(0xFFFFFFFF, screen.get(5));
        assertEquals(0xFF, screen.get(40) >>> 24);
    }

    /** Fine lines that the screen can't hold average out, as they do in a delivered picture. */
    @Test
    void show_muchSmaller_averages() {
        int[] argb = new int[SIDE * SIDE];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = i % SIDE % 2 == 0 ? 0xFFFFFFFF : 0xFF000000;
        }
        warp.show(new Raster(SIDE, SIDE, argb), Affine.scale(2.4, 2.4), Quality.FINE, 0, screen, WIDTH, HEIGHT);
        for (int x = 5; x < WIDTH - 5; x++) {
            assertEquals(127, screen.get(30 * WIDTH + x) & 0xFF, 30);
        }
    }
}
