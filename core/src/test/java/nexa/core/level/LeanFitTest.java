package nexa.core.level;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import nexa.core.Cases;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

class LeanFitTest {
    private static final PixelSize PHOTO = new PixelSize(1000, 800);

    /** @param lean clockwise, in degrees */
    private static LeanLine upright(double x, double lean, double length) {
        double off = Math.tan(Math.toRadians(lean)) * length / 2;
        return LeanLine.of(
                new LevelLine(new Point(x + off, 400 - length / 2), new Point(x - off, 400 + length / 2)), PHOTO);
    }

    @Test
    void refined_uprightsThatConvergeEvenly_areMetExactly() {
        Cases.some(200).forEach(c -> {
            double lean = c.between(-5, 5);
            double convergence = c.between(-15, 15);
            List<LeanLine> lines = new ArrayList<>();
            for (int i = 0; i <= 10; i++) {
                double x = 100 * i;
                lines.add(upright(x, lean + convergence * (x - 500) / 1000, c.between(100, 300)));
            }
            LeanFit fit = new LeanFit(lean + 0.2, convergence + 0.4).refined(lines);
            assertEquals(lean, fit.lean(), 0.02);
            assertEquals(convergence, fit.convergence(), 0.1);
        });
    }

    @Test
    void refined_alike_isTheirMean_nearerOnesAndLongerOnesCountMore() {
        List<LeanLine> alike = List.of(upright(400, 1, 200), upright(600, 1, 200));
        assertEquals(1, new LeanFit(0.8, 0).refined(alike).lean(), 1e-6);
        List<LeanLine> unlike = List.of(upright(500, 0, 400), upright(500, 0.5, 100));
        assertEquals(0.05, new LeanFit(0.1, 0).refined(unlike).lean(), 0.03);
    }

    @Test
    void refined_segmentsFarOff_doNotCountAtAll() {
        List<LeanLine> lines = List.of(upright(500, 0.1, 300), upright(500, 1.3, 400), upright(500, -1.3, 100));
        assertEquals(0.1, new LeanFit(0, 0).refined(lines).lean(), 1e-9);
    }

    @Test
    void refined_nothingNear_staysAsItWas() {
        LeanFit fit = new LeanFit(0, 3);
        assertEquals(fit, fit.refined(List.of(upright(500, 9, 300))));
        assertEquals(fit, fit.refined(List.of()));
    }

    @Test
    void refined_neverLeansByMoreThanIsLookedFor() {
        LeanFit widest = new LeanFit(LeanVotes.WIDEST, 0);
        assertEquals(widest, widest.refined(List.of(upright(500, LeanVotes.WIDEST + 0.4, 300))));
    }
}
