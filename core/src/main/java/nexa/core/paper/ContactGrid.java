package nexa.core.paper;

import java.util.ArrayList;
import java.util.List;

/**
 * Pictures with captions in rows of equal cells below a heading.
 *
 * @param heading height of the heading
 * @param caption height of the text below each picture
 * @param gap between cells
 */
public record ContactGrid(Page page, int columns, double heading, double caption, double gap) {
    public ContactGrid {
        if (columns < 1) {
            throw new IllegalArgumentException("A contact sheet has at least one column");
        }
    }

    /** A picture's square, which holds it lying or upright, and the text below. */
    public record Cell(Box picture, Box caption) {}

    /** The cells of a page, row by row. At least one row; the squares are smaller where the page is too low for one. */
    public List<Cell> cells() {
        Box inside = page.inside();
        double side = (inside.width() - (columns - 1) * gap) / columns;
        double room = inside.height() - heading;
        int rows = (int) Math.max(1, Math.floor((room + gap) / (side + caption + gap)));
        double square = Math.min(side, room - caption);
        List<Cell> cells = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                double left = inside.left() + column * (side + gap);
                double top = inside.top() + heading + row * (side + caption + gap);
                cells.add(new Cell(new Box(left, top, side, square), new Box(left, top + square, side, caption)));
            }
        }
        return cells;
    }
}
