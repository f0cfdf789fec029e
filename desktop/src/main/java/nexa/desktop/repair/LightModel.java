package nexa.desktop.repair;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.lineup.EvenLight;
import nexa.core.lineup.ResultLight;
import nexa.desktop.session.Follow;
import nexa.desktop.session.LineupModel;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.imaging.neutral.LightMeter;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.neutral.SetLight;
import nexa.shoot.photo.Photo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** How even the light of the Line-up's results is; measured off the interface's thread while the Line-up is open. */
public final class LightModel {
    /**
     * The results that were measured, in the Line-up's order.
     *
     * @param standOut those whose light is another
     */
    public record Shown(Map<Photo, ResultLight> lights, EvenLight even, List<Photo> standOut) {}

    private record Key(Photo photo, Format format, Framing framing) {}

    private static final Logger LOG = LoggerFactory.getLogger(LightModel.class);
    private static final int MOST_KNOWN = 20_000;

    private final Session session;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<Optional<Shown>> shown = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Map<Key, Optional<ResultLight>> known = new HashMap<>();
    private final Subscription subscription;
    private long latest;

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public LightModel(Session session, Executor work, Executor fx) {
        this.session = session;
        this.work = work;
        this.fx = fx;
        subscription = Follow.each(
                this::measure,
                session.lineup().shownProperty().map(LineupModel.Shown::photos),
                session.viewProperty(),
                session.formatProperty(),
                session.editsProperty());
    }

    /** Empty until a set is measured. */
    public ReadOnlyObjectProperty<Optional<Shown>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** One photo after the other, so that what else is to be decoded comes between; what changed meanwhile begins anew. */
    private void measure() {
        long mine = ++latest;
        List<Photo> photos = session.lineup().shownProperty().get().photos();
        if (session.viewProperty().get() == MainView.LINEUP) {
            session.format().ifPresent(format -> next(mine, format, photos, 0));
        }
    }

    private void next(long mine, Format format, List<Photo> photos, int from) {
        int missing = from;
        while (missing < photos.size() && known.containsKey(key(photos.get(missing), format))) {
            missing++;
        }
        if (missing == photos.size()) {
            show(format, photos);
            return;
        }
        Key key = key(photos.get(missing), format);
        int after = missing + 1;
        work.execute(() -> {
            Optional<ResultLight> light = read(key);
            fx.execute(() -> {
                if (known.size() > MOST_KNOWN) {
                    known.clear();
                }
                known.put(key, light);
                if (mine == latest) {
                    next(mine, format, photos, after);
                }
            });
        });
    }

    private Key key(Photo photo, Format format) {
        return new Key(photo, format, session.shoot().framing(photo));
    }

    private Optional<ResultLight> read(Key key) {
        try {
            return Optional.of(SetLight.of(session.shoot(), key.photo, key.format));
        } catch (UnreadablePhotoException | RuntimeException failed) { // it stands in the Line-up with its own reason
            LOG.info("The light of {} was not measured: {}", key.photo.file(), failed.toString());
            return Optional.empty();
        }
    }

    private void show(Format format, List<Photo> photos) {
        Map<Photo, ResultLight> lights = new LinkedHashMap<>();
        photos.forEach(photo ->
                known.getOrDefault(key(photo, format), Optional.empty()).ifPresent(light -> lights.put(photo, light)));
        if (lights.size() < 2) {
            shown.set(Optional.empty());
            return;
        }
        EvenLight even = new EvenLight(List.copyOf(lights.values()));
        List<Photo> measured = List.copyOf(lights.keySet());
        List<Photo> out = new ArrayList<>();
        for (int i = 0; i < measured.size(); i++) {
            if (even.standOut().get(i)) {
                out.add(measured.get(i));
            }
        }
        shown.set(Optional.of(new Shown(lights, even, List.copyOf(out))));
    }

    /** The photos that a pull would change: the selected ones, those that stand out if none is selected. */
    public List<Photo> pulled() {
        List<Photo> selected = shown.get().stream()
                .flatMap(now -> now.lights().keySet().stream())
                .filter(session.selection().property().get()::contains)
                .toList();
        return selected.isEmpty() ? shown.get().map(Shown::standOut).orElse(List.of()) : selected;
    }

    /** Gives them the set's middle light, by their neutral alone; one step. */
    public void pullIn() {
        shown.get().filter(now -> session.shoot().mayEdit()).ifPresent(now -> {
            ResultLight middle = now.even().middle();
            List<FramingChange> changes = pulled().stream()
                    .map(photo ->
                            change(photo, Objects.requireNonNull(now.lights().get(photo)), middle))
                    .toList();
            session.shoot().apply(new Edit("edit.light", changes, null));
        });
    }

    private FramingChange change(Photo photo, ResultLight now, ResultLight wanted) {
        Framing before = session.shoot().framing(photo);
        return new FramingChange(
                photo.id(),
                before,
                before.withPose(before.pose()
                        .withNeutral(LightMeter.pulled(before.pose().neutral(), now, wanted, photo.receptors()))));
    }

    public void dispose() {
        latest++;
        subscription.unsubscribe();
    }
}
