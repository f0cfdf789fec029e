package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_16U;
import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_core.add;
import static org.bytedeco.opencv.global.opencv_core.extractChannel;
import static org.bytedeco.opencv.global.opencv_core.merge;
import static org.bytedeco.opencv.global.opencv_core.multiply;
import static org.bytedeco.opencv.global.opencv_core.split;

import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/** Alpha compositing over white: colour × alpha + white × (1 - alpha), per channel. */
final class Flattening {
    private Flattening() {}

    /** A new matrix without the fourth channel; a plain copy if there is none. */
    static Mat onWhite(Mat mat) {
        if (mat.channels() != 4) {
            return mat.clone();
        }
        double white = mat.depth() == CV_16U ? 65535 : 255;
        Mat flat = new Mat();
        try (MatVector channels = new MatVector();
                Mat alpha = new Mat();
                Mat behind = new Mat()) {
            split(mat, channels);
            extractChannel(mat, alpha, 3);
            alpha.convertTo(alpha, CV_32F, 1 / white, 0);
            alpha.convertTo(behind, CV_32F, -white, white);
            Mat[] opaque = new Mat[3];
            for (int c = 0; c < 3; c++) {
                opaque[c] = blend(channels.get(c), alpha, behind, mat.depth());
            }
            merge(new MatVector(opaque), flat);
        }
        return flat;
    }

    private static Mat blend(Mat channel, Mat alpha, Mat behind, int depth) {
        Mat mixed = new Mat();
        channel.convertTo(mixed, CV_32F);
        multiply(mixed, alpha, mixed);
        add(mixed, behind, mixed);
        mixed.convertTo(mixed, depth);
        return mixed;
    }
}
