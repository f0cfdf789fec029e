package nexa.desktop.wall;

import java.util.List;

/** How photos of one area follow each other in rows as wide as the Wall, in canvas units. */
final class RowFilling {
    /** Beside the rows, to both sides. */
    static final double MARGIN = 22;

    static final double GAP = 22;
    private static final double NARROW_GAP = 11;

    private final double[] widths;
    private final double inner;
    private final double gap;

    /**
     * @param roots {@link #roots} of the photos
     * @param width of the Wall
     * @param edge side of the square that has each photo's area
     */
    RowFilling(double[] roots, double width, double edge) {
        inner = width - 2 * MARGIN;
        gap = gap(edge);
        widths = new double[roots.length];
        for (int i = 0; i < roots.length; i++) {
            widths[i] = Math.min(Math.rint(edge * roots[i]), Math.max(1, inner));
        }
    }

    /** What a photo's width is over the side of a square of its area. */
    static double[] roots(List<Double> aspects) {
        return aspects.stream().mapToDouble(Math::sqrt).toArray();
    }

    /** The least between photos. */
    static double gap(double edge) {
        return edge < WallLayout.CAPTIONS_FROM ? NARROW_GAP : GAP;
    }

    /** A photo's; one wider than the Wall is made to fit. */
    double width(int photo) {
        return widths[photo];
    }

    /**
     * The place after the last photo of a row.
     *
     * @param first its first photo's place
     * @param last the place after the last photo that it may hold
     */
    int end(int first, int last) {
        int end = first;
        double x = 0;
        while (end < last && (end == first || x + widths[end] <= inner)) {
            x += widths[end] + gap;
            end++;
        }
        return end;
    }

    /** Between each two photos of a row that fills the width. */
    double apart(int first, int end) {
        return end - first < 2 ? gap : Math.max(gap, (inner - photos(first, end)) / (end - first - 1));
    }

    /** What a row has more than it needs, between each two photos; beside a single one. */
    double left(int first, int end) {
        return end - first < 2 ? Math.max(0, inner - photos(first, end)) : apart(first, end) - gap;
    }

    private double photos(int first, int end) {
        double sum = 0;
        for (int i = first; i < end; i++) {
            sum += widths[i];
        }
        return sum;
    }
}
