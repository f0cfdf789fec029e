package nexa.words;

import java.text.DecimalFormatSymbols;
import java.text.MessageFormat;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.core.brief.Why;
import nexa.core.level.Refusal;
import nexa.core.naming.ShownName;
import nexa.core.overlay.Overlay;
import nexa.core.shape.Shape;
import nexa.core.told.Told;
import nexa.imaging.file.Trouble;
import org.jspecify.annotations.Nullable;

/** The words of the window and of the commands by key, from {@code words.properties}. */
public final class Words {
    /** In percent of a frame's height: less head room than this is hair that one misses. */
    private static final int HAIR_CUT = -3;

    private static Supplier<String> setting = () -> Languages.AS_SYSTEM;
    private static @Nullable ResourceBundle bundle;

    private Words() {}

    /**
     * Sets where the user's language is known from; asked when the first words are wanted.
     *
     * @param language gives what was set, see {@link Languages#SETTING}
     */
    public static synchronized void speak(Supplier<String> language) {
        setting = language;
        bundle = null;
    }

    private static synchronized ResourceBundle bundle() {
        ResourceBundle known = bundle;
        if (known == null) {
            known = ResourceBundle.getBundle(
                    "nexa.words.words",
                    Languages.of(setting.get(), Locale.getDefault()),
                    ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
            bundle = known;
        }
        return known;
    }

    /**
     * The words of a key with their places filled as {@link MessageFormat} does; times as a date.
     *
     * @throws java.util.MissingResourceException if there is no such key, which is a bug
     */
    public static String of(String key, Object... values) {
        Object[] shown = Stream.of(values).map(Words::shown).toArray();
        return new MessageFormat(bundle().getString(key), language()).format(shown);
    }

    /**
     * A number as the language writes it, with a true minus.
     *
     * @param pattern of {@link String#format}
     */
    public static String number(String pattern, double value) {
        return String.format(language(), pattern, value).replace('-', '−');
    }

    static boolean hasDecimalComma() {
        return DecimalFormatSymbols.getInstance(language()).getDecimalSeparator() == ',';
    }

    /** The root bundle is English. */
    private static Locale language() {
        Locale spoken = bundle().getLocale();
        return spoken.equals(Locale.ROOT) ? Locale.ENGLISH : spoken;
    }

    private static Object shown(Object value) {
        return switch (value) {
            case Number number -> number;
            case LocalDateTime time ->
                Date.from(time.atZone(ZoneId.systemDefault()).toInstant());
            case Told told -> of(told);
            case Shape shape -> ShapeWords.of(shape);
            default -> shown(String.valueOf(value));
        };
    }

    /** A name of somebody's as it is shown, line by line. */
    public static String shown(String name) {
        return name.lines().map(ShownName::of).collect(Collectors.joining("\n"));
    }

    /** A name of a photo or format, in one line. */
    public static String name(String name) {
        return ShownName.of(name);
    }

    /** With a capital at its beginning, as what stands alone is written. */
    public static String begun(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(language()) + text.substring(1);
    }

    /** What commands say of themselves, by their options; empty in English, which stands beside the options themselves. */
    public static Optional<ResourceBundle> help() {
        return language().equals(Locale.ENGLISH)
                ? Optional.empty()
                : Optional.of(ResourceBundle.getBundle(
                        "nexa.words.help",
                        language(),
                        ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES)));
    }

    public static boolean has(String key) {
        return bundle().containsKey(key);
    }

    public static String of(Overlay overlay) {
        return of("overlay." + key(overlay));
    }

    public static String of(FrameState state) {
        return of("state." + key(state));
    }

    public static String of(Trouble trouble) {
        return of(trouble.told());
    }

    /** What is told, in words. */
    public static String of(Told told) {
        return of(told.code(), told.values().toArray());
    }

    /** Why something failed, in words. */
    public static String of(Throwable failed) {
        return of(Told.of(failed));
    }

    /** Several things that are told, one after the other. */
    public static String of(List<Told> told) {
        return told.stream().map(Words::of).collect(Collectors.joining("; "));
    }

    public static String of(Refusal refusal) {
        return of("refusal." + key(refusal));
    }

    /** Why a frame lies where it does. */
    public static String of(Why why) {
        return switch (why) {
            case Why.Placed() -> of("why.placed");
            case Why.Centred() -> of("why.centred");
            case Why.AsPlacedElsewhere() -> of("why.as-placed-elsewhere");
            case Why.ByMarks() -> of("why.by-marks");
            case Why.Kept(int faces, boolean subject, double headRoom) ->
                faces > 0 ? kept(faces, Math.round(100 * headRoom)) : of(subject ? "why.subject" : "why.much");
        };
    }

    /** @param headRoom in percent of the frame's height; negative where hair is cut */
    private static String kept(int faces, long headRoom) {
        if (headRoom > 0) {
            return of("why.faces", faces, headRoom);
        }
        return of(headRoom > HAIR_CUT ? "why.faces.close" : "why.faces.cut", faces);
    }

    /** The words of any other choice, under the name of its kind. */
    public static String of(String kind, Enum<?> value) {
        return of(key(kind, value));
    }

    /** The key of these words. */
    public static String key(String kind, Enum<?> value) {
        return kind + "." + key(value);
    }

    private static String key(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
