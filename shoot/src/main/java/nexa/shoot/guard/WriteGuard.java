package nexa.shoot.guard;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import nexa.shoot.disk.AtomicFile;
import nexa.shoot.disk.AtomicFile.Check;
import nexa.shoot.disk.AtomicFile.Content;

/**
 * The one way to files outside Nexa's own store. A target is taken where it really lies, behind all links of its folders;
 * a photo of this or another shoot, a part of a store, a link and a folder are never written to, and any other file
 * only if somebody agreed. Files appear whole or not at all. Holds for the photos that are known when it is made, and for
 * all that lie in the shoot's folder. Thread-safe.
 */
public final class WriteGuard {
    /** What is to happen to a file that has the name already. */
    public enum IfTaken {
        REFUSE,
        /** Somebody agreed that it goes; a photo stays all the same. */
        REPLACE
    }

    private static final String STORE = ".nexa";

    private final Originals originals;
    private final List<Path> own;
    private final Optional<Path> root;

    /**
     * @param folder the open shoot's, real
     * @param photos its files
     * @param delivered whether a file in the folder was delivered by Nexa
     * @param own folders of Nexa's own files
     */
    public WriteGuard(Path folder, Collection<Path> photos, Predicate<Path> delivered, List<Path> own) {
        this.originals = new Originals(folder, photos, delivered);
        this.own = own.stream().map(WriteGuard::realAsFarAsItIs).toList();
        this.root = Optional.empty();
    }

    private WriteGuard(WriteGuard guard, Path root) {
        this.originals = guard.originals;
        this.own = guard.own;
        this.root = Optional.of(root);
    }

    /**
     * One that writes nothing outside of a folder, which is made if need be; also not through links in it.
     *
     * @throws IOException if it can't be made, or is a file
     */
    public WriteGuard inside(Path folder) throws IOException {
        return new WriteGuard(this, folder(folder));
    }

    /** The same place behind all links, also if not all of it is there yet. */
    private static Path realAsFarAsItIs(Path path) {
        Path whole = path.toAbsolutePath().normalize();
        for (Path there = whole; there != null; there = there.getParent()) {
            try {
                return there.toRealPath().resolve(there.relativize(whole));
            } catch (IOException missing) {
                // then its parent is asked
            }
        }
        return whole;
    }

    /**
     * Writes a file whole; folders on the way to it are made.
     *
     * @throws NameTakenException if another file has the name and is to stay
     * @throws RefusedException if what is there is never written to
     * @throws IOException if it can't be written
     */
    public void write(Path target, byte[] bytes, IfTaken ifTaken) throws IOException {
        write(target, out -> out.write(bytes), Check.NONE, ifTaken);
    }

    /**
     * The same for content that is written piece by piece and looked at before it appears.
     *
     * @throws NameTakenException if another file has the name and is to stay
     * @throws RefusedException if what is there is never written to
     * @throws IOException if it can't be written, or the check says so
     */
    public void write(Path target, Content content, Check check, IfTaken ifTaken) throws IOException {
        Path real = real(target);
        boolean replace = ifTaken == IfTaken.REPLACE;
        require(real, replace);
        try {
            AtomicFile.write(real, content, check, replace);
        } catch (FileAlreadyExistsException meanwhile) {
            NameTakenException taken = new NameTakenException(real);
            taken.initCause(meanwhile);
            throw taken;
        }
    }

    /**
     * Asks beforehand, so that no work is done for nothing.
     *
     * @throws NameTakenException if another file has the name and is to stay
     * @throws RefusedException if what is there is never written to
     */
    public void require(Path target, IfTaken ifTaken) throws RefusedException {
        require(realAsFarAsItIs(folderOf(target)).resolve(target.getFileName()), ifTaken == IfTaken.REPLACE);
    }

    /**
     * Removes a file that Nexa wrote; nothing if it is not there.
     *
     * @throws RefusedException if it is one that may not be replaced either
     */
    public void remove(Path target) throws IOException {
        require(target, IfTaken.REPLACE);
        Files.deleteIfExists(target);
    }

    /**
     * Makes a folder, and says where it really is.
     *
     * @throws RefusedException if it is among Nexa's own files
     * @throws IOException if it can't be made, or is a file
     */
    public Path folder(Path folder) throws IOException {
        requireFolder(realAsFarAsItIs(folder));
        try {
            Files.createDirectories(folder);
        } catch (FileAlreadyExistsException file) {
            NotDirectoryException noFolder = new NotDirectoryException(folder + " is a file, not a folder");
            noFolder.initCause(file);
            throw noFolder;
        }
        Path real = folder.toRealPath();
        requireFolder(real);
        return real;
    }

    private void requireFolder(Path real) throws RefusedException {
        requireNotOwn(real);
        if (root.isPresent() && !real.startsWith(root.get())) {
            throw new RefusedException("told.guard.would-lie-outside", real, root.get());
        }
    }

    /** The folder that a file lies in; that of the root is the root. */
    private static Path folderOf(Path file) {
        Path whole = file.toAbsolutePath();
        return Objects.requireNonNullElse(whole.getParent(), whole);
    }

    private Path real(Path target) throws IOException {
        return folder(folderOf(target)).resolve(target.getFileName());
    }

    private void require(Path real, boolean replace) throws RefusedException {
        requireNotOwn(real);
        if (!Files.exists(real, LinkOption.NOFOLLOW_LINKS)) {
            return;
        }
        if (!Files.isRegularFile(real, LinkOption.NOFOLLOW_LINKS)) {
            throw new RefusedException(
                    Files.isSymbolicLink(real) ? "told.guard.link" : "told.guard.no-plain-file", real);
        }
        if (isOriginal(real)) {
            throw new RefusedException("told.guard.photo-nexa-never-writes-one", real);
        }
        if (!replace) {
            throw new NameTakenException(real);
        }
    }

    /** What can't be looked at is taken for one. */
    private boolean isOriginal(Path real) {
        try {
            return originals.contain(real);
        } catch (IOException unreadable) { // what cannot be looked at is taken for one
            return true;
        }
    }

    private void requireNotOwn(Path real) throws RefusedException {
        boolean inStore = false;
        for (Path part : real) {
            inStore |= part.toString().equalsIgnoreCase(STORE);
        }
        if (inStore || own.stream().anyMatch(real::startsWith)) {
            throw new RefusedException("told.guard.where-nexa-keeps-own-files", real);
        }
    }
}
