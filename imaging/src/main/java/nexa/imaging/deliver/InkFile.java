package nexa.imaging.deliver;

import java.io.IOException;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.files.Conversion;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.told.Told;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.ToldException;
import nexa.imaging.metadata.ExifBlock.Itself;
import nexa.imaging.metadata.JpegParts;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** A file of ink values, for a press: a TIFF or a JPEG. */
final class InkFile {
    private InkFile() {}

    /**
     * Sharpened in the photo's own colours, on white, and then turned into inks.
     *
     * @throws IOException with words for the user if the file type can't hold inks, or the profile has no way to them
     */
    static Encoded of(
            Picture picture, Source source, FileSettings settings, Profile inks, double ppi, Consumer<Told> notes)
            throws IOException {
        FileType type = settings.type();
        if (type != FileType.TIFF && type != FileType.JPEG) {
            throw new ToldException("told.deliver.no-inks", type.label(), inks);
        }
        Optional<Profile> own = source.profile();
        try (Picture sharp = FinishSteps.apply(picture, settings.finish().steps());
                Picture deep = Encoder.ofDepth(sharp, settings);
                Picture opaque = deep.onWhite();
                Picture ready = own.isEmpty() && opaque.channels() == 1 ? opaque.coloured() : opaque.shared();
                InkPicture ink = Colours.transform(
                                own.orElse(Profile.SRGB),
                                inks,
                                settings.colour().how())
                        .inks(ready)) {
            Itself itself = new Itself(type, ready.size(), ppi, 1, false);
            Saying saying = Saying.of(source, settings, itself, notes);
            if (type == FileType.TIFF) {
                return TiffFile.of(ink, saying.exif(), saying.blocks(null, inks.bytes()), settings.packing());
            }
            SourceMetadata blocks = saying.blocks(thumbnailed(saying, ready, own, settings, notes), inks.bytes());
            return Encoded.of(Codec.best(settings, quality -> JpegParts.with(blocks, InkJpegFile.bytes(ink, quality))));
        }
    }

    /** Thumbnails have no inks. */
    private static byte[] thumbnailed(
            Saying saying, Picture ready, Optional<Profile> own, FileSettings settings, Consumer<Told> notes)
            throws IOException {
        try (Colours srgb = Colours.of(ready, own, Optional.of(Profile.SRGB), Conversion.DEFAULT)) {
            return saying.exif(srgb.picture(), settings, notes);
        }
    }
}
