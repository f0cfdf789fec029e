package nexa.imaging.border;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.trim.Trim;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;

/** Several pictures in one scan. */
class PictureSplitTest {
    private static final int WIDTH = 800;
    private static final int HEIGHT = 600;

    private interface Inside {
        boolean at(int x, int y);
    }

    @Test
    void threePrintsOnABed_areThree_eachToThePixel() {
        List<Trim> pieces = pieces((x, y) ->
                within(x, y, 40, 50, 380, 290) || within(x, y, 420, 60, 760, 300) || within(x, y, 60, 340, 500, 560));

        assertEquals(3, pieces.size());
        assertPiece(pieces.get(0), 40, 50, 380, 290);
        assertPiece(pieces.get(1), 420, 60, 760, 300);
        assertPiece(pieces.get(2), 60, 340, 500, 560);
    }

    @Test
    void oneWithABorder_isNotSplit() {
        assertTrue(pieces((x, y) -> within(x, y, 40, 50, 760, 560)).isEmpty());
    }

    @Test
    void thingsOnABackdrop_areNoPictures() {
        assertTrue(pieces((x, y) -> Math.hypot(x - 200, y - 300) < 120 || Math.hypot(x - 600, y - 300) < 140)
                .isEmpty());
    }

    @Test
    void nothingButBorder_isNotSplit() {
        assertTrue(pieces((x, y) -> false).isEmpty());
    }

    private static boolean within(int x, int y, int left, int top, int right, int bottom) {
        return x >= left && x < right && y >= top && y < bottom;
    }

    private static void assertPiece(Trim piece, int left, int top, int right, int bottom) {
        assertEquals(left, piece.left() * WIDTH + WIDTH / 2.0, 0.8, piece.text());
        assertEquals(top, piece.top() * WIDTH + HEIGHT / 2.0, 0.8, piece.text());
        assertEquals(right, piece.right() * WIDTH + WIDTH / 2.0, 0.8, piece.text());
        assertEquals(bottom, piece.bottom() * WIDTH + HEIGHT / 2.0, 0.8, piece.text());
    }

    private static List<Trim> pieces(Inside inside) {
        Mat pixels = new Mat(HEIGHT, WIDTH, CV_8UC3);
        try (UByteIndexer cells = pixels.createIndexer();
                Picture scan = new Picture(pixels)) {
            for (int y = 0; y < HEIGHT; y++) {
                for (int x = 0; x < WIDTH; x++) {
                    for (int c = 0; c < 3; c++) {
                        double value =
                                inside.at(x, y) ? 100 + 40 * Math.sin(x / 9.0 + c) + 40 * Math.sin(y / 7.0) : 236;
                        cells.put(y, x, c, (int) value);
                    }
                }
            }
            return PictureSplit.pieces(scan);
        }
    }
}
