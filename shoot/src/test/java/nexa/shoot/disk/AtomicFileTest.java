package nexa.shoot.disk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AtomicFileTest {
    @TempDir
    Path folder;

    private List<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.sorted().toList();
        }
    }

    @Test
    void write_replacesWhole() throws IOException {
        Path file = Files.write(folder.resolve("a.jpg"), new byte[] {1, 2, 3});
        AtomicFile.write(file, new byte[] {4});
        assertEquals(1, Files.size(file));
        assertEquals(List.of(file), files());
    }

    @Test
    void failure_leavesWhatWasThereAndNoPart() throws IOException {
        Path file = Files.write(folder.resolve("a.jpg"), new byte[] {1, 2, 3});
        assertThrows(
                IOException.class,
                () -> AtomicFile.write(
                        file,
                        out -> {
                            out.write(new byte[100_000]);
                            throw new IOException("the disk is full");
                        },
                        AtomicFile.Check.NONE,
                        true));
        assertEquals(3, Files.size(file));
        assertEquals(List.of(file), files());
    }

    @Test
    void write_overAFolder_leavesNothingBehind() throws IOException {
        Path taken = Files.createDirectories(folder.resolve("name.jpg/child")).getParent();
        assertThrows(IOException.class, () -> AtomicFile.write(taken, new byte[10]));
        assertEquals(List.of(taken), files());
    }

    @Test
    void write_notReplacing_leavesWhatHasTheName() throws IOException {
        Path file = Files.write(folder.resolve("a.jpg"), new byte[] {1, 2, 3});
        assertThrows(
                FileAlreadyExistsException.class,
                () -> AtomicFile.write(file, out -> out.write(4), AtomicFile.Check.NONE, false));
        assertEquals(3, Files.size(file));
        assertEquals(List.of(file), files());
    }

    @Test
    void write_thatFailsItsCheck_doesNotAppear() throws IOException {
        Path file = folder.resolve("a.jpg");
        assertThrows(
                IOException.class,
                () -> AtomicFile.write(
                        file,
                        out -> out.write(4),
                        part -> {
                            throw new IOException("it reads back as something else");
                        },
                        false));
        assertEquals(List.of(), files());
    }

    /** Whoever may read what a program writes here may read these files too. */
    @Test
    void write_permitsWhatAnyFilePermits() throws IOException {
        assumeTrue(Files.getFileStore(folder).supportsFileAttributeView("posix"));
        Path plain = Files.write(folder.resolve("plain.jpg"), new byte[] {1});
        Path atomic = folder.resolve("atomic.jpg");
        AtomicFile.write(atomic, new byte[] {1});
        assertEquals(Files.getPosixFilePermissions(plain), Files.getPosixFilePermissions(atomic));
    }
}
