package nexa.imaging.tiff;

import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** TIFFs of cyan, magenta, yellow and black, and perhaps further channels, which are left out. */
final class TiffInks {
    private static final Logger LOG = LoggerFactory.getLogger(TiffInks.class);

    private TiffInks() {}

    /** What inks look like. */
    private interface Look {
        Picture of(InkPicture inks);
    }

    /**
     * What the inks look like, in sRGB, of as many bits as the file has: by its profile, or roughly.
     *
     * @return empty if the file is not written in a way that the library here knows
     */
    static Optional<Picture> shown(Path file, TiffTags tags) {
        Look look = Profile.ofInks(tags.bytes(TiffTags.ICC))
                .<Look>map(profile -> ColourTransform.between(profile, Profile.SRGB)::shown)
                .orElse(InkPicture::withoutProfile);
        try {
            return Optional.of(TiffReader.read(file, tags, samples -> shown(samples, look)));
        } catch (IOException | RuntimeException unknown) {
            LOG.info("The inks of {} are left to another decoder", file, unknown);
            return Optional.empty();
        }
    }

    private static Picture shown(Raster samples, Look look) {
        try (InkPicture inks = InkPicture.of(samples)) {
            return look.of(inks);
        }
    }
}
