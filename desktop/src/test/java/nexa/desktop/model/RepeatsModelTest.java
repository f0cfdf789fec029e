package nexa.desktop.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.ArrayDeque;
import java.util.Deque;
import nexa.desktop.session.Session;
import org.junit.jupiter.api.Test;

/** Near-repeats that can't be looked for, without a window. */
class RepeatsModelTest {
    private final Session session = mock(Session.class, RETURNS_DEEP_STUBS);
    private final Deque<Runnable> work = new ArrayDeque<>();

    @Test
    void whatFailed_isTriedAgainWhenItIsAskedForAgain_notBefore() {
        when(session.shoot().photos()).thenThrow(new IllegalStateException("gone"));
        RepeatsModel model = new RepeatsModel(session, work::add, Runnable::run);
        model.select();
        work.remove().run();
        assertEquals(0, work.size());
        assertFalse(model.searchingProperty().get());
        model.select();
        assertEquals(1, work.size());
    }
}
