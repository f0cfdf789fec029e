package nexa.desktop.lineup;

import java.util.List;
import nexa.core.geometry.Point;

/** How much of a frame the picture of where subjects lie shows. */
final class ScatterRange {
    private static final double LEAST = 0.025;
    private static final double MOST = 0.15;

    /** A single photo that is far off makes no crowd of the others; where half of them are, they are the set. */
    private static final double OF_USUAL = 2;

    private static final double AIR = 1.15;

    private ScatterRange() {}

    /**
     * @param offsets against the exemplar's, in fractions of the frame, the exemplar's own included
     * @param flat the picture's width over its height
     * @return what shows on either side of its middle across, in fractions of the frame
     */
    static double of(List<Point> offsets, double flat) {
        List<Double> reaches = offsets.stream()
                .map(offset -> AIR * Math.max(Math.abs(offset.x()), Math.abs(offset.y()) * flat))
                .sorted()
                .toList();
        if (reaches.isEmpty()) {
            return LEAST * flat;
        }
        double usual = reaches.get(reaches.size() / 2);
        return Math.max(LEAST * flat, Math.min(reaches.getLast(), Math.max(MOST, OF_USUAL * usual)));
    }
}
