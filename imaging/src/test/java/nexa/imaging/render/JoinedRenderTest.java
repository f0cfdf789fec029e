package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.ROTATE_90_CLOCKWISE;
import static org.bytedeco.opencv.global.opencv_core.rotate;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.Gaps.Gap;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.core.trim.Bands;
import nexa.imaging.TestPhotos;
import nexa.imaging.colour.Profile;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A scene that was cut in two and scanned with white between comes out as if it had never been cut. */
class JoinedRenderTest {
    private static final int WIDTH = 960;
    private static final int HEIGHT = 640;
    private static final int CUT = 590;
    private static final int WHITE = 40;
    private static final PixelSize SCANNED = new PixelSize(WIDTH + WHITE, HEIGHT);
    private static final Bands BANDS = new Bands(
            new Gaps(List.of(new Gap(
                    (CUT - SCANNED.width() / 2.0) / SCANNED.width(),
                    (CUT + WHITE - SCANNED.width() / 2.0) / SCANNED.width()))),
            Gaps.NONE);

    private static Picture scanned(Picture scene) {
        Mat scan = new Mat(HEIGHT, WIDTH + WHITE, CV_8UC3, Scalar.all(255));
        copy(scene, 0, scan, 0, CUT);
        copy(scene, CUT, scan, CUT + WHITE, WIDTH - CUT);
        return new Picture(scan);
    }

    private static void copy(Picture scene, int from, Mat scan, int to, int width) {
        try (Rect source = new Rect(from, 0, width, HEIGHT);
                Rect target = new Rect(to, 0, width, HEIGHT);
                Mat part = new Mat(scene.mat(), source);
                Mat there = new Mat(scan, target)) {
            part.copyTo(there);
        }
    }

    private static Frame whole(PixelSize size) {
        double edge = SCANNED.longEdge();
        return new Frame(0, 0, size.width() / edge, size.height() / edge);
    }

    private static Picture rendered(Picture scan, PhotoSpace space, Turn exif, PixelSize output) {
        return SinglePass.render(
                scan,
                PictureLight.of(Optional.empty()),
                space.pose().correction().steps(List.of()),
                space.asShotToStored(exif),
                space.outputToStoredColours(exif, whole(new PixelSize(WIDTH, HEIGHT)), output),
                output);
    }

    private static Picture uncut(Picture scene, Tilt tilt, PixelSize output) {
        PhotoSpace space = new PhotoSpace(scene.size(), new Pose(Turn.NONE, tilt));
        Frame frame = new Frame(0, 0, 1, (double) HEIGHT / WIDTH);
        return SinglePass.render(scene, space.outputToStored(Turn.NONE, frame, output), output);
    }

    /** As large, tilted, and reduced, where a sample sees many pixels around. */
    @ParameterizedTest
    @CsvSource({"960, 640, 0", "960, 640, 3", "320, 213, 0", "150, 100, -2", "1920, 1280, 0"})
    void theSidesMeet_andNothingOfTheBandShows(int width, int height, double tilt) {
        PixelSize output = new PixelSize(width, height);
        PhotoSpace space = new PhotoSpace(SCANNED, new Pose(Turn.NONE, new Tilt(tilt)).withBands(BANDS));
        try (Picture scene = TestPhotos.scene(WIDTH, HEIGHT);
                Picture scan = scanned(scene);
                Picture joined = rendered(scan, space, Turn.NONE, output);
                Picture expected = uncut(scene, new Tilt(tilt), output)) {
            double psnr = TestPhotos.psnr(joined, expected);
            assertTrue(psnr > 45, psnr + " dB");
        }
    }

    @Test
    void aScanThatIsStoredOnItsSide_isTheSame() {
        PhotoSpace space = new PhotoSpace(SCANNED, Pose.AS_SHOT.withBands(BANDS));
        try (Picture scene = TestPhotos.scene(WIDTH, HEIGHT);
                Picture scan = scanned(scene);
                Picture stored = new Picture(new Mat());
                Picture joined = rendered(onItsSide(scan, stored), space, Turn.ofExif(8), scene.size())) {
            assertTrue(TestPhotos.psnr(joined, scene) > 50);
        }
    }

    /** As EXIF's orientation 8 has it: to be turned anticlockwise. */
    private static Picture onItsSide(Picture scan, Picture stored) {
        rotate(scan.mat(), stored.mat(), ROTATE_90_CLOCKWISE);
        return stored;
    }

    @Test
    void theScreen_showsTheSame() {
        PhotoSpace space = new PhotoSpace(SCANNED, Pose.AS_SHOT.withBands(BANDS));
        try (Picture scene = TestPhotos.scene(WIDTH, HEIGHT);
                Picture scan = scanned(scene);
                Picture shown = CorrectedRaster.framed(
                        scan.toRaster(), space, whole(scene.size()), scene.size(), PictureLight.of(Profile.SRGB))) {
            assertTrue(TestPhotos.psnr(shown, scene) > 45);
            CorrectedRaster all = CorrectedRaster.of(scan.toRaster(), space, PictureLight.of(Profile.SRGB));
            assertEquals(WIDTH, all.raster().width(), 1);
            assertEquals(0, all.box().centreX(), 1e-3);
        }
    }
}
