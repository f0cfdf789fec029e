package nexa.shoot.guard;

import java.nio.file.Path;

/** Another file has the name, and nobody said that it is to be replaced. It could be. */
public final class NameTakenException extends RefusedException {
    private static final long serialVersionUID = 1;

    NameTakenException(Path file) {
        super("told.guard.there-already", file);
    }
}
