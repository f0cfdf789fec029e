package nexa.shoot;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;

/**
 * Where Nexa keeps its own files.
 *
 * @param data what must not be lost, such as the crops of shoots whose folder can't be written
 * @param cache what can be made again
 */
public record Locations(Path data, Path cache) {

    /**
     * The places that the operating system has for this; {@code NEXA_HOME} puts both below one folder.
     *
     * @param environment such as {@link System#getenv()}
     * @param home the user's home folder
     * @param system such as the property {@code os.name}
     */
    public static Locations of(Map<String, String> environment, Path home, String system) {
        String own = environment.get("NEXA_HOME");
        if (own != null && !own.isBlank()) {
            return new Locations(Path.of(own, "data"), Path.of(own, "cache"));
        }
        String name = system.toLowerCase(Locale.ROOT);
        if (name.contains("mac")) {
            return new Locations(home.resolve("Library/Application Support/Nexa"), home.resolve("Library/Caches/Nexa"));
        }
        if (name.contains("win")) {
            Path local = folder(environment, "LOCALAPPDATA", home.resolve("AppData/Local"));
            return new Locations(local.resolve("Nexa/data"), local.resolve("Nexa/cache"));
        }
        return new Locations(
                folder(environment, "XDG_DATA_HOME", home.resolve(".local/share"))
                        .resolve("nexa"),
                folder(environment, "XDG_CACHE_HOME", home.resolve(".cache")).resolve("nexa"));
    }

    /**
     * Where the program's log goes.
     *
     * @param environment such as {@link System#getenv()}
     * @param home the user's home folder
     * @param system such as the property {@code os.name}
     */
    public static Path logs(Map<String, String> environment, Path home, String system) {
        String own = environment.get("NEXA_HOME");
        if (own != null && !own.isBlank()) {
            return Path.of(own, "log");
        }
        String name = system.toLowerCase(Locale.ROOT);
        if (name.contains("mac")) {
            return home.resolve("Library/Logs/Nexa");
        }
        if (name.contains("win")) {
            return folder(environment, "LOCALAPPDATA", home.resolve("AppData/Local"))
                    .resolve("Nexa/log");
        }
        return folder(environment, "XDG_STATE_HOME", home.resolve(".local/state"))
                .resolve("nexa");
    }

    public static Path logsOfThisUser() {
        return logs(System.getenv(), Path.of(System.getProperty("user.home")), System.getProperty("os.name"));
    }

    public static Locations ofThisUser() {
        return of(System.getenv(), Path.of(System.getProperty("user.home")), System.getProperty("os.name"));
    }

    private static Path folder(Map<String, String> environment, String variable, Path otherwise) {
        String value = environment.get(variable);
        return value == null || value.isBlank() ? otherwise : Path.of(value);
    }
}
