package nexa.desktop.widget;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Optional;

/** Paths as they are typed; half-typed ones may not be paths. */
public final class TypedPath {
    private TypedPath() {}

    /** Absolute; empty if the text is no path. */
    public static Optional<Path> of(String text) {
        try {
            return text.isBlank()
                    ? Optional.empty()
                    : Optional.of(Path.of(text.strip()).toAbsolutePath());
        } catch (InvalidPathException notYet) { // typed further, it may become one
            return Optional.empty();
        }
    }
}
