package nexa.imaging.border;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;

/**
 * The sides' borders as one border: those of one colour, leaning alike. A side that leans otherwise or whose edge is lost is
 * looked at again by what the others say.
 *
 * @param sides others have no border
 */
record Agreement(Sides sides, Tilt lean) {
    /** Degrees by which sides of one picture may lean apart, beside what a pixel or two make. */
    private static final double ALIKE_LEAN = 0.25;

    private static final double SLACK_PIXELS = 2;

    /** What a picture's ends may be off by, in pixels, for it to count as straight: most are, to the pixel. */
    private static final double STRAIGHT_PIXELS = 0.9;

    /** Share of a side's lines in the border's colour. */
    private static final double BORDERED = 0.5;

    static Agreement of(Sides looked, PixelSize picture) {
        List<SideBorder> linked = linked(looked);
        Sides alike = new Sides(looked.all().stream()
                .map(side -> side.with(side.border().filter(linked::contains)))
                .toList());
        Tilt lean = lean(linked, picture);
        Optional<SideBorder> surest = alike.surest();
        return surest.isEmpty()
                ? new Agreement(alike, lean)
                : new Agreement(
                        new Sides(alike.all().stream()
                                .map(side -> again(side, surest.get(), lean))
                                .toList()),
                        lean);
    }

    /** The surest one, all that are like it, and all that are like these. */
    private static List<SideBorder> linked(Sides looked) {
        List<SideBorder> linked = new ArrayList<>();
        looked.surest().ifPresent(linked::add);
        for (int i = 0; i < linked.size(); i++) {
            SideBorder known = linked.get(i);
            looked.borders()
                    .filter(side -> !linked.contains(side) && side.isLike(known))
                    .forEach(linked::add);
        }
        return linked;
    }

    /** The middle one by how much they weigh: long sides with sharp edges and many places on them tell more. */
    private static Tilt lean(List<SideBorder> borders, PixelSize picture) {
        List<SideBorder> sorted = borders.stream()
                .sorted(Comparator.comparingDouble(SideBorder::lean))
                .toList();
        double half = sorted.stream().mapToDouble(SideBorder::weight).sum() / 2;
        double sum = 0;
        for (SideBorder border : sorted) {
            sum += border.weight();
            if (sum >= half) {
                double off = Math.tan(Math.toRadians(border.lean())) * picture.longEdge() / 2;
                return Math.abs(off) < STRAIGHT_PIXELS ? Tilt.NONE : Tilt.clamped(border.lean());
            }
        }
        return Tilt.NONE;
    }

    private static LookedAt again(LookedAt side, SideBorder surest, Tilt lean) {
        boolean fits = side.border().filter(border -> !leansApart(border, lean)).isPresent();
        boolean lost = side.border().isEmpty() && isBordered(side, surest);
        if (fits || side.border().isEmpty() && !lost) {
            return side;
        }
        Optional<SideBorder> found = SideBorder.leaning(side.strip(), side.departures(), lean);
        return found.isPresent() ? side.with(found) : side;
    }

    /** Whether a side still leans otherwise than the rest. */
    boolean isCrooked() {
        return sides.borders().anyMatch(side -> leansApart(side, lean));
    }

    private static boolean leansApart(SideBorder side, Tilt lean) {
        double pixels = SLACK_PIXELS * Math.max(1, side.edge().width() / 4.0);
        double slack = Math.toDegrees(Math.atan(pixels / side.strip().length()));
        return Math.abs(side.lean() - lean.degrees()) > ALIKE_LEAN + slack;
    }

    /** Whether a side without an edge has the border's colour all the same. */
    boolean isAnyLost() {
        Optional<SideBorder> surest = sides.surest();
        return sides.all().stream()
                .anyMatch(side -> side.border().isEmpty()
                        && surest.filter(border -> isBordered(side, border)).isPresent());
    }

    private static boolean isBordered(LookedAt side, SideBorder border) {
        double near = 2 * border.departures().step();
        Departures seen = side.departures();
        int alike = 0;
        for (int line = seen.from(); line < seen.from() + seen.count(); line++) {
            boolean same = side.strip().distance(line, 0, border.colour()) <= near
                    && side.strip().distance(line, 2, border.colour()) <= near;
            alike += same ? 1 : 0;
        }
        return alike > BORDERED * seen.count();
    }
}
