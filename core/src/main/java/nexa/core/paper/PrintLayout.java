package nexa.core.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Prints on sheets, to be cut apart: in the order they come, in rows, turned where more go on a sheet that way.
 *
 * @param bleed picture beyond the cut on each side
 * @param marks room on each side beyond the bleed for the marks that say where to cut
 */
public record PrintLayout(Page page, double bleed, double marks) {
    public PrintLayout {
        if (!(bleed >= 0 && marks >= 0)) {
            throw new IllegalArgumentException("Bleed and marks take room or none");
        }
    }

    /** A print's size where it is cut. */
    public record Piece(double width, double height) {}

    /**
     * @param print its place in the list
     * @param sheet from 0
     * @param cut where it is cut
     * @param turned by a quarter, so that its width goes down the sheet
     */
    public record Place(int print, int sheet, Box cut, boolean turned) {}

    /**
     * @param places of all that go on a sheet
     * @param tooLarge places in the list of prints that no sheet can hold
     */
    public record Sheets(List<Place> places, List<Integer> tooLarge, int count) {}

    /** Puts prints on as many sheets as they need. */
    public Sheets place(List<Piece> prints) {
        Filling filling = new Filling();
        for (int i = 0; i < prints.size(); i++) {
            filling.add(i, prints.get(i));
        }
        return new Sheets(List.copyOf(filling.places), List.copyOf(filling.tooLarge), filling.sheets());
    }

    private double around() {
        return 2 * (bleed + marks);
    }

    /** Whether a sheet of nothing but these holds more of them turned. */
    private boolean betterTurned(Piece print) {
        return onASheet(print.height, print.width) > onASheet(print.width, print.height);
    }

    private long onASheet(double width, double height) {
        Box inside = page.inside();
        return (long) Math.floor(inside.width() / (width + around()))
                * (long) Math.floor(inside.height() / (height + around()));
    }

    /** Row by row, sheet by sheet. */
    private final class Filling {
        private final Box inside = page.inside();
        private final List<Place> places = new ArrayList<>();
        private final List<Integer> tooLarge = new ArrayList<>();
        private int sheet;
        private double right = inside.left();
        private double rowTop = inside.top();
        private double rowBottom = inside.top();

        void add(int number, Piece print) {
            boolean first = betterTurned(print);
            Optional<Place> place = inRow(number, print, first)
                    .or(() -> inRow(number, print, !first))
                    .or(() -> inNextRow(number, print, first))
                    .or(() -> onNextSheet(number, print, first));
            place.ifPresentOrElse(places::add, () -> tooLarge.add(number));
        }

        private Optional<Place> inRow(int number, Piece print, boolean turned) {
            double wide = (turned ? print.height : print.width) + around();
            double high = (turned ? print.width : print.height) + around();
            if (right + wide > inside.right() || rowTop + high > inside.bottom()) {
                return Optional.empty();
            }
            Box cut = new Box(right, rowTop, wide, high).grown(-bleed - marks);
            right += wide;
            rowBottom = Math.max(rowBottom, rowTop + high);
            return Optional.of(new Place(number, sheet, cut, turned));
        }

        private Optional<Place> inNextRow(int number, Piece print, boolean turned) {
            double rightBefore = right;
            double topBefore = rowTop;
            right = inside.left();
            rowTop = rowBottom;
            Optional<Place> place = inRow(number, print, turned).or(() -> inRow(number, print, !turned));
            if (place.isEmpty()) {
                right = rightBefore;
                rowTop = topBefore;
            }
            return place;
        }

        private Optional<Place> onNextSheet(int number, Piece print, boolean turned) {
            if (onASheet(print.width, print.height) + onASheet(print.height, print.width) == 0) {
                return Optional.empty();
            }
            sheet++;
            right = inside.left();
            rowTop = inside.top();
            rowBottom = inside.top();
            return inRow(number, print, turned).or(() -> inRow(number, print, !turned));
        }

        int sheets() {
            return places.isEmpty() ? 0 : sheet + 1;
        }
    }
}
