package nexa.desktop.bench;

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

    /** Whether something was said that is taken out of view. */
    boolean forget() {
        boolean said = neutrals.verdictProperty().get().isPresent()
                || eyes.verdictProperty().get().isPresent();
        neutrals.forget();
        eyes.forget();
        return said;
    }
}
