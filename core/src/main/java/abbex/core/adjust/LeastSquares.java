package abbex.core.adjust;

/**
 * Linear least squares of independent observations with known standard deviations, and what the residuals say of each one.
 *
 * <p>Sources: weighted least squares and its covariance as in JCGM 100:2008, H.3 and JCGM 102:2011, 7; the test of one
 * observation against all others (data snooping, w = v / σ_v) after Baarda, A Testing Procedure for Use in Geodetic
 * Networks, 1968 (from memory). All answers that leave one observation out are exact and need no second solve.
 */
public final class LeastSquares {
    private final double[][] design;
    private final double[] sigma;
    private final double[] solution;
    private final double[][] cofactor;
    private final double[] residuals;
    private final double[] residualVariances;
    private final double chiSquare;

    private LeastSquares(double[][] design, double[] observed, double[] sigma) {
        this.design = design;
        this.sigma = sigma;
        int unknowns = design.length == 0 ? 0 : design[0].length;
        double[][] normal = new double[unknowns][unknowns];
        double[] right = new double[unknowns];
        int[] used = new int[unknowns];
        for (int row = 0; row < design.length; row++) {
            add(row, observed[row], normal, right, used);
        }
        for (int i = 0; i < unknowns; i++) {
            for (int j = 0; j < i; j++) {
                normal[j][i] = normal[i][j];
            }
        }
        this.cofactor = Symmetric.inverse(normal);
        this.solution = Symmetric.times(cofactor, right);
        this.residuals = new double[design.length];
        this.residualVariances = new double[design.length];
        double sum = 0;
        for (int row = 0; row < design.length; row++) {
            double fitted = 0;
            for (int k = 0; k < unknowns; k++) {
                fitted += design[row][k] * solution[k];
            }
            residuals[row] = observed[row] - fitted;
            residualVariances[row] = sigma[row] * sigma[row] - product(design[row], design[row]);
            sum += residuals[row] * residuals[row] / (sigma[row] * sigma[row]);
        }
        this.chiSquare = sum;
    }

    /** Rows are sparse: only the columns that are not nought are met. */
    private void add(int row, double observed, double[][] normal, double[] right, int[] used) {
        double[] a = design[row];
        int n = 0;
        for (int k = 0; k < a.length; k++) {
            if (a[k] != 0) {
                used[n++] = k;
            }
        }
        double weight = 1 / (sigma[row] * sigma[row]);
        for (int i = 0; i < n; i++) {
            double scaled = weight * a[used[i]];
            right[used[i]] += scaled * observed;
            for (int j = 0; j <= i; j++) {
                normal[used[i]][used[j]] += scaled * a[used[j]];
            }
        }
    }

    /**
     * Solves at once.
     *
     * @param design a row for each observation, a column for each unknown
     * @param observed the observations, in any one unit
     * @param sigma the standard deviation of each, in the same unit, more than 0
     * @throws ArithmeticException when the observations do not settle all unknowns
     */
    public static LeastSquares solve(double[][] design, double[] observed, double[] sigma) {
        if (design.length != observed.length || observed.length != sigma.length) {
            throw new IllegalArgumentException("rows " + design.length + ", observations " + observed.length
                    + ", standard deviations " + sigma.length + "; one of each");
        }
        return new LeastSquares(design, observed, sigma);
    }

    public double value(int unknown) {
        return solution[unknown];
    }

    public double covariance(int a, int b) {
        return cofactor[a][b];
    }

    /** A linear function of the unknowns, its coefficients in their order. */
    public double value(double[] function) {
        double sum = 0;
        for (int k = 0; k < function.length; k++) {
            sum += function[k] * solution[k];
        }
        return sum;
    }

    /** The covariance of two linear functions of the unknowns. */
    public double covariance(double[] a, double[] b) {
        return product(a, b);
    }

    /** The standard deviation of a linear function of the unknowns. */
    public double standard(double[] function) {
        return Math.sqrt(Math.max(0, product(function, function)));
    }

    /** Rows and functions are sparse: only the columns that are not nought are met. */
    private double product(double[] a, double[] b) {
        int[] used = new int[b.length];
        int n = 0;
        for (int j = 0; j < b.length; j++) {
            if (b[j] != 0) {
                used[n++] = j;
            }
        }
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            if (a[i] != 0) {
                double inner = 0;
                for (int j = 0; j < n; j++) {
                    inner += cofactor[i][used[j]] * b[used[j]];
                }
                sum += a[i] * inner;
            }
        }
        return sum;
    }

    /** Observation less what was fitted. */
    public double residual(int row) {
        return residuals[row];
    }

    /** The weighted sum of squared residuals. */
    public double chiSquare() {
        return chiSquare;
    }

    /** Observations less unknowns. */
    public int redundancy() {
        return design.length - solution.length;
    }

    /** The covariance of two residuals. */
    public double residualCovariance(int a, int b) {
        return a == b ? residualVariances[a] : -product(design[a], design[b]);
    }

    /** True when the other observations say anything about this one. */
    public boolean controlled(int row) {
        return residualCovariance(row, row) > 1e-6 * sigma[row] * sigma[row];
    }

    /** The residual over its own standard deviation; its square is what chi-square loses without the observation. */
    public double standardised(int row) {
        return controlled(row) ? residuals[row] / Math.sqrt(residualCovariance(row, row)) : 0;
    }

    /** What the observation has too much by all others: observation less its value without it. */
    public double error(int row) {
        return controlled(row) ? residuals[row] * sigma[row] * sigma[row] / residualCovariance(row, row) : 0;
    }

    /** The standard deviation of {@link #error}. */
    public double errorStandard(int row) {
        return sigma[row] * sigma[row] / Math.sqrt(residualCovariance(row, row));
    }

    /** The correlation of two standardised residuals: ±1 when no data can tell an error in one from an error in the other. */
    public double correlation(int a, int b) {
        return residualCovariance(a, b) / Math.sqrt(residualCovariance(a, a) * residualCovariance(b, b));
    }
}
