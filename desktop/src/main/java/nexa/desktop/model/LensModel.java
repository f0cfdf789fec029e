package nexa.desktop.model;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.lens.Lens;
import nexa.core.lens.LensUse;
import nexa.core.lens.data.LensMatch;
import nexa.core.lens.data.LensProfile;
import nexa.core.space.Correction;
import nexa.core.space.Pose;
import nexa.desktop.session.CarriedCorrections;
import nexa.desktop.session.Session;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.lens.LensOffer;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The lenses of photos: of the current one, of those adjusted together, and of the whole shoot. */
public final class LensModel implements CarriedCorrections {
    /**
     * Photos with the same answer.
     *
     * @param offers of each photo
     */
    public record Group(LensMatch match, Map<Photo, LensOffer> offers) {
        public Group {
            offers = Collections.unmodifiableMap(new LinkedHashMap<>(offers));
        }

        public boolean isFound() {
            return match instanceof LensMatch.One;
        }
    }

    private static final Logger LOG = LoggerFactory.getLogger(LensModel.class);

    private final Session session;
    private final Lenses lenses;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Optional<LensOffer>> offer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<List<Group>>> groups = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper unreadable = new ReadOnlyBooleanWrapper();
    private boolean asked;

    /**
     * @param work where lens data is read
     * @param fx the interface's thread
     */
    public LensModel(Session session, Lenses lenses, Executor work, Executor fx) {
        this.session = session;
        this.lenses = lenses;
        this.work = work;
        this.fx = fx;
    }

    /** What there is for the current photo; empty until {@link #look} has found out. */
    public ReadOnlyObjectProperty<Optional<LensOffer>> offerProperty() {
        return offer.getReadOnlyProperty();
    }

    /** The shoot's photos by their lenses; empty until {@link #lookThrough} has found out. */
    public ReadOnlyObjectProperty<Optional<List<Group>>> groupsProperty() {
        return groups.getReadOnlyProperty();
    }

    /** Whether the lens data could not be read; what is found by it then is nothing. */
    public ReadOnlyBooleanProperty unreadableProperty() {
        return unreadable.getReadOnlyProperty();
    }

    public Lens lens() {
        return session.framing().pose().lens();
    }

    // ---- looking ----

    /** Finds out what there is for the current photo. */
    public void look() {
        offer.set(Optional.empty());
        session.photo().ifPresent(photo -> photo.facts().ifPresent(facts -> CompletableFuture.supplyAsync(
                        () -> found(facts), work)
                .whenCompleteAsync(
                        (found, failed) -> {
                            if (failed != null) {
                                tellUnreadable(failed);
                            } else if (session.photo().filter(photo::equals).isPresent()) {
                                offer.set(Optional.of(found));
                            }
                        },
                        fx)));
    }

    private void tellUnreadable(Throwable failed) {
        LOG.warn("Lens data can't be read", failed);
        unreadable.set(true);
    }

    private LensOffer found(PhotoFacts facts) {
        return onWorker(() -> lenses.found(facts));
    }

    /** What can't be read is the future's failure. */
    private static <T> T onWorker(Reading<T> reading) {
        try {
            return reading.read();
        } catch (IOException failed) {
            throw new CompletionException(failed);
        }
    }

    /** Finds out what there is for every photo of the shoot that is not set aside. */
    public void lookThrough() {
        groups.set(Optional.empty());
        List<Photo> photos = session.shoot().photos().stream()
                .filter(Photo::isReadable)
                .filter(photo -> !session.framing(photo).setAside())
                .toList();
        CompletableFuture.supplyAsync(() -> grouped(photos), work)
                .whenCompleteAsync(
                        (found, failed) -> {
                            if (failed != null) {
                                tellUnreadable(failed);
                            }
                            groups.set(Optional.of(failed == null ? found : List.of()));
                        },
                        fx);
    }

    private List<Group> grouped(List<Photo> photos) {
        Map<LensMatch, Map<Photo, LensOffer>> byMatch = new LinkedHashMap<>();
        offers(photos).forEach((photo, found) -> byMatch.computeIfAbsent(found.match(), match -> new LinkedHashMap<>())
                .put(photo, found));
        return byMatch.entrySet().stream()
                .map(each -> new Group(each.getKey(), each.getValue()))
                .sorted((one, other) -> Boolean.compare(other.isFound(), one.isFound()))
                .toList();
    }

    /** Measured lenses that words fit; none as long as the data is not read. */
    public List<LensProfile> search(String text) {
        return session.photo()
                .flatMap(Photo::facts)
                .filter(facts -> lenses.isRead())
                .map(facts -> read(() -> lenses.book().search(text, facts.camera()), List.<LensProfile>of()))
                .orElse(List.of());
    }

    // ---- setting ----

    /** Of all photos that are adjusted together. */
    public void off() {
        change("edit.lens", Lens::off);
    }

    /** Each photo by its own file. Photos of which nothing is known are left as they are. */
    public void find() {
        if (!session.shoot().mayEdit()) {
            return;
        }
        List<Photo> photos = adjusted().stream().filter(Photo::isReadable).toList();
        CompletableFuture.supplyAsync(() -> offers(photos), work)
                .whenCompleteAsync(
                        (offers, failed) -> {
                            if (failed != null) {
                                tellUnreadable(failed);
                            } else {
                                accept("edit.lens", offers);
                            }
                        },
                        fx);
    }

    private Map<Photo, LensOffer> offers(List<Photo> photos) {
        Map<Photo, LensOffer> offers = new LinkedHashMap<>();
        photos.forEach(photo -> offers.put(photo, found(photo.facts().orElseThrow())));
        return offers;
    }

    private void accept(String label, Map<Photo, LensOffer> offers) {
        if (session.shoot().mayEdit()) {
            List<FramingChange> changes = new ArrayList<>();
            offers.forEach((photo, found) -> add(changes, photo, found, LensUse.FOUND));
            session.shoot().apply(new Edit(label, changes, null));
        }
    }

    /** By a lens that the photographer names, which is remembered for the camera. */
    public void choose(LensProfile lens) {
        if (!session.shoot().mayEdit()) {
            return;
        }
        session.photo().flatMap(Photo::facts).ifPresent(facts -> lenses.remember(facts.camera(), lens));
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : adjusted()) {
            photo.facts()
                    .flatMap(facts -> named(facts, lens.name()))
                    .ifPresent(found -> add(changes, photo, found, LensUse.CHOSEN));
        }
        session.shoot().apply(new Edit("edit.lens", changes, null));
        look();
    }

    private Optional<LensOffer> named(PhotoFacts facts, String name) {
        return read(() -> lenses.named(facts, name), Optional.empty());
    }

    /** Asks the lens data. */
    private interface Reading<T> {
        T read() throws IOException;
    }

    private static <T> T read(Reading<T> reading, T otherwise) {
        try {
            return reading.read();
        } catch (IOException unread) {
            LOG.warn("Lens data can't be read", unread);
            return otherwise;
        }
    }

    /** All photos of some groups, as one step. */
    public void accept(List<Group> accepted) {
        Map<Photo, LensOffer> offers = new LinkedHashMap<>();
        accepted.forEach(group -> offers.putAll(group.offers()));
        accept("edit.lens.all", offers);
    }

    private void add(List<FramingChange> changes, Photo photo, LensOffer found, LensUse how) {
        if (found.match() instanceof LensMatch.One one && found.terms().isPresent()) {
            Framing before = session.shoot().framing(photo);
            Lens lens = before.pose()
                    .lens()
                    .measured(how, one.lens().name(), found.terms().get());
            changes.add(new FramingChange(photo.id(), before, with(before, lens)));
        }
    }

    private static Framing with(Framing framing, Lens lens) {
        return framing.withPose(framing.pose().withLens(lens));
    }

    private List<Photo> adjusted() {
        return session.together().isOn()
                ? session.selection().adjusted()
                : session.photo().stream().toList();
    }

    private void change(String label, UnaryOperator<Lens> change) {
        session.gestures()
                .editAll(
                        label,
                        (photo, before) ->
                                with(before, change.apply(before.pose().lens())));
    }

    /** Shows another setting of the current photo without storing it. */
    public void preview(UnaryOperator<Lens> change) {
        session.gestures().preview(with(session.framing(), change.apply(lens())));
    }

    /** Stores a setting that may have been shown, for all photos that are adjusted together. */
    public void set(UnaryOperator<Lens> change) {
        session.gestures().abandon();
        change("edit.lens", change);
    }

    // ---- carrying ----

    @Override
    public Optional<Correction> carried(Pose from, Photo to, Pose target) {
        if (!lenses.isRead()) {
            if (unreadable.get()) {
                return Optional.of(target.correction());
            }
            readOnce();
            return Optional.empty();
        }
        return Optional.of(read(() -> lenses.carried(from, to.facts().orElseThrow(), target), target.correction()));
    }

    private void readOnce() {
        if (!asked) {
            asked = true;
            CompletableFuture.supplyAsync(() -> onWorker(lenses::book), work)
                    .whenCompleteAsync(
                            (found, failed) -> {
                                if (failed != null) {
                                    tellUnreadable(failed);
                                }
                                session.carry().refreshPlan();
                            },
                            fx);
        }
    }
}
