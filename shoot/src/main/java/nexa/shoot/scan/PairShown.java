package nexa.shoot.scan;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What becomes of a raw file and a finished picture of the same name, as cameras write them together. */
public enum PairShown {
    /** One photo, which shows the finished picture. */
    PICTURE,
    /** One photo, which shows the raw file. */
    RAW,
    /** Two photos. */
    APART;

    /** The shoot's setting that says it. */
    public static final String SETTING = "pairs";

    /** As a setting has it; one photo that shows the finished picture if it says nothing. */
    public static PairShown of(Optional<String> setting) {
        return Arrays.stream(values())
                .filter(shown -> setting.filter(shown.setting()::equals).isPresent())
                .findFirst()
                .orElse(PICTURE);
    }

    /** For the setting. */
    public String setting() {
        return name().toLowerCase(Locale.ROOT);
    }
}
