package nexa.imaging.pixels;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Pixels of the JDK's decoders: they read rare forms of BMP and GIF that OpenCV takes for damaged or shows wrong. */
public final class JdkPixels {
    private static final Logger LOG = LoggerFactory.getLogger(JdkPixels.class);
    private static final List<String> BEGINNINGS = List.of("BM", "GIF8");

    private JdkPixels() {}

    /** Empty if they are of another kind, really damaged, or too many for Java's memory. */
    public static Optional<Picture> decode(Path file) {
        try {
            return isOfSuchKind(file)
                    ? Optional.ofNullable(ImageIO.read(file.toFile()))
                            .map(JdkPixels::matrix)
                            .map(Picture::new)
                    : Optional.empty();
        } catch (IOException | RuntimeException | OutOfMemoryError unread) { // there may be no room for it
            LOG.info("The JDK does not read {}: {}", file, unread.toString());
            return Optional.empty();
        }
    }

    private static boolean isOfSuchKind(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            String beginning = new String(in.readNBytes(4), StandardCharsets.ISO_8859_1);
            return BEGINNINGS.stream().anyMatch(beginning::startsWith);
        }
    }

    /** An image's pixels in three channels; what is transparent shows white. */
    public static Mat matrix(BufferedImage image) {
        BufferedImage bgr = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D graphics = bgr.createGraphics();
        graphics.drawImage(image, 0, 0, java.awt.Color.WHITE, null);
        graphics.dispose();
        Mat matrix = new Mat(image.getHeight(), image.getWidth(), CV_8UC3);
        try (BytePointer data = matrix.data()) {
            data.put(((DataBufferByte) bgr.getRaster().getDataBuffer()).getData());
        }
        return matrix;
    }
}
