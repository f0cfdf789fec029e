package nexa.core.print;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.print.SetSense.Cut;
import org.junit.jupiter.api.Test;

class SetSenseTest {
    private static final Frame WHOLE = new Frame(0, 0, 1, 0.8);
    private static final List<Cut> CUTS = List.of(
            new Cut(WHOLE, new PixelSize(3000, 2400)),
            new Cut(WHOLE, new PixelSize(1500, 1200)),
            new Cut(WHOLE, new PixelSize(600, 480)));

    private static SetSense of(String target, double most) {
        return SetSense.of(SizeTarget.parse(target), most, CUTS).orElseThrow();
    }

    @Test
    void noPhotos_noSense() {
        assertEquals(Optional.empty(), SetSense.of(SizeTarget.NONE, 1, List.of()));
    }

    @Test
    void nothingAsked_tellsTheFewestPixels() {
        SetSense sense = of("none", 1);
        assertEquals(new SetSense(3, new PixelSize(600, 480), 0, 0, 1, OptionalDouble.empty()), sense);
    }

    @Test
    void pixels_someLack() {
        SetSense sense = of("long edge 2000", 1);
        assertEquals(new SetSense(3, new PixelSize(600, 480), 2, 2, 1, OptionalDouble.empty()), sense);
    }

    @Test
    void enlarging_asFarAsAllowed() {
        SetSense sense = of("long edge 2000", 1.5);
        assertEquals(new SetSense(3, new PixelSize(600, 480), 2, 1, 1.5, OptionalDouble.empty()), sense);
        assertEquals(2000 / 1500.0, of("long edge 2000", 4).mostEnlarged() * 600 / 1500, 1e-9);
    }

    @Test
    void print_tellsThePpiThatTheWorstHas() {
        SetSense sense = of("10 x 8 in at 300 ppi", 1);
        assertEquals(60, sense.ppi().orElseThrow(), 1e-9);
        assertEquals(2, sense.lacking());
        assertTrue(of("10 x 8 in at 60 ppi", 1).lacking() == 0);
    }
}
