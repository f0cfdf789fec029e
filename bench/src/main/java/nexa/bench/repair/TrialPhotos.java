package nexa.bench.repair;

import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_COLOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imread;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;

/** The photographs of a folder, one after another, no larger than a preview. */
final class TrialPhotos {
    /** 1.5 megapixels at 3:2. */
    static final int LONG_EDGE = 1500;

    private TrialPhotos() {}

    static List<Path> in(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> isPhoto(file.getFileName().toString().toLowerCase(Locale.ROOT)))
                    .sorted()
                    .toList();
        }
    }

    private static boolean isPhoto(String name) {
        return name.endsWith(".jpg") || name.endsWith(".png");
    }

    /** Blue, green, red. */
    static Picture read(Path file) {
        try (Mat whole = imread(file.toString(), IMREAD_COLOR);
                Picture picture = new Picture(whole.clone())) {
            return picture.reducedTo(LONG_EDGE);
        }
    }
}
