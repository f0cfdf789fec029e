package nexa.desktop.find;

import java.text.Normalizer;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.regex.Pattern;

/** What fits a few typed letters. */
final class Finding {
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
    private static final char LAST_WITHOUT_ACCENTS = 0x7f;
    private static final Pattern SPACES = Pattern.compile("\\s+");

    /** How well a typed word fits: nothing is better than 0. */
    private static final int BEGINS_ALL = 0;

    private static final int BEGINS_A_WORD = 1;
    private static final int WITHIN = 3;
    private static final int NOT = -1;

    private Finding() {}

    private record Ranked(Findable found, int rank) {}

    /**
     * Those that every typed word fits, the best first, as many as fit into a list; of the same rank in the order given.
     * Letters count without accents and case.
     */
    static List<Findable> of(List<Findable> all, String typed, int most) {
        String[] wanted = SPACES.split(plain(typed).strip());
        return all.stream()
                .map(each -> new Ranked(each, rank(plain(each.words()), wanted).orElse(NOT)))
                .filter(ranked -> ranked.rank != NOT)
                .sorted(Comparator.comparingInt(Ranked::rank))
                .limit(most)
                .map(Ranked::found)
                .toList();
    }

    /** Empty if a word does not fit. */
    private static OptionalInt rank(String text, String[] wanted) {
        int sum = 0;
        for (String word : wanted) {
            int rank = rank(text, word);
            if (rank == NOT) {
                return OptionalInt.empty();
            }
            sum += rank;
        }
        return OptionalInt.of(sum);
    }

    private static int rank(String text, String word) {
        if (text.startsWith(word)) {
            return BEGINS_ALL;
        }
        int at = text.indexOf(word);
        while (at > 0 && !Character.isWhitespace(text.charAt(at - 1))) {
            at = text.indexOf(word, at + 1);
        }
        return at > 0 ? BEGINS_A_WORD : text.contains(word) ? WITHIN : NOT;
    }

    private static String plain(String text) {
        boolean mayHaveAccents = text.chars().anyMatch(letter -> letter > LAST_WITHOUT_ACCENTS);
        String letters = mayHaveAccents
                ? ACCENTS.matcher(Normalizer.normalize(text, Normalizer.Form.NFD))
                        .replaceAll("")
                : text;
        return letters.toLowerCase(Locale.ROOT);
    }
}
