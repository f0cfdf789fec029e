package nexa.core.lens.data;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.lens.Lens;
import nexa.core.lens.LensTerms;
import nexa.core.lens.LensUse;
import nexa.core.lens.Taken;
import nexa.core.lens.data.LensMatch.Why;
import org.junit.jupiter.api.Test;

class LensBookTest {
    private static final LensProfile ZOOM = lens("Kiln", "Kiln EF 24-105mm f/4L IS", "EF", 1);
    private static final LensProfile SMALL_ZOOM = lens("Kiln", "Kiln EF 24-105mm f/4L IS", "EF", 1.6);
    private static final LensProfile FIFTY = lens("Kiln", "Kiln EF 50mm f/1.8", "EF", 1);
    private static final LensProfile FIFTY_MARK_TWO = lens("Kiln", "Kiln EF 50mm f/1.8 II", "EF", 1);
    private static final LensProfile SCREWED = lens("Glaze", "Glaze 35mm f/2", "M42", 1);
    private static final LensProfile POCKET = lens("Kiln", "K10 & compatibles (Standard)", "kilnK10", 2.7);

    private static final LensBook BOOK = new LensBook(
            List.of(
                    new CameraProfile("Kiln", List.of("Kiln 5"), "EF", 1),
                    new CameraProfile("Kiln", List.of("Kiln 70"), "EF", 1.6),
                    new CameraProfile("Kiln", List.of("K10"), "kilnK10", 2.7)),
            List.of(ZOOM, SMALL_ZOOM, FIFTY, FIFTY_MARK_TWO, SCREWED, POCKET),
            Map.of("EF", Set.of("M42")),
            lens -> Calibration.NONE);

    private static LensProfile lens(String maker, String model, String mount, double crop) {
        return new LensProfile(maker, List.of(model), List.of(mount), crop, 1.5, List.of());
    }

    private static Camera camera(String model, String lens) {
        return new Camera("KILN", model, lens, 50, 0, 4, 3, false);
    }

    private static LensProfile found(Camera camera, Why why) {
        LensMatch.One one = assertInstanceOf(LensMatch.One.class, BOOK.find(camera));
        assertEquals(why, one.why());
        return one.lens();
    }

    private static Why nothing(Camera camera) {
        return assertInstanceOf(LensMatch.Nothing.class, BOOK.find(camera)).why();
    }

    @Test
    void find_ofTheSameWords_orderAndCaseAside_isNamed() {
        assertEquals(ZOOM, found(camera("kiln 5", "EF24-105mm F4.0L IS"), Why.NAMED));
        assertEquals(FIFTY, found(camera("Kiln 5", "50mm F1.8 EF"), Why.NAMED));
        assertEquals(SCREWED, found(camera("Kiln 5", "GLAZE 35mm 1:2 | Artist 07".replace("1:", "f/")), Why.NAMED));
    }

    @Test
    void find_takesTheMeasuresOfTheSensorMostAlike_andNoneOfASmallerOne() {
        assertEquals(SMALL_ZOOM, found(camera("Kiln 70", "EF24-105mm f/4L IS"), Why.NAMED));
        assertEquals(ZOOM, found(camera("Kiln 5", "EF24-105mm f/4L IS"), Why.NAMED));
    }

    @Test
    void find_ofOtherNumbers_findsNothing() {
        assertEquals(Why.NOT_MEASURED, nothing(camera("Kiln 5", "EF 24-70mm f/4L IS")));
        assertEquals(Why.NOT_MEASURED, nothing(camera("Kiln 5", "50mm")));
    }

    @Test
    void find_ofEquallyLikelyLenses_asks() {
        LensBook twins = new LensBook(
                List.of(new CameraProfile("Kiln", List.of("Kiln 5"), "EF", 1)),
                List.of(
                        lens("Kiln", "EF 28-80mm f/3.5-5.6 USM", "EF", 1),
                        lens("Kiln", "EF 28-80mm f/3.5-5.6 III", "EF", 1)),
                Map.of(),
                lens -> Calibration.NONE);
        assertEquals(
                2,
                assertInstanceOf(LensMatch.Several.class, twins.find(camera("Kiln 5", "28-80mm f/3.5-5.6")))
                        .lenses()
                        .size());
    }

    @Test
    void find_ofACameraWithItsOwnLens_needsNoName() {
        assertEquals(POCKET, found(camera("K10", ""), Why.BUILT_IN));
    }

    @Test
    void find_withoutWhatItNeeds_saysWhat() {
        assertEquals(Why.NO_CAMERA, nothing(Camera.UNKNOWN));
        assertEquals(Why.NO_LENS, nothing(camera("Kiln 5", "")));
        assertEquals(Why.NO_SENSOR, nothing(camera("Kiln 99", "EF 50mm f/1.8")));
        assertEquals(Why.NO_FOCAL, nothing(new Camera("Kiln", "Kiln 5", "EF 50mm f/1.8", 0, 0, 0, 0, false)));
        assertEquals(
                Why.CORRECTED_IN_CAMERA, nothing(new Camera("Kiln", "Kiln 5", "EF 50mm f/1.8", 50, 0, 4, 3, true)));
    }

    @Test
    void find_onACameraNobodyMeasured_goesByTheFocalLengthsInItsFile() {
        Camera unknown = new Camera("Kiln", "Kiln 99", "Kiln EF 24-105mm f/4L IS", 24, 24.2, 4, 3, false);
        assertEquals(ZOOM, found(unknown, Why.NAMED));
    }

    @Test
    void search_findsByWords_thoseThatFitFirst() {
        assertEquals(List.of(ZOOM), BOOK.search("kiln 105", camera("Kiln 5", "")));
        assertEquals(List.of(POCKET), BOOK.search("k10", camera("Kiln 5", "")));
        assertEquals(SMALL_ZOOM, BOOK.named("kiln ef 24-105mm f/4l is", 1.6).orElseThrow());
    }

    @Test
    void terms_betweenFocalLengths_goThroughThoseMeasured() {
        Calibration calibration = new Calibration(
                Stream.of(24, 35, 50, 105)
                        .map(focal -> new BendMeasure(focal, BendModel.POLY3, List.of(1.0 / focal)))
                        .toList(),
                List.of(),
                List.of(),
                List.of());
        PixelSize photo = new PixelSize(6000, 4000);
        for (double focal : new double[] {20, 24, 28, 35, 42, 105, 200}) {
            LensTerms terms = ZOOM.terms(calibration, photo, 1, new Taken(focal, 4, 3));
            assertEquals(1 / Math.clamp(focal, 24, 105), terms.distortion().c2(), 1e-12);
        }
    }

    /** What lies right of the middle of a sensor lies below it when the camera was held with its right side down. */
    @Test
    void terms_ofAnAxisOffTheMiddle_lieWhereTheSensorDid() {
        Calibration calibration = new Calibration(
                List.of(new BendMeasure(24, BendModel.POLY3, List.of(0.01))),
                List.of(),
                List.of(),
                List.of(),
                new Point(0.1, 0));
        LensTerms terms = ZOOM.terms(calibration, new PixelSize(2000, 3000), 1, new Taken(24, 4, 3));
        assertEquals(0.1 * terms.unit(), terms.centre().x(), 1e-12);
        Point turned = terms.turned(Turn.CLOCKWISE).centre();
        assertEquals(0, turned.x(), 1e-12);
        assertEquals(0.1 * terms.unit(), turned.y(), 1e-12);
        Lens lens = Lens.OFF.measured(LensUse.FOUND, "Kiln", terms.turned(Turn.CLOCKWISE));
        assertEquals(0, lens.distortion().apply(turned).distance(turned), 1e-12);
    }

    /** R = 1 is the corner of the sensor measured on; a photo's corner lies farther in, or out, by how its sensor compares. */
    @Test
    void terms_ofLight_areThoseAtThePhotosOwnCorner() {
        Calibration calibration =
                new Calibration(List.of(), List.of(), List.of(), List.of(new LightMeasure(50, 4, 3, -0.4, 0.1, -0.05)));
        LensTerms same = FIFTY.terms(calibration, new PixelSize(6000, 4000), 1, new Taken(50, 4, 3));
        assertEquals(1 / 0.65, same.light().orElseThrow().gain(1), 1e-3);
        LensTerms smaller = FIFTY.terms(calibration, new PixelSize(6000, 4000), 2, new Taken(50, 4, 3));
        double atHalf = 1 - 0.4 * 0.25 + 0.1 * 0.0625 - 0.05 * 0.015625;
        assertEquals(1 / atHalf, smaller.light().orElseThrow().gain(1), 1e-3);
        assertTrue(FIFTY.terms(Calibration.NONE, new PixelSize(6000, 4000), 1, new Taken(50, 4, 3))
                .light()
                .isEmpty());
    }

    @Test
    void terms_ofABook_areTheLensesOwn() {
        Calibration calibration = new Calibration(
                List.of(new BendMeasure(50, BendModel.POLY3, List.of(0.01))),
                List.of(new BendMeasure(50, BendModel.COLOUR_LINEAR, List.of(1.001))),
                List.of(new BendMeasure(50, BendModel.COLOUR_LINEAR, List.of(0.999))),
                List.of());
        LensBook book = new LensBook(
                List.of(), List.of(FIFTY), Map.of(), lens -> lens == FIFTY ? calibration : Calibration.NONE);
        Taken taken = new Taken(50, 4, 3);
        LensTerms terms = book.terms(FIFTY, new PixelSize(6000, 4000), 1, taken);
        assertEquals(FIFTY.terms(calibration, new PixelSize(6000, 4000), 1, taken), terms);
        assertEquals(0.01, terms.distortion().c2(), 1e-12);
        assertEquals(1.001, terms.red().c0(), 1e-12);
        assertEquals(0.999, terms.blue().c0(), 1e-12);
        assertEquals(List.of(FIFTY), book.lenses());
    }

    /** The half diagonal of 36 × 24 mm, to half the short side of the photo, counted between the outer pixels' centres. */
    @Test
    void terms_unit_isTheMeasuredSensorsHalfHeight_onThePhoto() {
        LensTerms same = FIFTY.terms(Calibration.NONE, new PixelSize(6001, 4001), 1, new Taken(50, 4, 3));
        assertEquals(2000.0 / 6001, same.unit(), 1e-12);
        LensTerms smaller = FIFTY.terms(Calibration.NONE, new PixelSize(6001, 4001), 1.6, new Taken(50, 4, 3));
        assertEquals(1.6 * 2000.0 / 6001, smaller.unit(), 1e-12);
    }

    @Test
    void measures_thatAreNone_areRefused() {
        assertThrows(IllegalArgumentException.class, () -> new BendMeasure(0, BendModel.POLY3, List.of(0.1)));
        assertThrows(IllegalArgumentException.class, () -> new BendMeasure(50, BendModel.POLY3, List.of()));
        assertThrows(IllegalArgumentException.class, () -> new BendMeasure(50, BendModel.POLY3, List.of(Double.NaN)));
        assertThrows(
                IllegalArgumentException.class,
                () -> new Calibration(List.of(), List.of(), List.of(), List.of(), new Point(1, 0)));
        assertThrows(
                IllegalArgumentException.class,
                () -> new Calibration(List.of(), List.of(), List.of(), List.of(), new Point(0, -1)));
        assertThrows(
                IllegalArgumentException.class, () -> new LensProfile("Kiln", List.of(), List.of(), 1, 1.5, List.of()));
        assertThrows(IllegalArgumentException.class, () -> lens("Kiln", "K", "EF", 0));
        assertThrows(
                IllegalArgumentException.class,
                () -> new LensProfile("Kiln", List.of("K"), List.of(), 1, 0.9, List.of()));
        assertTrue(Calibration.NONE.isNone());
    }

    @Test
    void find_builtInLensWithConverters_isThePlainOne() {
        LensProfile converter = lens("Kiln", "K10 & compatibles with the wide converter WC-1", "kilnK10", 2.7);
        LensBook book = new LensBook(
                List.of(new CameraProfile("Kiln", List.of("K10"), "kilnK10", 2.7)),
                List.of(converter, POCKET),
                Map.of(),
                lens -> Calibration.NONE);
        LensMatch.One one = assertInstanceOf(LensMatch.One.class, book.find(camera("K10", "")));
        assertEquals(POCKET, one.lens());
        assertEquals(2.7, one.crop());
    }
}
