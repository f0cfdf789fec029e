package nexa.desktop.paint;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import nexa.core.geometry.Affine;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.imaging.pixels.Raster;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** A grey photo under a half white veil, on the screen's own pixels. */
@ExtendWith(ApplicationExtension.class)
class PhotoRasterTest {
    private static final int WIDTH = 200;
    private static final int HEIGHT = 120;
    private static final int PLAIN = 0x60;
    private static final int VEILED = (0x60 + 0xFF) / 2;
    private static final Raster GREY = grey();
    private static final Optional<ScreenBox> LEFT = Optional.of(new ScreenBox(10, 10, 60, 100));
    private static final Optional<ScreenBox> RIGHT = Optional.of(new ScreenBox(120, 20, 70, 80));

    private PhotoRaster raster;
    private int settled;

    private static Raster grey() {
        int[] argb = new int[WIDTH * HEIGHT];
        Arrays.fill(argb, 0xFF000000 | PLAIN * 0x010101);
        return new Raster(WIDTH, HEIGHT, argb);
    }

    @BeforeEach
    void show() throws Exception {
        FxToolkit.registerPrimaryStage();
        FxToolkit.setupStage(stage -> {
            raster = new PhotoRaster(Platform::runLater, () -> settled++);
            stage.setScene(new Scene(new Pane(raster), WIDTH, HEIGHT));
            stage.show();
        });
    }

    @AfterEach
    void dispose() {
        WaitForAsyncUtils.asyncFx(raster::dispose);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static PhotoRaster.Wish moved(double by) {
        return new PhotoRaster.Wish(
                GREY,
                Affine.translation(by, 0),
                new ScreenBox(0, 0, WIDTH, HEIGHT),
                WIDTH,
                HEIGHT,
                0,
                false,
                0x80FFFFFF);
    }

    private static void until(Callable<Boolean> condition) throws Exception {
        WaitForAsyncUtils.waitFor(
                60, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(condition).get());
    }

    private int seen(int x, int y) throws Exception {
        Color colour = WaitForAsyncUtils.asyncFx(
                        () -> raster.snapshot(null, null).getPixelReader().getColor(x, y))
                .get();
        return (int) Math.round(255 * colour.getGreen());
    }

    private void assertOpen(Optional<ScreenBox> opened) throws Exception {
        boolean left = opened.equals(LEFT);
        assertEquals(left ? PLAIN : VEILED, seen(40, 60), 1);
        assertEquals(left ? VEILED : PLAIN, seen(150, 60), 1);
        assertEquals(VEILED, seen(100, 60), 1);
        assertEquals(VEILED, seen(150, 5), 1);
    }

    @Test
    void draft_isVeiledAroundItsOpening_andAgainAroundAnother() throws Exception {
        WaitForAsyncUtils.asyncFx(() -> raster.show(moved(0), LEFT));
        until(raster::isDrawn);
        for (int i = 1; i <= 5; i++) {
            int by = i;
            Optional<ScreenBox> opening = i % 2 == 0 ? LEFT : RIGHT;
            WaitForAsyncUtils.asyncFx(() -> raster.show(moved(by * 0.1), opening))
                    .get();
            until(raster::isDrawn);
            assertOpen(opening);
        }
    }

    /** The opening of a draft is in its picture; moved, it is right once the photo is settled. */
    @Test
    void openingMoved_onADraft_isThereOnceItIsSettled() throws Exception {
        WaitForAsyncUtils.asyncFx(() -> raster.show(moved(0), LEFT));
        until(raster::isDrawn);
        WaitForAsyncUtils.asyncFx(() -> {
            raster.show(moved(0.1), LEFT);
            raster.open(RIGHT);
        });
        until(raster::isSettled);
        assertOpen(RIGHT);
    }

    @Test
    void openingMoved_onASettledPhoto_needsNoOtherPicture() throws Exception {
        WaitForAsyncUtils.asyncFx(() -> raster.show(moved(0), LEFT));
        until(raster::isSettled);
        assertOpen(LEFT);
        WaitForAsyncUtils.asyncFx(() -> raster.open(RIGHT)).get();
        assertOpen(RIGHT);
        assertEquals(true, raster.isSettled());
    }

    private void settleOn(PhotoRaster.Wish wish) throws Exception {
        WaitForAsyncUtils.asyncFx(() -> raster.show(wish, LEFT)).get();
        until(raster::isSettled);
    }

    private void prepare(PhotoRaster.Wish... wishes) throws Exception {
        WaitForAsyncUtils.asyncFx(() -> raster.prepare(() -> List.of(wishes))).get();
        until(() -> raster.prepared() == wishes.length);
    }

    private boolean isThereAtOnce(PhotoRaster.Wish wish, Optional<ScreenBox> opening) throws Exception {
        return WaitForAsyncUtils.asyncFx(() -> {
                    raster.show(wish, opening);
                    return raster.isSettled();
                })
                .get();
    }

    @Test
    void preparedWishes_showAtOnce_asWellAsTheyCan() throws Exception {
        settleOn(moved(0));
        prepare(moved(0.5), moved(-0.5));
        assertTrue(isThereAtOnce(moved(0.5), RIGHT));
        assertOpen(RIGHT);
        assertTrue(isThereAtOnce(moved(-0.5), LEFT));
        assertOpen(LEFT);
        assertEquals(3, settled);
        settleOn(moved(0));
        assertOpen(LEFT);
    }

    @Test
    void anotherWishThanThePreparedOne_isMade_andThePreparedOneIsKept() throws Exception {
        settleOn(moved(0));
        prepare(moved(0.5));
        settleOn(moved(0.25));
        assertOpen(LEFT);
        assertTrue(isThereAtOnce(moved(0.5), LEFT));
    }

    @Test
    void whatIsNoLongerLikely_isForgotten() throws Exception {
        settleOn(moved(0));
        prepare(moved(0.5), moved(-0.5));
        prepare(moved(-0.5));
        assertFalse(isThereAtOnce(moved(0.5), LEFT));
    }

    @Test
    void nothingIsPrepared_whileSomethingElseIsToBeMade() throws Exception {
        WaitForAsyncUtils.asyncFx(() -> {
                    raster.show(moved(0), LEFT);
                    raster.prepare(() -> {
                        throw new IllegalStateException("there is no time");
                    });
                })
                .get();
        until(raster::isSettled);
        assertEquals(0, WaitForAsyncUtils.asyncFx(raster::prepared).get());
    }
}
