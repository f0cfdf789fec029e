package nexa.shoot.handover;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_GRAYSCALE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imread;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.print.SizeTarget;
import nexa.core.space.Pose;
import nexa.imaging.TestPhotos;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Deliveries so small that a JPEG is decoded smaller for them: a PNG of the same pixels, which never is, tells what is right. */
class SmallDeliveryTest {
    private static final int SMALL = 150;

    @TempDir
    Path base;

    private TestShoot test;

    @BeforeEach
    void folder() throws IOException {
        test = new TestShoot(base);
    }

    /** Sides that no reduction divides. */
    @Test
    void smallDelivery_isAsFromAllPixels() throws IOException {
        try (Mat rings = rings(1_613, 1_207);
                IntPointer best = new IntPointer(IMWRITE_JPEG_QUALITY, 100)) {
            imwrite(test.folder().resolve("a.jpg").toString(), rings, best);
            imwrite(test.folder().resolve("b.png").toString(), rings);
        }
        List<Path> delivered = deliver();
        try (Picture fromJpeg = Decoder.decode(delivered.getFirst(), Reduction.NONE);
                Picture fromPng = Decoder.decode(delivered.getLast(), Reduction.NONE)) {
            assertEquals(SMALL, fromJpeg.size().longEdge());
            double psnr = TestPhotos.psnr(fromJpeg, fromPng);
            assertTrue(psnr > 40, "a shift of a quarter of a pixel gives 20: " + psnr);
        }
    }

    @Test
    void greyPhoto_staysGrey() throws IOException {
        Path jpeg = test.photo("a.jpg", 1_600, 1_200);
        try (Mat grey = imread(jpeg.toString(), IMREAD_GRAYSCALE)) {
            imwrite(jpeg.toString(), grey);
        }
        try (Picture delivered = Decoder.decode(deliver().getFirst(), Reduction.NONE)) {
            assertEquals(1, delivered.channels());
        }
    }

    /** Waves of a few delivered pixels about the corner from which places are counted. */
    private static Mat rings(int width, int height) {
        Mat rings = new Mat(height, width, CV_8UC3);
        try (UByteIndexer values = rings.createIndexer()) {
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    int value = (int) (128 + 100 * Math.sin(Math.hypot(x, y) / 6));
                    values.put(y, x, 0, value);
                    values.put(y, x, 1, value);
                    values.put(y, x, 2, value);
                }
            }
        }
        return rings;
    }

    /** All photos, tilted, in 4:5 as PNGs; in the photos' order. */
    private List<Path> deliver() throws IOException {
        try (Shoot shoot = test.open()) {
            Format format = TestShoot.addFormat(shoot, "Web", "4:5")
                    .sized(new SizeTarget.LongEdge(SMALL))
                    .filed(new FileSettings(FileType.PNG, 95));
            for (Photo photo : shoot.photos()) {
                Framing before = shoot.framing(photo);
                shoot.apply(Edit.framing(
                        "edit.tilt", photo.id(), before, before.withPose(new Pose(Turn.NONE, new Tilt(3)))));
            }
            HandoverRequest request = new HandoverRequest(base.resolve("out"), List.of(format));
            return new Handover(HandoverPlan.of(shoot, request), told -> {}, new RunControl())
                    .run(shoot).stream()
                            .map(outcome -> assertInstanceOf(Outcome.Written.class, outcome, outcome::toString)
                                    .delivery()
                                    .output())
                            .toList();
        }
    }
}
