package nexa.shoot.scan;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;

/**
 * A file as a scan met it.
 *
 * @param file relative to the shoot's folder, with forward slashes
 * @param bytes its length; negative if even that can't be read
 * @param modified milliseconds since 1970; with the length it tells whether the file changed
 */
public record FoundFile(String file, long bytes, long modified) {
    private static final long UNSAYABLE = -2;

    public static FoundFile of(Path folder, Path file) {
        String relative = RelativePath.of(folder, file);
        if (!RelativePath.resolve(folder, relative).filter(file::equals).isPresent()) {
            return new FoundFile(relative, UNSAYABLE, 0);
        }
        try {
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            return new FoundFile(
                    relative, attributes.size(), attributes.lastModifiedTime().toMillis());
        } catch (IOException unreadable) { // the probe finds out and says why
            return new FoundFile(relative, -1, 0);
        }
    }

    /** Whether its name can be said in the system's encoding; else nothing leads to it. */
    public boolean isSayable() {
        return bytes != UNSAYABLE;
    }

    public FoundFile named(String other) {
        return new FoundFile(other, bytes, modified);
    }
}
