package nexa.core.exact;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

class MeasureTest {
    private static final PixelSize PHOTO = new PixelSize(3000, 2000);
    private static final Frame FRAME = new Frame(0, 0, 0.5, 0.4); // 1500 × 1200 in the middle

    private static Measure measure(Reference reference, Unit unit) {
        return new Measure(PHOTO, reference, unit, 300);
    }

    @Test
    void numbers_countFromThePhotosTopLeft() {
        Measure corner = measure(Reference.TOP_LEFT, Unit.PIXEL);
        assertEquals(750, corner.x(FRAME), 1e-9);
        assertEquals(400, corner.y(FRAME), 1e-9);
        assertEquals(1500, corner.width(FRAME), 1e-9);
        assertEquals(2250, measure(Reference.BOTTOM_RIGHT, Unit.PIXEL).x(FRAME), 1e-9);
        assertEquals(1000, measure(Reference.CENTRE, Unit.PIXEL).y(FRAME), 1e-9);
    }

    @Test
    void numbers_comeInEveryUnit() {
        assertEquals(5, measure(Reference.CENTRE, Unit.INCH).width(FRAME), 1e-9);
        assertEquals(12.7, measure(Reference.CENTRE, Unit.CENTIMETRE).width(FRAME), 1e-9);
        assertEquals(127, measure(Reference.CENTRE, Unit.MILLIMETRE).width(FRAME), 1e-9);
        assertEquals(50, measure(Reference.CENTRE, Unit.PERCENT).width(FRAME), 1e-9);
        assertEquals(60, measure(Reference.CENTRE, Unit.PERCENT).height(FRAME), 1e-9);
    }

    @Test
    void setNumbers_areThereAndTheReferenceStays() {
        Cases.some(500).forEach(c -> {
            Measure measure = new Measure(
                    c.photo(), Reference.values()[c.below(9)], Unit.values()[c.below(5)], c.between(72, 600));
            Frame frame = c.wish();
            double value = c.between(1, 100);
            assertEquals(value, measure.x(measure.withX(frame, value)), 1e-6 * value);
            assertEquals(value, measure.y(measure.withY(frame, value)), 1e-6 * value);
            Frame wide = measure.withWidth(frame, value, c.below(2) == 0);
            assertEquals(value, measure.width(wide), 1e-9 * value);
            Point before = frame.at(measure.reference().x, measure.reference().y);
            assertEquals(0, before.distance(wide.at(measure.reference().x, measure.reference().y)), 1e-6);
            assertEquals(value, measure.height(measure.withHeight(frame, value, true)), 1e-9 * value);
            assertEquals(frame.aspect(), measure.withHeight(frame, value, true).aspect(), 1e-9 * frame.aspect());
        });
    }

    @Test
    void width_notPositive_isRefused() {
        Measure measure = measure(Reference.CENTRE, Unit.PIXEL);
        assertThrows(IllegalArgumentException.class, () -> measure.withWidth(FRAME, 0, true));
        assertThrows(IllegalArgumentException.class, () -> measure.withHeight(FRAME, -3, false));
        assertThrows(IllegalArgumentException.class, () -> new Measure(PHOTO, Reference.CENTRE, Unit.INCH, 0));
    }
}
