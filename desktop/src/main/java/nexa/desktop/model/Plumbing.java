package nexa.desktop.model;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.plumb.Plumb;
import nexa.core.plumb.PlumbFinding;
import nexa.core.plumb.PlumbLine;
import nexa.core.plumb.PlumbSolver;
import nexa.core.plumb.Standing;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.desktop.session.Session;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import nexa.shoot.plumb.AutoPlumber;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Standing the current photo's uprights up: by lines somebody drew, by its own lines, or by angles. What it rests on stays in
 * view until something else is done or the photo is left.
 */
public final class Plumbing {
    /** What looking for the photo's own lines came to. */
    public sealed interface Verdict {
        record Searching() implements Verdict {}

        record Found(PlumbFinding finding) implements Verdict {}

        record Failed() implements Verdict {}
    }

    /**
     * A drawn line, tied to the photo: its ends as shot.
     *
     * @param upright what it was drawn along; else something level
     */
    public record Line(Point from, Point to, boolean upright) {}

    private static final Logger LOG = LoggerFactory.getLogger(Plumbing.class);

    /** Fewer lines than this only level a photo. */
    private static final int ENOUGH_LINES = 2;

    private final Session session;
    private final Lenses lenses;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<List<Line>> lines = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<Optional<Verdict>> verdict = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<PlumbSolver.Solution> solution = Optional.empty();
    private Pose before = Pose.AS_SHOT;
    private @Nullable Framing ours;
    private double focal;
    private long latest;

    /**
     * @param work where photos are decoded
     * @param fx the interface's thread
     */
    public Plumbing(Session session, Lenses lenses, Executor work, Executor fx) {
        this.session = session;
        this.lenses = lenses;
        this.work = work;
        this.fx = fx;
        session.onOtherPhoto(this::photoChanged);
        session.framingProperty().subscribe(this::framingChanged);
    }

    public ReadOnlyObjectProperty<List<Line>> linesProperty() {
        return lines.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Optional<Verdict>> verdictProperty() {
        return verdict.getReadOnlyProperty();
    }

    /** How badly the drawn lines agree, degrees; empty while there are too few. */
    public Optional<Double> residual() {
        return solution.map(PlumbSolver.Solution::residual);
    }

    // ---- angles ----

    /** As it is seen on the photo as it is turned. */
    public Plumb shown() {
        Pose pose = session.framing().pose();
        return begun(pose.plumb()).after(pose.turn());
    }

    /** A photo that is not plumbed yet will be as far as the last one was. */
    private Plumb begun(Plumb plumb) {
        return plumb.equals(Plumb.NONE)
                ? plumb.withFar(session.settings().plumbFarProperty().get())
                : plumb;
    }

    public boolean isPlumbed() {
        return !session.framing().pose().plumb().equals(Plumb.NONE);
    }

    /** How far is undone, 0 to 1; photos after this one begin with it. */
    public void far(double far) {
        edit(plumb -> plumb.withFar(far));
        session.settings().plumbFarProperty().set(far);
    }

    private Framing changed(UnaryOperator<Plumb> change) {
        Framing framing = session.framing();
        Turn turn = framing.pose().turn();
        Plumb plumb = change.apply(shown());
        return framing.withPose(framing.pose().withPlumb(plumb.before(turn)));
    }

    /** Shows a change without storing it. Angles are given the photo's own focal length. */
    public void preview(UnaryOperator<Plumb> change) {
        session.gestures().preview(changed(plumb -> withFocal(change.apply(plumb))));
    }

    private Plumb withFocal(Plumb plumb) {
        return plumb.focal() > 0 ? plumb : plumb.withFocal(focal);
    }

    /** Makes what is shown one edit. */
    public void commit() {
        session.gestures().commit("edit.plumb");
    }

    /** Does a change as one edit. */
    public void edit(UnaryOperator<Plumb> change) {
        session.gestures().edit("edit.plumb", changed(plumb -> withFocal(change.apply(plumb))));
    }

    /** As the photo was shot. */
    public void clear() {
        forget();
        edit(plumb -> Plumb.NONE);
    }

    // ---- lines ----

    /** One more line; from the second on the photo follows them. Points are in level space. */
    public void add(PhotoSpace space, Point from, Point to) {
        Point along = to.minus(from);
        if (lines.get().isEmpty()) {
            before = session.framing().pose();
        }
        List<Line> longer = new ArrayList<>(lines.get());
        longer.add(new Line(space.toAsShot(from), space.toAsShot(to), Math.abs(along.y()) > Math.abs(along.x())));
        verdict.set(Optional.empty());
        stand(longer);
    }

    /** Stands up by the others; with too few of them the photo is as it was before the first. */
    public void remove(Line line) {
        stand(lines.get().stream().filter(other -> !other.equals(line)).toList());
    }

    private void stand(List<Line> along) {
        solution = along.size() < ENOUGH_LINES
                ? Optional.empty()
                : Optional.of(
                        PlumbSolver.solve(along.stream().map(this::onTurned).toList(), focal));
        Framing framing = session.framing();
        Pose pose = solution.map(found -> stood(found.standing())).orElse(before);
        ours = framing.withPose(pose);
        lines.set(List.copyOf(along));
        session.gestures().edit("edit.plumb", ours);
    }

    private Pose stood(Standing found) {
        Pose pose = session.framing().pose();
        Standing kept = found.before(pose.turn());
        Plumb now = begun(pose.plumb());
        Plumb plumb = kept.plumb().withFar(now.far()).finished(now.scale(), now.right(), now.down(), now.stretch());
        return pose.withPlumb(plumb).withTilt(kept.tilt());
    }

    private PlumbLine onTurned(Line line) {
        Pose pose = session.space().orElseThrow().pose();
        UnaryOperator<Point> map =
                p -> pose.turn().apply(pose.correction().lensMapping().apply(p));
        return new PlumbLine(map.apply(line.from), map.apply(line.to), line.upright);
    }

    /** A line that was found on the photo corrected for its lens and turned, where it shows in level space. */
    public Line shownLine(PlumbLine found) {
        Pose pose = session.space().orElseThrow().pose();
        UnaryOperator<Point> map = p -> pose.correction()
                .lensMapping()
                .inverse()
                .apply(pose.turn().inverse().apply(p));
        return new Line(map.apply(found.from()), map.apply(found.to()), found.upright());
    }

    // ---- by the photo's own lines ----

    /** Looks for lines in the photo and stands it up if they leave no doubt; says so either way. */
    public void automatic() {
        session.photo().filter(Photo::isReadable).ifPresent(photo -> {
            forget();
            verdict.set(Optional.of(new Verdict.Searching()));
            long mine = latest;
            Framing asked = session.shoot().framing(photo);
            CompletableFuture.supplyAsync(() -> find(photo, asked), work)
                    .whenCompleteAsync((found, failure) -> show(mine, found, failure), fx);
        });
    }

    private PlumbFinding find(Photo photo, Framing framing) {
        try {
            return AutoPlumber.find(session.shoot(), lenses, photo, framing);
        } catch (IOException failed) {
            throw new CompletionException(failed);
        }
    }

    private void show(long request, @Nullable PlumbFinding found, @Nullable Throwable failure) {
        if (request != latest) {
            return;
        }
        if (found == null) {
            LOG.warn("No uprights were looked for", failure);
            verdict.set(Optional.of(new Verdict.Failed()));
            return;
        }
        verdict.set(Optional.of(new Verdict.Found(found)));
        ours = session.framing();
        if (found.accepted()) {
            ours = session.framing().withPose(stood(found.standing()));
            session.gestures().edit("edit.plumb.auto", ours);
        }
    }

    /** Takes lines and findings out of view; the plumb stays. */
    public void forget() {
        latest++;
        ours = null;
        solution = Optional.empty();
        lines.set(List.of());
        verdict.set(Optional.empty());
    }

    private void framingChanged(Framing framing) {
        if (ours != null && !framing.asksTheSame(ours) && !onlyAngles(framing)) {
            forget();
        }
    }

    /** How far the lines are followed may be changed with them in view. */
    private boolean onlyAngles(Framing framing) {
        return ours != null
                && framing.asksTheSame(
                        ours.withPose(ours.pose().withPlumb(framing.pose().plumb())));
    }

    private void photoChanged() {
        forget();
        focal = 0;
        session.photo().filter(Photo::isReadable).ifPresent(photo -> CompletableFuture.supplyAsync(
                        () -> focal(photo), work)
                .thenAcceptAsync(
                        found -> {
                            if (session.photo().filter(photo::isStill).isPresent()) {
                                focal = found;
                            }
                        },
                        fx));
    }

    private double focal(Photo photo) {
        try {
            return lenses.focal(photo.facts().orElseThrow());
        } catch (IOException unread) {
            LOG.warn("The focal length of {} is not known without lens data", photo.file(), unread);
            return 0;
        }
    }

    /** The focal length that is reckoned with is the photo's own. */
    public boolean isFocalKnown() {
        return focal > 0;
    }
}
