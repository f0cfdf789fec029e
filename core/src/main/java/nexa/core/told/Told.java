package nexa.core.told;

import java.util.List;
import java.util.stream.Collectors;

/**
 * Something to be said to the user.
 *
 * @param code of the sentence
 * @param values for its places: numbers, names, or others that are told
 */
public record Told(String code, List<Object> values) {
    /** The code of what only the system has words for; its one value. */
    public static final String SYSTEM = "told.system";

    public Told {
        values = List.copyOf(values);
    }

    public static Told of(String code, Object... values) {
        return new Told(code, List.of(values));
    }

    /** What went wrong, as it or what caused it tells; else in the system's own words. */
    public static Told of(Throwable failed) {
        for (Throwable at = failed; at != null; at = at.getCause()) {
            if (at instanceof Telling telling) {
                return telling.told();
            }
        }
        String message = failed.getMessage();
        return of(SYSTEM, message == null ? failed.getClass().getSimpleName() : message);
    }

    /** For logs. */
    @Override
    public String toString() {
        return values.isEmpty()
                ? code
                : values.stream().map(String::valueOf).collect(Collectors.joining(", ", code + " (", ")"));
    }
}
