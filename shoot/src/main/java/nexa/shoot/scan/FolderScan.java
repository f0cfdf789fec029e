package nexa.shoot.scan;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Lists the files of a folder and its subfolders that are photos or claim to be: by their ending, or by their first
 * bytes. Hidden files and folders, linked folders and folders that Nexa delivered into are left out.
 */
public final class FolderScan {
    /** A file of this name marks a folder of delivered files inside a shoot. */
    public static final String DELIVERED = ".nexa-delivered";

    /** How photos' paths are ordered: numbers in names by value. */
    public static final Comparator<String> ORDER = NaturalOrder.INSTANCE;

    private static final Logger LOG = LoggerFactory.getLogger(FolderScan.class);
    private static final Set<String> ENDINGS = Set.of(
            "jpg", "jpeg", "jpe", "png", "tif", "tiff", "webp", "bmp", "gif", "avif", "heic", "heif", "jxl", "jp2",
            "dng", "nef", "cr2", "cr3", "crw", "arw", "orf", "raf", "rw2", "pef", "srw", "3fr", "iiq");

    /** The first bytes of JPEG, PNG and TIFF, which tell a photo whose name doesn't. */
    private static final List<byte[]> BEGINNINGS = List.of(
            new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF},
            new byte[] {(byte) 0x89, 'P', 'N', 'G'},
            new byte[] {'I', 'I', 42, 0},
            new byte[] {'M', 'M', 0, 42});

    private FolderScan() {}

    /**
     * The photos' paths, in the order of their names, numbers in names by value.
     *
     * @throws IOException if the folder itself can't be read
     */
    public static List<Path> list(Path folder) throws IOException {
        List<Path> found = new ArrayList<>();
        Files.walkFileTree(folder, new Visitor(folder, found));
        found.sort((a, b) -> NaturalOrder.INSTANCE.compare(a.toString(), b.toString()));
        return found;
    }

    private static final class Visitor extends SimpleFileVisitor<Path> {
        private final Path folder;
        private final List<Path> found;

        Visitor(Path folder, List<Path> found) {
            this.folder = folder;
            this.found = found;
        }

        @Override
        public FileVisitResult preVisitDirectory(Path dir, BasicFileAttributes attributes) {
            boolean skip = !dir.equals(folder) && (isHidden(dir) || Files.exists(dir.resolve(DELIVERED)));
            return skip ? FileVisitResult.SKIP_SUBTREE : FileVisitResult.CONTINUE;
        }

        @Override
        public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
            if (!isHidden(file) && !Files.isDirectory(file) && (claimsToBePhoto(file) || beginsAsPhoto(file))) {
                found.add(file);
            }
            return FileVisitResult.CONTINUE;
        }

        @Override
        public FileVisitResult visitFileFailed(Path file, IOException failure) throws IOException {
            if (file.equals(folder)) {
                throw failure;
            }
            LOG.warn("{} can't be looked into: {}", file, failure.toString());
            return FileVisitResult.CONTINUE;
        }
    }

    private static boolean isHidden(Path path) {
        return path.getFileName().toString().startsWith(".");
    }

    private static boolean claimsToBePhoto(Path file) {
        String name = file.getFileName().toString();
        return ENDINGS.contains(name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT));
    }

    private static boolean beginsAsPhoto(Path file) {
        if (!Files.isRegularFile(file)) {
            return false;
        }
        try (InputStream in = Files.newInputStream(file)) {
            byte[] first = in.readNBytes(4);
            return BEGINNINGS.stream().anyMatch(beginning -> startsWith(first, beginning));
        } catch (IOException unreadable) { // it does not claim to be a photo, so nobody misses it
            LOG.debug("{} can't be looked at", file, unreadable);
            return false;
        }
    }

    private static boolean startsWith(byte[] bytes, byte[] beginning) {
        return bytes.length >= beginning.length
                && Arrays.equals(bytes, 0, beginning.length, beginning, 0, beginning.length);
    }
}
