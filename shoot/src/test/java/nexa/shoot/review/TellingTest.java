package nexa.shoot.review;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import nexa.core.geometry.Point;
import nexa.imaging.detect.Merit;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.RepeatGroup.Reason;
import org.junit.jupiter.api.Test;

/** What is left of near-repeats, and why. */
class TellingTest {
    private static final double OPEN = 0.3;
    private static final double CLOSED = 0.2;

    private final Photo one = photo(1);
    private final Photo two = photo(2);
    private final Photo three = photo(3);

    private static Photo photo(long id) {
        return new Photo(id, id + ".jpg", "print " + id, Probe.unreadable(Trouble.Kind.READ_FAILED));
    }

    private static Merit merit(double sharpness, double... open) {
        return new Merit(
                sharpness,
                IntStream.range(0, open.length)
                        .mapToObj(i -> new Merit.Eyes(new Point(0.3 * i, 0), 0.1, open[i]))
                        .toList());
    }

    private RepeatGroup told(Merit first, Merit second, Merit third) {
        return Telling.apart(List.of(one, two, three), Map.of(one, first, two, second, three, third));
    }

    @Test
    void whoSleeps_isNotLeft_howeverSharp() {
        RepeatGroup group = told(merit(9, CLOSED, OPEN), merit(5, OPEN, OPEN), merit(4.9, OPEN, OPEN));
        assertEquals(List.of(two, three), group.left());
        assertEquals(Set.of(Reason.EYES_OPEN), group.reasons());
    }

    @Test
    void ofThoseAwake_theClearlySharpestIsLeft() {
        RepeatGroup group = told(merit(9, OPEN, CLOSED), merit(5, OPEN, OPEN), merit(3, OPEN, OPEN));
        assertEquals(List.of(two), group.left());
        assertEquals(Set.of(Reason.EYES_OPEN, Reason.SHARPEST), group.reasons());
    }

    @Test
    void whereSomebodySleepsInEach_sharpnessAloneTells() {
        RepeatGroup group = told(merit(9, CLOSED, OPEN), merit(5, OPEN, CLOSED), merit(5, CLOSED, CLOSED));
        assertEquals(List.of(one), group.left());
        assertEquals(Set.of(Reason.SHARPEST), group.reasons());
    }

    @Test
    void equalOnes_areAllLeft_forNoReason() {
        RepeatGroup group = told(merit(5), merit(5.2), merit(4.5));
        assertEquals(group.photos(), group.left());
        assertEquals(Set.of(), group.reasons());
    }
}
