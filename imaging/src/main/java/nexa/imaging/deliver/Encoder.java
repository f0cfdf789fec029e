package nexa.imaging.deliver;

import java.io.IOException;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Packing;
import nexa.core.told.Told;
import nexa.imaging.colour.Profile;
import nexa.imaging.metadata.ExifBlock.Itself;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** Turns rendered pixels and the source's metadata into a file's bytes. Thread-safe. */
public final class Encoder {
    private Encoder() {}

    /** With the resolution that the source says, if the settings say none. */
    public static byte[] encode(Picture picture, Source source, FileSettings settings) throws IOException {
        return encode(picture, source, settings, settings.finish().ppi());
    }

    /** With nobody told what is left out. */
    public static byte[] encode(Picture picture, Source source, FileSettings settings, double ppi) throws IOException {
        return encode(picture, source, settings, ppi, note -> {});
    }

    /**
     * The file's bytes: sharpened, in the colours that the settings ask for with their profile, and of the source's
     * XMP, IPTC and EXIF what they keep, with orientation 1, the picture's own size and a fresh thumbnail (TIFF: none). A
     * JPEG gets 8 bits on white; so do inks, 8 or 16. PNG and WebP have no place for IPTC; there XMP says the same.
     *
     * @param source the opened photo the picture was rendered from
     * @param ppi that the file says it has; 0 = what the source says
     * @param notes told, what of the metadata was left out that nobody asked to leave out
     * @throws IOException if the picture can't be encoded, such as beyond 65,500 pixels a side for JPEG
     */
    public static byte[] encode(Picture picture, Source source, FileSettings settings, double ppi, Consumer<Told> notes)
            throws IOException {
        return file(picture, source, settings, ppi, notes).bytes();
    }

    /** The same, of which a TIFF is not put together before it is written; it no longer needs the picture. */
    public static Encoded file(Picture picture, Source source, FileSettings settings, double ppi, Consumer<Told> notes)
            throws IOException {
        Optional<Profile> target = target(source, settings);
        if (target.map(Profile::space).equals(Optional.of(Profile.Space.INK))) {
            return InkFile.of(picture, source, settings, target.get(), ppi, notes);
        }
        FileType type = settings.type();
        try (Colours colours = Colours.of(
                        picture, source.profile(), target, settings.colour().how());
                Picture sharp =
                        FinishSteps.apply(colours.picture(), settings.finish().steps());
                Picture deep = ofDepth(sharp, settings);
                Picture ready = type.keepsAlpha() ? deep.shared() : deep.onWhite()) {
            Itself itself = new Itself(type, ready.size(), ppi, 1, colours.isSrgb());
            Saying saying = Saying.of(source, settings, itself, notes);
            if (type == FileType.TIFF) {
                return TiffFile.of(ready, saying.exif(), saying.blocks(null, colours.icc()), settings.packing());
            }
            byte[] exif = saying.exif(ready, settings, notes);
            return Encoded.of(Density.set(Codec.encode(ready, saying.blocks(exif, colours.icc()), settings), ppi));
        }
    }

    /**
     * Developed raw data have no colours of their own that somebody chose: 8 bits are too few for the wide ones that they
     * are developed to, and who opens such a file may take them for sRGB. So they become that, unless others are asked for.
     */
    private static Optional<Profile> target(Source source, FileSettings settings) throws IOException {
        Optional<Profile> asked = Profile.delivered(settings.colour());
        boolean isDeveloped = source.profile().filter(Profile.DEVELOPED::equals).isPresent();
        return asked.isEmpty() && isDeveloped && mostBits(settings) == Byte.SIZE ? Optional.of(Profile.SRGB) : asked;
    }

    private static int mostBits(FileSettings settings) {
        return settings.packing().depth() == Packing.Depth.EIGHT
                ? Byte.SIZE
                : settings.type().mostBits();
    }

    static Picture ofDepth(Picture picture, FileSettings settings) {
        int most = mostBits(settings);
        if (picture.bits() > most) {
            return picture.to8Bits();
        }
        boolean deeper = settings.packing().depth() == Packing.Depth.SIXTEEN && most == 16;
        return deeper ? picture.to16Bits() : picture.shared();
    }

    /** A plain JPEG without metadata. */
    public static byte[] plainJpeg(Picture picture, int quality) throws IOException {
        return plainJpeg(picture, quality, Optional.empty());
    }

    /** A JPEG with nothing but a colour profile, for previews. */
    public static byte[] plainJpeg(Picture picture, int quality, Optional<Profile> profile) throws IOException {
        return Codec.encode(
                picture,
                SourceMetadata.NONE.withIcc(profile.map(Profile::bytes).orElse(null)),
                new FileSettings(FileType.JPEG, quality));
    }
}
