package nexa.bench.base;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** What a person saw in photographs that are not in the repository: tables in {@code bench/truth}, by the photos' names. */
public final class TruthFile {
    private TruthFile() {}

    /** The lines of a table, without its head. */
    public static List<String> rows(String table) throws IOException {
        Path file = Path.of(System.getProperty("nexa.home", "."))
                .resolve("bench/truth")
                .resolve(table);
        return Files.readAllLines(file).stream().skip(1).toList();
    }

    /** What a photo is called in the tables: its file's name without the kind. */
    public static String name(Path photo) {
        return photo.getFileName().toString().replaceFirst("\\.[^.]+$", "");
    }
}
