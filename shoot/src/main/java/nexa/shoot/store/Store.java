package nexa.shoot.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import nexa.core.brief.Brief;
import nexa.core.sight.Sight;
import nexa.core.told.Told;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.History;
import nexa.shoot.scan.DeliveredFiles.Delivered;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConnection;

/**
 * One shoot's SQLite database in write-ahead mode. Each method that writes is one transaction: after a crash or a power
 * cut it is there wholly or not at all. What a cell holds is checked when it is read: a bad one spoils its photo, crop or
 * format, and is told by {@link #spoiled}. Not thread-safe.
 */
public final class Store implements AutoCloseable {
    /** Where a shoot's store lies in its folder. */
    public static final String IN_FOLDER = ".nexa/shoot.db";

    /** Where the file's header says how it is written and read (SQLite file format, 1.3). */
    private static final int JOURNAL_MODES = 18;

    private static final byte ROLLBACK = 1;

    private static final String IDENTITY = "identity";

    private final Connection connection;
    private final boolean mayWrite;
    private final Spoiled spoiled = new Spoiled();
    private final PhotoTable photos;
    private final BriefTable brief;
    private final DeliveryTable deliveries;
    private final StepTable steps;
    private final Seal seal;

    private Store(Connection connection, boolean mayWrite) {
        this.connection = connection;
        this.mayWrite = mayWrite;
        this.photos = new PhotoTable(connection, spoiled);
        this.brief = new BriefTable(connection, spoiled);
        this.deliveries = new DeliveryTable(connection);
        this.steps = new StepTable(connection, spoiled);
        this.seal = new Seal(connection);
    }

    /**
     * Opens the database, made or brought up to date as needed. {@link StoreFile} looks after its file first.
     *
     * @throws StoreException if that is not possible
     */
    public static Store open(Path file) throws StoreException {
        return open(file, true);
    }

    /** @param mayWrite whether this program is the one that edits */
    static Store open(Path file, boolean mayWrite) throws StoreException {
        return attempt(Told.of("told.store.shoot-database-cannot-opened", file), () -> {
            Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
            try {
                try (Statement statement = connection.createStatement()) {
                    statement.execute("PRAGMA busy_timeout = 5000");
                    statement.execute("PRAGMA journal_mode = WAL");
                    statement.execute("PRAGMA synchronous = NORMAL");
                    statement.execute("PRAGMA foreign_keys = ON");
                }
                Schema.update(connection);
                return new Store(connection, mayWrite);
            } catch (SQLException failed) {
                connection.close();
                throw failed;
            }
        });
    }

    /**
     * A copy in memory, for looking where nothing can be written.
     *
     * @param file null for an empty one
     */
    static Store inMemory(@Nullable Path file) throws StoreException {
        return attempt(Told.of("told.store.shoot-database-cannot-read", String.valueOf(file)), () -> {
            Connection connection = DriverManager.getConnection("jdbc:sqlite::memory:");
            if (file != null) {
                connection.unwrap(SQLiteConnection.class).deserialize("main", bytes(file));
            }
            Schema.update(connection);
            return new Store(connection, true);
        });
    }

    /** Without a log of its own, as there is no place for one. */
    private static byte[] bytes(Path file) throws SQLException {
        try {
            byte[] bytes = Files.readAllBytes(file);
            if (bytes.length > JOURNAL_MODES + 1) {
                bytes[JOURNAL_MODES] = ROLLBACK;
                bytes[JOURNAL_MODES + 1] = ROLLBACK;
            }
            return bytes;
        } catch (IOException unreadable) {
            throw new SQLException(unreadable.getMessage(), unreadable);
        }
    }

    static String quoted(Path file) {
        return "'" + file.toString().replace("'", "''") + "'";
    }

    /** Whether the store in another shoot's folder lists a file; one that can't be read lists all. */
    public static boolean lists(Path file, Path photo) {
        try (Connection connection = reading(file);
                PreparedStatement query = connection.prepareStatement("SELECT 1 FROM photo WHERE file = ?")) {
            query.setString(
                    1,
                    StreamSupport.stream(photo.spliterator(), false)
                            .map(Path::toString)
                            .collect(Collectors.joining("/")));
            try (ResultSet row = query.executeQuery()) {
                return row.next();
            }
        } catch (SQLException damaged) { // that is the answer
            return true;
        }
    }

    /** Without making or changing anything, also where nothing can be written. */
    static Connection reading(Path file) throws SQLException {
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(true);
        return config.createConnection("jdbc:sqlite:" + file);
    }

    /** A name of the shoot that goes with it wherever its folder goes; empty for one of an earlier version. */
    public Optional<String> identity() throws StoreException {
        return Optional.ofNullable(settings().get(IDENTITY));
    }

    /** Names the shoot if it has no name yet. */
    void identify() throws StoreException {
        if (identity().isEmpty()) {
            saveSetting(IDENTITY, UUID.randomUUID().toString());
        }
    }

    /** What could not be read so far, in words for the user. */
    public List<Told> spoiled() {
        return spoiled.told();
    }

    public List<StoredPhoto> photos() throws StoreException {
        return attempt(Told.of("told.store.shoot-photos-cannot-read"), photos::all);
    }

    /** Adds photos (id 0) and updates known ones; gives them back with their ids. */
    public List<StoredPhoto> save(List<StoredPhoto> scanned) throws StoreException {
        if (scanned.isEmpty()) { // most times a shoot is opened; its seal stays
            return List.of();
        }
        return attempt(Told.of("told.store.shoot-photos-cannot-saved"), () -> transaction(() -> photos.save(scanned)));
    }

    public Brief brief() throws StoreException {
        return attempt(Told.of("told.store.brief-cannot-read"), brief::load);
    }

    /** Stores what an edit leads to, and what it is among the steps that can be taken back. */
    public void save(Edit edit, History.Move move) throws StoreException {
        StepTable.Change step = steps.change(move);
        attempt(
                Told.of("told.store.change-cannot-saved"),
                () -> transaction(() -> {
                    if (edit.brief() != null) {
                        brief.save(edit.brief().after());
                    }
                    photos.saveFramings(edit.framings());
                    step.save();
                    return edit;
                }));
    }

    /** The steps that can be taken back or done again, as they were left. */
    public History history() throws StoreException {
        return attempt(Told.of("told.store.steps-cannot-read"), steps::load);
    }

    /** Files that were delivered into the shoot's folder. */
    public List<Delivered> deliveries() throws StoreException {
        return attempt(Told.of("told.store.list-deliveries-cannot-read"), deliveries::all);
    }

    public void saveDeliveries(Collection<Delivered> delivered) throws StoreException {
        attempt(
                Told.of("told.store.list-deliveries-cannot-saved"),
                () -> transaction(() -> deliveries.save(delivered)));
    }

    /** Fingerprints of photos whose picture data was found whole. */
    public Set<String> sound() throws StoreException {
        return attempt(Told.of("told.store.list-checked-photos-cannot-read"), () -> {
            Set<String> sound = new HashSet<>();
            try (Statement statement = connection.createStatement();
                    ResultSet rows = statement.executeQuery("SELECT fingerprint FROM sound")) {
                while (rows.next()) {
                    sound.add(rows.getString(1));
                }
            }
            return sound;
        });
    }

    public void saveSound(String fingerprint) throws StoreException {
        attempt(
                Told.of("told.store.list-checked-photos-cannot-saved"),
                () -> transaction(() -> {
                    try (PreparedStatement insert =
                            connection.prepareStatement("INSERT OR IGNORE INTO sound VALUES (?)")) {
                        insert.setString(1, fingerprint);
                        return insert.executeUpdate();
                    }
                }));
    }

    /** Stores what photos show, by their ids. */
    public void saveSights(Map<Long, Sight> seen) throws StoreException {
        attempt(Told.of("told.store.change-cannot-saved"), () -> transaction(() -> photos.saveSights(seen)));
    }

    /** Copies all of it, as it is now, to a file. */
    public void copyTo(Path file) throws StoreException {
        attempt(Told.of("told.store.shoot-database-cannot-copied", file), () -> {
            try (Statement statement = connection.createStatement()) {
                return statement.executeUpdate("backup to " + quoted(file));
            }
        });
    }

    /** Remembered choices of the interface, such as the active format. */
    public Map<String, String> settings() throws StoreException {
        return attempt(Told.of("told.store.shoot-settings-cannot-read"), () -> {
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
        attempt(
                Told.of("told.store.shoot-settings-cannot-saved"),
                () -> transaction(() -> SettingTable.save(connection, name, value)));
    }

    @Override
    public void close() throws StoreException {
        attempt(Told.of("told.store.shoot-database-cannot-closed"), () -> {
            try {
                if (mayWrite) {
                    seal.close();
                }
            } finally {
                connection.close();
            }
            return connection;
        });
    }

    @FunctionalInterface
    private interface Work<T> {
        T run() throws SQLException;
    }

    private static <T> T attempt(Told failure, Work<T> work) throws StoreException {
        try {
            return work.run();
        } catch (SQLException failed) {
            throw new StoreException(Told.of("told.store.because", failure, StoreException.reason(failed)), failed);
        }
    }

    private <T> T transaction(Work<T> work) throws SQLException {
        connection.setAutoCommit(false);
        try {
            seal.open();
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
