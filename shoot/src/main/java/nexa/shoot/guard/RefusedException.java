package nexa.shoot.guard;

import java.io.IOException;

/** A file is not written because of what is there; the message says what, for the user. */
public sealed class RefusedException extends IOException permits NameTakenException {
    private static final long serialVersionUID = 1;

    RefusedException(String message) {
        super(message);
    }
}
