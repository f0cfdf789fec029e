package nexa.core.lens.data;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.core.neutral.Receptors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CameraTest {
    private static final Camera FULL = new Camera("Kilnworks", "Kilnworks K1", "K 24-70", 35, 52.5, 5.6, 2.25, true);

    private static Camera named(String maker, String model) {
        return new Camera(maker, model, "", 0, 0, 0, 0, false);
    }

    private static Camera focal(double focal, double focal35) {
        return new Camera("", "K1", "", focal, focal35, 0, 0, false);
    }

    @Test
    void text_isReadBackToTheLastBit() {
        for (Camera camera : new Camera[] {FULL, Camera.UNKNOWN, named("", "K2"), focal(1 / 3.0, 0)}) {
            assertEquals(camera, Camera.parse(camera.text()));
        }
        assertEquals("", Camera.UNKNOWN.text());
        assertEquals(Receptors.EYE, Camera.parse(FULL.text()).receptors());
    }

    /** As the versions before receptors wrote it. */
    @Test
    void parse_textWithoutReceptors_isTheSameCamera() {
        String text = FULL.text();
        assertEquals(FULL, Camera.parse(text.substring(0, text.lastIndexOf('\t'))));
    }

    @ParameterizedTest
    @ValueSource(strings = {"K1", "a\tb\tc", "a\tb\tc\t1\t2\t3\t4\ttrue\t\tmore", "a\tb\tc\tx\t2\t3\t4\ttrue"})
    void parse_somethingElse_isRefused(String text) {
        assertThrows(IllegalArgumentException.class, () -> Camera.parse(text));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-1, 0, 1e5, Double.NaN, Double.POSITIVE_INFINITY})
    void numbersThatNoLensHas_areNotKnown(double number) {
        Camera camera = new Camera("", "K1", "", number, number, number, number, false);
        assertEquals(named("", "K1"), camera);
    }

    @Test
    void texts_areOneLineWithoutFilling() {
        assertEquals(named("Kiln works", "K 1"), named(" Kiln\n works\0\0", "\tK  1 "));
    }

    @ParameterizedTest
    @CsvSource({
        "Kilnworks, Kilnworks K1, Kilnworks K1",
        "KILNWORKS CORPORATION, Kilnworks K1, Kilnworks K1",
        "Kilnworks, K1, Kilnworks K1",
        "'', K1, K1",
        "Kilnworks, '', Kilnworks",
    })
    void name_saysTheMakerOnce(String maker, String model, String name) {
        assertEquals(name, named(maker, model).name());
    }

    @Test
    void isKnown_byItsModel() {
        assertTrue(FULL.isKnown());
        assertFalse(named("Kilnworks", "").isKnown());
    }

    @Test
    void crop_isTheRatioOfBothFocalLengths_ifBothAreKnown() {
        assertEquals(1.5, focal(35, 52.5).crop());
        assertEquals(0, focal(35, 0).crop());
        assertEquals(0, focal(0, 52.5).crop());
    }

    /** A 36 mm lens on 36 × 24 mm sees as wide as it is long; the diagonal counts where the sides differ. */
    @Test
    void inLongEdges_isTheFocalLengthOverTheLongSideOfTheSameDiagonal() {
        assertEquals(1, focal(0, 36).inLongEdges(0, 1.5), 1e-12);
        assertEquals(1, focal(24, 36).inLongEdges(9, 1.5), 1e-12, "the file's own counts before the camera's crop");
        assertEquals(1, focal(24, 0).inLongEdges(1.5, 1.5), 1e-12);
        assertEquals(0, focal(0, 0).inLongEdges(1.5, 1.5));
        double side = Math.hypot(36, 24) / Math.sqrt(2);
        assertEquals(50 / side, focal(0, 50).inLongEdges(0, 1), 1e-12);
    }

    @Test
    void seeing_changesTheReceptorsAlone() {
        Receptors sensor = Receptors.parse(Receptors.EYE.text());
        assertEquals(FULL, FULL.seeing(Receptors.EYE));
        assertEquals(sensor, FULL.seeing(sensor).receptors());
        assertEquals(FULL, FULL.seeing(sensor).seeing(Receptors.EYE));
    }
}
