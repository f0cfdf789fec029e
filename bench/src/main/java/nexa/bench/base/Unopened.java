package nexa.bench.base;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;

/** Folders of photographs that are opened for the first time, again and again. */
public final class Unopened {
    private Unopened() {}

    /** Whether nothing is known of a folder; else it is said. */
    public static boolean is(Path folder) {
        boolean unopened = !Files.exists(folder.resolve(".nexa"));
        if (!unopened) {
            System.out.println(folder + " was opened before; what is known of it would have to go");
        }
        return unopened;
    }

    /** Removes what is known of a folder. */
    public static void again(Path folder) throws IOException {
        Path own = folder.resolve(".nexa");
        if (Files.isDirectory(own)) {
            try (Stream<Path> files = Files.walk(own)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
    }
}
