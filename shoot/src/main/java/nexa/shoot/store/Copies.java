package nexa.shoot.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Safety copies of a store, the last three, in a folder beside it. */
final class Copies {
    private static final Duration DUE = Duration.ofDays(1);
    private static final int KEPT = 3;
    private static final String ENDING = ".db";
    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH.mm.ss.SSS'Z'").withZone(ZoneOffset.UTC);

    private final Path folder;
    private final InstantSource clock;

    Copies(Path folder, InstantSource clock) {
        this.folder = folder;
        this.clock = clock;
    }

    /**
     * Makes one if the newest is older than a day.
     *
     * @param inAnyCase also if it is not
     */
    void makeIfDue(Path store, boolean inAnyCase) throws IOException, SQLException {
        boolean due = newestFirst().stream()
                .findFirst()
                .map(newest -> made(newest).plus(DUE).isBefore(clock.instant()))
                .orElse(true);
        if (due || inAnyCase) {
            make(store);
        }
    }

    private void make(Path store) throws IOException, SQLException {
        Files.createDirectories(folder);
        Path part = folder.resolve("part");
        Files.deleteIfExists(part);
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + store);
                Statement statement = connection.createStatement()) {
            statement.executeUpdate("backup to " + Store.quoted(part));
        }
        Files.move(part, folder.resolve(NAME.format(clock.instant()) + ENDING), StandardCopyOption.ATOMIC_MOVE);
        List<Path> all = newestFirst();
        for (Path old : all.subList(Math.min(KEPT, all.size()), all.size())) {
            Files.delete(old);
        }
    }

    Optional<Path> newestGood() throws IOException {
        for (Path copy : newestFirst()) {
            if (StoreFile.damage(copy).isEmpty()) {
                return Optional.of(copy);
            }
        }
        return Optional.empty();
    }

    /** When it was made. */
    static Instant made(Path copy) {
        String name = copy.getFileName().toString();
        return Instant.from(NAME.parse(name.substring(0, name.length() - ENDING.length())));
    }

    private List<Path> newestFirst() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(Copies::isCopy)
                    .sorted(Comparator.comparing(Copies::made).reversed())
                    .toList();
        }
    }

    private static boolean isCopy(Path file) {
        try {
            return file.toString().endsWith(ENDING) && made(file) != null;
        } catch (DateTimeParseException other) { // somebody else's
            return false;
        }
    }
}
