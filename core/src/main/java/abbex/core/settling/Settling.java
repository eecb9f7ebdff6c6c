package abbex.core.settling;

import abbex.core.adjust.Symmetric;
import abbex.core.units.Distance;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.jspecify.annotations.Nullable;

/**
 * How far new springs and seats still sink: h(m) = h∞ + (h0 − h∞) · e^(−m / m0) at each corner (common practice), with what is
 * usual of total and distance as the prior and every sheet so far as evidence. The distance is looked at over a grid, for each
 * of which all else is linear: heights at the beginning, what all corners sink alike, what each sinks besides. Corners in the
 * order LF, RF, RR, LR; lengths in mm, distances in km.
 *
 * <p>Source: linear Gaussian filtering for a fixed distance, weighted by what each distance says of the sheets (Bayes).
 */
public final class Settling {
    private static final int CORNERS = 4;
    private static final int ALL = CORNERS;
    private static final int OWN = CORNERS + 1;
    private static final int UNKNOWNS = OWN + CORNERS;
    private static final int GRID = 41;
    private static final double GRID_WIDTHS = 3;
    /** Nothing is known of the heights before the first sheet. */
    private static final double WIDE = 1e4;

    /** A return is due from so far on (common practice). */
    public static final Distance SOONEST = Distance.ofMiles(500);

    /** And no later. */
    public static final Distance LATEST = Distance.ofMiles(1000);

    /** So much of it has to be over before what was seen tells the whole (ours). */
    private static final double ENOUGH = 0.6;

    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

    /**
     * What is usual.
     *
     * @param total mean of what a corner sinks in all, mm
     * @param common one standard deviation of that from job to job, mm
     * @param own the same from corner to corner of a job, mm
     * @param distance the middle of m0, km
     * @param spread one standard deviation of its logarithm
     */
    public record Prior(double total, double common, double own, double distance, double spread) {
        /** An eighth to a quarter of an inch over some 500 to 1,000 miles, mostly early (common practice; widths ours). */
        public static final Prior USUAL = new Prior(4.8, 1.4, 0.6, 400, 0.4);

        /** So much of what jobs differ by is the kit's and the kind of vehicle's own, by its variance (ours). */
        private static final double OF_KIT = 0.7;

        /**
         * What is to be expected of a kit that came back before.
         *
         * @param count returned jobs of that kit and kind of vehicle
         * @param mean of what all their corners sank in all, mm
         * @param each one standard deviation of how well a single job tells that, mm
         */
        public Prior learned(int count, double mean, double each) {
            if (count == 0) {
                return this;
            }
            double kit = OF_KIT * common * common;
            double job = common * common - kit;
            double seen = (job + each * each) / count;
            double share = kit / (kit + seen);
            return new Prior(total + share * (mean - total), Math.sqrt(kit * (1 - share) + job), own, distance, spread);
        }
    }

    /**
     * A sheet.
     *
     * @param distance driven since the set-down, km
     * @param heights mm
     */
    public record Sheet(double distance, double[] heights) {}

    /** A state of what is linear, for one distance. */
    private static final class Line {
        private final double distance;
        private double weight;
        private final double[] mean = new double[UNKNOWNS];
        private final double[][] cov = new double[UNKNOWNS][UNKNOWNS];

        Line(double distance, double weight) {
            this.distance = distance;
            this.weight = weight;
        }
    }

    private final Prior prior;
    private final double each;
    private final List<Sheet> sheets = new ArrayList<>();
    /** What all sheets say, once it was asked for. */
    private @Nullable List<Line> known;

    /**
     * @param tape one standard deviation of a reading, mm
     * @param scatter the same of how a set-down falls, a corner, mm
     */
    public Settling(Prior prior, double tape, double scatter) {
        if (!(tape > 0 && scatter >= 0)) {
            throw new IllegalArgumentException("tape " + tape + ", scatter " + scatter + " mm");
        }
        this.prior = prior;
        this.each = Math.hypot(tape, scatter);
    }

    /** @throws IllegalArgumentException when the distance is less than of the sheet before */
    public Settling add(Sheet sheet) {
        if (sheet.distance() < 0
                || !sheets.isEmpty()
                        && sheet.distance() < sheets.get(sheets.size() - 1).distance()) {
            throw new IllegalArgumentException("driven " + sheet.distance() + " km, less than before");
        }
        sheets.add(sheet);
        known = null;
        return this;
    }

    /**
     * A height, foreseen.
     *
     * @param mean mm
     * @param least its 95 per cent interval's lower end
     * @param most the upper one
     */
    public record Foreseen(double mean, double least, double most) {}

    /** Where a corner stands after a distance; infinite for settled. What a set-down scatters is not in it. */
    public Foreseen at(int corner, double distance) {
        return mean(corner, corner, distance);
    }

    /**
     * Where two corners stand on average after a distance: what is their own evens out, what they have in common does not. Infinite
     * for settled.
     */
    public Foreseen mean(int one, int other, double distance) {
        List<Line> lines = lines(sheets.size());
        double[] means = new double[lines.size()];
        double[] widths = new double[lines.size()];
        double[] weights = new double[lines.size()];
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            double share = share(distance, line.distance);
            double[] row = row(one, share);
            double[] there = row(other, share);
            for (int k = 0; k < row.length; k++) {
                row[k] = (row[k] + there[k]) / 2;
            }
            means[i] = dot(row, line.mean);
            widths[i] = Math.sqrt(Math.max(0, quadratic(line.cov, row, row)));
            weights[i] = line.weight;
        }
        double mean = dot(means, weights);
        return new Foreseen(mean, quantile(means, widths, weights, 0.025), quantile(means, widths, weights, 0.975));
    }

    /** The middle of what is believed of m0, km. */
    public double distance() {
        double log = 0;
        for (Line line : lines(sheets.size())) {
            log += line.weight * Math.log(line.distance);
        }
        return Math.exp(log);
    }

    /** What all corners sink alike in all, as it is believed after these sheets, mm; the interval of 95 per cent. */
    public Foreseen total() {
        List<Line> lines = lines(sheets.size());
        double[] means = lines.stream().mapToDouble(l -> l.mean[ALL]).toArray();
        double[] widths =
                lines.stream().mapToDouble(l -> Math.sqrt(l.cov[ALL][ALL])).toArray();
        double[] weights = lines.stream().mapToDouble(l -> l.weight).toArray();
        return new Foreseen(
                dot(means, weights), quantile(means, widths, weights, 0.025), quantile(means, widths, weights, 0.975));
    }

    /** After so many kilometres a share of it is over, as far as can be told. */
    public double after(double share) {
        return -distance() * Math.log(1 - share);
    }

    /** What it sinks in all by what was read alone, mm; empty before most of it is usually over. */
    public static OptionalDouble seenTotal(double sunk, double distance) {
        double over = share(distance, Prior.USUAL.distance());
        return over < ENOUGH ? OptionalDouble.empty() : OptionalDouble.of(sunk / over);
    }

    /** From 0 to 1: how much of it is over after a distance. */
    public static double share(double distance, double m0) {
        return Double.isInfinite(distance) ? 1 : 1 - Math.exp(-distance / m0);
    }

    /** What stands out of the last sheet. */
    public enum Where {
        LF,
        RF,
        RR,
        LR,
        FRONT,
        REAR
    }

    /**
     * A part of the body that sank more, or less, than settling makes it.
     *
     * @param by mm, down negative
     * @param times of its standard deviation
     */
    public record Apart(Where where, double by, double times) {}

    private static final double[][] SHAPES = {
        {1, 0, 0, 0}, {0, 1, 0, 0}, {0, 0, 1, 0}, {0, 0, 0, 1}, {1, 1, 0, 0}, {0, 0, 1, 1}
    };

    /** So rare that not one job in twenty is suspected for nothing, six places looked at (ours, from the simulation). */
    private static final double SUSPECT = 2.55;

    /**
     * Whether the last sheet shows something other than settling at a corner or an end, and where most of all. The whole body at
     * once cannot be told from settling that is larger than usual; nothing is said of it.
     */
    public Optional<Apart> apart() {
        if (sheets.size() < 2) {
            return Optional.empty();
        }
        List<Line> lines = lines(sheets.size() - 1);
        Sheet last = sheets.get(sheets.size() - 1);
        double[] off = new double[CORNERS];
        double[][] cov = new double[CORNERS][CORNERS];
        for (Line line : lines) {
            double share = share(last.distance(), line.distance);
            for (int c = 0; c < CORNERS; c++) {
                off[c] += line.weight * (last.heights()[c] - dot(row(c, share), line.mean));
            }
        }
        for (Line line : lines) {
            double share = share(last.distance(), line.distance);
            for (int a = 0; a < CORNERS; a++) {
                double here = last.heights()[a] - dot(row(a, share), line.mean) - off[a];
                for (int b = 0; b < CORNERS; b++) {
                    double there = last.heights()[b] - dot(row(b, share), line.mean) - off[b];
                    cov[a][b] += line.weight
                            * (quadratic(line.cov, row(a, share), row(b, share))
                                    + here * there
                                    + (a == b ? each * each : 0));
                }
            }
        }
        // What all corners did alike says nothing: more settling than usual looks the same.
        for (double[] row : cov) {
            for (int c = 0; c < CORNERS; c++) {
                row[c] += WIDE * WIDE;
            }
        }
        return most(off, Symmetric.inverse(cov));
    }

    private static Optional<Apart> most(double[] off, double[][] precision) {
        Apart most = null;
        for (int k = 0; k < SHAPES.length; k++) {
            double[] seen = Symmetric.times(precision, SHAPES[k]);
            double information = dot(seen, SHAPES[k]);
            double by = dot(seen, off) / information;
            double times = by * Math.sqrt(information);
            // One end that sank and the other that rose look the same: what is not settling sinks.
            if (most == null || Math.abs(times) > Math.abs(most.times()) + (by < 0 ? -1e-3 : 1e-3)) {
                most = new Apart(Where.values()[k], by, times);
            }
        }
        return Optional.ofNullable(most).filter(m -> Math.abs(m.times()) > SUSPECT);
    }

    private List<Line> lines(int used) {
        if (used == sheets.size()) {
            if (known == null) {
                known = formed(used);
            }
            return known;
        }
        return formed(used);
    }

    private List<Line> formed(int used) {
        List<Line> lines = new ArrayList<>();
        for (int g = 0; g < GRID; g++) {
            double z = GRID_WIDTHS * (2.0 * g / (GRID - 1) - 1);
            Line line = new Line(prior.distance() * Math.exp(z * prior.spread()), -z * z / 2);
            begin(line);
            for (Sheet sheet : sheets.subList(0, used)) {
                for (int c = 0; c < CORNERS; c++) {
                    take(line, row(c, share(sheet.distance(), line.distance)), sheet.heights()[c]);
                }
            }
            lines.add(line);
        }
        double most = lines.stream().mapToDouble(l -> l.weight).max().orElseThrow();
        double sum = lines.stream().mapToDouble(l -> Math.exp(l.weight - most)).sum();
        lines.forEach(l -> l.weight = Math.exp(l.weight - most) / sum);
        return lines;
    }

    private void begin(Line line) {
        for (int c = 0; c < CORNERS; c++) {
            line.cov[c][c] = WIDE * WIDE;
            line.cov[OWN + c][OWN + c] = prior.own() * prior.own();
        }
        line.mean[ALL] = prior.total();
        line.cov[ALL][ALL] = prior.common() * prior.common();
    }

    private static double[] row(int corner, double share) {
        double[] row = new double[UNKNOWNS];
        row[corner] = 1;
        row[ALL] = -share;
        row[OWN + corner] = -share;
        return row;
    }

    /** One reading more. */
    private void take(Line line, double[] row, double seen) {
        double[] gain = new double[UNKNOWNS];
        for (int i = 0; i < UNKNOWNS; i++) {
            gain[i] = dot(line.cov[i], row);
        }
        double wide = dot(gain, row) + each * each;
        double off = seen - dot(row, line.mean);
        line.weight -= (Math.log(wide) + off * off / wide) / 2;
        for (int i = 0; i < UNKNOWNS; i++) {
            line.mean[i] += gain[i] * off / wide;
        }
        for (int i = 0; i < UNKNOWNS; i++) {
            for (int j = 0; j < UNKNOWNS; j++) {
                line.cov[i][j] -= gain[i] * gain[j] / wide;
            }
        }
    }

    private static double quantile(double[] means, double[] widths, double[] weights, double p) {
        double widest = Arrays.stream(widths).max().orElseThrow();
        double low = Arrays.stream(means).min().orElseThrow() - 6 * widest - 1e-9;
        double high = Arrays.stream(means).max().orElseThrow() + 6 * widest + 1e-9;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            double below = 0;
            for (int k = 0; k < means.length; k++) {
                below += weights[k]
                        * (widths[k] > 0
                                ? NORMAL.cumulativeProbability((middle - means[k]) / widths[k])
                                : middle >= means[k] ? 1 : 0);
            }
            if (below < p) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    private static double quadratic(double[][] matrix, double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            if (a[i] != 0) {
                sum += a[i] * dot(matrix[i], b);
            }
        }
        return sum;
    }
}
