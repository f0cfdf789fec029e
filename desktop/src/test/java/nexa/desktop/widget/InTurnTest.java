package nexa.desktop.widget;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;

@ExtendWith(ApplicationExtension.class)
class InTurnTest {
    private final List<String> done = new ArrayList<>();
    private final Runnable first = () -> done.add("first");
    private final Runnable second = () -> done.add("second");

    /** Pulses are given by hand here; those of the toolkit would come in between. */
    private final InTurn turns = new InTurn() {
        @Override
        public void start() {}

        @Override
        public void stop() {}
    };

    @Test
    void ask_doesOneThingAPulse_inTheOrderAsked() {
        turns.ask(first);
        turns.ask(second);
        assertEquals(List.of(), done);
        turns.handle(0);
        assertEquals(List.of("first"), done);
        turns.handle(0);
        turns.handle(0);
        assertEquals(List.of("first", "second"), done);
    }

    /** So that what is asked for at every pulse keeps nothing else waiting. */
    @Test
    void ask_againBeforeItsTurn_keepsItsPlaceAndIsDoneOnce() {
        for (int pulse = 0; pulse < 4; pulse++) {
            turns.ask(first);
            turns.ask(second);
            turns.handle(0);
        }
        assertEquals(List.of("first", "second", "first", "second"), done);
    }

    @Test
    void dispose_forgetsWhatWaits() {
        turns.ask(first);
        turns.dispose();
        turns.handle(0);
        assertEquals(List.of(), done);
    }
}
