package nexa.shoot.store;

import java.io.IOException;
import java.sql.SQLException;
import java.util.Map;
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

    private static final Map<Integer, String> PLAIN = Map.of(
            SQLiteErrorCode.SQLITE_FULL.code, "the disk is full",
            SQLiteErrorCode.SQLITE_BUSY.code, "another program holds it",
            SQLiteErrorCode.SQLITE_READONLY.code, "it can't be written",
            SQLiteErrorCode.SQLITE_IOERR.code, "the disk can't be read or written");

    public StoreException(String message, Throwable cause) {
        super(message, cause);
    }

    /** The library's reasons in plain words, where a user can do something about them. */
    static String words(SQLException failed) {
        int code = failed instanceof SQLiteException own ? own.getErrorCode() & 0xFF : 0;
        String plain = PLAIN.get(code);
        return plain == null ? String.valueOf(failed.getMessage()) : plain;
    }

    /** Whether it is because another program holds the database. */
    boolean isHeld() {
        return getCause() instanceof SQLiteException failed
                && (failed.getErrorCode() & 0xFF) == SQLiteErrorCode.SQLITE_BUSY.code;
    }

    /** Whether it is because nothing can be written there, so that it can still be looked at. */
    public boolean isForLackOfRoom() {
        return getCause() instanceof SQLiteException failed && UNWRITABLE.contains(failed.getErrorCode() & 0xFF);
    }
}
