package nexa.bench.kinds;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.PSNR;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import nexa.core.geometry.Affine;
import nexa.core.geometry.PixelSize;
import nexa.imaging.RawMaker;
import nexa.imaging.apart.Apart;
import nexa.imaging.apart.raw.Demosaic;
import nexa.imaging.apart.raw.Development;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;
import nexa.imaging.render.SinglePass;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * What each way to develop a raw file leaves of a photograph, at full size and made smaller: photographs of a folder are seen
 * through a sensor's colours and developed, and compared with themselves.
 */
public final class DemosaicTrial {
    private static final List<Double> REDUCTIONS = List.of(1.0, 1.25, 1.5, 2.0, 2.5, 3.0, 4.0);
    private static final int BITS = 14;

    private DemosaicTrial() {}

    public static void run(Path folder) throws IOException {
        List<BufferedImage> photos = photos(folder);
        System.out.println(photos.size() + " photographs, PSNR, mean (lowest), made smaller by " + REDUCTIONS);
        for (Demosaic demosaic : Demosaic.values()) {
            List<List<Double>> found = new ArrayList<>();
            for (BufferedImage photo : photos) {
                found.add(differences(photo, demosaic));
            }
            System.out.println(demosaic + ": " + summary(found));
        }
    }

    /** Those that ImageIO reads in three colours, with even sides. */
    private static List<BufferedImage> photos(Path folder) throws IOException {
        List<BufferedImage> photos = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                BufferedImage photo = ImageIO.read(file.toFile());
                if (photo != null && photo.getColorModel().getNumComponents() == 3) {
                    photos.add(even(photo));
                }
            }
        }
        return photos;
    }

    private static BufferedImage even(BufferedImage photo) {
        BufferedImage even =
                new BufferedImage(photo.getWidth() & ~1, photo.getHeight() & ~1, BufferedImage.TYPE_3BYTE_BGR);
        even.createGraphics().drawImage(photo, 0, 0, null);
        return even;
    }

    /** In dB, for each reduction. */
    private static List<Double> differences(BufferedImage photo, Demosaic demosaic) throws IOException {
        try (Picture truth = picture(photo);
                Picture developed = developed(photo, demosaic)) {
            return REDUCTIONS.stream()
                    .map(reduction -> difference(truth, developed, reduction))
                    .toList();
        }
    }

    private static Picture picture(BufferedImage photo) {
        Mat pixels = new Mat(photo.getHeight(), photo.getWidth(), CV_8UC3);
        pixels.data().put(((DataBufferByte) photo.getRaster().getDataBuffer()).getData());
        return new Picture(pixels);
    }

    private static Picture developed(BufferedImage photo, Demosaic demosaic) throws IOException {
        PixelSize size = new PixelSize(photo.getWidth(), photo.getHeight());
        Path raw = Files.createTempFile("nexa-demosaic", ".dng");
        try {
            Files.write(raw, RawMaker.of(size.width(), size.height()).bits(BITS).bytes(RawMaker.of(photo)));
            Apart.Decoded decoded = Apart.SHARED.develop(raw, size, new Development(demosaic, 0));
            Profile profile = Profile.of(decoded.icc()).orElseThrow();
            try (Picture wide = decoded.picture();
                    Picture shown =
                            ColourTransform.between(profile, Profile.SRGB).apply(wide)) {
                return shown.to8Bits();
            }
        } finally {
            Files.delete(raw);
        }
    }

    private static double difference(Picture truth, Picture developed, double reduction) {
        PixelSize size = new PixelSize((int) Math.round(truth.size().width() / reduction), (int)
                Math.round(truth.size().height() / reduction));
        try (Picture expected = madeOf(truth, size);
                Picture got = madeOf(developed, size)) {
            return PSNR(expected.mat(), got.mat());
        }
    }

    private static Picture madeOf(Picture picture, PixelSize size) {
        Affine scale = Affine.scale(
                (double) picture.size().width() / size.width(),
                (double) picture.size().height() / size.height());
        return SinglePass.render(picture, scale, size);
    }

    private static String summary(List<List<Double>> found) {
        return Stream.iterate(0, i -> i < REDUCTIONS.size(), i -> i + 1)
                .map(i -> {
                    var decibels = found.stream()
                            .mapToDouble(ofPhoto -> ofPhoto.get(i))
                            .summaryStatistics();
                    return String.format(Locale.ROOT, "%.1f (%.1f)", decibels.getAverage(), decibels.getMin());
                })
                .collect(Collectors.joining(", "));
    }
}
