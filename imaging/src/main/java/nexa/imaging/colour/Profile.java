package nexa.imaging.colour;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.icc.IccReader;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.files.Conversion.Intent;
import nexa.core.files.DeliveredColour;
import nexa.imaging.colour.MatrixProfile.Primaries;
import nexa.imaging.file.ToldException;
import org.jspecify.annotations.Nullable;

/** A colour profile (ICC.1:2022). Immutable; two are equal if their bytes are. */
public final class Profile {
    private static final Pattern IN_LANGUAGES =
            Pattern.compile("(?:\\d+ )?\\w{4}\\((.*?)\\)(?: \\w{4}\\(.*)?", Pattern.DOTALL);

    /** Standard RGB (IEC 61966-2-1), what a photo without a profile is taken for. */
    public static final Profile SRGB = new Profile(matrix("sRGB", Primaries.BT709));

    /** A wide gamut for screens: the primaries of SMPTE EG 432-1 with sRGB's white and curve. */
    public static final Profile WIDE = new Profile(matrix("Wide RGB (P3 primaries)", Primaries.P3));

    /** What television of the widest gamut is made for: the primaries of ITU-R BT.2020 with sRGB's white and curve. */
    public static final Profile TELEVISION = new Profile(matrix("Wide RGB (BT.2020 primaries)", Primaries.BT2020));

    /** What developed raw data has: the primaries and the white of ROMM RGB (ISO 22028-2) with sRGB's curve. */
    public static final Profile DEVELOPED = new Profile(matrix("Developed RGB (ROMM primaries)", Primaries.ROMM));

    /**
     * The wider colours that cameras can be set to, which they say by a code in EXIF and seldom by a profile: opRGB (IEC
     * 61966-2-5), the option of DCF 2.0.
     */
    public static final Profile OPTION = new Profile(
            MatrixProfile.bytes("Compatible with Adobe RGB (1998)", Primaries.OPTION, MatrixProfile.OPTION_CURVE));

    /** X, Y and Z relative to D50, in 16 bits 1 = 32768 (ICC.1:2022, 6.3.4.2). */
    static final Profile XYZ =
            new Profile(ICC_Profile.getInstance(ColorSpace.CS_CIEXYZ).getData());

    private static final int HEADER = 128;
    private static final int SPACE_AT = 16;

    /** More than the largest printer profiles; what is longer is no profile. */
    private static final long LARGEST_FILE = 64 << 20;

    /** What a profile's numbers mean. */
    public enum Space {
        GREY(1),
        RGB(3),
        /** Cyan, magenta, yellow and black. */
        INK(4),
        OTHER(3);

        private final int channels;

        Space(int channels) {
            this.channels = channels;
        }

        int channels() {
            return channels;
        }
    }

    private final byte[] bytes;
    private final ICC_Profile engine;

    private static byte[] matrix(String name, Primaries primaries) {
        return MatrixProfile.bytes(name, primaries, MatrixProfile.SRGB_CURVE);
    }

    /**
     * The profile for colours that headers say by a code.
     *
     * @param name what facts call a photo's profile
     */
    public static Optional<Profile> coded(@Nullable String name) {
        return OPTION.name().equals(name) ? Optional.of(OPTION) : Optional.empty();
    }

    /**
     * A profile of primaries and a power.
     *
     * @param xy chromaticities of white, red, green and blue, x and y of each
     * @param power of values that gives light
     */
    public static Profile ofNumbers(double[] xy, double power) {
        String name = String.format(Locale.ROOT, "RGB of its own (power %.2f)", power);
        double[] primaries = Arrays.copyOfRange(xy, 2, xy.length);
        return new Profile(MatrixProfile.bytes(name, Adaptation.xyz(xy[0], xy[1]), primaries, new double[] {power}));
    }

    /** A profile of grey by a power of values that gives light. */
    public static Profile greyOfPower(double power) {
        return new Profile(MatrixProfile.grey(
                String.format(Locale.ROOT, "Grey of its own (power %.2f)", power), new double[] {power}));
    }

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

    /** The same if it is one of inks. */
    public static Optional<Profile> ofInks(byte @Nullable [] bytes) {
        return of(bytes).filter(profile -> profile.space() == Space.INK);
    }

    /**
     * From a profile file.
     *
     * @throws IOException with words for the user if it can't be read or holds no RGB profile
     */
    public static Profile read(Path file) throws IOException {
        return read(file, Set.of(Space.RGB), "told.colour.not-colour-profile-for-rgb");
    }

    /**
     * From a profile file, also one for inks.
     *
     * @throws IOException with words for the user if it can't be read, or holds a profile for neither RGB nor inks
     */
    public static Profile readForDelivery(Path file) throws IOException {
        return read(file, Set.of(Space.RGB, Space.INK), "told.colour.not-colour-profile-for-rgb-or-inks");
    }

    /**
     * The profile that a file is to have; empty if the photo's own goes along.
     *
     * @throws IOException with words for the user if the asked profile can't be used
     */
    public static Optional<Profile> delivered(DeliveredColour colour) throws IOException {
        return switch (colour.kind()) {
            case KEEP -> Optional.empty();
            case SRGB -> Optional.of(SRGB);
            case WIDE -> Optional.of(WIDE);
            case PROFILE -> Optional.of(readForDelivery(Path.of(colour.file())));
        };
    }

    private static Profile read(Path file, Set<Space> spaces, String refusal) throws IOException {
        if (!Files.isRegularFile(file) || Files.size(file) > LARGEST_FILE) {
            throw new ToldException("told.colour.no-profile-file", file);
        }
        return of(Files.readAllBytes(file))
                .filter(profile -> spaces.contains(profile.space()))
                .orElseThrow(() -> new ToldException(refusal, file));
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
            case "CMYK" -> Space.INK;
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

    /** The same, so that the engine uses it by an intent; the first of two has to be so. */
    ICC_Profile engine(Intent intent) {
        return intent == Intent.PERCEPTUAL ? engine : ICC_Profile.getInstance(IntentBytes.of(bytes, intent));
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
