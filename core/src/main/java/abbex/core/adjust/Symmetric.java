package abbex.core.adjust;

/** Small dense symmetric positive definite matrices, by Cholesky. Arrays are rows; only what is small is meant. */
public final class Symmetric {
    private Symmetric() {}

    /**
     * The inverse of a symmetric positive definite matrix.
     *
     * @param matrix square, symmetric; not changed
     * @throws ArithmeticException when it is not positive definite to working precision
     */
    public static double[][] inverse(double[][] matrix) {
        int n = matrix.length;
        double[][] low = factor(matrix);
        // The inverse of the lower factor, in place of it.
        for (int j = 0; j < n; j++) {
            low[j][j] = 1 / low[j][j];
            for (int i = j + 1; i < n; i++) {
                double sum = 0;
                for (int k = j; k < i; k++) {
                    sum -= low[i][k] * low[k][j];
                }
                low[i][j] = sum / low[i][i];
            }
        }
        double[][] inverse = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = 0;
                for (int k = i; k < n; k++) {
                    sum += low[k][i] * low[k][j];
                }
                inverse[i][j] = sum;
                inverse[j][i] = sum;
            }
        }
        return inverse;
    }

    private static double[][] factor(double[][] matrix) {
        int n = matrix.length;
        double[][] low = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = matrix[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= low[i][k] * low[j][k];
                }
                if (i == j) {
                    if (!(sum > 1e-13 * matrix[i][i])) {
                        throw new ArithmeticException("not positive definite at row " + i);
                    }
                    low[i][i] = Math.sqrt(sum);
                } else {
                    low[i][j] = sum / low[j][j];
                }
            }
        }
        return low;
    }

    /** The product of a matrix and a column. */
    public static double[] times(double[][] matrix, double[] column) {
        double[] product = new double[matrix.length];
        for (int i = 0; i < product.length; i++) {
            for (int j = 0; j < column.length; j++) {
                product[i] += matrix[i][j] * column[j];
            }
        }
        return product;
    }
}
