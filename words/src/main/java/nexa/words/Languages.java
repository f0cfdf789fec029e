package nexa.words;

import java.util.List;
import java.util.Locale;

/** The languages that there are words in. */
public final class Languages {
    /** The name of the user's setting: a language's tag, or {@link #AS_SYSTEM}. */
    public static final String SETTING = "language";

    public static final String AS_SYSTEM = "";

    /** The first stands in for those that there are no words in. */
    private static final List<Locale> ALL = List.of(Locale.ENGLISH, Locale.GERMAN);

    private Languages() {}

    /** Tags, as in BCP 47. */
    public static List<String> tags() {
        return ALL.stream().map(Locale::toLanguageTag).toList();
    }

    /** What a language is called by those who speak it. */
    public static String name(String tag) {
        Locale language = Locale.forLanguageTag(tag);
        return language.getDisplayLanguage(language);
    }

    /**
     * The language to speak.
     *
     * @param setting what the user set; of a language that there are no words in, and as the system, its own if there are
     */
    static Locale of(String setting, Locale system) {
        Locale wanted = setting.equals(AS_SYSTEM) ? system : Locale.forLanguageTag(setting);
        return ALL.stream()
                .filter(language -> language.getLanguage().equals(wanted.getLanguage()))
                .findFirst()
                .orElse(ALL.getFirst());
    }
}
