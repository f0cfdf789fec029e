package nexa.core.lens.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.lens.data.BendMeasure;
import nexa.core.lens.data.BendModel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A camera model's bend in the calibration format's terms. */
class ChartFitTest {
    private static final PixelSize PHOTO = new PixelSize(3001, 2001);
    private static final double UNIT = 1000;

    private static double bent(BendMeasure measure, double r) {
        List<Double> t = measure.terms();
        return r * (1 - t.get(0) - t.get(1) - t.get(2) + r * (t.get(2) + r * (t.get(1) + r * t.get(0))));
    }

    @Test
    void unit_isHalfTheShortSide_fromPixelCentreToPixelCentre() {
        assertEquals(UNIT, ChartFit.unit(PHOTO));
        assertEquals(UNIT, ChartFit.unit(new PixelSize(2001, 3001)));
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 0", "-0.12, 0.03, 0", "-0.3, 0.12, -0.02", "0.08, 0, 0"})
    void ptlens_bendsAsTheCameraModel_upToTheCorner(double k1, double k2, double k3) {
        ChartFit.Radial lens = new ChartFit.Radial(2500, Point.ORIGIN, k1, k2, k3, 0);
        BendMeasure measure = ChartFit.ptlens(lens, PHOTO, 24);
        assertEquals(BendModel.PTLENS, measure.model());
        assertEquals(24, measure.focal());
        double atUnit = tangent(lens, UNIT);
        for (double pixels = 50; pixels <= 1803; pixels += 50) {
            double belongs = tangent(lens, pixels) / atUnit;
            assertEquals(pixels / UNIT, bent(measure, belongs), 2e-4, "at " + pixels);
        }
        assertEquals(1, bent(measure, 1), 1e-12, "as large at half the short side");
        boolean straight = measure.terms().stream().allMatch(term -> Math.abs(term) < 1e-9);
        assertEquals(k1 == 0, straight);
    }

    /** By small steps, another way than the fit's own. */
    private static double tangent(ChartFit.Radial lens, double pixels) {
        double t = pixels / lens.focal();
        for (int i = 0; i < 200; i++) {
            t += (pixels - lens.pixels(t)) / lens.focal();
        }
        return t;
    }

    @Test
    void colour_isFoundFromWhereItsCornersLie() {
        List<Point> grey = new ArrayList<>();
        List<Point> red = new ArrayList<>();
        for (int x = -1400; x <= 1400; x += 200) {
            for (int y = -900; y <= 900; y += 180) {
                Point place = new Point(x + 7, y - 3);
                double r = place.length() / UNIT;
                grey.add(place);
                red.add(place.times(1.0004 - 0.0003 * r * r));
            }
        }
        BendMeasure measure = ChartFit.colour(grey, red, PHOTO, 35);
        assertEquals(BendModel.COLOUR_POLY3, measure.model());
        assertEquals(35, measure.focal());
        assertEquals(1.0004, measure.terms().get(0), 1e-9);
        assertEquals(0, measure.terms().get(1));
        assertEquals(-0.0003, measure.terms().get(2), 1e-9);
    }

    @Test
    void straightness_isThatOfTheLineThatIsLeastStraight() {
        List<Point> straight = IntStream.range(0, 10)
                .mapToObj(i -> new Point(10 * i, 3 * i + 5))
                .toList();
        List<Point> bulging = IntStream.rangeClosed(-10, 10)
                .mapToObj(i -> new Point(10 * i, 2 * (1 - i * i / 100.0)))
                .toList();
        assertEquals(0, ChartFit.straightness(List.of()));
        assertEquals(0, ChartFit.straightness(List.of(straight)), 1e-9);
        double most = ChartFit.straightness(List.of(straight, bulging));
        assertTrue(most > 0.6 && most < 1.4, "a bulge of 2 is at most about 1.3 off: " + most);
    }
}
