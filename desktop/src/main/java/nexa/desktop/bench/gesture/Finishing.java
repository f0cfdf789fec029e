package nexa.desktop.bench.gesture;

import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.desktop.model.BendByLine;
import nexa.desktop.model.Levelling;
import nexa.desktop.model.Plumbing;
import nexa.desktop.repair.Trimming;
import nexa.desktop.session.Session;

/** What follows when a gesture of the Bench ends: for most, that what shows is kept. */
public record Finishing(
        Session session, Levelling levelling, Plumbing plumbing, BendByLine bendByLine, Trimming trimming) {
    /**
     * @param clicked whether the pointer hardly moved
     * @param at where it ended, in level space
     */
    public void finish(BenchGesture done, boolean clicked, Optional<Point> at) {
        switch (done) {
            case BenchGesture.DrawLevel drawn -> drawn.line().ifPresent(levelling::add);
            case BenchGesture.DrawPlumb drawn -> {
                if (!clicked) {
                    plumbing.add(drawn.space(), drawn.from(), drawn.to());
                }
            }
            case BenchGesture.DrawBand drawn -> {
                if (!clicked) {
                    drawn.band().ifPresent(trimming::closeUp);
                }
            }
            case BenchGesture.Touching touching -> at.ifPresent(level -> touching.done(level, clicked));
            case BenchGesture.DrawEdge drawn -> bendByLine.straighten(drawn.space(), drawn.points());
            default -> session.gestures().commit(done.label());
        }
    }
}
