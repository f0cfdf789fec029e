package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.List;

/**
 * Where results stand in the Line-up: all as high as each other, in rows filled from the left, as large as lets all of
 * them be seen at once; no smaller than {@link #SMALLEST}, then one scrolls.
 *
 * @param cells in the photos' order
 * @param tops of the rows' results
 * @param size height of every result
 * @param height of all rows
 */
record LineupLayout(List<Cell> cells, List<Double> tops, double size, double height) {
    static final double SMALLEST = 120;
    static final double LARGEST = 320;
    static final double MARGIN_LEFT = 64;
    static final double CAPTION = 56;
    private static final double MARGIN = 22;
    static final double GAP = 20;

    /** Narrow results still need room for their figures. */
    static final double NARROWEST = 116;

    private static final double STEP = 8;

    /** One result's box, caption not included. */
    record Cell(double x, double y, double width, double height) {}

    /** @param aspects the results' width over height */
    static LineupLayout of(List<Double> aspects, double width, double room) {
        LineupLayout smallest = sized(aspects, width, SMALLEST);
        if (smallest.height > room) {
            return smallest; // larger ones would take more
        }
        double size = LARGEST;
        LineupLayout layout = sized(aspects, width, size);
        while (layout.height > room && size > SMALLEST) {
            size = Math.max(SMALLEST, size - STEP);
            layout = sized(aspects, width, size);
        }
        return layout;
    }

    /** Before anything is shown. */
    static final LineupLayout NONE = new LineupLayout(List.of(), List.of(), LARGEST, 0);

    private static LineupLayout sized(List<Double> aspects, double width, double size) {
        List<Cell> cells = new ArrayList<>();
        List<Double> tops = new ArrayList<>();
        double x = MARGIN_LEFT;
        double y = MARGIN;
        for (double aspect : aspects) {
            double wide = Math.round(size * aspect);
            double taken = Math.max(wide, NARROWEST);
            if (x > MARGIN_LEFT && x + taken > width - MARGIN) {
                x = MARGIN_LEFT;
                y += size + CAPTION + GAP;
            }
            if (x == MARGIN_LEFT) {
                tops.add(y);
            }
            cells.add(new Cell(x, y, wide, size));
            x += taken + GAP;
        }
        return new LineupLayout(List.copyOf(cells), List.copyOf(tops), size, y + size + CAPTION + MARGIN / 2);
    }
}
