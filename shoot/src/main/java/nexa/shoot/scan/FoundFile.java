package nexa.shoot.scan;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;

/**
 * A file as a scan met it.
 *
 * @param file relative to the shoot's folder, with forward slashes
 * @param bytes its length; -1 if even that can't be read
 * @param modified milliseconds since 1970; with the length it tells whether the file changed
 */
public record FoundFile(String file, long bytes, long modified) {
    public static FoundFile of(Path folder, Path file) {
        String relative = folder.relativize(file).toString().replace('\\', '/');
        try {
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            return new FoundFile(
                    relative, attributes.size(), attributes.lastModifiedTime().toMillis());
        } catch (IOException unreadable) { // the probe finds out and says why
            return new FoundFile(relative, -1, 0);
        }
    }
}
