package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_8U;

import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;

/** A file's bytes as OpenCV's decoders want them. */
final class EncodedBytes {
    private static final byte[] END_OF_JPEG = {(byte) 0xFF, (byte) 0xD9};

    /** OpenCV counts in 32 bits. */
    private static final int LONGEST = Integer.MAX_VALUE - END_OF_JPEG.length;

    private EncodedBytes() {}

    /**
     * A new one-row matrix of the bytes and a JPEG end marker: with it a JPEG that was cut off decodes as far as it goes,
     * while decoders pass over it after a whole file.
     */
    static Mat matrix(byte[] bytes) {
        Mat matrix = new Mat(1, bytes.length + END_OF_JPEG.length, CV_8U);
        try (BytePointer data = matrix.data()) {
            data.put(bytes, 0, bytes.length);
        }
        return ended(matrix);
    }

    /**
     * The same of a whole file, however large, without Java's memory.
     *
     * @throws IOException if it can't be read, or is of more than 2 GiB
     */
    static Mat matrix(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file)) {
            int length = (int) Math.min(channel.size(), Integer.MAX_VALUE);
            if (length > LONGEST) {
                throw new IOException(file + " is longer than a matrix");
            }
            Mat matrix = new Mat(1, length + END_OF_JPEG.length, CV_8U);
            try (BytePointer data = matrix.data()) {
                ByteBuffer all = data.capacity(length).asByteBuffer();
                while (all.hasRemaining()) {
                    if (channel.read(all) < 0) {
                        throw new EOFException(file + " became shorter");
                    }
                }
            }
            return ended(matrix);
        }
    }

    private static Mat ended(Mat matrix) {
        try (BytePointer data = matrix.data()) {
            data.position(matrix.cols() - END_OF_JPEG.length).put(END_OF_JPEG, 0, END_OF_JPEG.length);
        }
        return matrix;
    }
}
