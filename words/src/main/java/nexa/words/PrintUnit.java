package nexa.words;

import java.util.Set;
import nexa.core.exact.Unit;

/** What the user wants sizes on paper to be said in. */
public enum PrintUnit {
    AS_SYSTEM,
    CENTIMETRE,
    INCH;

    /** The name of the user's setting. */
    public static final String SETTING = "print unit";

    /** Where lengths are in inches (Unicode CLDR, measurement system US). */
    private static final Set<String> OF_INCHES = Set.of("LR", "MM", "US");

    /** @param country the system's, by ISO 3166-1; any other text is one of centimetres */
    Unit in(String country) {
        return switch (this) {
            case AS_SYSTEM -> OF_INCHES.contains(country) ? Unit.INCH : Unit.CENTIMETRE;
            case CENTIMETRE -> Unit.CENTIMETRE;
            case INCH -> Unit.INCH;
        };
    }
}
