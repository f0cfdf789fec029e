package nexa.imaging;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.geometry.Turn;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/** Photos made for tests: smooth, different in every direction, so that any wrong turn or shift shows. */
public final class TestPhotos {
    private TestPhotos() {}

    /** Red grows to the right, green downwards, blue is a soft spot off centre. */
    public static Picture scene(int width, int height) {
        Mat mat = new Mat(height, width, CV_8UC3);
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (long y = 0; y < height; y++) {
                for (long x = 0; x < width; x++) {
                    double[] bgr = colour((x + 0.5) / width, (y + 0.5) / height);
                    pixels.put(y, x, (int) (255 * bgr[0]), (int) (255 * bgr[1]), (int) (255 * bgr[2]));
                }
            }
        }
        return new Picture(mat);
    }

    /** The same in 16 bits. */
    public static Picture deepScene(int width, int height) {
        Mat mat = new Mat(height, width, CV_16UC3);
        try (UShortIndexer pixels = mat.createIndexer()) {
            for (long y = 0; y < height; y++) {
                for (long x = 0; x < width; x++) {
                    double[] bgr = colour((x + 0.5) / width, (y + 0.5) / height);
                    pixels.put(y, x, (int) (65535 * bgr[0]), (int) (65535 * bgr[1]), (int) (65535 * bgr[2]));
                }
            }
        }
        return new Picture(mat);
    }

    /**
     * A PNG of the scene.
     *
     * @param isDeep whether it has 16 bits
     */
    public static Path png(Path file, int width, int height, boolean isDeep) {
        try (Picture scene = isDeep ? deepScene(width, height) : scene(width, height)) {
            assertTrue(imwrite(file.toString(), scene.mat()));
        }
        return file;
    }

    /** What the headers of a file that can be read say. */
    public static PhotoFacts facts(Path file) {
        return assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file), file.toString())
                .facts();
    }

    private static double[] colour(double x, double y) {
        double spot = Math.exp(-12 * ((x - 0.3) * (x - 0.3) + (y - 0.7) * (y - 0.7)));
        return new double[] {0.15 + 0.8 * spot, 0.1 + 0.8 * y, 0.1 + 0.8 * x};
    }

    /** A JPEG of the scene, stored as a camera held that way stores it; with make, copyright and capture time. */
    public static Path jpeg(Path file, int width, int height, int orientation) throws IOException {
        Turn toStored = Turn.ofExif(orientation).inverse();
        try (Picture upright = scene(width, height);
                Picture stored = upright.turned(toStored)) {
            return write(file, withExif(Encoder.plainJpeg(stored, 96), orientation, "2026:09:21 09:12:08"));
        }
    }

    /** One as the camera held it, taken at another moment, such as {@code 2026:10:01 08:00:00}. */
    public static Path jpegTaken(Path file, int width, int height, String taken) throws IOException {
        try (Picture scene = scene(width, height)) {
            return write(file, withExif(Encoder.plainJpeg(scene, 96), 1, taken));
        }
    }

    private static byte[] withExif(byte[] jpeg, int orientation, String taken) throws IOException {
        TiffOutputSet exif = new TiffOutputSet();
        exif.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_MAKE, "Aldermoor");
        exif.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_COPYRIGHT, "(c) 2026 Fennick Kiln");
        exif.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_ORIENTATION, (short) orientation);
        exif.getOrCreateExifDirectory().add(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL, taken);
        exif.getOrCreateExifDirectory().add(ExifTagConstants.EXIF_TAG_ISO, (short) 200);
        exif.getOrCreateGpsDirectory();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new ExifRewriter().updateExifMetadataLossless(jpeg, out, exif);
        return out.toByteArray();
    }

    /** An even grey photo of a camera and lens. */
    public static Path jpegBy(
            Path file,
            int width,
            int height,
            String maker,
            String model,
            String lens,
            double focal,
            double aperture,
            double distance)
            throws IOException {
        TiffOutputSet exif = new TiffOutputSet();
        exif.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_MAKE, maker);
        exif.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_MODEL, model);
        TiffOutputDirectory settings = exif.getOrCreateExifDirectory();
        settings.add(ExifTagConstants.EXIF_TAG_LENS_MODEL, lens);
        settings.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH, RationalNumber.valueOf(focal));
        settings.add(ExifTagConstants.EXIF_TAG_FNUMBER, RationalNumber.valueOf(aperture));
        settings.add(ExifTagConstants.EXIF_TAG_SUBJECT_DISTANCE, RationalNumber.valueOf(distance));
        try (Mat grey = new Mat(height, width, CV_8UC3, Scalar.all(128))) {
            imwrite(file.toString(), grey);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new ExifRewriter().updateExifMetadataLossless(Files.readAllBytes(file), out, exif);
        return write(file, out.toByteArray());
    }

    public static Path write(Path file, byte[] bytes) throws IOException {
        return Files.write(file, bytes);
    }

    /** Peak signal-to-noise ratio in decibels of two pictures of the same size. */
    public static double psnr(Picture a, Picture b) {
        double peak = a.bits() == 16 ? 65535 : 255;
        return org.bytedeco.opencv.global.opencv_core.PSNR(a.mat(), b.mat(), peak);
    }
}
