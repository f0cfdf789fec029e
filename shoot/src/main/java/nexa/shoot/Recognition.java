package nexa.shoot;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import nexa.core.brief.Framing;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.scan.Fingerprint;
import nexa.shoot.scan.FoundFile;
import nexa.shoot.store.StoredPhoto;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Joins the files of a scan with the photos already known: a file that did not change is known by its name; else one
 * with the same content is the same photo, renamed or moved; else one of the same name that was taken at the same moment is
 * the same photo, changed; else the other file of its pair may have been the photo; the rest is new. Only changed, new and so far unreadable files are read.
 */
public final class Recognition {
    private static final Logger LOG = LoggerFactory.getLogger(Recognition.class);

    private final Path folder;
    private final PhotoCodecs codecs;
    private final RawPicture ofRaw;
    private final Map<String, StoredPhoto> byFile = new HashMap<>();
    private final Map<String, List<StoredPhoto>> byFingerprint = new HashMap<>();
    private final Set<Long> recognised = new HashSet<>();

    /** @param ofRaw which picture of raw files is shown that are not known yet */
    public Recognition(Path folder, Collection<StoredPhoto> known, PhotoCodecs codecs, RawPicture ofRaw) {
        this.folder = folder;
        this.codecs = codecs;
        this.ofRaw = ofRaw;
        for (StoredPhoto photo : known) {
            byFile.put(photo.found().file(), photo);
            byFingerprint
                    .computeIfAbsent(photo.photo().fingerprint(), print -> new ArrayList<>())
                    .add(photo);
        }
    }

    /** The files that are known, as they were found. */
    Map<String, FoundFile> known() {
        Map<String, FoundFile> known = new HashMap<>();
        byFile.forEach((name, photo) -> known.put(name, photo.found()));
        return known;
    }

    /**
     * The photos in the order of the files.
     *
     * @param unchanged those whose stored facts hold
     * @param changed those to be stored, new ones with id 0
     */
    public record Result(List<StoredPhoto> unchanged, List<StoredPhoto> changed) {}

    /**
     * @param companions by a file's name that of the other file of the same photo
     * @throws InterruptedException if interrupted while files are read
     */
    public Result recognise(List<FoundFile> found, Map<String, String> companions) throws InterruptedException {
        List<StoredPhoto> unchanged = found.stream()
                .filter(this::isKnown)
                .map(file -> byFile.get(file.file()))
                .toList();
        unchanged.forEach(photo -> recognised.add(photo.photo().id()));
        Set<String> settled = new HashSet<>();
        unchanged.forEach(photo -> settled.add(photo.found().file()));
        List<Looked> looked = look(
                found.stream().filter(file -> !settled.contains(file.file())).toList());
        return new Result(unchanged, match(looked, companions));
    }

    /** Unreadable files are looked at again each time: a permission or a disk may be back. */
    private boolean isKnown(FoundFile file) {
        StoredPhoto known = byFile.get(file.file());
        return known != null && known.photo().isReadable() && known.found().equals(file);
    }

    private record Looked(FoundFile found, String fingerprint, Probe probe) {}

    private List<Looked> look(List<FoundFile> files) throws InterruptedException {
        try (ExecutorService readers =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors())) {
            List<Looked> looked = new ArrayList<>();
            for (Future<Looked> future : readers.invokeAll(files.stream()
                    .<java.util.concurrent.Callable<Looked>>map(file -> () -> look(file))
                    .toList())) {
                looked.add(future.get());
            }
            return looked;
        } catch (ExecutionException bug) { // a bad file is a value
            throw new IllegalStateException(bug.getCause());
        }
    }

    private Looked look(FoundFile found) {
        if (!found.isSayable()) {
            return new Looked(found, "unread " + found.file(), Probe.unreadable(Trouble.Kind.NAME));
        }
        Path file = folder.resolve(found.file());
        return new Looked(found, fingerprint(file, found), ofRaw.probe(codecs, file));
    }

    /** A file that can't be read has no content to go by; its name stands in. */
    private static String fingerprint(Path file, FoundFile found) {
        try {
            return Fingerprint.of(file);
        } catch (IOException unreadable) {
            LOG.info("{} has no fingerprint: {}", file, unreadable.toString());
            return "unread " + found.file();
        }
    }

    private List<StoredPhoto> match(List<Looked> looked, Map<String, String> companions) {
        Map<FoundFile, StoredPhoto> matches = new HashMap<>();
        for (Looked each : looked) {
            claim(
                    matches,
                    each,
                    byFingerprint.getOrDefault(each.fingerprint, List.of()).stream()
                            .filter(photo -> !recognised.contains(photo.photo().id()))
                            .findFirst()
                            .orElse(null));
        }
        for (Looked each : looked) {
            StoredPhoto sameName = byFile.get(each.found.file());
            if (!matches.containsKey(each.found)
                    && sameName != null
                    && mayBe(sameName, each)
                    && !recognised.contains(sameName.photo().id())) {
                claim(matches, each, sameName);
            }
        }
        for (Looked each : looked) {
            StoredPhoto sameName = byFile.get(each.found.file());
            StoredPhoto companion = byFile.get(companions.getOrDefault(each.found.file(), ""));
            if (!matches.containsKey(each.found)
                    && sameName == null
                    && companion != null
                    && !recognised.contains(companion.photo().id())) {
                claim(matches, each, companion);
            }
        }
        return looked.stream()
                .map(each -> updated(each, matches.get(each.found)))
                .toList();
    }

    /**
     * Whether a file of another content may be the photo that had its name: it was taken at the same moment, or has no
     * moment and the same size; or the photo could not be read before.
     */
    private static boolean mayBe(StoredPhoto known, Looked file) {
        if (!(known.photo().probe() instanceof Probe.Readable(PhotoFacts before))) {
            return true;
        }
        return file.probe instanceof Probe.Readable(PhotoFacts now)
                ? Objects.equals(before.taken(), now.taken())
                        && (now.taken() != null || before.asShot().equals(now.asShot()))
                : file.found.isSayable();
    }

    private void claim(Map<FoundFile, StoredPhoto> matches, Looked file, @Nullable StoredPhoto photo) {
        if (photo != null) {
            matches.put(file.found, photo);
            recognised.add(photo.photo().id());
        }
    }

    private StoredPhoto updated(Looked file, @Nullable StoredPhoto known) {
        long id = known == null ? 0 : known.photo().id();
        Framing framing = known == null ? Framing.UNTOUCHED : framing(known, file.fingerprint);
        return new StoredPhoto(
                new Photo(id, file.found.file(), file.fingerprint, probe(file, known)), file.found, framing);
    }

    /** What was seen in another content is not in this one. */
    private static Framing framing(StoredPhoto known, String fingerprint) {
        return known.photo().fingerprint().equals(fingerprint)
                ? known.framing()
                : known.framing().unseen();
    }

    /** Of a raw file the picture that the photo showed before. */
    private Probe probe(Looked file, @Nullable StoredPhoto known) {
        Optional<RawPicture> before = known == null ? Optional.empty() : RawPicture.of(known.photo());
        Optional<RawPicture> now = RawPicture.of(file.probe);
        return before.isEmpty() || now.isEmpty() || before.equals(now)
                ? file.probe
                : before.get().probe(codecs, folder.resolve(file.found.file()));
    }
}
