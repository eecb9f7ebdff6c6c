package abbex.core.adjust;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import abbex.core.Checks;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposer;
import org.hipparchus.optim.SimpleVectorValueChecker;
import org.hipparchus.optim.nonlinear.vector.leastsquares.GaussNewtonOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.junit.jupiter.api.Test;

/** The solver against worked examples from outside; rows of checks.csv by id. */
class LeastSquaresTest {
    private static double[] ones(int n) {
        double[] ones = new double[n];
        java.util.Arrays.fill(ones, 1);
        return ones;
    }

    @Test
    void lsq_1_a_line_by_hand() {
        String row = Checks.row("lsq-1").toString();
        LeastSquares fit = LeastSquares.solve(
                new double[][] {{1, 0}, {1, 1}, {1, 2}, {1, 3}, {1, 4}}, new double[] {1, 3, 2, 5, 4}, ones(5));
        assertEquals(1.4, fit.value(0), 1e-12, row);
        assertEquals(0.8, fit.value(1), 1e-12, row);
        assertEquals(3.6, fit.chiSquare(), 1e-12, row);
        assertEquals(3, fit.redundancy());
    }

    @Test
    void mean_1_a_weighted_mean() {
        String row = Checks.row("mean-1").toString();
        LeastSquares fit =
                LeastSquares.solve(new double[][] {{1}, {1}, {1}}, new double[] {10, 12, 17}, new double[] {1, 2, 2});
        assertEquals(11.5, fit.value(0), 1e-6, row);
        assertEquals(0.816497, Math.sqrt(fit.covariance(0, 0)), 1e-6, row);
        assertEquals(9.875, fit.chiSquare(), 1e-6, row);
        assertEquals(2.222049, Math.sqrt(fit.chiSquare() / fit.redundancy()), 1e-6, row);
    }

    /** The thermometer of the guide: a line over t − 20 °C, the readings' own scatter as their standard deviation. */
    @Test
    void gum_3_calibration_of_a_thermometer() {
        String row = Checks.row("gum-3").toString();
        double[] t = {21.521, 22.012, 22.512, 23.003, 23.507, 23.999, 24.513, 25.002, 25.503, 26.010, 26.511};
        double[] b = {-0.171, -0.169, -0.166, -0.159, -0.164, -0.165, -0.156, -0.157, -0.159, -0.161, -0.160};
        double[][] design = new double[11][];
        for (int i = 0; i < 11; i++) {
            design[i] = new double[] {1, t[i] - 20};
        }
        LeastSquares unit = LeastSquares.solve(design, b, ones(11));
        double s = Math.sqrt(unit.chiSquare() / unit.redundancy());
        double[] sigma = ones(11);
        java.util.Arrays.fill(sigma, s);
        LeastSquares fit = LeastSquares.solve(design, b, sigma);
        assertEquals(0.0035, s, 0.00005, row);
        assertEquals(-0.1712, fit.value(0), 0.00005, row);
        assertEquals(0.0029, Math.sqrt(fit.covariance(0, 0)), 0.00005, row);
        assertEquals(0.00218, fit.value(1), 0.000005, row);
        assertEquals(0.00067, Math.sqrt(fit.covariance(1, 1)), 0.000005, row);
        assertEquals(
                -0.930, fit.covariance(0, 1) / Math.sqrt(fit.covariance(0, 0) * fit.covariance(1, 1)), 0.0005, row);
        double[] at30 = {1, 10};
        assertEquals(-0.1494, fit.value(at30), 0.00005, row);
        assertEquals(0.0041, fit.standard(at30), 0.00005, row);
    }

    /** A larger adjustment and its covariance against Hipparchus (org.hipparchus, an independent library). */
    @Test
    void a_larger_adjustment_is_what_another_library_says() {
        java.util.Random random = new java.util.Random(12);
        int rows = 120;
        int unknowns = 50;
        double[][] design = new double[rows][unknowns];
        double[] observed = new double[rows];
        double[] sigma = new double[rows];
        double[] weights = new double[rows];
        for (int i = 0; i < rows; i++) {
            for (int k = 0; k < unknowns; k++) {
                design[i][k] = random.nextInt(4) == 0 ? random.nextGaussian() : 0;
            }
            design[i][i % unknowns] += 1;
            observed[i] = 300 * random.nextGaussian();
            sigma[i] = 0.3 + random.nextDouble();
            weights[i] = 1 / (sigma[i] * sigma[i]);
        }
        LeastSquares own = LeastSquares.solve(design, observed, sigma);
        var problem = new LeastSquaresBuilder()
                .start(new double[unknowns])
                .model(x -> MatrixUtils.createRealMatrix(design).operate(x), x -> design)
                .target(observed)
                .weight(MatrixUtils.createRealDiagonalMatrix(weights))
                .checkerPair(new SimpleVectorValueChecker(1e-12, 1e-12))
                .maxEvaluations(10)
                .maxIterations(10)
                .build();
        var other = new GaussNewtonOptimizer(new QRDecomposer(1e-12), false).optimize(problem);
        for (int k = 0; k < unknowns; k++) {
            assertEquals(other.getPoint().getEntry(k), own.value(k), 1e-6, "mm, so 1e-9 m");
            assertEquals(
                    other.getCovariances(1e-14).getEntry(k, (k + 7) % unknowns),
                    own.covariance(k, (k + 7) % unknowns),
                    1e-9);
        }
        assertEquals(other.getCost() * other.getCost(), own.chiSquare(), 1e-6 * own.chiSquare());
    }

    /** What leaving a reading out says without a second solve is what a second solve says. */
    @Test
    void leaving_one_out_is_exact() {
        java.util.Random random = new java.util.Random(11);
        double[][] design = new double[12][4];
        double[] observed = new double[12];
        double[] sigma = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int k = 0; k < 4; k++) {
                design[i][k] = random.nextGaussian();
            }
            observed[i] = random.nextGaussian() * 5;
            sigma[i] = 0.5 + random.nextDouble();
        }
        LeastSquares all = LeastSquares.solve(design, observed, sigma);
        for (int out = 0; out < 12; out++) {
            double[][] d = new double[11][];
            double[] o = new double[11];
            double[] s = new double[11];
            for (int i = 0, k = 0; i < 12; i++) {
                if (i != out) {
                    d[k] = design[i];
                    o[k] = observed[i];
                    s[k++] = sigma[i];
                }
            }
            LeastSquares rest = LeastSquares.solve(d, o, s);
            assertEquals(observed[out] - rest.value(design[out]), all.error(out), 1e-9);
            assertEquals(all.chiSquare() - rest.chiSquare(), all.standardised(out) * all.standardised(out), 1e-9);
            double predicted = rest.standard(design[out]);
            assertEquals(Math.hypot(predicted, sigma[out]), all.errorStandard(out), 1e-9);
        }
    }

    @Test
    void what_does_not_settle_is_refused() {
        assertThrows(
                ArithmeticException.class,
                () -> LeastSquares.solve(new double[][] {{1, 1}, {2, 2}}, new double[] {1, 2}, ones(2)));
        assertThrows(
                IllegalArgumentException.class,
                () -> LeastSquares.solve(new double[][] {{1}}, new double[] {1, 2}, ones(2)));
    }
}
