package abbex.core.setting;

import java.util.Arrays;
import java.util.List;

/**
 * The exact best of what adjusters can do: the least sum of squares of what the rows of an aim lack, over every combination of
 * options, and of those that nobody could tell apart the one of fewest changes, then of least work. Nothing is rounded: the
 * square is written as a sum over one adjuster after the other (Cholesky of the normal matrix, the stiffest adjuster last), and
 * a combination is left out only when the part of the sum that is known already exceeds the best whole. Sources: Fincke and
 * Pohst, Math. Comp. 44, 1985; Schnorr and Euchner, Math. Programming 66, 1994 (both from memory).
 */
final class Nearest {
    /** Rounding of the sums is far below it, mm². */
    private static final double TINY = 1e-9;

    /** With steps far finer than anybody can tell there is no end of combinations alike: what was found by then stands. */
    private static final long MOST_ALIKE = 1_000_000;

    private final double[][] upper;
    private final double[] centre;
    private final double rest;
    private final double[][] moves;
    private final boolean[][] changes;
    private final double[][] minutes;
    private final int[] order;

    private double radius;
    private int fewest;
    private double work;
    private final int[] tried;
    private final int[] best;
    private double bestSquare;
    private boolean chooses;
    private long looked;
    private long until = Long.MAX_VALUE;

    /**
     * @param effect weighted rows by adjusters
     * @param lack weighted, a row each
     */
    Nearest(double[][] effect, double[] lack, List<Adjuster> adjusters) {
        int n = adjusters.size();
        double[][] normal = new double[n][n];
        double[] right = new double[n];
        double square = 0;
        for (int r = 0; r < effect.length; r++) {
            square += lack[r] * lack[r];
            for (int i = 0; i < n; i++) {
                right[i] += effect[r][i] * lack[r];
                for (int j = 0; j < n; j++) {
                    normal[i][j] += effect[r][i] * effect[r][j];
                }
            }
        }
        order = new int[n];
        Arrays.setAll(order, i -> i);
        upper = new double[n][n];
        centre = new double[n];
        rest = square - factor(normal, right);
        moves = new double[n][];
        changes = new boolean[n][];
        minutes = new double[n][];
        for (int i = 0; i < n; i++) {
            List<Option> options = adjusters.get(order[i]).options();
            moves[i] = options.stream().mapToDouble(Option::move).toArray();
            minutes[i] = options.stream().mapToDouble(Option::minutes).toArray();
            changes[i] = new boolean[options.size()];
            for (int k = 0; k < options.size(); k++) {
                changes[i][k] = options.get(k).changes();
            }
        }
        tried = new int[n];
        best = new int[n];
    }

    /** Upper factor with the largest pivot first; centre is its right-hand side. Returns the square that moves can take away. */
    private double factor(double[][] normal, double[] right) {
        int n = right.length;
        double scale = 0;
        for (int i = 0; i < n; i++) {
            scale = Math.max(scale, normal[i][i]);
        }
        double taken = 0;
        for (int k = 0; k < n; k++) {
            int pivot = k;
            for (int i = k + 1; i < n; i++) {
                if (normal[i][i] > normal[pivot][pivot]) {
                    pivot = i;
                }
            }
            swap(normal, right, k, pivot);
            // What is left of a direction that does nothing is rounding.
            double root = normal[k][k] > 1e-12 * scale ? Math.sqrt(normal[k][k]) : 0;
            upper[k][k] = root;
            if (root == 0) {
                continue;
            }
            centre[k] = right[k] / root;
            taken += centre[k] * centre[k];
            for (int j = k + 1; j < n; j++) {
                upper[k][j] = normal[k][j] / root;
            }
            for (int i = k + 1; i < n; i++) {
                right[i] -= upper[k][i] * centre[k];
                for (int j = k + 1; j < n; j++) {
                    normal[i][j] -= upper[k][i] * upper[k][j];
                }
            }
        }
        return taken;
    }

    private void swap(double[][] normal, double[] right, int a, int b) {
        if (a == b) {
            return;
        }
        double[] row = normal[a];
        normal[a] = normal[b];
        normal[b] = row;
        for (double[] each : normal) {
            double cell = each[a];
            each[a] = each[b];
            each[b] = cell;
        }
        for (int k = 0; k < a; k++) {
            double cell = upper[k][a];
            upper[k][a] = upper[k][b];
            upper[k][b] = cell;
        }
        double value = right[a];
        right[a] = right[b];
        right[b] = value;
        int which = order[a];
        order[a] = order[b];
        order[b] = which;
    }

    /**
     * Looks.
     *
     * @param alike by how much the root of the sum may be larger without anybody being able to tell, mm
     * @return the option of each adjuster
     */
    int[] find(double alike) {
        bestSquare = Double.POSITIVE_INFINITY;
        radius = Double.POSITIVE_INFINITY;
        chooses = false;
        down(moves.length - 1, 0, 0, 0);
        double least = Math.sqrt(Math.max(0, bestSquare + rest));
        radius = (least + alike) * (least + alike) - rest + TINY;
        chooses = true;
        until = looked + MOST_ALIKE;
        fewest = Integer.MAX_VALUE;
        work = Double.POSITIVE_INFINITY;
        down(moves.length - 1, 0, 0, 0);
        int[] found = new int[best.length];
        for (int i = 0; i < best.length; i++) {
            found[order[i]] = best[i];
        }
        return found;
    }

    /** Combinations that were looked into; all others are worse by what is known of them. */
    long looked() {
        return looked;
    }

    private void down(int level, double square, int changed, double minutesSoFar) {
        looked++;
        if (looked > until) {
            return;
        }
        if (level < 0) {
            take(square, changed, minutesSoFar);
            return;
        }
        double wanted = centre[level];
        for (int j = level + 1; j < moves.length; j++) {
            wanted -= upper[level][j] * moves[j][tried[j]];
        }
        double gain = upper[level][level];
        double[] there = moves[level];
        if (gain == 0) {
            for (int k = 0; k < there.length; k++) {
                step(level, k, square, changed, minutesSoFar);
            }
            return;
        }
        // From the nearest outwards: the first one too far on a side ends it.
        double at = wanted / gain;
        int above = first(there, at);
        int below = above - 1;
        while (above < there.length || below >= 0) {
            boolean up = below < 0 || above < there.length && there[above] - at <= at - there[below];
            int k = up ? above++ : below--;
            double off = gain * (there[k] - at);
            double sum = square + off * off;
            if (sum > radius) {
                if (up) {
                    above = there.length;
                } else {
                    below = -1;
                }
                continue;
            }
            step(level, k, sum, changed, minutesSoFar);
        }
    }

    private static int first(double[] sorted, double at) {
        int i = Arrays.binarySearch(sorted, at);
        return i < 0 ? -i - 1 : i;
    }

    private void step(int level, int option, double square, int changed, double minutesSoFar) {
        int more = changed + (changes[level][option] ? 1 : 0);
        if (chooses && more > fewest) {
            return;
        }
        tried[level] = option;
        if (square + atLeast(level) > radius) {
            return;
        }
        down(level - 1, square, more, minutesSoFar + minutes[level][option]);
    }

    /** What the adjusters that are not decided yet add at least, each anywhere in its range by itself. */
    private double atLeast(int level) {
        double sum = 0;
        for (int row = 0; row < level; row++) {
            double low = -centre[row];
            double high = low;
            for (int k = row; k < moves.length; k++) {
                double first = upper[row][k] * moves[k][k >= level ? tried[k] : 0];
                double last = upper[row][k] * moves[k][k >= level ? tried[k] : moves[k].length - 1];
                low += Math.min(first, last);
                high += Math.max(first, last);
            }
            double off = low > 0 ? low : high < 0 ? high : 0;
            sum += off * off;
        }
        return sum;
    }

    private void take(double square, int changed, double minutesSoFar) {
        boolean better = chooses
                ? changed < fewest
                        || changed == fewest && (minutesSoFar < work || minutesSoFar == work && square < bestSquare)
                : square < bestSquare;
        if (!better) {
            return;
        }
        System.arraycopy(tried, 0, best, 0, best.length);
        bestSquare = square;
        if (chooses) {
            fewest = changed;
            work = minutesSoFar;
        } else {
            radius = square;
        }
    }
}
