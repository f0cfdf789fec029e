package nexa.imaging.tiff;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC4;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;

import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** TIFFs of cyan, magenta, yellow and black that say by a profile which inks these are. */
final class TiffInks {
    private static final Logger LOG = LoggerFactory.getLogger(TiffInks.class);
    private static final int INKS = 4;

    private TiffInks() {}

    /**
     * What the inks look like, in sRGB, of as many bits as the file has.
     *
     * @param icc the file's profile, if it has one
     * @return empty if there is no profile of inks, or the file is written in a way that the library here does not know
     */
    static Optional<Picture> shown(Path file, byte[] bytes, byte @Nullable [] icc) {
        Optional<Profile> inks = Profile.of(icc).filter(profile -> profile.space() == Profile.Space.INK);
        if (inks.isEmpty()) {
            return Optional.empty();
        }
        try {
            Raster raster = raster(bytes);
            if (raster.getNumBands() != INKS) {
                return Optional.empty();
            }
            ColourTransform toScreen = ColourTransform.between(inks.get(), Profile.SRGB);
            try (InkPicture amounts = new InkPicture(matrix(raster))) {
                return Optional.of(toScreen.shown(amounts));
            }
        } catch (IOException | RuntimeException unknown) {
            LOG.info("The inks of {} are shown without their profile", file, unknown);
            return Optional.empty();
        }
    }

    /** By a library that hands the samples out as they are. */
    private static Raster raster(byte[] bytes) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName("tiff").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            reader.setInput(in);
            return reader.read(0).getRaster();
        } finally {
            reader.dispose();
        }
    }

    private static Mat matrix(Raster raster) {
        boolean isDeep = raster.getTransferType() == DataBuffer.TYPE_USHORT;
        int width = raster.getWidth();
        Mat matrix = new Mat(raster.getHeight(), width, isDeep ? CV_16UC4 : CV_8UC4);
        for (int y = 0; y < raster.getHeight(); y++) {
            Object row = raster.getDataElements(0, y, width, 1, null);
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
}
