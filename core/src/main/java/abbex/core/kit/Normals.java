package abbex.core.kit;

import org.apache.commons.statistics.distribution.NormalDistribution;

/** The standard normal distribution and its integral from a table: a plan asks for them some ten thousand times. Exact to 1e-4. */
final class Normals {
    private static final double END = 8;

    private static final int PER_UNIT = 64;

    private static final int COUNT = (int) (2 * END * PER_UNIT);

    private static final double[] DENSITY = new double[COUNT + 1];

    private static final double[] BELOW = new double[COUNT + 1];

    private static final double[] SUM = new double[COUNT + 1];

    static {
        NormalDistribution normal = NormalDistribution.of(0, 1);
        for (int i = 0; i <= COUNT; i++) {
            double x = (double) i / PER_UNIT - END;
            DENSITY[i] = normal.density(x);
            BELOW[i] = normal.cumulativeProbability(x);
            SUM[i] = x * BELOW[i] + DENSITY[i];
        }
    }

    private Normals() {}

    /** How likely it is no greater; bent by a skewness (Edgeworth, first term). */
    static double below(double x, double skew) {
        if (x <= -END || x >= END) {
            return x < 0 ? 0 : 1;
        }
        double at = (x + END) * PER_UNIT;
        int i = (int) at;
        double part = at - i;
        return line(BELOW, i, part) - skew / 6 * (x * x - 1) * line(DENSITY, i, part);
    }

    /** The mean of {@link #below} from one place to another. */
    static double mean(double from, double to, double skew) {
        double over = to - from;
        return Math.abs(over) < 0.02
                ? below((from + to) / 2, skew)
                : (integral(to, skew) - integral(from, skew)) / over;
    }

    private static double integral(double x, double skew) {
        if (x <= -END || x >= END) {
            return Math.max(0, x);
        }
        double at = (x + END) * PER_UNIT;
        int i = (int) at;
        double t = at - i;
        double u = 1 - t;
        // Between two places by value and slope (Hermite).
        double sum = u * u * (1 + 2 * t) * SUM[i]
                + t * t * (1 + 2 * u) * SUM[i + 1]
                + t * u * (u * BELOW[i] - t * BELOW[i + 1]) / PER_UNIT;
        return sum + skew / 6 * x * line(DENSITY, i, t);
    }

    private static double line(double[] table, int i, double part) {
        return table[i] + part * (table[i + 1] - table[i]);
    }
}
