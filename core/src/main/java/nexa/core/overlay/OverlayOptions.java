package nexa.core.overlay;

import java.util.List;
import nexa.core.shape.Shape;

/**
 * What the settable overlays are drawn by.
 *
 * @param cells of the grid across the frame's short side, {@link #FEWEST_CELLS} to {@link #MOST_CELLS}
 * @param nested the shapes whose outlines show inside the frame
 * @param bleed width of the margin that may be trimmed, of the short side, 0 to 0.25
 * @param caption height of the strip at the bottom that words may cover, of the frame's height, 0 to 0.5
 */
public record OverlayOptions(int cells, List<Shape.Ratio> nested, double bleed, double caption) {
    public static final int FEWEST_CELLS = 2;
    public static final int MOST_CELLS = 24;
    public static final OverlayOptions DEFAULT = new OverlayOptions(
            6, List.of(new Shape.Ratio(1, 1), new Shape.Ratio(4, 5), new Shape.Ratio(16, 9)), 0.03, 0.15);

    /** Values out of range come to the nearest in range. */
    public OverlayOptions {
        cells = Math.clamp(cells, FEWEST_CELLS, MOST_CELLS);
        nested = List.copyOf(nested);
        bleed = Math.clamp(bleed, 0, 0.25);
        caption = Math.clamp(caption, 0, 0.5);
    }

    public OverlayOptions withCells(int other) {
        return new OverlayOptions(other, nested, bleed, caption);
    }

    public OverlayOptions withNested(List<Shape.Ratio> other) {
        return new OverlayOptions(cells, other, bleed, caption);
    }

    public OverlayOptions withMargins(double otherBleed, double otherCaption) {
        return new OverlayOptions(cells, nested, otherBleed, otherCaption);
    }
}
