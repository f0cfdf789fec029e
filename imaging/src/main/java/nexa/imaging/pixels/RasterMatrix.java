package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC;

import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.util.stream.IntStream;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.opencv_core.Mat;

/** Samples that one of the JDK's readers read, in native memory. */
public final class RasterMatrix {
    private RasterMatrix() {}

    /**
     * A copy of the first channels, in their order, row by row from the top.
     *
     * @param raster of 8 or 16 bits
     * @throws IllegalArgumentException if it has fewer channels
     */
    public static Mat of(Raster raster, int channels) {
        if (raster.getNumBands() < channels) {
            throw new IllegalArgumentException(raster.getNumBands() + " channels");
        }
        Raster first = first(raster, channels);
        boolean isDeep = raster.getTransferType() == DataBuffer.TYPE_USHORT;
        int width = first.getWidth();
        Mat matrix = new Mat(first.getHeight(), width, isDeep ? CV_16UC(channels) : CV_8UC(channels));
        for (int y = 0; y < first.getHeight(); y++) {
            Object row = first.getDataElements(first.getMinX(), first.getMinY() + y, width, 1, null);
            try (BytePointer target = matrix.ptr(y)) {
                if (row instanceof short[] deep) {
                    new ShortPointer(target).put(deep);
                } else {
                    target.put((byte[]) row);
                }
            }
        }
        return matrix;
    }

    private static Raster first(Raster raster, int channels) {
        int x = raster.getMinX();
        int y = raster.getMinY();
        int[] bands = IntStream.range(0, channels).toArray();
        return raster.getNumBands() == channels
                ? raster
                : raster.createChild(x, y, raster.getWidth(), raster.getHeight(), x, y, bands);
    }
}
