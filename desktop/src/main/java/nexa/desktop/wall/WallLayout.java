package nexa.desktop.wall;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.DoublePredicate;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * Where photos hang on the Wall: each at the same area, so that verticals are not smaller than horizontals, in rows
 * as wide as the Wall. Within a row all stand on one line, evenly apart, with their captions below. Each group of photos
 * begins a row of its own under a heading.
 *
 * @param cells in the photos' order
 * @param headings the upper edges of the groups' headings, in the groups' order; none without groups
 * @param height of all rows
 */
record WallLayout(List<Cell> cells, List<Double> headings, double height) {
    static final double MARGIN = RowFilling.MARGIN;

    /** Smaller photos hang close and without captions, so that hundreds show at once. */
    static final double CAPTIONS_FROM = 84;

    private static final double CAPTION = 24;

    /** Height of a heading with the air below it. */
    static final double HEADING = 32;

    /**
     * A photo's box, caption not included.
     *
     * @param caption height of the caption below it, 0 = none
     */
    record Cell(double x, double y, double width, double height, double caption) {
        double bottom() {
            return y + height + caption;
        }

        /** Across. */
        double middle() {
            return x + width / 2;
        }

        /**
         * Whether something of it or its caption is in sight.
         *
         * @param scrolled what is above what is in sight
         * @param sight height of what is in sight
         */
        boolean isInSight(double scrolled, double sight) {
            return bottom() > scrolled && y < scrolled + sight;
        }
    }

    /** How far to scroll so that all of a photo's row is in sight, as near to another place as that is. */
    double inSight(int place, double wanted, double sight) {
        Cell cell = cells.get(place);
        double top = cells.stream()
                .filter(other -> other.bottom() == cell.bottom()) // they stand on one line
                .mapToDouble(Cell::y)
                .min()
                .orElse(cell.y());
        return Math.min(top - MARGIN, Math.max(wanted, cell.bottom() - sight + 8));
    }

    /**
     * How far to scroll so that what was looked at stays in sight where the same photos hung otherwise before: the current photo,
     * or else the first one that was there.
     *
     * @param scrolled how far the Wall was scrolled then
     * @param sight height of what is in sight
     * @param current the current photo's place in the order, -1 = none
     */
    double scrolledAs(WallLayout before, double scrolled, double sight, int current) {
        if (current >= 0 && before.cells.get(current).isInSight(scrolled, sight)) {
            return inSight(current, scrolled + moved(before, current), sight);
        }
        return IntStream.range(0, cells.size())
                .filter(place -> before.cells.get(place).isInSight(scrolled, sight))
                .mapToObj(place -> scrolled + moved(before, place))
                .findFirst()
                .orElse(scrolled);
    }

    private double moved(WallLayout before, int place) {
        return cells.get(place).y() - before.cells.get(place).y();
    }

    /**
     * The photo nearest in the row above (-1) or below (1) a photo's; empty if there is no such row.
     *
     * @param from the photo's place in the order
     */
    OptionalInt inNextRow(int from, int direction) {
        return nearest(from, down -> down * direction > 0, down -> Math.abs(down));
    }

    /**
     * The photo nearest in the last row that is no farther above or below a photo's than a distance, but at least in the next
     * row; empty if there is none.
     *
     * @param from the photo's place in the order
     * @param distance canvas units; negative upwards
     */
    OptionalInt faraway(int from, double distance) {
        int direction = (int) Math.signum(distance);
        OptionalInt far = nearest(
                from, down -> down * direction > 0 && Math.abs(down) <= Math.abs(distance), down -> -Math.abs(down));
        return far.isPresent() ? far : inNextRow(from, direction);
    }

    /**
     * @param which by how far its row is below that of the photo
     * @param order of rows, by the same: the least first
     */
    private OptionalInt nearest(int from, DoublePredicate which, DoubleUnaryOperator order) {
        Cell cell = cells.get(from);
        return IntStream.range(0, cells.size())
                .filter(i -> which.test(cells.get(i).bottom() - cell.bottom()))
                .boxed()
                .min(Comparator.<Integer>comparingDouble(
                                i -> order.applyAsDouble(cells.get(i).bottom() - cell.bottom()))
                        .thenComparingDouble(i -> Math.abs(cells.get(i).middle() - cell.middle())))
                .stream()
                .mapToInt(Integer::intValue)
                .findFirst();
    }

    private static double caption(double edge) {
        return edge < CAPTIONS_FROM ? 0 : CAPTION;
    }

    /**
     * @param aspects the photos' width over height
     * @param edge side of the square that has the area each photo gets
     */
    static WallLayout of(List<Double> aspects, double width, double edge) {
        return of(aspects, List.of(), width, edge);
    }

    /** @param groups how many photos each has, in their order; none = no groups and no headings */
    static WallLayout of(List<Double> aspects, List<Integer> groups, double width, double edge) {
        RowFilling rows = new RowFilling(RowFilling.roots(aspects), width, edge);
        List<Cell> cells = new ArrayList<>();
        List<Double> headings = new ArrayList<>();
        double y = MARGIN;
        for (int size : groups.isEmpty() ? List.of(aspects.size()) : groups) {
            if (!groups.isEmpty()) {
                headings.add(y);
                y += HEADING;
            }
            y = addRows(cells, aspects.subList(0, cells.size() + size), rows, y, edge);
        }
        return new WallLayout(List.copyOf(cells), List.copyOf(headings), y - RowFilling.gap(edge) + MARGIN);
    }

    /**
     * Adds the rows of what has no cells yet.
     *
     * @return where the next row begins
     */
    private static double addRows(List<Cell> cells, List<Double> aspects, RowFilling rows, double top, double edge) {
        double y = top;
        double apart = RowFilling.gap(edge);
        while (cells.size() < aspects.size()) {
            int first = cells.size();
            int end = rows.end(first, aspects.size());
            // the last row is seldom full: it goes on as the one before
            apart = end < aspects.size() ? rows.apart(first, end) : Math.min(apart, rows.apart(first, end));
            y = addRow(cells, aspects.subList(first, end), rows, new Row(y, apart), edge) + RowFilling.gap(edge);
        }
        return y;
    }

    private record Row(double y, double apart) {}

    private static double addRow(List<Cell> cells, List<Double> row, RowFilling rows, Row at, double edge) {
        double tallest =
                row.stream().mapToDouble(aspect -> heightOf(aspect, edge)).max().orElse(0);
        double x = MARGIN;
        for (double aspect : row) {
            double cellWidth = rows.width(cells.size());
            double cellHeight = Math.round(cellWidth / aspect);
            double y = at.y + tallest - cellHeight;
            cells.add(new Cell(Math.round(x), y, cellWidth, Math.max(1, cellHeight), caption(edge)));
            x += cellWidth + at.apart;
        }
        return at.y + tallest + caption(edge);
    }

    private static double heightOf(double aspect, double edge) {
        return Math.round(edge / Math.sqrt(aspect));
    }
}
