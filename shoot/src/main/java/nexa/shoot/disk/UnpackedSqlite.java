package nexa.shoot.disk;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteJDBCLoader;
import org.sqlite.util.LibraryLoaderUtil;

/**
 * Keeps SQLite's own library unpacked from one start to the next: unpacking it and comparing it with what is packed is a
 * quarter of a short command's time. Where it can't be kept or loaded, the driver unpacks it by itself as ever.
 */
public final class UnpackedSqlite {
    private static final Logger LOG = LoggerFactory.getLogger(UnpackedSqlite.class);
    private static final String PLACE = "org.sqlite.lib.path";
    private static final String NAME = "org.sqlite.lib.name";

    private UnpackedSqlite() {}

    /**
     * Before the first connection; the first folder that is named is the one.
     *
     * @param cache folder for what can be made again
     */
    public static synchronized void keptIn(Path cache) {
        if (System.getProperty(PLACE) != null) {
            return;
        }
        String name = LibraryLoaderUtil.getNativeLibName();
        Path folder = cache.toAbsolutePath().resolve("sqlite-" + SQLiteJDBCLoader.getVersion());
        try {
            if (!Files.isRegularFile(folder.resolve(name))) {
                unpack(folder, name);
            }
            System.setProperty(PLACE, folder.toString());
            System.setProperty(NAME, name);
        } catch (IOException notKept) {
            LOG.info("SQLite's library is not kept in {}", folder, notKept);
        }
    }

    private static void unpack(Path folder, String name) throws IOException {
        String packed = LibraryLoaderUtil.getNativeLibResourcePath() + "/" + name;
        try (InputStream in = SQLiteJDBCLoader.class.getResourceAsStream(packed)) {
            if (in == null) {
                throw new NoSuchFileException(packed);
            }
            Files.createDirectories(folder);
            AtomicFile.write(folder.resolve(name), in.readAllBytes());
        }
    }
}
