package nexa.imaging.colour;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.icc.IccReader;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.imaging.file.ToldException;
import org.jspecify.annotations.Nullable;

/** A colour profile (ICC.1:2022). Immutable; two are equal if their bytes are. */
public final class Profile {
    private static final Pattern IN_LANGUAGES =
            Pattern.compile("(?:\\d+ )?\\w{4}\\((.*?)\\)(?: \\w{4}\\(.*)?", Pattern.DOTALL);

    /** Standard RGB (IEC 61966-2-1), what a photo without a profile is taken for. */
    public static final Profile SRGB = new Profile(MatrixProfile.bytes("sRGB", MatrixProfile.Primaries.BT709));

    /** A wide gamut for screens: the primaries of SMPTE EG 432-1 with sRGB's white and curve. */
    public static final Profile WIDE =
            new Profile(MatrixProfile.bytes("Wide RGB (P3 primaries)", MatrixProfile.Primaries.P3));

    /** What television of the widest gamut is made for: the primaries of ITU-R BT.2020 with sRGB's white and curve. */
    public static final Profile TELEVISION =
            new Profile(MatrixProfile.bytes("Wide RGB (BT.2020 primaries)", MatrixProfile.Primaries.BT2020));

    /** What developed raw data has: the primaries and the white of ROMM RGB (ISO 22028-2) with sRGB's curve. */
    public static final Profile DEVELOPED =
            new Profile(MatrixProfile.bytes("Developed RGB (ROMM primaries)", MatrixProfile.Primaries.ROMM));

    private static final int HEADER = 128;
    private static final int SPACE_AT = 16;

    /** More than the largest printer profiles; what is longer is no profile. */
    private static final long LARGEST_FILE = 64 << 20;

    /** What a profile's numbers mean. */
    public enum Space {
        GREY,
        RGB,
        OTHER
    }

    private final byte[] bytes;
    private final ICC_Profile engine;

    private Profile(byte[] bytes) {
        this.bytes = bytes.clone();
        this.engine = ICC_Profile.getInstance(this.bytes);
    }

    /** From embedded bytes; empty if there are none or they are no profile. */
    public static Optional<Profile> of(byte @Nullable [] bytes) {
        if (bytes == null || bytes.length < HEADER) {
            return Optional.empty();
        }
        try {
            Profile profile = new Profile(bytes);
            ColourTransform.between(profile, SRGB); // some damage shows only when the engine uses it
            return Optional.of(profile);
        } catch (RuntimeException damaged) { // the engine refuses it, each in its own way
            return Optional.empty();
        }
    }

    /**
     * From a profile file.
     *
     * @throws IOException with words for the user if it can't be read or holds no RGB profile
     */
    public static Profile read(Path file) throws IOException {
        if (!Files.isRegularFile(file) || Files.size(file) > LARGEST_FILE) {
            throw new ToldException("told.colour.no-profile-file", file);
        }
        return of(Files.readAllBytes(file))
                .filter(profile -> profile.space() == Space.RGB)
                .orElseThrow(() -> new ToldException("told.colour.not-colour-profile-for-rgb", file));
    }

    private static String name(byte[] bytes) {
        Metadata metadata = new Metadata();
        new IccReader().extract(new ByteArrayReader(bytes), metadata);
        IccDirectory directory = metadata.getFirstDirectoryOfType(IccDirectory.class);
        return directory == null ? "unnamed" : name(directory);
    }

    /** What a profile that was read already calls itself. */
    public static String name(IccDirectory directory) {
        String described = directory.getDescription(IccDirectory.TAG_TAG_desc);
        return described == null ? "unnamed" : plain(described);
    }

    /** Of a description in several languages, {@code 2 enUS(Wide) deDE(Weit)}, the first. */
    private static String plain(String described) {
        Matcher languages = IN_LANGUAGES.matcher(described);
        return (languages.matches() ? languages.group(1) : described).strip();
    }

    /** As its maker called it. */
    public String name() {
        return name(bytes);
    }

    public Space space() {
        return switch (new String(bytes, SPACE_AT, 4, StandardCharsets.US_ASCII)) {
            case "RGB " -> Space.RGB;
            case "GRAY" -> Space.GREY;
            default -> Space.OTHER;
        };
    }

    /** Whether it is for pixels of so many channels, alpha included. */
    public boolean fits(int channels) {
        return space() == (channels == 1 ? Space.GREY : Space.RGB);
    }

    public byte[] bytes() {
        return bytes.clone();
    }

    ICC_Profile engine() {
        return engine;
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Profile profile && Arrays.equals(bytes, profile.bytes);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(bytes);
    }

    @Override
    public String toString() {
        return name();
    }
}
