package nexa.shoot.guard;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import java.util.function.Predicate;
import nexa.shoot.scan.FolderScan;
import nexa.shoot.store.Store;

/**
 * Tells photos from all other files, by what they are and not by what they are called: a file is known again through
 * links, in other letters, and under a second name.
 */
final class Originals {
    private final Path folder;
    private final Predicate<Path> delivered;
    private final Set<Object> known = new HashSet<>();

    /**
     * @param folder the open shoot's, real
     * @param photos its files as far as they are known; one may be a link to elsewhere
     * @param delivered whether a file in the folder was delivered by Nexa, so that it is no photo
     */
    Originals(Path folder, Collection<Path> photos, Predicate<Path> delivered) {
        this.folder = folder;
        this.delivered = delivered;
        photos.forEach(this::add);
    }

    private void add(Path photo) {
        try {
            known.add(photo.toRealPath());
            Object key = key(photo);
            if (key != null) {
                known.add(key);
            }
        } catch (IOException gone) { // nothing is there that could be written over
            known.add(photo.toAbsolutePath().normalize());
        }
    }

    private static @org.jspecify.annotations.Nullable Object key(Path file) throws IOException {
        return Files.readAttributes(file, BasicFileAttributes.class).fileKey();
    }

    /** @param file one that exists, in a real folder, and is no link */
    boolean contain(Path file) throws IOException {
        Object key = key(file);
        return known.contains(file.toRealPath())
                || key != null && known.contains(key)
                || file.startsWith(folder) && FolderScan.isPhoto(file) && !delivered.test(file)
                || isOfAnotherShoot(file);
    }

    /** A shoot lies around it, be it open or not, and lists it. One whose store can't be read has its photos too. */
    private boolean isOfAnotherShoot(Path file) {
        for (Path around = file.getParent(); around != null; around = around.getParent()) {
            Path store = around.resolve(Store.IN_FOLDER);
            if (!around.equals(folder) && Files.isRegularFile(store, LinkOption.NOFOLLOW_LINKS)) {
                boolean listed = Store.lists(store, around.relativize(file));
                if (listed && FolderScan.isPhoto(file)) {
                    return true;
                }
            }
        }
        return false;
    }
}
