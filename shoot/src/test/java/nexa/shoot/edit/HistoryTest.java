package nexa.shoot.edit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Collections;
import java.util.stream.IntStream;
import nexa.core.brief.Framing;
import nexa.shoot.edit.Edit.FramingChange;
import org.junit.jupiter.api.Test;

class HistoryTest {
    private static final FramingChange CHANGE = new FramingChange(1, Framing.UNTOUCHED, Framing.UNTOUCHED);

    private static Edit of(int photos) {
        return new Edit("edit.carry", Collections.nCopies(photos, CHANGE), null);
    }

    @Test
    void stepsTooFarBack_areForgotten() {
        History history = new History();
        IntStream.range(0, History.DEEPEST + 20).forEach(i -> history.did(of(1)));
        assertEquals(History.DEEPEST, history.done().size());
    }

    /** So that memory lasts for a session of any length. */
    @Test
    void stepsOfManyPhotos_areForgottenSooner() {
        History history = new History();
        history.did(of(10));
        IntStream.range(0, 3).forEach(i -> history.did(of(300_000)));
        assertEquals(4, history.done().size());
        history.did(of(300_000));
        assertEquals(3, history.done().size());
        history.did(of(2_000_000));
        assertEquals(1, history.done().size(), "the last can always be taken back");
        history.did(of(1));
        assertEquals(1, history.done().size());
    }
}
