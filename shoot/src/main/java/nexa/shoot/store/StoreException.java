package nexa.shoot.store;

import java.io.IOException;
import java.util.Set;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** The shoot's database can't be opened, read or written; the message says so in plain words. */
public final class StoreException extends IOException {
    private static final long serialVersionUID = 1;
    private static final Set<Integer> UNWRITABLE = Set.of(
            SQLiteErrorCode.SQLITE_FULL.code,
            SQLiteErrorCode.SQLITE_READONLY.code,
            SQLiteErrorCode.SQLITE_CANTOPEN.code,
            SQLiteErrorCode.SQLITE_IOERR.code);

    StoreException(String message, Throwable cause) {
        super(message, cause);
    }

    /** Whether it is because nothing can be written there, so that it can still be looked at. */
    public boolean isForLackOfRoom() {
        return getCause() instanceof SQLiteException failed && UNWRITABLE.contains(failed.getErrorCode() & 0xFF);
    }
}
