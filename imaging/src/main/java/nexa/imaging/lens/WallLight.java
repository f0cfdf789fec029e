package nexa.imaging.lens;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.lens.measure.LightFit;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneCurve;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/** The light of a wall all over a photo, from means of blocks. */
public final class WallLight {
    private static final int ACROSS = 48;
    private static final int DOWN = 32;

    private WallLight() {}

    /** @param profile of the photo's pixels; empty if they are taken for sRGB */
    public static List<LightFit.Sample> samples(Picture photo, Optional<Profile> profile) {
        ToneCurve curve = ToneCurve.of(profile);
        double most = photo.bits() == 16 ? 0xFFFF : 0xFF;
        int channels = Math.min(3, photo.channels());
        List<LightFit.Sample> samples = new ArrayList<>();
        try (Mat exact = new Mat();
                Mat blocks = new Mat();
                Size size = new Size(ACROSS, DOWN)) {
            photo.mat().convertTo(exact, CV_32F);
            resize(exact, blocks, size, 0, 0, INTER_AREA);
            try (FloatIndexer cells = blocks.createIndexer()) {
                for (int y = 0; y < DOWN; y++) {
                    for (int x = 0; x < ACROSS; x++) {
                        double light = 0;
                        for (int channel = 0; channel < channels; channel++) {
                            light += curve.toLight(cells.get(y, x, channel) / most) / channels;
                        }
                        samples.add(new LightFit.Sample(squared(photo, x, y), light));
                    }
                }
            }
        }
        return samples;
    }

    private static double squared(Picture photo, int x, int y) {
        double right = ((x + 0.5) / ACROSS - 0.5) * photo.size().width();
        double down = ((y + 0.5) / DOWN - 0.5) * photo.size().height();
        double width = photo.size().width();
        double height = photo.size().height();
        return 4 * (right * right + down * down) / (width * width + height * height);
    }
}
