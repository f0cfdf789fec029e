package nexa.shoot;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.stream.Stream;
import nexa.imaging.codec.PhotoCodecs;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.scan.DeliveredFiles;
import nexa.shoot.scan.DeliveredFiles.Delivered;
import nexa.shoot.scan.FolderScan;
import nexa.shoot.scan.FoundFile;
import nexa.shoot.scan.PairShown;
import nexa.shoot.scan.RelativePath;
import nexa.shoot.store.StoredPhoto;

/** What an open shoot's folder held when it was last looked into. Looked into by one thread at a time; any thread may ask. */
final class LastLook {
    private final Path folder;
    private final DeliveredFiles delivered;
    private final PhotoCodecs codecs;
    private final Saver saver;
    private final BooleanSupplier mayEdit;

    /** For new photos of a program that may store none: below those of all photos. */
    private final AtomicLong passingIds;

    private volatile Map<String, FoundFile> files;
    private volatile boolean whole;
    private volatile int others;

    /** By a photo's file the other one of its pair, both relative to the folder. */
    private volatile Map<String, String> companions;

    LastLook(
            Path folder,
            DeliveredFiles delivered,
            PhotoCodecs codecs,
            Saver saver,
            BooleanSupplier mayEdit,
            ShootOpening.Scanned scanned) {
        this.folder = folder;
        this.delivered = delivered;
        this.codecs = codecs;
        this.saver = saver;
        this.mayEdit = mayEdit;
        this.files = byFile(scanned.photos().stream().map(StoredPhoto::found));
        this.whole = scanned.whole();
        this.others = scanned.others();
        this.companions = scanned.companions();
        this.passingIds = new AtomicLong(Math.min(
                        0,
                        scanned.photos().stream()
                                .mapToLong(each -> each.photo().id())
                                .min()
                                .orElse(0))
                - 1);
    }

    private static Map<String, FoundFile> byFile(Stream<FoundFile> found) {
        Map<String, FoundFile> byFile = new HashMap<>();
        found.forEach(file -> byFile.put(file.file(), file));
        return byFile;
    }

    /** Whether all photos of the folder were read once; until then there are more to come. */
    boolean isWhole() {
        return whole;
    }

    /** How many pictures of the folder are of kinds that Nexa does not read. */
    int others() {
        return others;
    }

    /** The other file of a photo's pair, relative to the folder; empty if it has none. */
    Optional<String> companion(Photo photo) {
        return Optional.ofNullable(companions.get(photo.file()));
    }

    /** All other files of pairs. */
    Stream<Path> companions() {
        return companions.values().stream().flatMap(file -> RelativePath.resolve(folder, file).stream());
    }

    /** A photo's file as it was seen last. */
    FoundFile file(Photo photo, Path file) {
        return files.getOrDefault(photo.file(), FoundFile.of(folder, file));
    }

    /**
     * Looks again, and stores what is new or changed.
     *
     * @param settled asked about each new or changed file: whether it is written to its end
     * @param mostNew how many new or changed files are read at most; then there may be more
     * @param pairs which file of a pair shows
     * @param usualOfRaw which picture of a raw file shows where nobody chose
     * @throws IOException if the folder can't be looked through
     * @throws InterruptedException if interrupted while files are read
     */
    Arrivals look(Predicate<FoundFile> settled, int mostNew, PairShown pairs, RawPicture usualOfRaw)
            throws IOException, InterruptedException {
        Map<String, FoundFile> before = files;
        FolderFiles seen = FolderFiles.of(folder, FolderScan.list(folder, delivered), pairs, before, settled, mostNew);
        others = seen.others();
        companions = seen.companions();
        keepCompared();
        if (seen.news() == 0) {
            whole = true;
            return Arrivals.NONE;
        }
        Recognition.Result result =
                new Recognition(folder, saver.photos(), codecs, usualOfRaw).recognise(seen.found(), seen.companions());
        List<StoredPhoto> news = result.changed().stream()
                .filter(photo -> !photo.found().equals(before.get(photo.found().file())))
                .toList();
        Map<String, FoundFile> all = new HashMap<>(before);
        all.putAll(byFile(seen.found().stream()));
        files = all;
        boolean incoming = whole;
        whole = whole || !seen.more();
        return new Arrivals(
                mayEdit.getAsBoolean() ? saver.store(news) : ShootOpening.withPassingIds(news, passingIds),
                incoming,
                seen.more());
    }

    private void keepCompared() {
        Collection<Delivered> compared = delivered.compared();
        if (mayEdit.getAsBoolean() && !compared.isEmpty()) {
            saver.saveDeliveries(compared);
        }
    }
}
