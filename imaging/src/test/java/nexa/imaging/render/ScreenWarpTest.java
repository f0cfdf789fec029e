package nexa.imaging.render;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.util.Random;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Radial;
import nexa.core.geometry.Tilt;
import nexa.imaging.boxes.PixelRectangle;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.ScreenWarp.Quality;
import nexa.imaging.render.ScreenWarp.Screen;
import nexa.imaging.render.ScreenWarp.View;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ScreenWarpTest {
    private static final int WIDTH = 90;
    private static final int HEIGHT = 70;
    private static final int SIDE = 240;

    /** OpenCV takes samples at so many places from one pixel to the next. */
    private static final int PLACES = 32;

    private static final Raster SCENE = scene();

    private final ScreenWarp warp = new ScreenWarp();
    private final IntBuffer screen = pixels();

    @AfterEach
    void close() {
        warp.close();
    }

    private static IntBuffer pixels() {
        return ByteBuffer.allocateDirect(4 * WIDTH * HEIGHT)
                .order(ByteOrder.nativeOrder())
                .asIntBuffer();
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
        warp.show(SCENE, new View(Affine.translation(30, 50), quality, 0), new Screen(screen, WIDTH, HEIGHT));
        for (int i = 0; i < WIDTH * HEIGHT; i++) {
            assertEquals(SCENE.argb()[(i / WIDTH + 50) * SIDE + i % WIDTH + 30], screen.get(i));
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
            warp.show(SCENE, new View(map, quality, 0), new Screen(screen, WIDTH, HEIGHT));
            assertShows(map, quality == Quality.PIXELS ? 1.6 : 1.1);
        }
    }

    /** Drafts of other sizes take the averaged picture that is there, or all of it. */
    @Test
    void show_draftsAfterAFineView_areWhereTheMappingSays() {
        Affine fine = Affine.scale(1.6, 1.6);
        warp.show(SCENE, new View(fine, Quality.FINE, 0), new Screen(screen, WIDTH, HEIGHT));
        for (double reduction : new double[] {1, 1.3, 1.58, 1.62, 1.75, 1.95, 2.3}) {
            Affine map = Affine.scale(reduction, reduction);
            warp.show(SCENE, new View(map, Quality.DRAFT, 0), new Screen(screen, WIDTH, HEIGHT));
            assertShows(map, 1.1);
        }
    }

    @Test
    void show_beyondThePicture_isTheColourAskedFor() {
        warp.show(SCENE, new View(Affine.translation(-20, 0), Quality.DRAFT, 0), new Screen(screen, WIDTH, HEIGHT));
        assertEquals(0, screen.get(5));
        warp.show(
                SCENE,
                new View(Affine.translation(-20, 0), Quality.DRAFT, 0xFFFFFFFF),
                new Screen(screen, WIDTH, HEIGHT));
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
        warp.show(
                new Raster(SIDE, SIDE, argb),
                new View(Affine.scale(2.4, 2.4), Quality.FINE, 0),
                new Screen(screen, WIDTH, HEIGHT));
        for (int x = 5; x < WIDTH - 5; x++) {
            assertEquals(127, screen.get(30 * WIDTH + x) & 0xFF, 30);
        }
    }

    /** The definition: what shows without a veil, and the veil over all of it but the opening. */
    @Test
    void show_underAVeil_isTheViewVeiledButForTheOpening() {
        Random random = new Random(7);
        IntBuffer plain = pixels();
        for (int round = 0; round < 60; round++) {
            double zoom = 0.1 + 1.5 * random.nextDouble(); // of all the picture, and of a part of it
            View view = new View(
                    Affine.translation(-45, -35)
                            .then(Affine.rotation(new Tilt(20 * random.nextDouble() - 10)))
                            .then(Affine.scale(zoom, zoom))
                            .then(Affine.translation(300 * random.nextDouble() - 30, 300 * random.nextDouble() - 30)),
                    Quality.DRAFT,
                    random.nextBoolean() ? 0 : 0xFFFFFFFF);
            int veil = 0x80000000 | random.nextInt(1 << 24);
            PixelRectangle open = opening(random);
            warp.show(SCENE, view, new Screen(plain, WIDTH, HEIGHT));
            warp.show(SCENE, view, veil, open, new Screen(screen, WIDTH, HEIGHT));
            for (int i = 0; i < WIDTH * HEIGHT; i++) {
                boolean opened = open.contains(new PixelRectangle(i % WIDTH, i / WIDTH, 1, 1));
                int expected = opened ? plain.get(i) : new Veil(veil).over(plain.get(i));
                assertAlike(expected, screen.get(i), isAtEdge(view, i) ? 255 / PLACES + 2 : 2);
            }
        }
    }

    /** There the picture is mixed with what is beyond it, and a step between two places shows most. */
    private static boolean isAtEdge(View view, int pixel) {
        Point at = view.toSource().apply(new Point(pixel % WIDTH + 0.5, pixel / WIDTH + 0.5));
        double toEdge = Math.min(Math.min(at.x(), SIDE - at.x()), Math.min(at.y(), SIDE - at.y()));
        return Math.abs(toEdge) < 1;
    }

    private static PixelRectangle opening(Random random) {
        int left = random.nextInt(WIDTH);
        int top = random.nextInt(HEIGHT);
        return new PixelRectangle(left, top, random.nextInt(WIDTH - left + 1), random.nextInt(HEIGHT - top + 1));
    }

    private static void assertAlike(int expected, int pixel, int slack) {
        for (int shift = 0; shift < 32; shift += 8) {
            assertEquals(expected >>> shift & 0xFF, pixel >>> shift & 0xFF, slack);
        }
    }

    /** Small views of a large picture in turn: each is right, though the veiled part of the one before is kept. */
    @Test
    void show_underAVeil_partsFarFromEachOther_eachIsItsOwn() {
        for (int at : new int[] {0, 10, 150, 148, 0, 150}) {
            View view = new View(Affine.translation(at, at), Quality.DRAFT, 0);
            warp.show(SCENE, view, 0x80FFFFFF, new PixelRectangle(0, 0, 0, 0), new Screen(screen, WIDTH, HEIGHT));
            int expected = new Veil(0x80FFFFFF).over(SCENE.argb()[(at + 30) * SIDE + at + 40]);
            assertAlike(expected, screen.get(30 * WIDTH + 40), 2);
        }
    }
}
