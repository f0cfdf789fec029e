package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.bitwise_not;
import static org.bytedeco.opencv.global.opencv_imgproc.DIST_L2;
import static org.bytedeco.opencv.global.opencv_imgproc.DIST_LABEL_PIXEL;
import static org.bytedeco.opencv.global.opencv_imgproc.DIST_MASK_5;
import static org.bytedeco.opencv.global.opencv_imgproc.distanceTransformWithLabels;

import java.nio.ByteBuffer;
import java.nio.IntBuffer;
import java.util.Arrays;
import org.bytedeco.opencv.opencv_core.Mat;

/** For each pixel beyond the photo the one of the photo that is nearest to it. */
final class NearestEdge {
    private NearestEdge() {}

    /** Indices counted row by row; -1 in the photo, and everywhere if there is none. */
    static int[] of(Mat mask) {
        int count = mask.rows() * mask.cols();
        int[] nearest = new int[count];
        try (Mat outside = new Mat();
                Mat distances = new Mat();
                Mat labels = new Mat()) {
            bitwise_not(mask, outside);
            distanceTransformWithLabels(outside, distances, labels, DIST_L2, DIST_MASK_5, DIST_LABEL_PIXEL);
            IntBuffer label = labels.createBuffer();
            ByteBuffer seen = mask.createBuffer();
            int[] pixelOf = pixelOf(label, seen, count);
            for (int i = 0; i < count; i++) {
                nearest[i] = seen.get(i) != 0 ? -1 : pixelOf[label.get(i)];
            }
        }
        return nearest;
    }

    /** Each photo pixel has a label of its own. */
    private static int[] pixelOf(IntBuffer label, ByteBuffer seen, int count) {
        int[] pixelOf = new int[count + 1];
        Arrays.fill(pixelOf, -1);
        for (int i = 0; i < count; i++) {
            if (seen.get(i) != 0) {
                pixelOf[label.get(i)] = i;
            }
        }
        return pixelOf;
    }
}
