package nexa.imaging.codec;

import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import nexa.imaging.file.ToldException;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.JdkPixels;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.JpegSegments;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * JPEGs of ink values (CMYK, YCCK), which OpenCV reads without their profile. The library used here converts by the
 * embedded profile, or by a common one.
 */
final class InkJpeg {
    private static final int ADOBE_MARKER = 0xEE;

    static {
        ImageIO.setUseCache(false); // no temporary files
    }

    private InkJpeg() {}

    /** Its pixels as stored, in sRGB. */
    static Picture decode(Path file, byte[] bytes) throws UnreadablePhotoException {
        try {
            return new Picture(isInverted(file) ? inverted(bytes) : plain(bytes));
        } catch (IOException | RuntimeException damaged) {
            throw new UnreadablePhotoException(file, Trouble.of(Trouble.Kind.DAMAGED), damaged);
        }
    }

    /** Adobe's marker, APP14, stands for inverted values (Adobe technical note 5116, section 18). */
    private static boolean isInverted(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            return JpegSegments.walk(channel, 0).segments().stream()
                    .anyMatch(segment -> segment.marker() == ADOBE_MARKER);
        }
    }

    /** As nearly all are; the library takes every one for inverted. */
    private static Mat inverted(byte[] bytes) throws IOException {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(bytes));
        if (image == null) {
            throw new ToldException("told.codec.no-reader");
        }
        return JdkPixels.matrix(image);
    }

    /** Amounts of ink as they are. Without a profile each ink takes its share of the light away. */
    private static Mat plain(byte[] bytes) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            reader.setInput(in);
            Raster ink = reader.readRaster(0, null);
            Mat matrix = new Mat(ink.getHeight(), ink.getWidth(), opencv_core.CV_8UC3);
            int[] cmyk = new int[4];
            try (UByteIndexer pixels = matrix.createIndexer()) {
                for (int y = 0; y < ink.getHeight(); y++) {
                    for (int x = 0; x < ink.getWidth(); x++) {
                        ink.getPixel(x, y, cmyk);
                        int light = 255 - cmyk[3];
                        for (int channel = 0; channel < 3; channel++) {
                            pixels.put(y, x, 2 - channel, (255 - cmyk[channel]) * light / 255);
                        }
                    }
                }
            }
            return matrix;
        } finally {
            reader.dispose();
        }
    }
}
