package nexa.core.geometry;

/** As many linear equations as unknowns, as the normal equations of least squares are: symmetric, and not negative. */
public final class LinearEquations {
    private LinearEquations() {}

    /**
     * The unknowns, by Gauss's elimination; such rows need no exchange. Of unknowns that nothing is said of, 0.
     *
     * @param rows the factors of each equation, and then its value; changed
     */
    public static double[] solved(double[][] rows) {
        int n = rows.length;
        for (int i = 0; i < n; i++) {
            for (int k = i + 1; k < n && rows[i][i] != 0; k++) {
                double factor = rows[k][i] / rows[i][i];
                for (int j = i; j <= n; j++) {
                    rows[k][j] -= factor * rows[i][j];
                }
            }
        }
        double[] solved = new double[n];
        for (int i = n - 1; i >= 0; i--) {
            double rest = rows[i][n];
            for (int j = i + 1; j < n; j++) {
                rest -= rows[i][j] * solved[j];
            }
            solved[i] = rows[i][i] == 0 ? 0 : rest / rows[i][i];
        }
        return solved;
    }
}
