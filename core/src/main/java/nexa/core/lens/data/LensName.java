package nexa.core.lens.data;

import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A lens's name taken apart into words, as makers, cameras and people write the same name in many ways: in any order, in
 * large and small letters, with and without the maker, "F2.8" and "f/2.8".
 *
 * @param numbers those among the words; they tell lenses of one family apart
 */
record LensName(Set<String> words, Set<String> numbers) {
    /** Says nothing of which lens it is. */
    private static final Set<String> EMPTY = Set.of("f", "mm", "lens");

    /** After it some makers write what series a lens is of. */
    private static final char SERIES = '|';

    /** Of names of which one has all words of the other and more. */
    private static final double CONTAINED = 0.6;

    LensName {
        words = Set.copyOf(words);
        numbers = Set.copyOf(numbers);
    }

    /** @param without words that say nothing more, such as makers' names */
    static LensName of(String name, Set<String> without) {
        Set<String> words = words(name);
        words.removeAll(without);
        return new LensName(
                words, words.stream().filter(word -> isDigit(word.charAt(0))).collect(Collectors.toSet()));
    }

    /** Numbers with their decimals, and runs of letters; all small. */
    static Set<String> words(String name) {
        int series = name.indexOf(SERIES);
        String text = (series > 0 ? name.substring(0, series) : name).toLowerCase(Locale.ROOT);
        Set<String> words = new HashSet<>();
        int at = 0;
        while (at < text.length()) {
            int end = end(text, at);
            String word = text.substring(at, end);
            if (Character.isLetterOrDigit(text.charAt(at)) && !EMPTY.contains(word) && !isSerial(word)) {
                words.add(plain(word));
            }
            at = end;
        }
        return words;
    }

    /** No lens is 007 mm long; makers count their models so. */
    private static boolean isSerial(String word) {
        return word.length() > 1 && word.charAt(0) == '0' && word.indexOf('.') < 0;
    }

    /** Where the word that begins at a place ends. */
    private static int end(String text, int at) {
        int end = at + 1;
        if (isDigit(text.charAt(at))) {
            while (end < text.length() && (isDigit(text.charAt(end)) || isPoint(text, end))) {
                end++;
            }
        } else if (Character.isLetter(text.charAt(at))) {
            while (end < text.length() && Character.isLetter(text.charAt(end))) {
                end++;
            }
        }
        return end;
    }

    private static boolean isPoint(String text, int at) {
        return text.charAt(at) == '.' && at + 1 < text.length() && isDigit(text.charAt(at + 1));
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    /** "4.0" is "4". */
    private static String plain(String word) {
        String plain = word;
        if (word.indexOf('.') > 0) {
            while (plain.endsWith("0")) {
                plain = plain.substring(0, plain.length() - 1);
            }
        }
        return plain.endsWith(".") ? plain.substring(0, plain.length() - 1) : plain;
    }

    /** 0 = another lens, 1 = the same words. All numbers of the one must be among the other's, and the other way. */
    double likeness(LensName other) {
        if (words.isEmpty() || other.words.isEmpty() || !numbers.equals(other.numbers)) {
            return 0;
        }
        long shared = words.stream().filter(other.words::contains).count();
        double likeness = 2.0 * shared / (words.size() + other.words.size());
        return numbers.size() > 1 && shared == words.size() ? Math.max(CONTAINED, likeness) : likeness;
    }
}
