package nexa.shoot.store;

import java.sql.SQLException;
import java.util.Map;
import java.util.Set;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** The shoot's database can't be opened, read or written; the message says so in plain words. */
public final class StoreException extends ToldException {
    private static final long serialVersionUID = 1;
    private static final Set<Integer> UNWRITABLE = Set.of(
            SQLiteErrorCode.SQLITE_FULL.code,
            SQLiteErrorCode.SQLITE_READONLY.code,
            SQLiteErrorCode.SQLITE_CANTOPEN.code,
            SQLiteErrorCode.SQLITE_IOERR.code);

    private static final Map<Integer, String> PLAIN = Map.of(
            SQLiteErrorCode.SQLITE_FULL.code, "told.disk.full",
            SQLiteErrorCode.SQLITE_BUSY.code, "told.store.held",
            SQLiteErrorCode.SQLITE_READONLY.code, "told.store.read-only",
            SQLiteErrorCode.SQLITE_IOERR.code, "told.disk.failed");

    public StoreException(Told told, Throwable cause) {
        super(told, cause);
    }

    /** The library's reasons in plain words, where a user can do something about them. */
    static Told reason(SQLException failed) {
        int code = failed instanceof SQLiteException own ? own.getErrorCode() & 0xFF : 0;
        String plain = PLAIN.get(code);
        return plain == null ? Told.of(failed) : Told.of(plain);
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
