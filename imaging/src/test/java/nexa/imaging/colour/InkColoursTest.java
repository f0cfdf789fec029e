package nexa.imaging.colour;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;
import nexa.imaging.Cielab;
import nexa.imaging.InkMaker;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Between screens and a press whose inks are known. */
class InkColoursTest {
    private static final Profile PRESS = Profile.of(InkMaker.profile()).orElseThrow();
    private static final int COLOURS = 20_000;

    /** Of a press that Debian has a profile of, made of measurements. */
    private static final Path MEASURED = Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc");

    private static short[] inks(Conversion how, double... rgb) {
        short[] values = new short[rgb.length];
        for (int i = 0; i < rgb.length; i++) {
            values[i] = (short) Math.round(rgb[i] * 65_535);
        }
        return AdjustedEngine.between(Profile.SRGB, PRESS, how).convert(values, 3);
    }

    private static double[] lab(short[] inks) {
        double[] parts = new double[4];
        for (int i = 0; i < 4; i++) {
            parts[i] = (inks[i] & 0xFFFF) / 65_535.0;
        }
        return InkMaker.lab(parts);
    }

    private static double lightness(double y) {
        return y > 216.0 / 24389 ? 116 * Math.cbrt(y) - 16 : 24389.0 / 27 * y;
    }

    private static double light(double value) {
        return value <= 0.04045 ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
    }

    @Test
    void relative_keepsWhatThePressReaches() {
        Conversion relative = new Conversion(Intent.RELATIVE, false);
        for (double grey = 0.4; grey <= 1; grey += 0.1) {
            double[] printed = lab(inks(relative, grey, grey, grey));
            assertEquals(lightness(light(grey)), printed[0], 0.7, "grey " + grey);
            assertEquals(0, Math.hypot(printed[1], printed[2]), 1.5, "grey " + grey);
        }
        double[] brick = lab(inks(relative, 0.7, 0.45, 0.35));
        double[] wished = {54.9, 23.8, 25.1}; // worked out by hand, relative to D50
        assertEquals(0, Cielab.difference(wished, brick), 1.2);
    }

    @Test
    void keptBlack_becomesThePressesBlack_andAllAboveIsScaledInLight() {
        double darkest = InkMaker.lab(new double[] {1, 1, 1, 1})[0];
        double least = Math.pow((darkest + 16) / 116, 3);
        Conversion kept = new Conversion(Intent.RELATIVE, true);
        for (double grey : new double[] {0, 0.1, 0.25, 0.5, 0.8, 1}) {
            double wished = lightness(light(grey) * (1 - least) + least);
            assertEquals(wished, lab(inks(kept, grey, grey, grey))[0], 1, "grey " + grey);
        }
        Conversion cut = new Conversion(Intent.RELATIVE, false);
        assertEquals(lab(inks(cut, 0, 0, 0))[0], lab(inks(cut, 0.03, 0.03, 0.03))[0], 0.2, "else darkness is cut off");
    }

    @Test
    void eachIntent_takesItsOwnTable() {
        double[] dark = {0.1, 0.1, 0.1};
        double relative = lab(inks(new Conversion(Intent.RELATIVE, false), dark))[0];
        double perceptual = lab(inks(Conversion.DEFAULT, dark))[0];
        assertTrue(perceptual > relative + 3, perceptual + " is lifted over " + relative);
        double[] soft = {0.6, 0.5, 0.5};
        double plain = lab(inks(new Conversion(Intent.RELATIVE, false), soft))[1];
        double strong = lab(inks(new Conversion(Intent.SATURATION, false), soft))[1];
        assertEquals(1.3 * plain, strong, 1);
    }

    @Test
    void absolute_showsThePaper() {
        Conversion absolute = new Conversion(Intent.ABSOLUTE, true);
        assertFalse(absolute.keepsBlack());
        short[] shown = AdjustedEngine.between(PRESS, Profile.XYZ, absolute).convert(new short[4], 4);
        for (int i = 0; i < 3; i++) {
            assertEquals(InkMaker.PAPER[i], (shown[i] & 0xFFFF) / Adjustment.ONE, 0.002);
        }
        short[] bare = inks(absolute, 1, 1, 1);
        assertEquals(0, bare[3] & 0xFFFF, 700, "white can't be whiter than paper");
    }

    /** Where both blacks are black, and both whites white, no way of conversion costs an exact bit. */
    @ParameterizedTest
    @EnumSource
    void screens_areConvertedAlike(Intent intent) {
        short[] colours = any();
        short[] usual = AdjustedEngine.between(Profile.WIDE, Profile.SRGB, Conversion.DEFAULT)
                .convert(colours, 3);
        short[] other = AdjustedEngine.between(Profile.WIDE, Profile.SRGB, new Conversion(intent, true))
                .convert(colours, 3);
        for (int i = 0; i < usual.length; i++) {
            assertEquals(usual[i] & 0xFFFF, other[i] & 0xFFFF, 2);
        }
    }

    @ParameterizedTest
    @EnumSource
    void table_differsByLessThanAnyEyeSees(Intent intent) {
        for (Profile from : List.of(Profile.SRGB, Profile.WIDE)) {
            assertTableIsClose(from, PRESS, new Conversion(intent, false));
            assertTableIsClose(from, PRESS, new Conversion(intent, true));
        }
    }

    @ParameterizedTest
    @EnumSource
    void tableOfAMeasuredPress_differsByLessThanAnyEyeSees(Intent intent) throws IOException {
        assumeTrue(Files.exists(MEASURED), MEASURED + " is not installed");
        Profile press = Profile.readForDelivery(MEASURED);
        for (Profile from : List.of(Profile.SRGB, Profile.WIDE)) {
            assertTableIsClose(from, press, new Conversion(intent, false));
            assertTableIsClose(from, press, new Conversion(intent, true));
        }
    }

    private static void assertTableIsClose(Profile from, Profile press, Conversion how) {
        Engine engine = AdjustedEngine.between(from, press, how);
        ColourTable table = new ColourTable(colours -> engine.convert(colours, 3), 4, ColourTable.STEPS);
        Engine shown = new DirectEngine(press.engine(), Profile.SRGB.engine());
        assertTrue(
                table.isCloseTo(colours -> engine.convert(colours, 3), inks -> shown.convert(inks, 4)),
                how + " is made by the table");
        short[] colours = any();
        short[] tabled = new short[COLOURS * 4];
        table.convert(colours, tabled);
        Engine back = new DirectEngine(press.engine(Intent.RELATIVE), Profile.XYZ.engine());
        short[] ours = back.convert(tabled, 4);
        short[] theirs = back.convert(engine.convert(colours, 3), 4);
        for (int i = 0; i < ours.length; i += 3) {
            double difference = Cielab.difference(measured(ours, i), measured(theirs, i));
            assertTrue(difference <= 0.75, from + ", " + how + " differs by " + difference);
        }
    }

    @Test
    void tableOfInks_differsByLessThanAnyEyeSees() {
        assertInkTableIsClose(PRESS);
    }

    @Test
    void tableOfAMeasuredPressesInks_differsByLessThanAnyEyeSees() throws IOException {
        assumeTrue(Files.exists(MEASURED), MEASURED + " is not installed");
        assertInkTableIsClose(Profile.readForDelivery(MEASURED));
    }

    private static void assertInkTableIsClose(Profile press) {
        Engine engine = AdjustedEngine.between(press, Profile.SRGB, Conversion.DEFAULT);
        InkTable table = new InkTable(inks -> engine.convert(inks, 4));
        assertTrue(table.isCloseTo(inks -> engine.convert(inks, 4), UnaryOperator.identity()));
        short[] inks = oftenLittle();
        short[] tabled = new short[COLOURS * 3];
        table.convert(inks, tabled);
        Engine seen = new DirectEngine(Profile.SRGB.engine(), Profile.XYZ.engine());
        short[] ours = seen.convert(tabled, 3);
        short[] theirs = seen.convert(engine.convert(inks, 4), 3);
        for (int i = 0; i < ours.length; i += 3) {
            double difference = Cielab.difference(measured(ours, i), measured(theirs, i));
            assertTrue(difference <= 0.75, press + " differs by " + difference);
        }
    }

    /** Every second amount is little, as where ink begins presses' curves bend most. */
    private static short[] oftenLittle() {
        short[] inks = any(4);
        Random random = new Random(7);
        for (int i = 0; i < inks.length; i++) {
            inks[i] = random.nextBoolean() ? inks[i] : (short) random.nextInt(2048);
        }
        return inks;
    }

    /** A conversion that jumps has no table that follows it. */
    @Test
    void tableOfInks_isNotTakenForWhatItDoesNotFollow() {
        UnaryOperator<short[]> jumping = inks -> {
            short[] colours = new short[inks.length / 4 * 3];
            for (int i = 0; i < colours.length; i++) {
                colours[i] = (short) ((inks[i / 3 * 4] & 0xFFFF) > 30_000 ? 50_000 : 10_000);
            }
            return colours;
        };
        assertFalse(new InkTable(jumping).isCloseTo(jumping, UnaryOperator.identity()));
    }

    private static double[] measured(short[] xyz, int at) {
        double[] scaled = new double[3];
        for (int i = 0; i < 3; i++) {
            scaled[i] = (xyz[at + i] & 0xFFFF) / Adjustment.ONE;
        }
        return Cielab.of(scaled);
    }

    private static short[] any() {
        return any(3);
    }

    private static short[] any(int channels) {
        short[] colours = new short[COLOURS * channels];
        Random random = new Random(6);
        for (int i = 0; i < colours.length; i++) {
            colours[i] = (short) random.nextInt(65_536);
        }
        return colours;
    }

    @Test
    void profileWithoutAWayToInks_isNotUsedForThem() {
        Profile oneWay = Profile.of(InkMaker.profile(false)).orElseThrow();
        assertThrows(RuntimeException.class, () -> ColourTransform.between(Profile.SRGB, oneWay));
    }
}
