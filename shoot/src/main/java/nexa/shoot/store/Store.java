package nexa.shoot.store;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import nexa.core.brief.Brief;
import nexa.shoot.edit.Edit;

/**
 * One shoot's SQLite database in write-ahead mode. Each method that writes is one transaction: after a crash or a power
 * cut it is there wholly or not at all. Not thread-safe.
 */
public final class Store implements AutoCloseable {
    private final Connection connection;
    private final PhotoTable photos;
    private final BriefTable brief;

    private Store(Connection connection) {
        this.connection = connection;
        this.photos = new PhotoTable(connection);
        this.brief = new BriefTable(connection);
    }

    /**
     * Opens the database, made or brought up to date as needed.
     *
     * @throws StoreException if that is not possible
     */
    public static Store open(Path file) throws StoreException {
        return attempt("The shoot's database " + file + " can't be opened", () -> {
            Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
            try {
                try (Statement statement = connection.createStatement()) {
                    statement.execute("PRAGMA journal_mode = WAL");
                    statement.execute("PRAGMA synchronous = NORMAL");
                    statement.execute("PRAGMA busy_timeout = 5000");
                    statement.execute("PRAGMA foreign_keys = ON");
                }
                Schema.update(connection);
                return new Store(connection);
            } catch (SQLException failed) {
                connection.close();
                throw failed;
            }
        });
    }

    public List<StoredPhoto> photos() throws StoreException {
        return attempt("The shoot's photos can't be read", photos::all);
    }

    /** Adds photos (id 0) and updates known ones; gives them back with their ids. */
    public List<StoredPhoto> save(List<StoredPhoto> scanned) throws StoreException {
        return attempt("The shoot's photos can't be saved", () -> transaction(() -> photos.save(scanned)));
    }

    public Brief brief() throws StoreException {
        return attempt("The brief can't be read", brief::load);
    }

    /** Stores what an edit leads to. */
    public void save(Edit edit) throws StoreException {
        attempt(
                "The change can't be saved",
                () -> transaction(() -> {
                    if (edit.brief() != null) {
                        brief.save(edit.brief().after());
                    }
                    photos.saveFramings(edit.framings());
                    return edit;
                }));
    }

    /** Remembered choices of the interface, such as the active format. */
    public Map<String, String> settings() throws StoreException {
        return attempt("The shoot's settings can't be read", () -> {
            Map<String, String> settings = new HashMap<>();
            try (Statement statement = connection.createStatement();
                    ResultSet rows = statement.executeQuery("SELECT name, value FROM setting")) {
                while (rows.next()) {
                    settings.put(rows.getString(1), rows.getString(2));
                }
            }
            return settings;
        });
    }

    public void saveSetting(String name, String value) throws StoreException {
        attempt("The shoot's settings can't be saved", () -> SettingTable.save(connection, name, value));
    }

    @Override
    public void close() throws StoreException {
        attempt("The shoot's database can't be closed", () -> {
            connection.close();
            return connection;
        });
    }

    @FunctionalInterface
    private interface Work<T> {
        T run() throws SQLException;
    }

    private static <T> T attempt(String failure, Work<T> work) throws StoreException {
        try {
            return work.run();
        } catch (SQLException failed) {
            throw new StoreException(failure + ": " + failed.getMessage(), failed);
        }
    }

    private <T> T transaction(Work<T> work) throws SQLException {
        connection.setAutoCommit(false);
        try {
            T result = work.run();
            connection.commit();
            return result;
        } catch (SQLException | RuntimeException failed) {
            connection.rollback();
            throw failed;
        } finally {
            connection.setAutoCommit(true);
        }
    }
}
