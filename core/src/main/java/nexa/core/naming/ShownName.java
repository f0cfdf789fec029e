package nexa.core.naming;

/**
 * Names of files and formats as they are shown: in one line, and in the order of their letters. A name may hold controls
 * that break lines, move a terminal's cursor, or turn the direction of what follows (Unicode UAX #9, explicit
 * directional formatting), so that {@code gpj.exe} reads as something else.
 */
public final class ShownName {
    private static final char SHOWN = '\uFFFD';

    private ShownName() {}

    public static String of(String name) {
        StringBuilder shown = new StringBuilder(name.length());
        name.codePoints().forEach(letter -> shown.appendCodePoint(isControl(letter) ? SHOWN : letter));
        return shown.toString();
    }

    private static boolean isControl(int letter) {
        int type = Character.getType(letter);
        boolean breaksLines = type == Character.LINE_SEPARATOR || type == Character.PARAGRAPH_SEPARATOR;
        return Character.isISOControl(letter) || breaksLines || turnsDirection(letter);
    }

    /** Marks, embeddings, overrides and isolates. */
    private static boolean turnsDirection(int letter) {
        return letter == 0x061C
                || letter == 0x200E
                || letter == 0x200F
                || letter >= 0x202A && letter <= 0x202E
                || letter >= 0x2066 && letter <= 0x2069;
    }
}
