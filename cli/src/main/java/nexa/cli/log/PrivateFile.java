package nexa.cli.log;

import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.rolling.RollingFileAppender;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;

/** A log file that only its owner may read: it tells folders and names of photos. */
final class PrivateFile extends RollingFileAppender<ILoggingEvent> {
    /**
     * Makes a folder for such files, for its owner alone.
     *
     * @throws IOException if it can't be made, or is a link to somewhere else
     */
    static Path in(Path folder) throws IOException {
        if (folder.getParent() != null) {
            Files.createDirectories(folder.getParent());
        }
        try {
            Files.createDirectory(folder, permitting(folder, "rwx------"));
        } catch (FileAlreadyExistsException there) {
            if (!Files.isDirectory(folder, LinkOption.NOFOLLOW_LINKS)) {
                throw there;
            }
        }
        return folder;
    }

    @Override
    public void openFile(String name) throws IOException {
        Path file = Path.of(name);
        if (Files.isSymbolicLink(file)) {
            throw new IOException(name + " is a link");
        }
        try {
            Files.createFile(file, permitting(file, "rw-------"));
        } catch (FileAlreadyExistsException goesOn) { // somebody made it first
            keepPrivate(file);
        }
        super.openFile(name);
    }

    private static void keepPrivate(Path file) throws IOException {
        if (isPosix(file)) {
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
        }
    }

    private static FileAttribute<?>[] permitting(Path path, String permissions) {
        return isPosix(path)
                ? new FileAttribute<?>[] {
                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(permissions))
                }
                : new FileAttribute<?>[0];
    }

    private static boolean isPosix(Path path) {
        return path.getFileSystem().supportedFileAttributeViews().contains("posix");
    }
}
