package nexa.imaging.source;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * JPEGs of ink values (CMYK, YCCK), which OpenCV reads without their profile and always as inverted. The library used
 * here undoes the inversion where the file has one and converts by the embedded profile, or by a common one.
 */
final class InkJpeg {
    static {
        ImageIO.setUseCache(false); // no temporary files
    }

    private InkJpeg() {}

    /** Its pixels as stored, in sRGB. */
    static Picture decode(Path file, byte[] bytes) throws UnreadablePhotoException {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(bytes));
            if (image == null) {
                throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.UNSUPPORTED));
            }
            return new Picture(matrix(image));
        } catch (UnreadablePhotoException known) {
            throw known;
        } catch (IOException | RuntimeException damaged) {
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED));
        }
    }

    private static Mat matrix(BufferedImage image) {
        BufferedImage bgr = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D graphics = bgr.createGraphics();
        graphics.drawImage(image, 0, 0, null);
        graphics.dispose();
        Mat matrix = new Mat(image.getHeight(), image.getWidth(), opencv_core.CV_8UC3);
        try (BytePointer data = matrix.data()) {
            data.put(((DataBufferByte) bgr.getRaster().getDataBuffer()).getData());
        }
        return matrix;
    }
}
