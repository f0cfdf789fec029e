package nexa.shoot.disk;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.sqlite.SQLiteJDBCLoader;
import org.sqlite.util.LibraryLoaderUtil;

class UnpackedSqliteTest {
    private static final String PLACE = "org.sqlite.lib.path";

    @TempDir
    Path base;

    private String before;

    @BeforeEach
    void asAtAStart() {
        before = System.clearProperty(PLACE);
    }

    @AfterEach
    void putBack() {
        System.clearProperty(PLACE);
        if (before != null) {
            System.setProperty(PLACE, before);
        }
    }

    @Test
    void library_isUnpackedOnce_asItIsPacked() throws IOException {
        UnpackedSqlite.keptIn(base);
        Path library = Path.of(System.getProperty(PLACE), LibraryLoaderUtil.getNativeLibName());
        String packed = LibraryLoaderUtil.getNativeLibResourcePath() + "/" + LibraryLoaderUtil.getNativeLibName();
        try (InputStream in = SQLiteJDBCLoader.class.getResourceAsStream(packed)) {
            assertArrayEquals(in.readAllBytes(), Files.readAllBytes(library));
        }
        Object made = Files.getLastModifiedTime(library);
        System.clearProperty(PLACE);
        UnpackedSqlite.keptIn(base);
        assertEquals(library.getParent().toString(), System.getProperty(PLACE));
        assertEquals(made, Files.getLastModifiedTime(library), "it is not made again");
    }

    @Test
    void folderThatWasNamedFirst_stays() {
        UnpackedSqlite.keptIn(base.resolve("first"));
        String first = System.getProperty(PLACE);
        UnpackedSqlite.keptIn(base.resolve("second"));
        assertEquals(first, System.getProperty(PLACE));
    }

    @Test
    void whereNothingCanBeKept_theDriverIsLeftToItself() throws IOException {
        Path file = Files.createFile(base.resolve("file"));
        UnpackedSqlite.keptIn(file);
        assertNull(System.getProperty(PLACE));
    }
}
