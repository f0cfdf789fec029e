package nexa.shoot;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.scan.DeliveredFiles;
import nexa.shoot.scan.DeliverySeal;
import nexa.shoot.scan.Fingerprint;
import nexa.shoot.scan.FolderScan;
import nexa.shoot.scan.FoundFile;
import nexa.shoot.scan.Sha256;
import nexa.shoot.store.Store;
import nexa.shoot.store.StoredPhoto;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Where in the user's data the crops of a folder are kept that can't be written. A folder with a store of its own is known
 * by the name in that store, wherever it is mounted; another one by its path and by its photos, as another card may be
 * mounted there.
 */
final class Elsewhere {
    private static final Logger LOG = LoggerFactory.getLogger(Elsewhere.class);
    private static final String STORE = "shoot.db";

    /** The checksum of the store in the folder when it was copied here. */
    private static final String COPIED = "copied";

    private static final int MOST_OF_ONE_PATH = 50;
    private static final int COMPARED = 8;

    private Elsewhere() {}

    /** A directory for a shoot's files, and what the user should know of it. */
    record Place(Path directory, List<Told> told) {}

    /** @throws IOException if the user's data can't be written */
    static Place of(Path folder, Path store, Locations locations) throws IOException {
        Path shoots = Files.createDirectories(locations.data().resolve("shoots"));
        return Files.isRegularFile(store, LinkOption.NOFOLLOW_LINKS)
                ? ofStore(store, shoots)
                : new Place(ofPath(folder, shoots, DeliverySeal.ofUser(locations.data())), List.of());
    }

    // ---- a folder with a store ----

    private static Place ofStore(Path store, Path shoots) throws IOException {
        Path copied = shoots.resolve("copy-" + UUID.randomUUID());
        try {
            String checksum = copy(store, copied);
            Path place = shoots.resolve(identity(copied.resolve(STORE)));
            return place(place, copied, checksum);
        } finally {
            delete(copied);
        }
    }

    /** With what was written to it last and not yet merged. */
    private static String copy(Path store, Path to) throws IOException {
        Files.createDirectories(to);
        Files.copy(store, to.resolve(STORE));
        Path log = Path.of(store + "-wal");
        if (Files.isRegularFile(log, LinkOption.NOFOLLOW_LINKS)) {
            Files.copy(log, to.resolve(STORE + "-wal"));
        }
        String checksum = checksum(store);
        Files.writeString(to.resolve(COPIED), checksum);
        return checksum;
    }

    private static String checksum(Path store) throws IOException {
        Path log = Path.of(store + "-wal");
        return Sha256.of(store) + (Files.isRegularFile(log) && Files.size(log) > 0 ? Sha256.of(log) : "");
    }

    /** One of an earlier version has no name; its photos stand for it. */
    private static String identity(Path copy) throws IOException {
        try (Store opened = Store.open(copy)) {
            Optional<String> name = opened.identity();
            if (name.isPresent()) {
                return Sha256.of(name.get());
            }
            StringBuilder photos = new StringBuilder();
            opened.photos().stream()
                    .map(photo -> photo.photo().fingerprint())
                    .sorted()
                    .forEach(photos::append);
            return Sha256.of(photos.toString());
        }
    }

    private static Place place(Path place, Path copied, String checksum) throws IOException {
        if (!Files.exists(place)) {
            Files.move(copied, place);
            return new Place(place, List.of(Told.of("told.elsewhere.kept-in-your-data")));
        }
        Path before = place.resolve(COPIED);
        boolean changedThere = Files.exists(before) && !Files.readString(before).equals(checksum);
        return new Place(place, changedThere ? List.of(Told.of("told.elsewhere.changed-there", place)) : List.of());
    }

    // ---- a folder without ----

    private static Path ofPath(Path folder, Path shoots, DeliverySeal seal) throws IOException {
        String path = Sha256.of(folder.toRealPath().toString());
        List<Path> candidates = new ArrayList<>();
        candidates.add(shoots.resolve(earlierName(folder)));
        for (int i = 1; i <= MOST_OF_ONE_PATH; i++) {
            candidates.add(shoots.resolve(path + "-" + i));
        }
        List<FoundFile> found = found(folder, seal);
        for (Path candidate : candidates) {
            if (Files.isRegularFile(candidate.resolve(STORE)) && knows(candidate.resolve(STORE), folder, found)) {
                return candidate;
            }
        }
        return candidates.stream()
                .skip(1)
                .filter(candidate -> Files.notExists(candidate))
                .findFirst()
                .orElseThrow(() -> new ToldException("told.shoot.too-many-folders-were", folder));
    }

    /** As version 0.1 named it, by 32 bits of the path, which other paths share. */
    private static String earlierName(Path folder) throws IOException {
        return folder.getFileName() + "-"
                + java.util.HexFormat.of()
                        .toHexDigits(folder.toRealPath().toString().hashCode());
    }

    private static List<FoundFile> found(Path folder, DeliverySeal seal) throws IOException {
        return FolderScan.list(folder, new DeliveredFiles(folder, List.of(), Set.of(), seal)).photos().stream()
                .map(file -> FoundFile.of(folder, file))
                .toList();
    }

    /** Whether it is about these photos: one of them is as it was, or nothing can be compared. */
    private static boolean knows(Path store, Path folder, List<FoundFile> found) throws IOException {
        Map<String, StoredPhoto> known = new HashMap<>();
        try (Store opened = Store.open(store)) {
            opened.photos().forEach(photo -> known.put(photo.found().file(), photo));
        }
        List<FoundFile> common = found.stream()
                .filter(file -> known.containsKey(file.file()))
                .limit(COMPARED)
                .toList();
        if (common.isEmpty()) {
            return known.isEmpty() || found.isEmpty();
        }
        for (FoundFile file : common) {
            StoredPhoto stored = Objects.requireNonNull(known.get(file.file()));
            if (Fingerprint.of(folder.resolve(file.file()))
                    .equals(stored.photo().fingerprint())) {
                return true;
            }
        }
        return false;
    }

    // ---- the folder can be written again ----

    /**
     * The shoot's files with what was changed elsewhere while the folder could not be written.
     *
     * @param files open, of the folder
     */
    static ShootFiles broughtBack(ShootFiles files, Path directory, Locations locations, Duration patience)
            throws IOException {
        Optional<String> name = files.opened().store().identity();
        Path place = locations.data().resolve("shoots").resolve(Sha256.of(name.orElse("")));
        Path store = directory.resolve(STORE);
        if (name.isEmpty() || !Files.isRegularFile(place.resolve(STORE))) {
            return files;
        }
        files.opened().store().close();
        files.close();
        boolean same = Files.readString(place.resolve(COPIED)).equals(checksum(store));
        List<Told> told =
                List.of(same ? Told.of("told.elsewhere.brought-back") : Told.of("told.elsewhere.changed-both", place));
        if (same) {
            bring(place, store);
        }
        return ShootFiles.openIn(directory, patience, told);
    }

    private static void bring(Path place, Path store) throws IOException {
        Path part = store.resolveSibling("part.db");
        try (Store changed = Store.open(place.resolve(STORE))) {
            changed.copyTo(part);
        }
        Files.deleteIfExists(Path.of(store + "-wal"));
        Files.move(part, store, StandardCopyOption.ATOMIC_MOVE);
        delete(place);
    }

    private static void delete(Path directory) {
        if (!Files.exists(directory)) {
            return;
        }
        try (Stream<Path> files = Files.walk(directory)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        } catch (IOException held) {
            LOG.warn("{} can't be removed: {}", directory, held.toString());
        }
    }
}
