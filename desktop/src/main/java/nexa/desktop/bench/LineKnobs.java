package nexa.desktop.bench;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import nexa.core.geometry.Point;
import nexa.desktop.bench.layer.BenchLines;
import nexa.desktop.model.Levelling;
import nexa.desktop.model.Plumbing;
import nexa.desktop.paint.LevelView;
import nexa.desktop.repair.Trimming;
import nexa.desktop.session.Session;

/** The knobs of drawn lines and closed bands: a click on one takes its line away, or opens the band. */
record LineKnobs(Session session, Levelling levelling, Plumbing plumbing, Trimming trimming) {
    /** How near to a knob's edge is on it, in canvas units. */
    private static final double REACH = 3;

    /** Whether a line was taken away or a band opened. */
    boolean removes(LevelView view, Point at, BenchMode mode) {
        return session.space()
                .filter(space -> removes(
                                levelling.linesProperty().get(),
                                line -> BenchLines.knob(line, space, view),
                                at,
                                levelling::remove)
                        || removes(
                                plumbing.linesProperty().get(),
                                line -> view.toScreen(space.fromAsShot(line.to())),
                                at,
                                plumbing::remove)
                        || mode == BenchMode.TRIM
                                && removes(
                                        space.pose().bands().all(),
                                        band -> BenchLines.knob(band, space, view),
                                        at,
                                        trimming::open))
                .isPresent();
    }

    private static <L> boolean removes(List<L> lines, Function<L, Point> knob, Point at, Consumer<L> remove) {
        Optional<L> hit = lines.stream()
                .filter(line -> knob.apply(line).distance(at) <= BenchLines.KNOB + REACH)
                .findFirst();
        hit.ifPresent(remove);
        return hit.isPresent();
    }
}
