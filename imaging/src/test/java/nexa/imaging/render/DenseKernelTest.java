package nexa.imaging.render;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DenseKernelTest {
    /** Sampled by straight lines it shows of each frequency what Lanczos' kernel leaves of it. */
    @ParameterizedTest
    @ValueSource(doubles = {2.25, 2.33, 2.5, 2.8, 3, 3.7, 4, 5.5, 8, 16})
    void weights_holdAndTakeOutWhatLanczosDoes(double reduction) {
        float[] lanczos = Lanczos.weights(reduction);
        float[] dense = DenseKernel.weights(reduction);
        for (double cycles = 0; cycles < reduction / 2; cycles += 0.02) { // an output pixel
            double frequency = cycles / reduction;
            double shown = DenseKernel.response(dense, frequency) * DenseKernel.leftByLine(frequency);
            double allowed = cycles < 0.35 ? 0.01 : 0.03;
            assertEquals(DenseKernel.response(lanczos, frequency), shown, allowed, cycles + " cycles");
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {2.25, 3.1, 16})
    void weights_areNoMoreThanLanczosAndMoveNothing(double reduction) {
        float[] dense = DenseKernel.weights(reduction);
        assertTrue(dense.length <= Lanczos.weights(reduction).length);
        double sum = 0;
        for (int i = 0; i < dense.length; i++) {
            assertEquals(dense[dense.length - 1 - i], dense[i]);
            sum += dense[i];
        }
        assertEquals(1, sum, 1e-6);
    }
}
