package nexa.core.lens;

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

    /** By Gauss's elimination; of unknowns that nothing is said of, 0. */
    double[] solution() {
        int n = normal.length;
        double[][] rows = new double[n][];
        for (int i = 0; i < n; i++) {
            rows[i] = normal[i].clone();
        }
        for (int i = 0; i < n; i++) {
            for (int k = i + 1; k < n && rows[i][i] != 0; k++) {
                double factor = rows[k][i] / rows[i][i];
                for (int j = i; j <= n; j++) {
                    rows[k][j] -= factor * rows[i][j];
                }
            }
        }
        double[] solution = new double[n];
        for (int i = n - 1; i >= 0; i--) {
            double rest = rows[i][n];
            for (int j = i + 1; j < n; j++) {
                rest -= rows[i][j] * solution[j];
            }
            solution[i] = rows[i][i] == 0 ? 0 : rest / rows[i][i];
        }
        return solution;
    }
}
