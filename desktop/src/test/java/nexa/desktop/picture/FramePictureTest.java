package nexa.desktop.picture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import nexa.desktop.photo.PhotoLoader;
import nexa.imaging.RawMaker;
import nexa.imaging.codec.PhotoCodec;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.system.SystemLibrary;
import nexa.shoot.Locations;
import nexa.shoot.Opening;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.preview.PreviewCache;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.AdditionalAnswers;

/** Of a raw file whose camera showed a demo photo, and whose sensor saw even grey. */
class FramePictureTest {
    private static final Path DEMO = Path.of("..", "demo", "fennick-kiln");

    @TempDir
    Path base;

    private final BlockingQueue<Runnable> interfaceThread = new LinkedBlockingQueue<>();
    private final CountDownLatch mayDevelop = new CountDownLatch(1);
    private Path folder;

    @BeforeEach
    void makeRaw() throws Exception {
        assumeTrue(SystemLibrary.raw().isPresent(), "LibRaw is not installed");
        folder = Files.createDirectories(base.resolve("shoot"));
        byte[] camera = Files.readAllBytes(DEMO.resolve("kiln_0201.jpg"));
        BufferedImage size = ImageIO.read(DEMO.resolve("kiln_0201.jpg").toFile());
        Files.write(
                folder.resolve("kiln_0101.dng"),
                RawMaker.of(size.getWidth(), size.getHeight()).preview(camera).bytes((x, y) ->
                        new double[] {0.2, 0.2, 0.2}));
    }

    private Shoot developed() throws Exception {
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        try (Shoot empty = Shoot.open(folder, locations, Opening.WHOLE.withFirst(0))) {
            empty.remember(RawPicture.SETTING, RawPicture.DATA.setting());
        }
        return Shoot.open(folder, locations);
    }

    /** Which develops only when it may. */
    private PreviewCache cache() throws Exception {
        PhotoCodec data = PhotoCodecs.STANDARD.inOrder().getLast();
        PhotoCodec slow = mock(PhotoCodec.class, AdditionalAnswers.delegatesTo(data));
        doAnswer(call -> {
                    assertTrue(mayDevelop.await(20, TimeUnit.SECONDS));
                    return data.open(call.getArgument(0), call.getArgument(1), call.getArgument(2));
                })
                .when(slow)
                .open(any(), any(), any());
        PreviewMaker maker = new PreviewMaker(new PhotoCodecs(List.of(slow)));
        return new PreviewCache(base.resolve("previews"), Long.MAX_VALUE, maker);
    }

    private void runNext() throws InterruptedException {
        Runnable next = interfaceThread.poll(20, TimeUnit.SECONDS);
        assertTrue(next != null, "nothing arrived");
        next.run();
    }

    private static int width(FramePicture picture) {
        return picture.pixels().orElseThrow().raster().width();
    }

    /** Whether it shows one even grey. */
    private static boolean isEven(FramePicture picture) {
        int[] argb = picture.pixels().orElseThrow().raster().argb();
        for (int at = 0; at < argb.length; at += 97) {
            if (Math.abs((argb[at] & 0xFF) - (argb[0] & 0xFF)) > 3) {
                return false;
            }
        }
        return true;
    }

    @Test
    void sensorData_areShownByTheCamerasPicture_untilTheyAreDeveloped() throws Exception {
        try (Shoot shoot = developed();
                PhotoLoader loader = new PhotoLoader(cache())) {
            Photo photo = shoot.photos().getFirst();
            FramePicture picture = new FramePicture(shoot, loader, interfaceThread::add, () -> {}).urgent();

            picture.show(photo, PhotoLoader.MIDDLE);
            assertFalse(picture.isDetailed());
            runNext();
            assertEquals(PhotoLoader.MIDDLE, width(picture), "as sharp as the Bench wants it");
            assertTrue(picture.isDetailed());
            assertFalse(picture.isSharp(), "it is not what was asked for");
            assertFalse(isEven(picture));

            mayDevelop.countDown();
            while (!picture.isSharp()) {
                runNext();
            }
            assertTrue(isEven(picture), "the sensor saw grey");
            assertEquals(PhotoLoader.MIDDLE, width(picture));
        }
    }

    @Test
    void tile_needsNoMoreThanASmallLook() throws Exception {
        try (Shoot shoot = developed();
                PhotoLoader loader = new PhotoLoader(cache())) {
            FramePicture picture = new FramePicture(shoot, loader, interfaceThread::add, () -> {});
            picture.show(shoot.photos().getFirst(), PhotoLoader.MIDDLE);
            runNext();
            assertEquals(PhotoLoader.SMALL, width(picture));
            mayDevelop.countDown();
        }
    }
}
