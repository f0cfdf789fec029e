package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.BORDER_REPLICATE;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.extractChannel;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_LANCZOS4;
import static org.bytedeco.opencv.global.opencv_imgproc.remap;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.Bend;
import nexa.core.lens.Lens;
import nexa.core.lens.LensTerms;
import nexa.core.lens.LensUse;
import nexa.core.pixel.CornerLight;
import nexa.core.pixel.PixelSteps;
import nexa.core.plumb.Plumb;
import nexa.core.space.ColourMaps;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.TestPhotos;
import nexa.imaging.colour.Profile;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;

/** A corrected photo, against an independent warp of twice the resolution. */
class CorrectedRenderTest {
    private static final PixelSize PHOTO = new PixelSize(1500, 1000);
    private static final PixelSize OUTPUT = new PixelSize(800, 640);

    private static Lens lens(Optional<CornerLight> light) {
        return Lens.OFF.measured(
                LensUse.FOUND,
                "Kiln 18 mm",
                new LensTerms(
                        1 / 3.0,
                        new Bend(1.02, 0, -0.03, 0.004, 0),
                        new Bend(1.0008, 0, -0.0003, 0, 0),
                        new Bend(0.9995, 0, 0.0002, 0, 0),
                        light));
    }

    private static PhotoSpace space(Optional<CornerLight> light) {
        return new PhotoSpace(
                PHOTO, new Pose(Turn.NONE, new Tilt(1.4)).withLens(lens(light)).withPlumb(Plumb.of(5, -3, 0.8)));
    }

    @Test
    void render_isTheSameAsAnIndependentWarp() {
        ColourMaps maps =
                space(Optional.empty()).outputToStoredColours(Turn.NONE, new Frame(0.01, 0, 0.8, 0.64), OUTPUT);
        assertTrue(!maps.areAlike());
        try (Picture photo = TestPhotos.scene(PHOTO.width(), PHOTO.height());
                Picture rendered = SinglePass.render(photo, maps, OUTPUT);
                Picture expected = warped(photo, maps)) {
            double psnr = TestPhotos.psnr(rendered, expected);
            assertTrue(psnr > 40, psnr + " dB");
        }
    }

    /** Each channel by OpenCV alone, four samples for a pixel. */
    private static Picture warped(Picture photo, ColourMaps maps) {
        List<Mapping> channels = List.of(maps.blue(), maps.green(), maps.red());
        try (MatVector all = new MatVector(3);
                Size size = new Size(OUTPUT.width(), OUTPUT.height())) {
            for (int channel = 0; channel < 3; channel++) {
                try (Mat one = new Mat();
                        Mat twice = new Mat();
                        Mat xs = places(channels.get(channel), true);
                        Mat ys = places(channels.get(channel), false)) {
                    extractChannel(photo.mat(), one, channel);
                    remap(one, twice, xs, ys, INTER_LANCZOS4, BORDER_REPLICATE, new Scalar());
                    Mat averaged = new Mat();
                    resize(twice, averaged, size, 0, 0, INTER_AREA);
                    all.put(channel, averaged);
                }
            }
            Mat merged = new Mat();
            merge(all, merged);
            return new Picture(merged);
        }
    }

    private static Mat places(Mapping map, boolean ofX) {
        Mat places = new Mat(2 * OUTPUT.height(), 2 * OUTPUT.width(), CV_32F);
        try (FloatIndexer cells = places.createIndexer()) {
            for (int y = 0; y < 2 * OUTPUT.height(); y++) {
                for (int x = 0; x < 2 * OUTPUT.width(); x++) {
                    Point at = map.apply(new Point((x + 0.5) / 2, (y + 0.5) / 2));
                    cells.put(y, x, (float) ((ofX ? at.x() : at.y()) - 0.5));
                }
            }
        }
        return places;
    }

    @Test
    void light_isGivenWhereThePictureLooks() {
        PhotoSpace lit = space(Optional.of(new CornerLight(-0.5, 0.1, 0)));
        ColourMaps maps = lit.outputToStoredColours(Turn.NONE, new Frame(0.01, 0, 0.8, 0.64), OUTPUT);
        PixelSteps steps = lit.pose().correction().steps(List.of());
        try (Picture photo = TestPhotos.scene(PHOTO.width(), PHOTO.height());
                Picture whole = LightSteps.apply(photo, Optional.empty(), steps.light());
                Picture expected = SinglePass.render(whole, maps, OUTPUT);
                Picture rendered = SinglePass.render(
                        photo, PictureLight.of(Optional.empty()), steps, lit.asShotToStored(Turn.NONE), maps, OUTPUT)) {
            assertTrue(TestPhotos.psnr(expected, rendered) > 60);
        }
    }

    /** What the screen shows of a corrected photo is where the delivered picture has it. */
    @Test
    void picturesForTheScreen_showTheSame() {
        PhotoSpace space = new PhotoSpace(
                PHOTO, Pose.AS_SHOT.withLens(lens(Optional.empty())).withPlumb(Plumb.of(5, -3, 0.8)));
        try (Picture photo = TestPhotos.scene(PHOTO.width(), PHOTO.height())) {
            Raster plain = raster(photo);
            CorrectedRaster corrected = CorrectedRaster.of(plain, space, PictureLight.of(Profile.SRGB));
            PixelSize size =
                    new PixelSize(corrected.raster().width(), corrected.raster().height());
            try (Picture rendered =
                    SinglePass.render(photo, space.outputToStoredColours(Turn.NONE, corrected.box(), size), size)) {
                Raster expected = raster(rendered);
                int middle = size.height() / 2 * size.width() + size.width() / 2;
                for (int off : new int[] {0, 100, -150, 60 * size.width(), -90 * size.width() + 31}) {
                    int shown = corrected.raster().argb()[middle + off];
                    int meant = expected.argb()[middle + off];
                    for (int channel = 0; channel < 24; channel += 8) {
                        assertEquals(meant >> channel & 0xFF, shown >> channel & 0xFF, 4);
                    }
                }
            }
        }
    }

    private static Raster raster(Picture picture) {
        int[] argb = new int[picture.size().width() * picture.size().height()];
        try (UByteIndexer pixels = picture.mat().createIndexer()) {
            for (int i = 0; i < argb.length; i++) {
                long y = i / picture.size().width();
                long x = i % picture.size().width();
                argb[i] = 0xFF << 24 | pixels.get(y, x, 2) << 16 | pixels.get(y, x, 1) << 8 | pixels.get(y, x, 0);
            }
        }
        return new Raster(picture.size().width(), picture.size().height(), argb);
    }
}
