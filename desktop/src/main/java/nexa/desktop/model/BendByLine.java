package nexa.desktop.model;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.lens.Lens;
import nexa.core.lens.Straightening;
import nexa.core.space.PhotoSpace;
import nexa.desktop.session.Session;

/** Bending by hand so that a line drawn along something straight becomes straight. */
public final class BendByLine {
    /**
     * A line that was drawn along something straight.
     *
     * @param line as shot
     * @param found what it says of the lens; empty if nothing
     */
    public record Drawn(List<Point> line, Optional<Straightening> found) {
        public Drawn {
            line = List.copyOf(line);
        }
    }

    private final Session session;
    private final ReadOnlyObjectWrapper<Optional<Drawn>> drawn = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Framing> ours = Optional.empty();

    public BendByLine(Session session) {
        this.session = session;
        session.framingProperty().subscribe(framing -> {
            if (ours.filter(framing::asksTheSame).isEmpty()) {
                forget();
            }
        });
    }

    /** What was drawn last; gone as soon as anything else is done. */
    public ReadOnlyObjectProperty<Optional<Drawn>> drawnProperty() {
        return drawn.getReadOnlyProperty();
    }

    /**
     * Bends all photos that are adjusted.
     *
     * @param space in which the line was drawn
     * @param points of level space
     */
    public void straighten(PhotoSpace space, List<Point> points) {
        List<Point> line = points.stream().map(space::toAsShot).toList();
        Optional<Straightening> found = Straightening.of(line);
        session.gestures().abandon();
        found.ifPresent(straight ->
                session.gestures().editAll("edit.lens.line", (photo, before) -> bent(before, straight.bend())));
        ours = Optional.of(session.framing());
        drawn.set(Optional.of(new Drawn(line, found)));
    }

    private static Framing bent(Framing framing, double bend) {
        Lens now = framing.pose().lens();
        return framing.withPose(framing.pose().withLens(now.handled(now.hand().withBend(bend))));
    }

    /** Takes the drawn line out of view; the bend stays. */
    public void forget() {
        ours = Optional.empty();
        drawn.set(Optional.empty());
    }
}
