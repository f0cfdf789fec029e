package nexa.shoot.photo;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;

/** A picture of a raw file. */
public enum RawPicture {
    /** The JPEG that the camera put in. */
    CAMERA,
    /** The sensor's data, developed. */
    DATA;

    /** The shoot's setting that says which is shown of files that come in. */
    public static final String SETTING = "raw";

    /** As a setting has it; the camera's if it says nothing. */
    public static RawPicture of(Optional<String> setting) {
        return setting.filter(DATA.setting()::equals).isPresent() ? DATA : CAMERA;
    }

    /** For the setting. */
    public String setting() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Which one a photo shows; empty if it is not of a raw file. */
    public static Optional<RawPicture> of(Photo photo) {
        return of(photo.probe());
    }

    /** The same by what was found in its file. */
    public static Optional<RawPicture> of(Probe probe) {
        if (!(probe instanceof Probe.Readable(var facts))) {
            return Optional.empty();
        }
        return switch (facts.kind()) {
            case RAW -> Optional.of(CAMERA);
            case RAW_DATA -> Optional.of(DATA);
            case JPEG, PNG, TIFF, WEBP, BMP, HEIF, JPEG_2000, JPEG_XL, OTHER -> Optional.empty();
        };
    }

    /** What a file is when this picture of it is shown; of other files than raw ones what they are. */
    public Probe probe(PhotoCodecs codecs, Path file) {
        return this == DATA ? codecs.developed(file) : codecs.probe(file);
    }
}
