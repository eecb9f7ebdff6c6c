package abbex.core.setting;

import abbex.core.adjust.Symmetric;
import java.util.Arrays;
import java.util.List;

/**
 * The best that could be reached if an adjuster could stand anywhere: over its whole range, or without any end. What the steps
 * cost, what the range costs and what no adjuster reaches are told apart by it.
 */
final class Within {
    private static final int AT_LEAST = 1;
    private static final int AT_MOST = 2;
    /** Holds a direction that does nothing where it is, next to nothing. */
    private static final double HOLD = 1e-9;

    private final double[][] effect;
    private final double[] lack;

    Within(double[][] effect, double[] lack) {
        this.effect = effect;
        this.lack = lack;
    }

    /** Without ends. */
    double[] anywhere() {
        return solve(new int[effect[0].length], new double[effect[0].length]);
    }

    /** Between the ends of each adjuster: of all ways to stand at an end or between, the best that is allowed. */
    double[] range(List<Adjuster> adjusters) {
        int n = adjusters.size();
        double[] best = new double[n];
        double least = Double.POSITIVE_INFINITY;
        int all = (int) Math.pow(3, n);
        for (int code = 0; code < all; code++) {
            int[] ends = new int[n];
            double[] held = new double[n];
            for (int i = 0, left = code; i < n; i++, left /= 3) {
                ends[i] = left % 3;
                held[i] = ends[i] == AT_LEAST
                        ? adjusters.get(i).least()
                        : adjusters.get(i).most();
            }
            double[] moves = solve(ends, held);
            if (allowed(moves, adjusters)) {
                double square = square(moves);
                if (square < least - 1e-12) {
                    least = square;
                    best = moves;
                }
            }
        }
        return best;
    }

    private static boolean allowed(double[] moves, List<Adjuster> adjusters) {
        for (int i = 0; i < moves.length; i++) {
            if (moves[i] < adjusters.get(i).least() - 1e-9
                    || moves[i] > adjusters.get(i).most() + 1e-9) {
                return false;
            }
        }
        return true;
    }

    private double square(double[] moves) {
        return Arrays.stream(left(moves)).map(v -> v * v).sum();
    }

    /** What each row has too much, weighted. */
    double[] left(double[] moves) {
        double[] left = new double[lack.length];
        for (int r = 0; r < lack.length; r++) {
            left[r] = -lack[r];
            for (int i = 0; i < moves.length; i++) {
                left[r] += effect[r][i] * moves[i];
            }
        }
        return left;
    }

    private double[] solve(int[] ends, double[] held) {
        int[] free = java.util.stream.IntStream.range(0, ends.length)
                .filter(i -> ends[i] != AT_LEAST && ends[i] != AT_MOST)
                .toArray();
        double[] moves = new double[ends.length];
        for (int i = 0; i < ends.length; i++) {
            if (ends[i] != 0) {
                moves[i] = held[i];
            }
        }
        if (free.length == 0) {
            return moves;
        }
        double[] needs = left(moves);
        double[][] normal = new double[free.length][free.length];
        double[] right = new double[free.length];
        for (int r = 0; r < lack.length; r++) {
            for (int i = 0; i < free.length; i++) {
                right[i] -= effect[r][free[i]] * needs[r];
                for (int j = 0; j < free.length; j++) {
                    normal[i][j] += effect[r][free[i]] * effect[r][free[j]];
                }
            }
        }
        for (int i = 0; i < free.length; i++) {
            normal[i][i] += HOLD;
        }
        double[] there = Symmetric.times(Symmetric.inverse(normal), right);
        for (int i = 0; i < free.length; i++) {
            moves[free[i]] = there[i];
        }
        return moves;
    }
}
