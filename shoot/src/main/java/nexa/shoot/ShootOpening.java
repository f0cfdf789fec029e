package nexa.shoot;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.brief.Framing;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.disk.UnpackedSqlite;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Joining;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.scan.DeliveredFiles;
import nexa.shoot.scan.DeliveredFiles.Delivered;
import nexa.shoot.scan.DeliverySeal;
import nexa.shoot.scan.FolderScan;
import nexa.shoot.scan.FolderScan.Listing;
import nexa.shoot.scan.FoundFile;
import nexa.shoot.scan.PairShown;
import nexa.shoot.store.Store;
import nexa.shoot.store.StoredPhoto;

/** Opens shoots: locks the folder, recalls what is stored, looks at the files, and joins what belongs together. */
final class ShootOpening {
    /** What opening found; whole if that is all there is. */
    record Scanned(List<StoredPhoto> photos, boolean whole, int others, Map<String, String> companions) {}

    private ShootOpening() {}

    /** As {@link Shoot#open(Path, Locations, Opening)}. */
    static Shoot open(Path folder, Locations locations, Opening how) throws IOException {
        Path real = checked(folder);
        UnpackedSqlite.keptIn(locations.cache());
        ShootFiles files = ShootFiles.open(real, locations, how.patience());
        Store store = files.opened().store();
        try {
            List<StoredPhoto> known = store.photos();
            DeliveredFiles delivered =
                    new DeliveredFiles(real, store.deliveries(), names(known), DeliverySeal.ofUser(locations.data()));
            Scanned scanned = scan(
                    real,
                    store,
                    new Recognition(
                            real,
                            known,
                            how.codecs(),
                            RawPicture.of(Optional.ofNullable(store.settings().get(RawPicture.SETTING)))),
                    delivered,
                    files.mayWrite(),
                    how);
            Shoot shoot = new Shoot(real, files, store, delivered, scanned, locations, how.codecs());
            joinPairs(shoot, known);
            return shoot;
        } catch (IOException | RuntimeException failed) {
            try (files) {
                store.close();
            }
            throw failed;
        }
    }

    /** Both files of a pair may have been photos: then what was asked of either is asked of the one that shows, in one step. */
    private static void joinPairs(Shoot shoot, List<StoredPhoto> known) {
        Map<String, StoredPhoto> byFile =
                known.stream().collect(Collectors.toMap(each -> each.photo().file(), each -> each));
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : shoot.photos()) {
            StoredPhoto other = byFile.get(shoot.companion(photo).orElse(""));
            if (other != null
                    && other.photo().id() != photo.id()
                    && !other.framing().isUntouched()) {
                Framing before = shoot.framing(photo);
                Framing joined =
                        Joining.of(before, other.framing(), other.photo().name(), shoot.brief());
                changes.add(new FramingChange(photo.id(), before, joined));
                changes.add(new FramingChange(other.photo().id(), other.framing(), Framing.UNTOUCHED));
            }
        }
        if (shoot.mayEdit()) {
            shoot.apply(new Edit("edit.pairs", changes, null));
        }
    }

    private static Set<String> names(List<StoredPhoto> known) {
        return known.stream().map(photo -> photo.photo().file()).collect(Collectors.toSet());
    }

    private static Path checked(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            throw new ToldException("told.shoot.no-folder", folder);
        }
        if (!Files.isDirectory(folder)) {
            throw new NotDirectoryException(folder + " is not a folder");
        }
        return folder.toRealPath();
    }

    private static Scanned scan(
            Path folder, Store store, Recognition recognition, DeliveredFiles delivered, boolean save, Opening how)
            throws IOException {
        Map<String, FoundFile> before = recognition.known();
        PairShown pairs = PairShown.of(Optional.ofNullable(store.settings().get(PairShown.SETTING)));
        Listing listing = FolderScan.list(folder, delivered, how.found());
        FolderFiles seen = FolderFiles.of(folder, listing, pairs, before, file -> true, how.mostNew());
        try {
            Recognition.Result result = recognition.recognise(seen.found(), seen.companions());
            Collection<Delivered> compared = delivered.compared();
            if (save && !compared.isEmpty()) {
                store.saveDeliveries(compared);
            }
            List<StoredPhoto> changed =
                    save ? store.save(result.changed()) : withPassingIds(result.changed(), new AtomicLong(-1));
            return new Scanned(
                    inOrder(seen.found(), result.unchanged(), changed), !seen.more(), seen.others(), seen.companions());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ToldException(Told.of("told.shoot.opening-was-stopped", folder), stopped);
        }
    }

    /** A second program may not store new photos; they get ids that no stored photo has. */
    static List<StoredPhoto> withPassingIds(List<StoredPhoto> changed, AtomicLong ids) {
        List<StoredPhoto> numbered = new ArrayList<>();
        for (StoredPhoto each : changed) {
            Photo photo = each.photo();
            long id = photo.id() == 0 ? ids.getAndDecrement() : photo.id();
            numbered.add(new StoredPhoto(
                    new Photo(id, photo.file(), photo.fingerprint(), photo.probe()), each.found(), each.framing()));
        }
        return numbered;
    }

    private static List<StoredPhoto> inOrder(
            List<FoundFile> found, List<StoredPhoto> unchanged, List<StoredPhoto> changed) {
        Map<String, Integer> places = new HashMap<>();
        found.forEach(file -> places.put(file.file(), places.size()));
        return Stream.concat(unchanged.stream(), changed.stream())
                .sorted(Comparator.comparing(each -> places.get(each.photo().file())))
                .toList();
    }
}
