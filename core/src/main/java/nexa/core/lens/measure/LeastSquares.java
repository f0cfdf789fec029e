package nexa.core.lens.measure;

import java.util.Arrays;
import nexa.core.geometry.LinearEquations;

/** A few unknowns from many equations, by the normal equations. */
final class LeastSquares {
    private final double[][] normal;

    LeastSquares(int unknowns) {
        normal = new double[unknowns][unknowns + 1];
    }

    /** factors · unknowns = value */
    void add(double[] factors, double value) {
        for (int i = 0; i < factors.length; i++) {
            for (int j = 0; j < factors.length; j++) {
                normal[i][j] += factors[i] * factors[j];
            }
            normal[i][factors.length] += factors[i] * value;
        }
    }

    /** Of unknowns that nothing is said of, 0. */
    double[] solution() {
        return LinearEquations.solved(Arrays.stream(normal).map(double[]::clone).toArray(double[][]::new));
    }
}
