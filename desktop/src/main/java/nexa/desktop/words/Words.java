package nexa.desktop.words;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.core.level.Refusal;
import nexa.core.naming.ShownName;
import nexa.core.overlay.Overlay;
import nexa.desktop.keys.Command;
import nexa.imaging.file.Trouble;

/** The interface's words by key, from {@code words.properties}. */
public final class Words {
    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("nexa.desktop.words");

    private Words() {}

    /**
     * The words of a key with their places filled as {@link MessageFormat} does.
     *
     * @throws java.util.MissingResourceException if there is no such key, which is a bug
     */
    public static String of(String key, Object... values) {
        Object[] shown = Stream.of(values).map(Words::shown).toArray();
        return new MessageFormat(BUNDLE.getString(key), Locale.ENGLISH).format(shown);
    }

    private static Object shown(Object value) {
        return value instanceof Number ? value : shown(String.valueOf(value));
    }

    /** A name of somebody's as it is shown, line by line. */
    public static String shown(String name) {
        return name.lines().map(ShownName::of).collect(Collectors.joining("\n"));
    }

    /** A name of a photo or format, in one line. */
    public static String name(String name) {
        return ShownName.of(name);
    }

    public static boolean has(String key) {
        return BUNDLE.containsKey(key);
    }

    public static String of(Overlay overlay) {
        return of("overlay." + key(overlay));
    }

    public static String of(FrameState state) {
        return of("state." + key(state));
    }

    public static String of(Trouble trouble) {
        return of("trouble." + key(trouble.kind()), trouble.percent());
    }

    public static String of(Refusal refusal) {
        return of("refusal." + key(refusal));
    }

    public static String of(Command command) {
        return of("command." + key(command));
    }

    /** The words of any other choice, under the name of its kind. */
    public static String of(String kind, Enum<?> value) {
        return of(kind + "." + key(value));
    }

    private static String key(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
