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
import java.util.function.IntPredicate;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.ToldException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Lists the files of a folder and its subfolders that are photos or claim to be: by their ending, or by their first
 * bytes. Hidden files and folders, those of systems and linked folders are left out, and so are files that Nexa delivered;
 * pictures of kinds that Nexa does not read are counted.
 */
public final class FolderScan {
    /** How photos' paths are ordered: numbers in names by value. */
    public static final Comparator<String> ORDER = NaturalOrder.INSTANCE;

    private static final Logger LOG = LoggerFactory.getLogger(FolderScan.class);
    private static final Set<String> ENDINGS = FileKind.allEndings();

    /** The first bytes of JPEG, PNG and TIFF, which tell a photo whose name doesn't. */
    private static final List<byte[]> BEGINNINGS = List.of(
            new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF},
            new byte[] {(byte) 0x89, 'P', 'N', 'G'},
            new byte[] {'I', 'I', 42, 0},
            new byte[] {'M', 'M', 0, 42});

    /** Of pictures that are no photos, or of kinds that Nexa does not read. */
    private static final Set<String> OTHERS = Set.of(
            "psd", "psb", "xcf", "kra", "ora", "tga", "ppm", "pgm", "pbm", "pnm", "pam", "exr", "hdr", "pcx", "svg",
            "svgz", "pdf", "ai", "eps", "raw", "mrw", "x3f", "ico", "icns", "dds", "jxr", "wdp", "qoi", "ptx");

    /** Folders of systems, in which there are photos that were thrown away or made smaller to be looked through. */
    private static final Set<String> OF_SYSTEMS =
            Set.of("$recycle.bin", "recycler", "system volume information", "lost+found", "@eadir", "#recycle");

    private FolderScan() {}

    /**
     * What a folder holds.
     *
     * @param photos their paths, in the order of their names, numbers in names by value
     * @param others how many pictures are of kinds that Nexa does not read
     * @param delivered how many files Nexa delivered
     */
    public record Listing(List<Path> photos, int others, int delivered) {
        public Listing {
            photos = List.copyOf(photos);
        }
    }

    /** @throws IOException if the folder itself can't be read */
    public static Listing list(Path folder, DeliveredFiles delivered) throws IOException {
        return list(folder, delivered, photos -> true);
    }

    /**
     * The same, with somebody who waits for it.
     *
     * @param told how many photos were found so far, each time there is one more; false gives it up
     * @throws IOException if the folder itself can't be read, or it was given up
     */
    public static Listing list(Path folder, DeliveredFiles delivered, IntPredicate told) throws IOException {
        Visitor visitor = new Visitor(folder, delivered, told);
        Files.walkFileTree(folder, visitor);
        if (visitor.givenUp) {
            throw new ToldException("told.shoot.opening-was-stopped", folder);
        }
        visitor.found.sort((a, b) -> NaturalOrder.INSTANCE.compare(a.toString(), b.toString()));
        return new Listing(visitor.found, visitor.others, visitor.left);
    }

    /** Whether a file that is there is a photo or claims to be one. */
    public static boolean isPhoto(Path file) {
        return claimsToBePhoto(file) || beginsAsPhoto(file);
    }

    private static final class Visitor extends SimpleFileVisitor<Path> {
        private final Path folder;
        private final DeliveredFiles delivered;
        private final List<Path> found = new ArrayList<>();
        private final IntPredicate told;
        private int others;
        private int left;
        private boolean givenUp;

        Visitor(Path folder, DeliveredFiles delivered, IntPredicate told) {
            this.folder = folder;
            this.delivered = delivered;
            this.told = told;
        }

        @Override
        public FileVisitResult preVisitDirectory(Path dir, BasicFileAttributes attributes) {
            if (!dir.equals(folder) && isLeftOut(dir)) {
                return FileVisitResult.SKIP_SUBTREE;
            }
            delivered.readLists(dir);
            return FileVisitResult.CONTINUE;
        }

        @Override
        public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
            if (!isHidden(file) && !Files.isDirectory(file)) {
                if (!isPhoto(file)) {
                    others += OTHERS.contains(ending(file)) ? 1 : 0;
                } else if (delivered.contain(file)) {
                    left++;
                } else {
                    found.add(file);
                    givenUp = !told.test(found.size());
                }
            }
            return givenUp ? FileVisitResult.TERMINATE : FileVisitResult.CONTINUE;
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

    /** Whether a folder in a shoot's is looked into by nobody: a hidden one, or one of a system. */
    public static boolean isLeftOut(Path subfolder) {
        return isHidden(subfolder)
                || OF_SYSTEMS.contains(subfolder.getFileName().toString().toLowerCase(Locale.ROOT));
    }

    private static boolean isHidden(Path path) {
        return path.getFileName().toString().startsWith(".");
    }

    private static boolean claimsToBePhoto(Path file) {
        return ENDINGS.contains(ending(file));
    }

    private static String ending(Path file) {
        String name = file.getFileName().toString();
        return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
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
