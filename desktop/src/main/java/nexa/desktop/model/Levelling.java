package nexa.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.geometry.Tilt;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.level.LevelLines;
import nexa.desktop.session.Session;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.level.AutoLeveller;
import nexa.shoot.photo.Photo;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Levelling the current photo: by lines somebody drew, averaged, or by those found in the photo. What it rests on stays
 * in view until something else is done or the photo is left.
 */
public final class Levelling {
    /** What an automatic level came to. */
    public sealed interface Verdict {
        record Searching() implements Verdict {}

        record Found(Finding finding) implements Verdict {}

        record Unreadable() implements Verdict {}
    }

    private static final Logger LOG = LoggerFactory.getLogger(Levelling.class);

    private final Session session;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<List<LevelLine>> lines = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<Optional<Verdict>> verdict = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Tilt before = Tilt.NONE;
    private @Nullable Framing ours;
    private long latest;

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Levelling(Session session, Executor work, Executor fx) {
        this.session = session;
        this.work = work;
        this.fx = fx;
        session.onOtherPhoto(this::forget);
        session.framingProperty().subscribe(this::framingChanged);
    }

    /** The lines the photo was levelled along, in upright pixels. */
    public ReadOnlyObjectProperty<List<LevelLine>> linesProperty() {
        return lines.getReadOnlyProperty();
    }

    /** What the automatic level says of the current photo; empty if it was not asked. */
    public ReadOnlyObjectProperty<Optional<Verdict>> verdictProperty() {
        return verdict.getReadOnlyProperty();
    }

    /** Levels along one more line. */
    public void add(LevelLine line) {
        if (lines.get().isEmpty()) {
            before = session.framing().pose().tilt();
        }
        List<LevelLine> longer = new ArrayList<>(lines.get());
        longer.add(line);
        verdict.set(Optional.empty());
        level(longer);
    }

    /** Levels along the others; without the last one the photo is as it was before the first. */
    public void remove(LevelLine line) {
        List<LevelLine> fewer =
                lines.get().stream().filter(other -> !other.equals(line)).toList();
        level(fewer);
    }

    private void level(List<LevelLine> along) {
        Tilt tilt = LevelLines.tilt(along).orElse(before);
        Framing levelled = session.poseEdits().tilted(tilt);
        ours = along.isEmpty() ? levelled : levelled.levelledAt(tilt);
        lines.set(List.copyOf(along));
        session.gestures().edit("edit.level", ours);
    }

    /** Looks for lines in the photo and levels it if they leave no doubt; says so either way. */
    public void automatic() {
        if (takesOffer()) {
            return;
        }
        session.photo().filter(Photo::isReadable).ifPresent(photo -> {
            forget();
            verdict.set(Optional.of(new Verdict.Searching()));
            long mine = latest;
            Framing asked = session.shoot().framing(photo);
            CompletableFuture.supplyAsync(() -> find(photo, asked), work)
                    .whenCompleteAsync((found, failure) -> show(mine, asked, found, failure), fx);
        });
    }

    private Finding find(Photo photo, Framing framing) {
        try {
            return AutoLeveller.find(session.shoot(), photo, framing);
        } catch (UnreadablePhotoException unreadable) {
            throw new CompletionException(unreadable);
        }
    }

    private void show(long request, Framing asked, @Nullable Finding found, @Nullable Throwable failure) {
        if (request != latest) {
            return;
        }
        if (!asked.pose().turn().equals(session.framing().pose().turn())) { // turned or mirrored meanwhile
            automatic();
            return;
        }
        if (found == null) {
            LOG.warn("No lines were looked for", failure);
            verdict.set(Optional.of(new Verdict.Unreadable()));
            return;
        }
        verdict.set(Optional.of(new Verdict.Found(found)));
        ours = session.framing();
        if (found.accepted()) {
            take(found);
        }
    }

    private void take(Finding found) {
        ours = session.poseEdits().tilted(found.tilt()).levelledAt(found.tilt());
        session.gestures().edit("edit.level.auto", ours);
    }

    /** Whether a finding that was only offered is in view, and is taken. */
    private boolean takesOffer() {
        Optional<Finding> offered = verdict.get()
                .filter(Verdict.Found.class::isInstance)
                .map(said -> ((Verdict.Found) said).finding())
                .filter(Finding::offered)
                .filter(found -> !session.framing().pose().tilt().equals(found.tilt()));
        offered.ifPresent(this::take);
        return offered.isPresent();
    }

    /** Takes lines and findings out of view; the tilt stays. */
    public void forget() {
        latest++;
        ours = null;
        lines.set(List.of());
        verdict.set(Optional.empty());
    }

    private void framingChanged(Framing framing) {
        if (ours != null && !framing.asksTheSame(ours)) {
            forget();
        }
    }
}
