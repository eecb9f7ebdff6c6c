package abbex.core.setting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What is wanted of heights, and of loads where scales exist: rows that are to be nought, each a sum over the corners.
 *
 * @param rows in the order in which they were added
 */
public record Aim(List<Row> rows) {
    /**
     * A row: the sum of each corner's height by its factor, and of each load by its own, is to be what is wanted.
     *
     * @param heights a factor a corner
     * @param loads a factor a corner, for changes of load in N
     * @param wanted in mm, or N for loads alone
     * @param weight how much a unit off counts against a millimetre of a height
     */
    public record Row(double[] heights, double[] loads, double wanted, double weight) {}

    private static final int CORNERS = 4;
    private static final double[] NONE = new double[CORNERS];

    /** The four heights themselves, in mm. */
    public static Aim heights(double[] wanted) {
        List<Row> rows = new ArrayList<>();
        for (int c = 0; c < CORNERS; c++) {
            rows.add(new Row(unit(c), NONE, wanted[c], 1));
        }
        return new Aim(rows);
    }

    /** Both sides of each end alike: the wish of an end at both its corners. */
    public static Aim equalGaps(double front, double rear) {
        return heights(new double[] {front, front, rear, rear});
    }

    /**
     * Both sides of each end alike and the rake as it is: the body comes to a mean height.
     *
     * @param now heights as they stand
     * @param mean of all four, wanted
     */
    public static Aim keptRake(double[] now, double mean) {
        double half = (rear(now) - front(now)) / 2;
        return equalGaps(mean - half, mean + half);
    }

    /**
     * The rear's height that goes with a front's when the rake stays as a vehicle had it.
     *
     * @param had heights as they were, corners LF, RF, RR, LR, mm
     */
    public static double rearKeepingRake(double[] had, double front) {
        return front + rear(had) - front(had);
    }

    /**
     * The rear's height that goes with a front's when another way to measure is to read behind as in front: gaps over the
     * tyres, or the frame. Both ways move alike with the body over the wheel; a frame point between the axles moves less, which
     * the next try takes up.
     *
     * @param now heights as they stand, mm
     * @param reads the same corners by the other way
     */
    public static double rearReadingAlike(double[] now, double[] reads, double front) {
        return rear(now) + front(reads) + front - front(now) - rear(reads);
    }

    private static double front(double[] corners) {
        return (corners[0] + corners[1]) / 2;
    }

    private static double rear(double[] corners) {
        return (corners[2] + corners[3]) / 2;
    }

    /**
     * What a Newton that moves onto a wheel counts, in mm, where nobody asked for other loads (ours). Raised across a diagonal, a
     * stiff body hardly moves over its hubs while its loads do: for a sixteenth of an inch nobody loads a diagonal by a thousand
     * Newton.
     */
    public static final double KEPT_LOAD = 0.03;

    /** Besides, the loads stay as they are. */
    public Aim keepingLoads() {
        return andLoads(NONE, KEPT_LOAD);
    }

    /** Besides, a change of load at each wheel, in N; a Newton counts as little as its weight says. */
    public Aim andLoads(double[] more, double weight) {
        List<Row> all = new ArrayList<>(rows);
        for (int c = 0; c < CORNERS; c++) {
            all.add(new Row(NONE, unit(c), more[c], weight));
        }
        return new Aim(all);
    }

    private static double[] unit(int corner) {
        double[] unit = new double[CORNERS];
        unit[corner] = 1;
        return unit;
    }

    public Aim {
        rows = List.copyOf(rows);
        if (rows.isEmpty() || rows.stream().anyMatch(r -> !(r.weight() > 0))) {
            throw new IllegalArgumentException("aims: " + rows.size() + ", each of a weight above 0");
        }
    }

    /** What a move of each adjuster does to each row, weighted. */
    double[][] effect(double[][] heights, double[][] loads) {
        double[][] effect = new double[rows.size()][];
        for (int r = 0; r < rows.size(); r++) {
            Row row = rows.get(r);
            double[] sums = new double[heights[0].length];
            Arrays.setAll(sums, i -> {
                double sum = 0;
                for (int c = 0; c < CORNERS; c++) {
                    sum += row.heights()[c] * heights[c][i] + row.loads()[c] * loads[c][i];
                }
                return row.weight() * sum;
            });
            effect[r] = sums;
        }
        return effect;
    }

    /** What each row lacks from where the heights stand, weighted. */
    double[] lack(double[] now) {
        double[] lack = new double[rows.size()];
        Arrays.setAll(lack, r -> {
            Row row = rows.get(r);
            double has = 0;
            for (int c = 0; c < CORNERS; c++) {
                has += row.heights()[c] * now[c];
            }
            return row.weight() * (row.wanted() - has);
        });
        return lack;
    }
}
