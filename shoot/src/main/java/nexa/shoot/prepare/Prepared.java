package nexa.shoot.prepare;

import java.util.List;
import java.util.Optional;
import nexa.core.brief.Framing;
import nexa.core.level.LevelLine;

/**
 * What is proposed for one photo.
 *
 * @param before as it was looked at
 * @param steps for what was not done by hand already
 * @param sure with what is accepted
 * @param all with what is offered too
 * @param lines what a level rests on, in upright pixels
 */
public record Prepared(Framing before, List<Step> steps, Framing sure, Framing all, List<LevelLine> lines) {
    public Prepared {
        steps = List.copyOf(steps);
        lines = List.copyOf(lines);
    }

    /** Whether somebody should look at it. */
    public boolean isDoubtful() {
        return !all.equals(sure);
    }

    public boolean isNothing() {
        return all.equals(before);
    }

    public Optional<Step> step(Part part) {
        return steps.stream().filter(step -> step.part() == part).findFirst();
    }
}
