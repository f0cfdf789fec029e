package nexa.core.level;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Tilt;

/** Several level lines at once. */
public final class LevelLines {
    private LevelLines() {}

    /**
     * The tilt that makes the lines level or plumb on average, each counting by its length; empty without lines. Leans
     * repeat every 90°, so the mean is that of directions four times the lean (Mardia and Jupp, Directional Statistics,
     * 2000, section 2.2): lines leaning 44° and −44° are 2° apart, not 88°.
     */
    public static Optional<Tilt> tilt(List<LevelLine> lines) {
        double x = 0;
        double y = 0;
        for (LevelLine line : lines) {
            double direction = Math.toRadians(4 * line.lean());
            x += line.length() * Math.cos(direction);
            y += line.length() * Math.sin(direction);
        }
        return lines.isEmpty() ? Optional.empty() : Optional.of(Tilt.clamped(-Math.toDegrees(Math.atan2(y, x)) / 4));
    }
}
