package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.meanStdDev;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencode;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.JpegCodec;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Photos that are reduced so much that their pixels are averaged first, by the renderer or by a JPEG's decoder. */
class AveragedRenderTest {
    private static final int SIDE = 1_200;
    private static final double STRENGTH = 100;

    /** Waves up and down, of some cycles an output pixel. */
    private static Picture waves(double cycles, double reduction) {
        Mat mat = new Mat(SIDE, SIDE, CV_8UC1);
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (int y = 0; y < SIDE; y++) {
                int value = (int) Math.round(128 + STRENGTH * Math.sin(2 * Math.PI * cycles / reduction * y));
                for (int x = 0; x < SIDE; x++) {
                    pixels.put(y, x, value);
                }
            }
        }
        return new Picture(mat);
    }

    private static PixelSize output(double reduction) {
        int side = (int) (SIDE / reduction);
        return new PixelSize(side, side);
    }

    private static Picture decoded(Picture picture, Reduction reduction) throws UnreadablePhotoException {
        try (BytePointer jpeg = new BytePointer();
                IntPointer best = new IntPointer(IMWRITE_JPEG_QUALITY, 100)) {
            imencode(".jpg", picture.mat(), jpeg, best);
            byte[] bytes = new byte[(int) jpeg.limit()];
            jpeg.get(bytes);
            return JpegCodec.decode(Path.of("made.jpg"), bytes, reduction).picture();
        }
    }

    /** How strong waves are away from the edges. */
    private static double strength(Picture rendered) {
        int width = rendered.size().width();
        int height = rendered.size().height();
        try (Rect inner = new Rect(width / 8, height / 8, width * 3 / 4, height * 3 / 4);
                Mat part = new Mat(rendered.mat(), inner);
                Mat mean = new Mat();
                Mat deviation = new Mat()) {
            meanStdDev(part, mean, deviation);
            return deviation.createIndexer().getDouble(0, 0) * Math.sqrt(2);
        }
    }

    @ParameterizedTest
    @CsvSource({"0.15, 3", "0.35, 3", "0.35, 3.4", "0.35, 4", "0.35, 4.5", "0.35, 5.9", "0.35, 6", "0.35, 13"})
    void detailThatAnOutputHolds_keepsItsStrength(double cycles, double reduction) {
        assertTrue(SourcePart.block(reduction) > 1);
        try (Picture waves = waves(cycles, reduction);
                Picture rendered = SinglePass.render(waves, Affine.scale(reduction, reduction), output(reduction))) {
            assertEquals(STRENGTH, strength(rendered), 0.025 * STRENGTH);
        }
    }

    @ParameterizedTest
    @CsvSource({"0.35, 3, HALF", "0.35, 3.7, HALF", "0.35, 5, HALF", "0.35, 6.5, QUARTER", "0.35, 12, EIGHTH"})
    void aJpegDecodedSmaller_keepsItToo(double cycles, double reduction, Reduction decoding)
            throws UnreadablePhotoException {
        double scale = 1.0 / decoding.factor();
        Mapping map = Affine.scale(reduction, reduction).then(Affine.scale(scale, scale));
        assertEquals(
                decoding,
                Reduction.atMost(SinglePass.mostAveraged(
                        SinglePass.leastReduction(Affine.scale(reduction, reduction), output(reduction)))));
        try (Picture waves = waves(cycles, reduction);
                Picture smaller = decoded(waves, decoding);
                Picture rendered = SinglePass.render(smaller, map, output(reduction))) {
            assertEquals(decoding.factor(), smaller.mean());
            assertEquals(STRENGTH, strength(rendered), 0.025 * STRENGTH);
        }
    }

    /** Waves that the output can't hold are gone, not seen as others. */
    @ParameterizedTest
    @ValueSource(doubles = {3, 3.5, 4.4, 6, 9})
    void detailThatAnOutputCannotHold_isGone(double reduction) {
        try (Picture waves = waves(0.72, reduction);
                Picture rendered = SinglePass.render(waves, Affine.scale(reduction, reduction), output(reduction))) {
            assertTrue(strength(rendered) < 0.05 * STRENGTH, "left: " + strength(rendered));
        }
    }

    /** Of 16 bits and in colour too, and where sides are no whole number of blocks. */
    @ParameterizedTest
    @ValueSource(doubles = {3, 5.3})
    void aDeepScene_isTheSceneSmaller(double reduction) {
        PixelSize output = new PixelSize((int) (1_213 / reduction), (int) (807 / reduction));
        try (Picture deep = TestPhotos.deepScene(1_213, 807);
                Picture scene = deep.to8Bits();
                Picture rendered = SinglePass.render(deep, Affine.scale(reduction, reduction), output);
                Picture eight = SinglePass.render(scene, Affine.scale(reduction, reduction), output)) {
            assertEquals(16, rendered.bits());
            try (Picture shown = rendered.to8Bits()) {
                assertTrue(TestPhotos.psnr(shown, eight) > 48);
            }
        }
    }
}
