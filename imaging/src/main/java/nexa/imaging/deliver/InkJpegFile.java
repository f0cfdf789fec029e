package nexa.imaging.deliver;

import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import nexa.imaging.pixels.InkPicture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * A JPEG of ink values as presses take them: four components of full resolution, inverted, which Adobe's marker stands
 * for (Adobe technical note 5116, section 18). OpenCV writes none.
 */
final class InkJpegFile {
    private static final int INKS = 4;
    private static final int FULL = 255;
    private static final int START_OF_IMAGE = 2;
    private static final short ADOBE_MARKER = (short) 0xFFEE;
    private static final short ADOBE_LENGTH = 14;
    private static final short ADOBE_VERSION = 100;

    /** Inks as they are, not turned into luma and chroma. */
    private static final byte NO_TRANSFORM = 0;

    static {
        ImageIO.setUseCache(false); // no temporary files
    }

    private InkJpegFile() {}

    /**
     * Without metadata, Adobe's marker first.
     *
     * @param picture of 8 bits
     * @param quality 1 to 100
     */
    static byte[] bytes(InkPicture picture, int quality) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 20);
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(quality / 100f);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(inverted(picture.mat()), null, null), how);
        } finally {
            writer.dispose();
        }
        return marked(out.toByteArray());
    }

    private static Raster inverted(Mat inks) {
        byte[] bytes = new byte[(int) inks.total() * INKS];
        try (Mat packed = inks.isContinuous() ? new Mat(inks) : inks.clone();
                BytePointer data = packed.data()) {
            data.get(bytes);
        }
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (byte) (FULL - bytes[i]);
        }
        return Raster.createInterleavedRaster(
                new DataBufferByte(bytes, bytes.length),
                inks.cols(),
                inks.rows(),
                inks.cols() * INKS,
                INKS,
                new int[] {0, 1, 2, 3},
                null);
    }

    private static byte[] marked(byte[] jpeg) {
        ByteBuffer marked = ByteBuffer.allocate(jpeg.length + Short.BYTES + ADOBE_LENGTH);
        marked.put(jpeg, 0, START_OF_IMAGE).putShort(ADOBE_MARKER).putShort(ADOBE_LENGTH);
        marked.put("Adobe".getBytes(StandardCharsets.US_ASCII)).putShort(ADOBE_VERSION);
        marked.putInt(0).put(NO_TRANSFORM);
        return marked.put(jpeg, START_OF_IMAGE, jpeg.length - START_OF_IMAGE).array();
    }
}
