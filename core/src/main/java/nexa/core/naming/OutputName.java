package nexa.core.naming;

import java.util.HashSet;
import java.util.Locale;
import java.util.Set;

/** Gives out names of files, each once, also where capitals don't count. Not thread-safe. */
public final class OutputName {
    private final Set<String> taken = new HashSet<>();

    /**
     * A name not given out before: the wanted one, or the next that is free with a number behind it.
     *
     * @param wanted as {@link NameTemplate#name} gives it
     */
    public String next(String wanted, String extension) {
        String name = wanted + "." + extension;
        for (int n = 2; !taken.add(name.toLowerCase(Locale.ROOT)); n++) {
            name = wanted + "-" + n + "." + extension;
        }
        return name;
    }
}
