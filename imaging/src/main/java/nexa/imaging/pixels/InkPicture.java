package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC4;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;

import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Amounts of ink in native memory: cyan, magenta, yellow and black of 8 or 16 bits, 0 = none; row by row from the top. To
 * be closed by whoever got it.
 *
 * @param mat of four channels, taken over
 */
public record InkPicture(Mat mat) implements AutoCloseable {
    private static final int INKS = 4;

    /**
     * A copy of what one of the JDK's readers read.
     *
     * @param raster of 8 or 16 bits
     * @throws IllegalArgumentException if it has other channels than four
     */
    public static InkPicture of(Raster raster) {
        if (raster.getNumBands() != INKS) {
            throw new IllegalArgumentException(raster.getNumBands() + " channels");
        }
        boolean isDeep = raster.getTransferType() == DataBuffer.TYPE_USHORT;
        int width = raster.getWidth();
        Mat matrix = new Mat(raster.getHeight(), width, isDeep ? CV_16UC4 : CV_8UC4);
        for (int y = 0; y < raster.getHeight(); y++) {
            Object row = raster.getDataElements(raster.getMinX(), raster.getMinY() + y, width, 1, null);
            try (BytePointer target = matrix.ptr(y)) {
                if (row instanceof short[] deep) {
                    new ShortPointer(target).put(deep);
                } else {
                    target.put((byte[]) row);
                }
            }
        }
        return new InkPicture(matrix);
    }

    @Override
    public void close() {
        mat.close();
    }
}
