package nexa.core.naming;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.PixelSize;
import nexa.core.told.InvalidException;

/**
 * How delivered files are called: text with tokens in braces, such as <code>{photo}_{format}</code>. A slash makes a
 * folder. Whatever the template and the values hold, the name stays below the folder it is for.
 */
public record NameTemplate(String text) {
    /** Before the template below, which is checked with it. */
    private static final Pattern TOKEN = Pattern.compile("\\{([^{}]*)\\}");

    private static final int MOST_DIGITS = 9;

    public static final NameTemplate DEFAULT = new NameTemplate("{photo}_{format}");

    /** What a token stands for. */
    public enum Token {
        SHOOT,
        PHOTO,
        FORMAT,
        SHAPE,
        /** From 1; <code>{number:4}</code> has at least four digits. */
        NUMBER,
        /** Of the capture, <code>2026-09-21</code>; “undated” if the camera didn't say. */
        DATE,
        /** In pixels, <code>2048x1638</code>. */
        SIZE
    }

    /**
     * What is known of one file.
     *
     * @param photo the file's name with or without ending
     * @param date of the capture, as <code>2026-09-21</code>; empty if the camera didn't say
     */
    public record Values(
            String shoot,
            String photo,
            String format,
            String shape,
            int number,
            Optional<String> date,
            PixelSize size) {}

    /** @throws IllegalArgumentException with words for the user if a token is unknown or nothing is left of it */
    public NameTemplate {
        if (text.isBlank()) {
            throw new InvalidException("told.naming.name-template-cannot-empty-write");
        }
        String rest = TOKEN.matcher(text)
                .results()
                .map(found -> check(found.group(1)))
                .reduce(text, (left, token) -> left.replace("{" + token + "}", ""));
        if (rest.indexOf('{') >= 0 || rest.indexOf('}') >= 0) {
            throw new InvalidException("told.naming.brace-without-partner", text);
        }
    }

    private static String check(String token) {
        token(token);
        digits(token);
        return token;
    }

    private static Token token(String inBraces) {
        String name = inBraces.replaceFirst(":.*", "").strip();
        return Arrays.stream(Token.values())
                .filter(token -> token.name().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new InvalidException(
                        "told.naming.not-known",
                        inBraces,
                        Stream.of(Token.values())
                                .map(token -> "{" + token.name().toLowerCase(Locale.ROOT) + "}")
                                .collect(Collectors.joining(" "))));
    }

    private static int digits(String inBraces) {
        int colon = inBraces.indexOf(':');
        if (colon < 0) {
            return 1;
        }
        String digits = inBraces.substring(colon + 1).strip();
        if (token(inBraces) != Token.NUMBER || !digits.matches("[1-" + MOST_DIGITS + "]")) {
            throw new InvalidException("told.naming.only-number-digits-from-number", inBraces, MOST_DIGITS);
        }
        return Integer.parseInt(digits);
    }

    /** The file's path below its folder, with forward slashes and without ending. */
    public String name(Values values) {
        String name = Stream.of(text.split("/"))
                .filter(part -> !part.isBlank())
                .map(part -> SafeName.of(filled(part, values)))
                .collect(Collectors.joining("/"));
        return name.isEmpty() ? "-" : name;
    }

    private static String filled(String part, Values values) {
        return TOKEN.matcher(part).replaceAll(found -> Matcher.quoteReplacement(value(found.group(1), values)));
    }

    private static String value(String inBraces, Values values) {
        return switch (token(inBraces)) {
            case SHOOT -> values.shoot();
            case PHOTO -> stem(values.photo());
            case FORMAT -> values.format();
            case SHAPE -> values.shape();
            case NUMBER -> String.format(Locale.ROOT, "%0" + digits(inBraces) + "d", values.number());
            case DATE -> values.date().orElse("undated");
            case SIZE -> values.size().width() + "x" + values.size().height();
        };
    }

    private static String stem(String file) {
        int dot = file.lastIndexOf('.');
        return dot > 0 ? file.substring(0, dot) : file;
    }
}
