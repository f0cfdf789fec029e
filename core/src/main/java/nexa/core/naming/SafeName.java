package nexa.core.naming;

import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.regex.Pattern;

/** Turns any text into a single path element that Linux, macOS and Windows accept. */
final class SafeName {
    /** File systems allow 255 bytes; this leaves room for a counter, an ending and a temporary suffix. */
    private static final int LONGEST_BYTES = 200;

    private static final Pattern FORBIDDEN = Pattern.compile("[\\p{Cntrl}/\\\\:*?\"<>|]");

    /** Names of devices, which Windows opens whatever ending follows. */
    private static final Pattern DEVICE =
            Pattern.compile("(?i)(con|prn|aux|nul|com[0-9¹²³]|lpt[0-9¹²³])(\\..*)?", Pattern.DOTALL);

    private SafeName() {}

    /** Never empty; what is not allowed becomes a dash. */
    static String of(String text) {
        String safe = FORBIDDEN
                .matcher(Normalizer.normalize(text, Normalizer.Form.NFC))
                .replaceAll("-")
                .replaceAll("^[. ]+|[. ]+$", "");
        String shortened = shortened(safe.isEmpty() ? "-" : safe);
        return DEVICE.matcher(shortened).matches() ? "_" + shortened : shortened;
    }

    private static String shortened(String text) {
        String cut = text;
        while (cut.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
            cut = cut.substring(0, cut.offsetByCodePoints(cut.length(), -1));
        }
        return cut.replaceAll("[. ]+$", "");
    }
}
