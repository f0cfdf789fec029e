package nexa.desktop.view;

import java.util.ArrayList;
import java.util.List;

/**
 * Where photos hang on the Wall: each at the same area, so that verticals are not smaller than horizontals, in rows
 * filled from the left. Within a row all stand on one line with their captions below.
 *
 * @param cells in the photos' order
 * @param height of all rows
 */
record WallLayout(List<Cell> cells, double height) {
    static final double GAP = 22;
    static final double CAPTION = 24;
    static final double MARGIN = 22;

    /** A photo's box, caption not included. */
    record Cell(double x, double y, double width, double height) {
        double bottom() {
            return y + height + CAPTION;
        }
    }

    /**
     * @param aspects the photos' width over height
     * @param edge side of the square that has the area each photo gets
     */
    static WallLayout of(List<Double> aspects, double width, double edge) {
        List<Cell> cells = new ArrayList<>();
        double y = MARGIN;
        int first = 0;
        while (first < aspects.size()) {
            int end = endOfRow(aspects, first, width, edge);
            y = addRow(cells, aspects.subList(first, end), y, width, edge) + GAP;
            first = end;
        }
        return new WallLayout(List.copyOf(cells), y - GAP + MARGIN);
    }

    private static int endOfRow(List<Double> aspects, int first, double width, double edge) {
        double x = MARGIN + widthOf(aspects.get(first), edge);
        int end = first + 1;
        while (end < aspects.size() && x + GAP + widthOf(aspects.get(end), edge) <= width - MARGIN) {
            x += GAP + widthOf(aspects.get(end), edge);
            end++;
        }
        return end;
    }

    private static double addRow(List<Cell> cells, List<Double> row, double y, double width, double edge) {
        double tallest =
                row.stream().mapToDouble(aspect -> heightOf(aspect, edge)).max().orElse(0);
        double x = MARGIN;
        for (double aspect : row) {
            double cellWidth = Math.min(widthOf(aspect, edge), Math.max(1, width - 2 * MARGIN));
            double cellHeight = Math.round(cellWidth / aspect);
            cells.add(new Cell(x, y + tallest - cellHeight, cellWidth, Math.max(1, cellHeight)));
            x += cellWidth + GAP;
        }
        return y + tallest + CAPTION;
    }

    private static double widthOf(double aspect, double edge) {
        return Math.round(edge * Math.sqrt(aspect));
    }

    private static double heightOf(double aspect, double edge) {
        return Math.round(edge / Math.sqrt(aspect));
    }
}
