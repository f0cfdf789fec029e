package nexa.shoot;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.review.Warning;
import nexa.core.sight.Sight;
import nexa.core.space.PhotoSpace;
import nexa.core.told.Told;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.History;
import nexa.shoot.edit.UnreadableStepException;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.scan.DeliveredFiles;
import nexa.shoot.scan.DeliveredFiles.Delivered;
import nexa.shoot.scan.DeliverySeal;
import nexa.shoot.scan.FolderScan;
import nexa.shoot.scan.FoundFile;
import nexa.shoot.scan.PairShown;
import nexa.shoot.scan.RelativePath;
import nexa.shoot.store.Store;
import nexa.shoot.store.StoredPhoto;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * An open shoot. Edits are made on one thread; any thread may read. Edits show at once and are stored by a
 * thread of the shoot's own, in order, each in one transaction. The photos' files are only ever read.
 */
public final class Shoot implements Framings, AutoCloseable {
    /** Told after every edit, undo and redo, on the thread that made it. */
    public interface Listener {
        void changed(Edit edit);

        /**
         * Told when photos were taken in.
         *
         * @param photos the new ones, and known ones as they are now
         * @param incoming whether they came into the folder since it was opened; else they were only not read yet
         */
        default void arrived(List<Photo> photos, boolean incoming) {}

        /** Told when what photos show was seen; frames that nobody placed may lie elsewhere now. */
        default void saw(Set<Photo> photos) {}

        /** Told when earlier steps turn out to be lost, so that they can't be taken back or done again. */
        default void lostSteps() {}
    }

    private static final Logger LOG = LoggerFactory.getLogger(Shoot.class);

    /** Nothing is ever there, and nothing may be written there. */
    private static final String NOWHERE = ".nexa/no such name";

    private final Path folder;
    private final ShootFiles files;
    private final Saver saver;
    private volatile List<Photo> photos;
    private final Asked asked;
    private final LastLook lastLook;
    private final Map<String, String> settings;
    private final History history;
    private final DeliveredFiles delivered;
    private final Soundness soundness;
    private final Locations locations;
    private final PhotoCodecs codecs;
    private final List<Told> told;
    private final Object editing = new Object();

    private boolean closed;
    private final List<Listener> listeners = new CopyOnWriteArrayList<>();

    Shoot(
            Path folder,
            ShootFiles files,
            Store store,
            DeliveredFiles delivered,
            ShootOpening.Scanned scanned,
            Locations locations,
            PhotoCodecs codecs)
            throws IOException {
        this.folder = folder;
        this.files = files;
        this.asked = new Asked(store.brief(), scanned.photos());
        this.settings = new ConcurrentHashMap<>(store.settings());
        this.photos = scanned.photos().stream().map(StoredPhoto::photo).toList();
        this.history = store.history();
        this.delivered = delivered;
        this.locations = locations;
        this.codecs = codecs;
        this.told = new CopyOnWriteArrayList<>(files.told());
        this.told.addAll(store.spoiled());
        this.soundness = new Soundness(codecs, this::fileOf, store.sound(), this::keepSound);
        this.saver = new Saver(store);
        this.lastLook = new LastLook(folder, delivered, codecs, saver, files::mayWrite, scanned);
    }

    /**
     * Scans a folder and recalls what is known of its photos. Reads files, so not for the interface's thread.
     *
     * @throws IOException if the folder or the shoot's database can't be read; the message is for the user
     */
    public static Shoot open(Path folder, Locations locations) throws IOException {
        return open(folder, locations, Opening.WHOLE);
    }

    /**
     * The same in another way.
     *
     * @throws IOException if the folder or the shoot's database can't be read, or the opening was given up; the message is
     *     for the user
     */
    public static Shoot open(Path folder, Locations locations, Opening how) throws IOException {
        return ShootOpening.open(folder, locations, how);
    }

    /** The other file of a photo's pair, relative to the folder; empty if it has none. */
    public Optional<String> companion(Photo photo) {
        return lastLook.companion(photo);
    }

    /**
     * Looks into the folder again, and stores what is new or changed. Reads files and waits for the store, so not for
     * the interface's thread; the photos show once {@link #take} is called.
     *
     * @param settled asked about each new or changed file: whether it is written to its end
     * @param mostNew how many new or changed files are read at most; then there may be more
     * @throws IOException if the folder can't be looked through
     * @throws InterruptedException if interrupted while files are read
     */
    public Arrivals look(Predicate<FoundFile> settled, int mostNew) throws IOException, InterruptedException {
        return lastLook.look(
                settled, mostNew, PairShown.of(setting(PairShown.SETTING)), RawPicture.of(setting(RawPicture.SETTING)));
    }

    /** Shows what a look found, on the thread that edits. */
    public void take(Arrivals arrivals) {
        Map<Long, Photo> arrived = new LinkedHashMap<>();
        for (StoredPhoto each : arrivals.photos()) {
            arrived.put(each.photo().id(), each.photo());
            asked.take(each);
        }
        if (!arrived.isEmpty()) {
            photos = Stream.concat(
                            photos.stream().filter(photo -> !arrived.containsKey(photo.id())),
                            arrived.values().stream())
                    .sorted(Comparator.comparing(Photo::file, FolderScan.ORDER))
                    .toList();
            List<Photo> taken = List.copyOf(arrived.values());
            listeners.forEach(listener -> listener.arrived(taken, arrivals.incoming()));
        }
    }

    public Path folder() {
        return folder;
    }

    /** The folder's name. */
    public String name() {
        return folder.getFileName() == null
                ? folder.toString()
                : folder.getFileName().toString();
    }

    /** False while another program has this shoot open: edits are refused then. */
    @Override
    public boolean mayEdit() {
        return files.mayWrite();
    }

    @Override
    public List<Photo> photos() {
        return photos;
    }

    /** Whether all photos of the folder were read once; until then there are more to come. */
    public boolean isWhole() {
        return lastLook.isWhole();
    }

    /** How its files are opened. */
    public PhotoCodecs codecs() {
        return codecs;
    }

    public PreviewMaker previewMaker() {
        return new PreviewMaker(codecs);
    }

    /** A photo whose name the system's encoding can't say has a file that is not there. */
    public Path fileOf(Photo photo) {
        return RelativePath.resolve(folder, photo.file()).orElseGet(() -> folder.resolve(NOWHERE));
    }

    /** How many pictures of the folder are of kinds that Nexa does not read. */
    public int others() {
        return lastLook.others();
    }

    /** What the user should know: what was mended when the shoot was opened, and what turned out to be lost since. */
    public List<Told> told() {
        return List.copyOf(told);
    }

    /** What may be written, as the shoot is now. */
    public WriteGuard guard() {
        return new WriteGuard(
                folder,
                Stream.concat(photos.stream().map(this::fileOf), lastLook.companions())
                        .toList(),
                delivered::mayReplace,
                List.of(locations.data(), locations.cache()));
    }

    /** What seals entries of lists of deliveries. */
    public DeliverySeal seal() {
        return delivered.seal();
    }

    /** Remembers a file that is about to be delivered, so that it is not taken for a photo. Any thread may. */
    public void delivers(Path file, long bytes, String sha256) {
        if (file.startsWith(folder)) {
            Delivered one = delivered.add(file, bytes, sha256);
            if (mayEdit()) {
                saver.saveDeliveries(List.of(one));
            }
        }
    }

    /**
     * Whether parts of a photo's picture data are damaged. Reads the file if it was not looked through before, so not for
     * the interface's thread.
     */
    public boolean isDamaged(Photo photo) {
        return soundness.isDamaged(photo);
    }

    private void keepSound(String fingerprint) {
        if (mayEdit()) {
            saver.saveSound(fingerprint);
        }
    }

    /**
     * Looks through the picture data of photos that were not looked through before.
     *
     * @param goOn asked before each
     * @return those that are damaged, stored; they show so when they are taken
     */
    public Arrivals lookThrough(List<Photo> some, BooleanSupplier goOn) throws IOException, InterruptedException {
        return foundOut(soundness.damaged(some, goOn));
    }

    /**
     * Stores what was found out of the shoot's photos.
     *
     * @return the photos, which show so when they are taken
     */
    public Arrivals foundOut(Map<Photo, Probe> found) throws IOException, InterruptedException {
        List<StoredPhoto> now = new ArrayList<>();
        found.forEach((photo, probe) -> now.add(new StoredPhoto(
                new Photo(photo.id(), photo.file(), photo.fingerprint(), probe),
                lastLook.file(photo, fileOf(photo)),
                framing(photo))));
        return new Arrivals(mayEdit() && !now.isEmpty() ? saver.store(now) : now, false, false);
    }

    /** Writes something that follows the edits. */
    @FunctionalInterface
    public interface Following<T> {
        T write() throws IOException;
    }

    /** Does something that only the program that edits may do, one at a time; empty if this one may not any more. */
    public <T> Optional<T> whileEditing(Following<T> following) throws IOException {
        synchronized (editing) {
            return mayEdit() && !closed ? Optional.of(following.write()) : Optional.empty();
        }
    }

    /** Lets another program edit from now on; this one still shows what it has. */
    public void letOthersEdit() throws IOException, InterruptedException {
        saver.tryAgain();
        synchronized (editing) {
            files.letGo();
        }
    }

    @Override
    public Brief brief() {
        return asked.brief();
    }

    @Override
    public Framing framing(Photo photo) {
        return asked.framing(photo);
    }

    /** The photo's spaces as it is held now; empty if it is unreadable. */
    public Optional<PhotoSpace> space(Photo photo) {
        return asked.space(photo);
    }

    /** The photo's frame in a format, in level space; empty if it is unreadable. */
    public Optional<Frame> frame(Photo photo, Format format) {
        return asked.frame(photo, format);
    }

    /** What may be wrong with a photo's frame in a format; computed once for what is asked now. None if unreadable. */
    public Set<Warning> warnings(Photo photo, Format format) {
        return asked.warnings(photo, format);
    }

    public void listen(Listener listener) {
        listeners.add(listener);
    }

    /**
     * Does an edit.
     *
     * @throws IllegalStateException if this shoot may only be read
     */
    @Override
    public void apply(Edit edit) {
        if (!mayEdit()) {
            throw new IllegalStateException("Another program has this shoot open");
        }
        if (!edit.isEmpty()) {
            perform(new History.Change(edit, history.did(edit)));
        }
    }

    /** Takes the newest action back; nothing if there is none. */
    public void undo() {
        move(history::undo);
    }

    public void redo() {
        move(history::redo);
    }

    private void move(Supplier<Optional<History.Change>> step) {
        try {
            step.get().ifPresent(this::perform);
        } catch (UnreadableStepException spoiled) {
            LOG.warn("A step of {} can't be read", folder, spoiled);
            told.add(Told.of("told.store.steps-spoiled"));
            listeners.forEach(Listener::lostSteps);
        }
    }

    public History history() {
        return history;
    }

    private void perform(History.Change made) {
        Edit edit = made.edit();
        asked.take(edit);
        saver.save(made);
        listeners.forEach(listener -> listener.changed(edit));
    }

    /**
     * Takes note of what photos show, for those that nobody looked at until now. It is known of a photo from then on, not
     * one of the steps that are taken back. On the thread that edits.
     */
    public void saw(Map<Photo, Sight> seen) {
        Map<Photo, Sight> news = asked.saw(seen);
        if (news.isEmpty()) {
            return;
        }
        if (mayEdit()) {
            Map<Long, Sight> byId = new HashMap<>();
            news.forEach((photo, sight) -> byId.put(photo.id(), sight));
            saver.saveSights(byId);
        }
        listeners.forEach(listener -> listener.saw(news.keySet()));
    }

    /** What is asked for now, the whole of an edit or nothing of it. Any thread may ask. */
    public Snapshot snapshot() {
        return asked.snapshot(photos);
    }

    /** A remembered choice of the interface for this shoot. */
    public Optional<String> setting(String name) {
        return Optional.ofNullable(settings.get(name));
    }

    public void remember(String name, String value) {
        if (mayEdit() && !value.equals(settings.put(name, value))) {
            saver.saveSetting(name, value);
        }
    }

    /** Why the last edits could not be stored; empty if all are. */
    public Optional<Told> savingTrouble() {
        return saver.trouble();
    }

    /** Whether all that was asked for is stored. */
    public boolean isStored() {
        return saver.isDone();
    }

    /** Tries to store what is not stored; whether all is now. Waits for the store, so not for the interface's thread. */
    public boolean tryToSave() throws InterruptedException {
        return saver.tryAgain();
    }

    /**
     * Stores what is not stored yet and lets the folder go.
     *
     * @throws IOException if something could not be stored
     */
    @Override
    public void close() throws IOException {
        synchronized (editing) {
            closed = true;
        }
        try (files) {
            saver.close();
        }
    }
}
