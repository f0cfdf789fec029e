package nexa.desktop.bench;

import java.util.Optional;
import java.util.function.Function;
import nexa.core.geometry.Point;
import nexa.desktop.repair.EyeMending;
import nexa.desktop.repair.Neutrals;
import nexa.desktop.repair.Touch;

/** What places of the photo can be touched for. */
record Spots(Neutrals neutrals, EyeMending eyes) {
    /** What a press at a place of the photo as shot begins. */
    Function<Point, Touch> touches(BenchMode mode) {
        return mode == BenchMode.EYES ? eyes::touch : place -> neutrals.touch();
    }

    /** Where one of the eyes is that were just found, as shot; empty if none were. */
    Optional<Point> foundEye() {
        boolean found = eyes.verdictProperty()
                .get()
                .filter(verdict -> verdict instanceof EyeMending.Verdict.Found(int count) && count > 0)
                .isPresent();
        return found ? Optional.of(eyes.eyes().all().getLast().centre()) : Optional.empty();
    }

    /** Whether something was said that is taken out of view. */
    boolean forget() {
        boolean said = neutrals.verdictProperty().get().isPresent()
                || eyes.verdictProperty().get().isPresent();
        neutrals.forget();
        eyes.forget();
        return said;
    }
}
