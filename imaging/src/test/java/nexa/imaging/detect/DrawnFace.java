package nexa.imaging.detect;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_imgproc.FILLED;
import static org.bytedeco.opencv.global.opencv_imgproc.GaussianBlur;
import static org.bytedeco.opencv.global.opencv_imgproc.LINE_AA;
import static org.bytedeco.opencv.global.opencv_imgproc.ellipse;

import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/** A face drawn with soft shades: the networks take it for one. */
final class DrawnFace {
    private DrawnFace() {}

    /** @param lids how far they are apart, half of it, in pixels */
    static Picture picture(int lids) {
        Mat mat = new Mat(1000, 1200, CV_8UC3, new Scalar(150, 140, 130, 0));
        fill(mat, 600, 900, 330, 260, 70); // shoulders
        fill(mat, 600, 440, 215, 280, 60); // hair
        fill(mat, 600, 480, 175, 235, 200); // face
        fill(mat, 600, 330, 150, 60, 208); // forehead
        for (int x : new int[] {520, 680}) {
            fill(mat, x, 425, 66, 44, 138); // socket
            fill(mat, x, 368, 56, 9, 96); // brow
            fill(mat, x, 430, 40, lids, 205); // white of the eye
            fill(mat, x, 430, 21, lids, 38); // iris
            fill(mat, x, 520, 50, 40, 210); // cheek
        }
        fill(mat, 600, 460, 20, 80, 212); // bridge of the nose
        fill(mat, 600, 540, 38, 14, 140); // nostrils
        fill(mat, 600, 618, 70, 18, 110); // mouth
        fill(mat, 600, 650, 50, 8, 170); // below the lip
        GaussianBlur(mat, mat, new Size(13, 13), 0);
        return new Picture(mat);
    }

    private static void fill(Mat mat, int x, int y, int halfWidth, int halfHeight, int grey) {
        try (var centre = new org.bytedeco.opencv.opencv_core.Point(x, y);
                Size axes = new Size(halfWidth, halfHeight);
                Scalar colour = new Scalar(grey * 0.85, grey * 0.92, grey, 0)) {
            ellipse(mat, centre, axes, 0, 0, 360, colour, FILLED, LINE_AA, 0);
        }
    }
}
