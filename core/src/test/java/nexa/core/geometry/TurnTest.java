package nexa.core.geometry;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TurnTest {
    private static final Point P = new Point(3, 1);

    private static List<Turn> all() {
        List<Turn> all = new ArrayList<>();
        for (int quarters = 0; quarters < 4; quarters++) {
            all.add(new Turn(quarters, false));
            all.add(new Turn(quarters, true));
        }
        return all;
    }

    /** Where the stored picture's top left corner region ends up, from the table of TIFF 6.0's orientation tag. */
    @ParameterizedTest
    @CsvSource({
        "1,-1,-1", "2,1,-1", "3,1,1", "4,-1,1",
        "5,-1,-1", "6,1,-1", "7,1,1", "8,-1,1"
    })
    void ofExif_movesFirstRowAndColumnAsTheTagSays(int orientation, double x, double y) {
        assertEquals(new Point(x, y), Turn.ofExif(orientation).apply(new Point(-1, -1)));
    }

    @Test
    void ofExif_fiveToEight_makeTheFirstRowAColumn() {
        for (int orientation = 1; orientation <= 8; orientation++) {
            assertEquals(orientation >= 5, Turn.ofExif(orientation).swapsSides());
        }
    }

    @Test
    void ofExif_outsideTheStandard_isUpright() {
        assertEquals(Turn.NONE, Turn.ofExif(0));
        assertEquals(Turn.NONE, Turn.ofExif(99));
    }

    @Test
    void then_isOneTurnAfterTheOther() {
        for (Turn first : all()) {
            for (Turn next : all()) {
                assertEquals(next.apply(first.apply(P)), first.then(next).apply(P), first + " then " + next);
            }
        }
    }

    @Test
    void inverse_undoes() {
        for (Turn turn : all()) {
            assertEquals(Turn.NONE, turn.then(turn.inverse()));
            assertEquals(P, turn.inverse().apply(turn.apply(P)));
        }
    }

    @Test
    void clockwise_bringsTheTopToTheRight() {
        assertEquals(new Point(1, 0), Turn.CLOCKWISE.apply(new Point(0, -1)));
    }

    @Test
    void affine_isTheSameMap() {
        for (Turn turn : all()) {
            assertEquals(turn.apply(P), Affine.of(turn).apply(P));
        }
    }

    @Test
    void apply_frame_swapsSidesWithTheQuarterTurn() {
        assertEquals(new Frame(-1, 3, 2, 5), new Turn(1, false).apply(new Frame(3, 1, 5, 2)));
    }
}
