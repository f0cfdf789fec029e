package nexa.desktop.beside;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Cells of one size for pictures of several shapes.
 *
 * @param columns how many cells are beside each other
 * @param width of a cell
 * @param height of a cell, its caption not counted
 */
public record SideLayout(int columns, double width, double height) {
    /**
     * The arrangement that shows the most of all pictures together.
     *
     * @param aspects the pictures' shapes, width by height; not empty
     * @param gap between cells
     * @param caption what each cell needs below its picture
     */
    public static SideLayout of(List<Double> aspects, double width, double height, double gap, double caption) {
        return IntStream.rangeClosed(1, aspects.size())
                .mapToObj(columns -> arranged(aspects.size(), columns, width, height, gap, caption))
                .max((one, other) -> Double.compare(one.area(aspects), other.area(aspects)))
                .orElseThrow();
    }

    private static SideLayout arranged(
            int count, int columns, double width, double height, double gap, double caption) {
        int rows = Math.ceilDiv(count, columns);
        return new SideLayout(
                columns,
                Math.max(1, (width - (columns - 1) * gap) / columns),
                Math.max(1, (height - (rows - 1) * gap) / rows - caption));
    }

    private double area(List<Double> aspects) {
        return aspects.stream()
                .mapToDouble(aspect -> {
                    double shown = Math.min(width, height * aspect);
                    return shown * shown / aspect;
                })
                .sum();
    }
}
