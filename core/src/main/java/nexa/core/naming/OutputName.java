package nexa.core.naming;

import java.text.Normalizer;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;

/**
 * Gives out file names {@code photo_format.ext}, each once. Whatever a photo or a format is called, a name is a single
 * path element that Linux, macOS and Windows accept. Not thread-safe.
 */
public final class OutputName {
    /** File systems allow 255 bytes; this leaves room for a counter and a temporary suffix. */
    private static final int LONGEST_BYTES = 200;

    private final Set<String> taken = new HashSet<>();

    /** A name not given out before, ignoring case. */
    public String next(String photoFile, String format, String extension) {
        String base = clean(stem(photoFile)) + "_" + clean(format);
        String name = shortened(base) + "." + extension;
        for (int n = 2; !taken.add(name.toLowerCase(Locale.ROOT)); n++) {
            name = shortened(base) + "-" + n + "." + extension;
        }
        return name;
    }

    private static String stem(String file) {
        int dot = file.lastIndexOf('.');
        return dot > 0 ? file.substring(0, dot) : file;
    }

    private static String clean(String text) {
        String safe = Normalizer.normalize(text, Normalizer.Form.NFC)
                .replaceAll("[\\p{Cntrl}/\\\\:*?\"<>|]", "-")
                .replaceAll("^[. ]+|[. ]+$", "");
        return safe.isEmpty() ? "-" : safe;
    }

    private static String shortened(String text) {
        String cut = text;
        while (cut.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > LONGEST_BYTES) {
            cut = cut.substring(0, cut.offsetByCodePoints(cut.length(), -1));
        }
        return cut;
    }
}
