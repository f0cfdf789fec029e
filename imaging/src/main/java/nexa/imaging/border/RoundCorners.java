package nexa.imaging.border;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.trim.Side;

/**
 * How round the corners are inside a border, as of a slide's mount: near a round corner the border reaches farther in. On a
 * circle of radius r it reaches in by h at r − √(2hr) from the corner, but for terms of h².
 */
final class RoundCorners {
    /** Less is a soft or ragged corner, in pixels. */
    private static final double LEAST = 5;

    /** Of the eight ends of edges that tell. */
    private static final int ENOUGH = 4;

    private RoundCorners() {}

    /** In pixels; 0 if they are square or it can't be told. */
    static double radius(Sides sides) {
        List<Double> radii = sides.all().stream()
                .filter(side -> side.border().isPresent())
                .flatMap(side -> radii(side, sides).stream())
                .sorted()
                .toList();
        if (radii.size() < ENOUGH) {
            return 0;
        }
        double middle = radii.get(radii.size() / 2);
        return middle >= LEAST && radii.get(radii.size() / 4) > middle / 2 ? middle : 0;
    }

    private static List<Double> radii(LookedAt side, Sides sides) {
        Strip strip = side.strip();
        boolean upright = strip.side().isUpright();
        Optional<SideBorder> before = sides.border(upright ? Side.TOP : Side.LEFT);
        Optional<SideBorder> after = sides.border(upright ? Side.BOTTOM : Side.RIGHT);
        int[] on = side.linesOnEdge();
        double reach = side.border().orElseThrow().line().reach();
        List<Double> radii = new ArrayList<>();
        if (on.length > 0) {
            before.ifPresent(corner -> radii.add(radius(strip.along(on[0]) - corner.depth(), reach)));
            after.ifPresent(corner ->
                    radii.add(radius(strip.length() - corner.depth() - strip.along(on[on.length - 1]), reach)));
        }
        return radii;
    }

    /**
     * @param from how far from the corner the edge is first on its line
     * @param off by how much it is at most off it there
     */
    private static double radius(double from, double off) {
        double straight = from - Strip.LINE;
        if (straight < Strip.LINE) {
            return 0;
        }
        double root = (Math.sqrt(2 * off) + Math.sqrt(2 * off + 4 * straight)) / 2;
        return root * root;
    }
}
