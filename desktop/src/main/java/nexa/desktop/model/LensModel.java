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
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.lens.LensBook;
import nexa.core.lens.LensMatch;
import nexa.core.lens.LensProfile;
import nexa.core.lens.LensUse;
import nexa.core.lens.Straightening;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
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

    /**
     * A line that was drawn along something straight.
     *
     * @param line as shot
     * @param found what it says of the lens; empty if nothing
     */
    public record Straightened(List<Point> line, Optional<Straightening> found) {
        public Straightened {
            line = List.copyOf(line);
        }
    }

    private static final Logger LOG = LoggerFactory.getLogger(LensModel.class);

    private final Session session;
    private final Lenses lenses;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Optional<LensOffer>> offer = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<List<Group>>> groups = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Straightened>> straightened =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Framing> ours = Optional.empty();
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
        session.framingProperty().subscribe(framing -> {
            if (ours.filter(framing::equals).isEmpty()) {
                forget();
            }
        });
    }

    /** What there is for the current photo; empty until {@link #look} has found out. */
    public ReadOnlyObjectProperty<Optional<LensOffer>> offerProperty() {
        return offer.getReadOnlyProperty();
    }

    /** The shoot's photos by their lenses; empty until {@link #lookThrough} has found out. */
    public ReadOnlyObjectProperty<Optional<List<Group>>> groupsProperty() {
        return groups.getReadOnlyProperty();
    }

    /** What was drawn along something straight last; gone as soon as anything else is done. */
    public ReadOnlyObjectProperty<Optional<Straightened>> straightenedProperty() {
        return straightened.getReadOnlyProperty();
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
                                LOG.warn("Lens data can't be read", failed);
                            } else if (session.photo().filter(photo::equals).isPresent()) {
                                offer.set(Optional.of(found));
                            }
                        },
                        fx)));
    }

    private LensOffer found(PhotoFacts facts) {
        try {
            return lenses.found(facts);
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
                                LOG.warn("Lens data can't be read", failed);
                            }
                            groups.set(Optional.of(failed == null ? found : List.of()));
                        },
                        fx);
    }

    private List<Group> grouped(List<Photo> photos) {
        Map<LensMatch, Map<Photo, LensOffer>> byMatch = new LinkedHashMap<>();
        for (Photo photo : photos) {
            LensOffer found = found(photo.facts().orElseThrow());
            byMatch.computeIfAbsent(found.match(), match -> new LinkedHashMap<>())
                    .put(photo, found);
        }
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
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : adjusted()) {
            photo.facts().map(this::found).ifPresent(found -> add(changes, photo, found, LensUse.FOUND));
        }
        session.shoot().apply(new Edit("edit.lens", changes, null));
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
        if (!session.shoot().mayEdit()) {
            return;
        }
        List<FramingChange> changes = new ArrayList<>();
        accepted.forEach(group -> group.offers().forEach((photo, found) -> add(changes, photo, found, LensUse.FOUND)));
        session.shoot().apply(new Edit("edit.lens.all", changes, null));
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

    // ---- by a drawn line ----

    /**
     * Bends by hand so that a drawn line becomes straight, for all photos that are adjusted together.
     *
     * @param space in which it was drawn
     * @param drawn points of level space
     */
    public void straighten(PhotoSpace space, List<Point> drawn) {
        List<Point> line = drawn.stream().map(space::toAsShot).toList();
        Optional<Straightening> found = Straightening.of(line);
        session.gestures().abandon();
        found.ifPresent(straight -> change("edit.lens.line", now -> Lens.byHand(new ByHand(
                        straight.bend(), now.hand().stops(), now.hand().midpoint()))
                .withAmounts(now.amounts())));
        ours = Optional.of(session.framing());
        straightened.set(Optional.of(new Straightened(line, found)));
    }

    /** Takes the drawn line out of view; the bend stays. */
    public void forget() {
        ours = Optional.empty();
        straightened.set(Optional.empty());
    }

    // ---- carrying ----

    @Override
    public Optional<Correction> carried(Pose from, Photo to, Pose target) {
        if (!lenses.isRead()) {
            readOnce();
            return Optional.empty();
        }
        return Optional.of(read(() -> lenses.carried(from, to.facts().orElseThrow(), target), target.correction()));
    }

    private void readOnce() {
        if (!asked) {
            asked = true;
            CompletableFuture.supplyAsync(() -> read(lenses::book, LensBook.EMPTY), work)
                    .thenRunAsync(session.carry()::refreshPlan, fx);
        }
    }
}
