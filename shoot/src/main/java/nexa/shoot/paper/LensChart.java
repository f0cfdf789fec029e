package nexa.shoot.paper;

import java.io.IOException;
import java.nio.file.Path;
import nexa.core.paper.Box;
import nexa.core.paper.Page;
import nexa.imaging.lens.ChartMeasure;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;

/** The chart that lenses are measured by: a chessboard as large as the paper takes, with what to do with it. */
public final class LensChart {
    private static final int SQUARES_ACROSS = ChartMeasure.ACROSS + 1;
    private static final int SQUARES_DOWN = ChartMeasure.DOWN + 1;

    /** Below the board, for the words, in millimetres. */
    private static final double WORDS = 12;

    private static final float SIZE = 9;

    private LensChart() {}

    /** @param words what to do with it, in a line */
    public static void write(Path file, Page page, String words, WriteGuard guard, IfTaken ifTaken) throws IOException {
        try (Pdf pdf = new Pdf()) {
            pdf.begin(page);
            Box inside = page.inside();
            double side = Math.min(inside.width() / SQUARES_ACROSS, (inside.height() - WORDS) / SQUARES_DOWN);
            double left = inside.left() + (inside.width() - side * SQUARES_ACROSS) / 2;
            for (int i = 0; i < SQUARES_ACROSS * SQUARES_DOWN; i++) {
                int column = i % SQUARES_ACROSS;
                int row = i / SQUARES_ACROSS;
                if ((column + row) % 2 == 0) {
                    pdf.square(left + column * side, inside.top() + row * side, side);
                }
            }
            pdf.text(words, left, inside.top() + side * SQUARES_DOWN + WORDS * 0.6, side * SQUARES_ACROSS, SIZE, true);
            pdf.save(file, guard, ifTaken);
        }
    }
}
