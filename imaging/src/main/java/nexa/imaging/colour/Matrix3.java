package nexa.imaging.colour;

/** Arithmetic on 3 × 3 matrices, rows first. */
final class Matrix3 {
    private Matrix3() {}

    static double[][] product(double[][] a, double[][] b) {
        double[][] product = new double[3][3];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                for (int i = 0; i < 3; i++) {
                    product[row][column] += a[row][i] * b[i][column];
                }
            }
        }
        return product;
    }

    static double[] product(double[][] a, double[] v) {
        double[] product = new double[3];
        for (int row = 0; row < 3; row++) {
            product[row] = a[row][0] * v[0] + a[row][1] * v[1] + a[row][2] * v[2];
        }
        return product;
    }

    static double[][] diagonal(double[] values) {
        return new double[][] {{values[0], 0, 0}, {0, values[1], 0}, {0, 0, values[2]}};
    }

    static double[] column(double[][] matrix, int column) {
        return new double[] {matrix[0][column], matrix[1][column], matrix[2][column]};
    }

    /** By cofactors; the matrix must not be singular. */
    static double[][] inverse(double[][] m) {
        double[][] cofactors = new double[3][3];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                int r1 = (row + 1) % 3;
                int r2 = (row + 2) % 3;
                int c1 = (column + 1) % 3;
                int c2 = (column + 2) % 3;
                cofactors[column][row] = m[r1][c1] * m[r2][c2] - m[r1][c2] * m[r2][c1];
            }
        }
        double determinant = m[0][0] * cofactors[0][0] + m[0][1] * cofactors[1][0] + m[0][2] * cofactors[2][0];
        for (double[] row : cofactors) {
            for (int column = 0; column < 3; column++) {
                row[column] /= determinant;
            }
        }
        return cofactors;
    }
}
