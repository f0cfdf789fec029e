package nexa.shoot.store;

import java.io.IOException;

/** The shoot's database can't be opened, read or written; the message says so in plain words. */
public final class StoreException extends IOException {
    private static final long serialVersionUID = 1;

    StoreException(String message, Throwable cause) {
        super(message, cause);
    }
}
