package nexa.core.told;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

class ToldTest {
    @Test
    void of_aFailureThatTells_isWhatItTells_howeverDeep() {
        InvalidException told = new InvalidException("told.files.ppi", 0, 2400, 9);
        assertEquals(new Told("told.files.ppi", List.of(0, 2400, 9)), Told.of(told));
        assertEquals(Told.of(told), Told.of(new IOException("outside", new IllegalStateException(told))));
        Told outer = Told.of("told.outer");
        assertEquals(outer, Told.of(new InvalidException(outer, told)), "the outermost that tells");
    }

    @Test
    void of_anyOtherFailure_isTheSystemsOwnWords() {
        assertEquals(Told.of(Told.SYSTEM, "No space left"), Told.of(new IOException("No space left")));
        assertEquals(Told.of(Told.SYSTEM, "IllegalStateException"), Told.of(new IllegalStateException()));
    }

    @Test
    void toString_isForLogs() {
        assertEquals("told.plain", Told.of("told.plain").toString());
        assertEquals("told.two (1, b)", Told.of("told.two", 1, "b").toString());
        assertEquals("told.two (1, b)", new InvalidException("told.two", 1, "b").getMessage());
    }
}
