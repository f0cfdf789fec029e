package nexa.bench.base;

import static org.bytedeco.opencv.global.opencv_core.CV_64F;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.add;
import static org.bytedeco.opencv.global.opencv_core.randn;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/** 24-megapixel JPEGs made from demo photos, with grain so that they compress like real ones. */
public final class LargePhoto {
    static final int WIDTH = 6000;
    static final int HEIGHT = 4000;
    private static final double GRAIN = 5;
    private static final int QUALITY = 92;

    private LargePhoto() {}

    /** Writes one made from the named demo photo. */
    public static void write(String demoPhoto, Path file) throws IOException {
        Path demo = Path.of(System.getProperty("nexa.home", "."), "demo", "fennick-kiln", demoPhoto);
        try (Picture small = Decoder.decode(demo, Reduction.NONE);
                Size size = size(small);
                Mat large = new Mat();
                Mat grain = new Mat(size.height(), size.width(), CV_8UC3);
                Mat mean = new Mat(1, 1, CV_64F, Scalar.all(GRAIN));
                Mat spread = new Mat(1, 1, CV_64F, Scalar.all(GRAIN))) {
            resize(small.mat(), large, size, 0, 0, INTER_CUBIC);
            randn(grain, mean, spread);
            add(large, grain, large);
            write(new Picture(large.clone()), file);
        }
    }

    private static Size size(Picture small) {
        return small.size().width() >= small.size().height() ? new Size(WIDTH, HEIGHT) : new Size(HEIGHT, WIDTH);
    }

    /** With the small picture that cameras put into their files. */
    private static void write(Picture photo, Path file) throws IOException {
        try (Source source = new Source(photo, SourceMetadata.NONE)) {
            Files.write(file, Encoder.encode(photo, source, new FileSettings(FileType.JPEG, QUALITY)));
        }
    }
}
