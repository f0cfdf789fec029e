package nexa.shoot.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.told.Told;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Looks after a store's file: a damaged one is set aside and the newest good copy, or what its rows still hold, is put in
 * its place; copies are made before it is opened, one a day.
 */
public final class StoreFile {
    private static final Logger LOG = LoggerFactory.getLogger(StoreFile.class);
    private static final byte[] BEGINNING = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("uuuu-MM-dd HH.mm.ss").withZone(ZoneId.systemDefault());
    private static final DateTimeFormatter SAID = DateTimeFormatter.ofLocalizedDateTime(
                    FormatStyle.MEDIUM, FormatStyle.SHORT)
            .withZone(ZoneId.systemDefault());

    private final Path file;
    private final Copies copies;
    private final InstantSource clock;
    private final List<Told> told = new ArrayList<>();

    private StoreFile(Path file, InstantSource clock) {
        this.file = file;
        this.copies = new Copies(file.resolveSibling("copies"), clock);
        this.clock = clock;
    }

    /**
     * An open store.
     *
     * @param told what was found wrong and what was done, in words for the user
     */
    public record Opened(Store store, List<Told> told) {
        public Opened {
            told = List.copyOf(told);
        }
    }

    /**
     * Opens a store to edit it.
     *
     * @throws StoreException if nothing can be opened or made
     */
    public static Opened open(Path file, InstantSource clock) throws StoreException {
        StoreFile looked = new StoreFile(file, clock);
        Store store = looked.open();
        return new Opened(store, looked.told);
    }

    /**
     * Opens a store that another program edits.
     *
     * @throws StoreException if it can't be read
     */
    public static Opened look(Path file) throws StoreException {
        return new Opened(Store.open(file, false), List.of());
    }

    /**
     * What a store holds, in memory, where nothing can be written.
     *
     * @param file null if there is none
     * @throws StoreException if it can't be read
     */
    public static Opened lookInMemory(@Nullable Path file) throws StoreException {
        return new Opened(Store.inMemory(file), List.of());
    }

    private Store open() throws StoreException {
        try {
            if (Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
                Optional<Told> damage = damage(file);
                if (damage.isPresent()) {
                    mend(damage.get());
                } else {
                    copyIfDue();
                }
            } else if (copies.newestGood().isPresent()) {
                mend(Told.of("told.store.was-gone"));
            }
        } catch (StoreException known) {
            throw known;
        } catch (IOException failed) {
            throw new StoreException(Told.of("told.store.shoot-database-cannot-set-aside", file), failed);
        }
        Store store = Store.open(file);
        try {
            store.identify();
        } catch (StoreException full) { // it is named another time
            LOG.info("The shoot in {} has no name yet: {}", file, full.toString());
        }
        return store;
    }

    private void copyIfDue() {
        try {
            copies.makeIfDue(file, isOlder());
        } catch (IOException | SQLException full) { // the shoot opens all the same
            LOG.warn("No copy of {} was made", file, full);
            told.add(Told.of("told.store.no-safety-copy", Told.of(full)));
        }
    }

    private boolean isOlder() throws SQLException {
        try (Connection connection = Store.reading(file)) {
            return Schema.isOlder(connection);
        }
    }

    // ---- damage ----

    /**
     * What is wrong with a store's file; empty if nothing is.
     *
     * @throws StoreException if it can't be told because nothing can be written there, or another program holds it
     */
    static Optional<Told> damage(Path file) throws StoreException {
        try {
            if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
                return Optional.of(Told.of("told.store.link-or-folder"));
            }
            if (Files.size(file) == 0) {
                return Optional.of(Told.of("told.store.empty"));
            }
            if (!beginsAsStore(file)) {
                return Optional.of(Told.of("told.store.no-database"));
            }
        } catch (IOException unreadable) {
            return Optional.of(Told.of("told.store.cannot-read", Told.of(unreadable)));
        }
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            return damage(connection);
        } catch (SQLException broken) {
            StoreException why = new StoreException(
                    Told.of(
                            "told.store.because",
                            Told.of("told.store.shoot-database-cannot-opened", file),
                            StoreException.reason(broken)),
                    broken);
            if (why.isForLackOfRoom() || why.isHeld()) {
                throw why;
            }
            return Optional.of(Told.of("told.store.cannot-read", Told.of(broken)));
        }
    }

    private static boolean beginsAsStore(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return java.util.Arrays.equals(in.readNBytes(BEGINNING.length), BEGINNING);
        }
    }

    private static Optional<Told> damage(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery("PRAGMA integrity_check(1)")) {
            if (!result.next() || !"ok".equals(result.getString(1))) {
                return Optional.of(Told.of("told.store.parts-damaged"));
            }
        }
        boolean whole =
                !Schema.isOfThisVersion(connection) || Schema.isIntact(connection) && new Seal(connection).isWhole();
        return whole ? Optional.empty() : Optional.of(Told.of("told.store.values-changed"));
    }

    private void mend(Told damage) throws IOException {
        Instant now = clock.instant();
        Path aside = file.resolveSibling("damaged " + NAME.format(now) + ".db");
        setAside(aside);
        try {
            replace(damage, aside);
        } catch (IOException failed) { // then it is as it was
            Files.deleteIfExists(file);
            move(aside, file);
            throw failed;
        }
    }

    private void replace(Told damage, Path aside) throws IOException {
        Optional<Path> copy = copies.newestGood();
        if (copy.isPresent()) {
            Files.copy(copy.get(), file);
            told.add(Told.of("told.store.damaged-copy-back", damage, SAID.format(Copies.made(copy.get()))));
        } else {
            int rows = Salvage.rows(aside, file);
            told.add(
                    rows > 0
                            ? Told.of("told.store.damaged-rows-kept", damage, rows)
                            : Told.of("told.store.damaged-nothing", damage));
        }
        if (Files.exists(aside)) {
            told.add(Told.of("told.store.damaged-kept", aside.getFileName()));
        }
        if (hasSidecars()) {
            told.add(Told.of("told.store.sidecars-there"));
        }
    }

    private boolean hasSidecars() throws IOException {
        Path shoot = file.toAbsolutePath().resolve("../..").normalize();
        try (Stream<Path> files = Files.list(shoot)) {
            return files.anyMatch(each -> each.toString().endsWith(".xmp"));
        }
    }

    private void setAside(Path aside) throws IOException {
        move(file, aside);
    }

    /** With what belongs to it. */
    private static void move(Path from, Path to) throws IOException {
        for (String ending : List.of("", "-wal", "-shm")) {
            Path part = Path.of(from + ending);
            if (Files.exists(part, LinkOption.NOFOLLOW_LINKS)) {
                Files.move(part, Path.of(to + ending), StandardCopyOption.ATOMIC_MOVE);
            }
        }
    }
}
