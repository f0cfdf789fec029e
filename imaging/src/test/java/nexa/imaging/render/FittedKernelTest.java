package nexa.imaging.render;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FittedKernelTest {
    /** Sampled by straight lines it shows of each frequency what Lanczos' kernel leaves of it. */
    @ParameterizedTest
    @CsvSource({
        "2.25, 1", "2.33, 1", "2.5, 1", "2.8, 1", "3, 1", "3.7, 1", "4, 1", "5.5, 1", "8, 1", "16, 1", "2.25, 2",
        "2.4, 2", "2.7, 2", "2.25, 4"
    })
    void weights_byLine_holdAndTakeOutWhatLanczosDoes(double reduction, int mean) {
        assertShowsAsLanczos(reduction, mean, true, FittedKernel::leftByLine);
    }

    /** Means of the photo's pixels too, sampled by a bicubic. */
    @ParameterizedTest
    @CsvSource({"1.5, 2", "1.6, 2", "1.8, 2", "2, 2", "2.24, 2", "1.5, 3", "1.75, 3", "1.5, 4", "1.5, 8", "1.55, 40"})
    void weights_ofMeans_holdAndTakeOutWhatLanczosDoesOfThePhoto(double reduction, int mean) {
        assertShowsAsLanczos(reduction, mean, false, FittedKernel::leftByCurve);
    }

    private static void assertShowsAsLanczos(
            double reduction, int mean, boolean byLine, DoubleUnaryOperator leftBySamples) {
        float[] lanczos = Lanczos.weights(reduction * mean);
        float[] fitted = FittedKernel.weights(reduction, mean, byLine);
        for (double cycles = 0; cycles < reduction / 2; cycles += 0.02) { // an output pixel
            double frequency = cycles / reduction;
            double shown = FittedKernel.leftByMean(frequency, mean)
                    * FittedKernel.response(fitted, frequency)
                    * leftBySamples.applyAsDouble(frequency);
            double allowed = cycles < 0.35 ? 0.01 : 0.03;
            assertEquals(FittedKernel.response(lanczos, frequency / mean), shown, allowed, cycles + " cycles");
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {2.25, 3.1, 16})
    void weights_areNoMoreThanLanczosAndMoveNothing(double reduction) {
        float[] dense = FittedKernel.weights(reduction, 1, true);
        assertTrue(dense.length <= Lanczos.weights(reduction).length);
        double sum = 0;
        for (int i = 0; i < dense.length; i++) {
            assertEquals(dense[dense.length - 1 - i], dense[i]);
            sum += dense[i];
        }
        assertEquals(1, sum, 1e-6);
    }

    /** Of a wave along pixels that are means, at all places of the wave. */
    @ParameterizedTest
    @CsvSource({"0.1, 2", "0.3, 2", "0.5, 3", "0.2, 8"})
    void leftByMean_isWhatMeansOfAWaveHold(double frequency, int mean) {
        double sum = 0;
        for (int i = 0; i < mean; i++) {
            sum += Math.cos(2 * Math.PI * frequency / mean * (i - (mean - 1) / 2.0)) / mean;
        }
        assertEquals(sum, FittedKernel.leftByMean(frequency, mean), 1e-12);
    }

    /** As summed over OpenCV's own cubic. */
    @ParameterizedTest
    @ValueSource(doubles = {0.05, 0.2, 0.33, 0.5})
    void leftByCurve_isTheCubicsResponse(double frequency) {
        int fine = 1000;
        double sum = 0;
        for (int i = -2 * fine; i <= 2 * fine; i++) {
            double x = (double) i / fine;
            sum += cubic(Math.abs(x)) * Math.cos(2 * Math.PI * frequency * x) / fine;
        }
        assertEquals(sum, FittedKernel.leftByCurve(frequency), 1e-5);
    }

    private static double cubic(double x) {
        return x < 1 ? (1.25 * x - 2.25) * x * x + 1 : ((-0.75 * x + 3.75) * x - 6) * x + 3;
    }
}
