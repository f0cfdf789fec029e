package nexa.desktop.hint;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Optional;
import java.util.Set;
import nexa.core.brief.FrameState;
import nexa.desktop.session.MainView;
import nexa.desktop.setting.Hint;
import org.junit.jupiter.api.Test;

class SituationTest {
    private static final Situation BEGUN = new Situation(MainView.WALL, false, true, FrameState.DERIVED, false, false);
    private static final Situation FORMATTED =
            new Situation(MainView.WALL, true, true, FrameState.DERIVED, false, false);

    private static Situation on(MainView view, FrameState state, boolean several) {
        return new Situation(view, true, several, state, false, state == FrameState.CHECKED);
    }

    private static Optional<Hint> pointedOut(Situation now, Hint... taken) {
        return now.pointedOut(now.taken(Set.of(taken)));
    }

    @Test
    void steps_arePointedOutInTheirOrder_eachWhereItIsTaken() {
        assertEquals(Optional.of(Hint.SHAPES), pointedOut(BEGUN));
        assertEquals(Optional.of(Hint.LOOK), pointedOut(FORMATTED));
        assertEquals(Optional.empty(), pointedOut(on(MainView.BENCH, FrameState.DERIVED, true)), "nothing to carry");
        assertEquals(Optional.of(Hint.CARRY), pointedOut(on(MainView.BENCH, FrameState.PLACED, true)));
        assertEquals(
                Optional.empty(),
                pointedOut(on(MainView.BENCH, FrameState.CHECKED, true), Hint.CARRY),
                "the photo one works on does not move");
        assertEquals(
                Optional.of(Hint.HANDOVER),
                pointedOut(on(MainView.WALL, FrameState.CHECKED, true), Hint.CARRY, Hint.LOOK));
    }

    @Test
    void onlyPhoto_hasNothingToBeCarriedTo() {
        assertEquals(Optional.empty(), pointedOut(on(MainView.BENCH, FrameState.PLACED, false)));
    }

    @Test
    void takenSteps_areNotPointedOut_andStayTaken() {
        assertEquals(Set.of(Hint.SHAPES), FORMATTED.taken(Set.of()));
        assertEquals(
                Set.of(Hint.SHAPES, Hint.LOOK),
                on(MainView.BENCH, FrameState.PLACED, true).taken(Set.of()));
        assertEquals(
                Set.of(Hint.SHAPES, Hint.CARRY),
                new Situation(MainView.WALL, true, true, FrameState.PLACED, true, false).taken(Set.of()));
        assertEquals(Set.of(Hint.LOOK), BEGUN.taken(Set.of(Hint.LOOK)));
        assertEquals(Optional.empty(), pointedOut(FORMATTED, Hint.LOOK));
        assertEquals(Optional.empty(), pointedOut(BEGUN, Hint.values()));
    }

    @Test
    void handover_isTakenByLookingAtIt() {
        Situation there = on(MainView.HANDOVER, FrameState.CHECKED, true);
        assertEquals(Set.of(Hint.SHAPES, Hint.HANDOVER), there.taken(Set.of()));
        assertEquals(Optional.empty(), pointedOut(there));
    }
}
