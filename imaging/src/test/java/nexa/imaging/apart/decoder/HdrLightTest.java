package nexa.imaging.apart.decoder;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.Arrays;
import java.util.stream.IntStream;
import nexa.imaging.apart.decoder.HdrLight.Pq;
import nexa.imaging.boxes.Nclx;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HdrLightTest {
    private static final Nclx PQ = new Nclx(9, 16, 9, true);
    private static final Nclx HLG = new Nclx(9, 18, 9, true);

    /** ITU-R BT.2408, table 1: light by PQ's values. */
    @ParameterizedTest
    @CsvSource({"0, 0", "26, 0.38", "203, 0.58", "1000, 0.75", "10000, 1"})
    void pq_isAsTheStandardSays(double light, double value) {
        assertEquals(value, Pq.toValue(light), 0.006);
        assertEquals(light, Pq.toLight(Pq.toValue(light)), 1e-6 * (1 + light));
    }

    /** The same table by HLG's. */
    @ParameterizedTest
    @CsvSource({"0, 0", "0.38, 26", "0.75, 203", "1, 1000"})
    void hlg_isAsTheStandardSays(double value, double light) {
        double scene = HdrLight.scene(value);
        assertEquals(light, HdrLight.PEAK * Math.pow(scene, 1.2), 0.01 * (50 + light));
    }

    @Test
    void shown_isFromBlackToWhite_andNeverDarkerForMoreLight() {
        assertEquals(0, HdrLight.shown(0), 1e-4);
        assertEquals(1, HdrLight.shown(HdrLight.PEAK), 1e-9);
        assertEquals(1, HdrLight.shown(10_000), 1e-9);
        double[] shown = IntStream.range(0, 2000).mapToDouble(HdrLight::shown).toArray();
        IntStream.range(1, shown.length).forEach(i -> assertTrue(shown[i] >= shown[i - 1], i + " cd/m²"));
        double paper = HdrLight.shown(HdrLight.WHITE);
        assertTrue(paper > 0.85, "paper stays light: " + paper);
        assertTrue(HdrLight.shown(600) - paper > 0.03, "what is brighter keeps its drawing");
    }

    /** Below the knee other screens show the light that it is, relative to their white. */
    @ParameterizedTest
    @ValueSource(doubles = {1, 10, 40, 80})
    void shown_ofWhatIsNotBright_isItsLight(double light) {
        double shown = HdrLight.shown(light);
        double linear = shown <= 0.04045 ? shown / 12.92 : Math.pow((shown + 0.055) / 1.055, 2.4);
        assertEquals(light / HdrLight.WHITE, linear, 1e-6);
    }

    /** @param values of two rows */
    private static int[] turned(Nclx nclx, int channels, int bits, int... values) {
        try (Arena arena = Arena.ofShared()) {
            MemorySegment memory = arena.allocate((long) values.length * bits / Byte.SIZE);
            for (int i = 0; i < values.length; i++) {
                put(memory, bits, i, values[i]);
            }
            int width = values.length / channels / 2;
            Pixels pixels = new Pixels(width, 2, channels, bits, memory, 0, memory.byteSize() / 2, null);
            HdrLight.of(nclx).orElseThrow().turn(pixels);
            return IntStream.range(0, values.length)
                    .map(i -> get(memory, bits, i))
                    .toArray();
        }
    }

    private static void put(MemorySegment memory, int bits, int i, int value) {
        if (bits == 16) {
            memory.setAtIndex(ValueLayout.JAVA_SHORT_UNALIGNED, i, (short) value);
        } else {
            memory.set(ValueLayout.JAVA_BYTE, i, (byte) value);
        }
    }

    private static int get(MemorySegment memory, int bits, int i) {
        return bits == 16
                ? memory.getAtIndex(ValueLayout.JAVA_SHORT_UNALIGNED, i) & 0xFFFF
                : memory.get(ValueLayout.JAVA_BYTE, i) & 0xFF;
    }

    private static int[] six(double value) {
        int[] values = new int[6];
        Arrays.fill(values, (int) Math.round(value * 65535));
        return values;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3})
    void turn_ofWhitePaper_isTheSameForBothCodings(int channels) {
        int paper = (int) Math.round(HdrLight.shown(HdrLight.WHITE) * 65535);
        for (int shown : turned(PQ, channels, 16, six(Pq.toValue(HdrLight.WHITE)))) {
            assertEquals(paper, shown, 4);
        }
        for (int shown : turned(HLG, channels, 16, six(0.75))) {
            assertEquals(paper, shown, 100);
        }
    }

    /** Light before the camera times a power of how light all three are together (BT.2100, table 5). */
    @ParameterizedTest
    @CsvSource({"40000, 30000, 10000", "0, 65535, 20000", "0, 0, 0", "65535, 65535, 65535"})
    void turn_ofHlgColours_makesThemTheLightOfAScreen(int r, int g, int b) {
        int[] shown = turned(HLG, 3, 16, r, g, b, r, g, b);
        double red = HdrLight.scene(r / 65535.0);
        double green = HdrLight.scene(g / 65535.0);
        double blue = HdrLight.scene(b / 65535.0);
        double gain = 1000 * Math.pow(0.2627 * red + 0.678 * green + 0.0593 * blue, 0.2);
        double[] lights = {red, green, blue};
        for (int i = 0; i < shown.length; i++) {
            assertEquals(HdrLight.shown(gain * lights[i % 3]) * 65535, shown[i], 40);
        }
    }

    @Test
    void turn_ofEightBits_isAsOfSixteen() {
        int[] bytes = IntStream.range(0, 252).toArray();
        int[] words = IntStream.of(bytes).map(value -> value * 257).toArray();
        for (Nclx nclx : new Nclx[] {PQ, HLG}) {
            int[] ofBytes = turned(nclx, 3, 8, bytes);
            int[] ofWords = turned(nclx, 3, 16, words);
            for (int i = 0; i < bytes.length; i++) {
                assertEquals(ofWords[i] / 257.0, ofBytes[i], 0.51);
            }
        }
    }

    @Test
    void of_otherCodePoints_isNone() {
        assertTrue(HdrLight.of(null).isEmpty());
        assertTrue(HdrLight.of(new Nclx(12, 13, 6, true)).isEmpty());
    }
}
