package nexa.shoot.scan;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.StringJoiner;

/**
 * A file's path inside a folder as text: its names as the system has them, with slashes between. A name that the
 * system's encoding can't say has no such text that leads back to it.
 */
public final class RelativePath {
    private RelativePath() {}

    /** @param file below the folder */
    public static String of(Path folder, Path file) {
        StringJoiner names = new StringJoiner("/");
        folder.relativize(file).forEach(name -> names.add(name.toString()));
        return names.toString();
    }

    /** The file that a text leads to; empty if it leads nowhere, or out of the folder. */
    public static Optional<Path> resolve(Path folder, String text) {
        try {
            Path file = folder.resolve(text).normalize();
            boolean inside = file.startsWith(folder) && !file.equals(folder);
            return inside ? Optional.of(file) : Optional.empty();
        } catch (InvalidPathException unsayable) { // then there is no such file
            return Optional.empty();
        }
    }
}
