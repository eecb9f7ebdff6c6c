package abbex.core.setting;

import abbex.core.adjust.LeastSquares;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What the tries of one car say of it. Each is the heights after so many moves since the first; together with what is believed
 * of springs, adjusters, tyres and bars they are one least-squares problem, nothing of it forgotten (with what came in one after
 * the other it is recursive least squares). Heights are believed with the tape's width and the scatter of a set-down.
 *
 * <p>Source: Gauss-Newton on a maximum a posteriori; JCGM 102:2011, 7 for what the widths become.
 */
public final class Tries {
    private static final int ROUNDS = 4;
    private static final double NUDGE = 1e-5;
    /** The heights of the first reading are known by nothing else. */
    private static final double WIDE = 1e4;
    /** A belief that cannot be off is held. */
    private static final double HELD = 1e-9;

    private final Car car;
    private final Car.Read read;
    private final double tape;
    private final double scatter;
    private final List<double[]> moves = new ArrayList<>();
    private final List<double[]> seen = new ArrayList<>();
    /** The state of each, counted from 0. */
    private final List<Integer> states = new ArrayList<>();

    private int state;

    /**
     * @param tape one standard deviation of a reading, mm
     * @param scatter the same of how a set-down falls, a corner, mm
     */
    public Tries(Car car, Car.Read read, double tape, double scatter) {
        if (!(tape > 0 && scatter >= 0)) {
            throw new IllegalArgumentException("tape " + tape + ", scatter " + scatter + " mm");
        }
        this.car = car;
        this.read = read;
        this.tape = tape;
        this.scatter = scatter;
    }

    /**
     * Heights that were measured.
     *
     * @param moved what each adjuster was moved since the first of all, whatever the state, as it is believed at the wheel, mm, up positive
     * @param heights mm
     */
    public Tries add(double[] moved, double[] heights) {
        moves.add(moved.clone());
        seen.add(heights.clone());
        states.add(state);
        return this;
    }

    /**
     * From here on the car is measured in another state: another load, other wheels, another place. What that moved is unknown,
     * and nothing of it counts as what an adjuster did.
     */
    public Tries inAnotherState() {
        if (!seen.isEmpty() && states.get(states.size() - 1) == state) {
            state++;
        }
        return this;
    }

    /**
     * What is known after them.
     *
     * @param now where the heights stand, mm: all readings together
     * @param heights what each adjuster does now, rows corners
     * @param loads the same of loads
     * @param gains what each adjuster does of what it is believed to
     */
    public record Known(double[] now, double[][] heights, double[][] loads, double[] gains, Widths widths) {
        /** One standard deviation of a height after further moves, mm, and of the height that is measured then. */
        public double after(int corner, double[] moved) {
            return widths.of(corner, moved);
        }
    }

    /** How wide a prediction is. */
    public interface Widths {
        double of(int corner, double[] moved);
    }

    /** @throws IllegalStateException when nothing was measured yet */
    public Known known() {
        if (seen.isEmpty()) {
            throw new IllegalStateException("nothing measured yet");
        }
        int last = states.get(states.size() - 1);
        double[] point = new double[Car.BELIEFS + Car.CORNERS * (last + 1)];
        for (int j = seen.size() - 1; j >= 0; j--) {
            System.arraycopy(seen.get(j), 0, point, first(states.get(j)), Car.CORNERS);
        }
        LeastSquares solved = step(point);
        for (int round = 1; round < ROUNDS; round++) {
            for (int k = 0; k < point.length; k++) {
                point[k] += solved.value(k);
            }
            solved = step(point);
        }
        return known(point, solved);
    }

    /** Where the heights of a state stand among the unknowns. */
    private static int first(int state) {
        return Car.BELIEFS + Car.CORNERS * state;
    }

    private Known known(double[] point, LeastSquares solved) {
        double[] off = Arrays.copyOf(point, Car.BELIEFS);
        Car.Response does = car.response(off, read);
        double[] last = moves.get(moves.size() - 1);
        int here = states.get(states.size() - 1);
        double[] now = heights(point, last, here);
        double[] gains = new double[Car.CORNERS];
        for (int i = 0; i < Car.CORNERS; i++) {
            gains[i] = Math.exp(off[Car.CORNERS + i]);
        }
        return new Known(now, does.heights(), does.loads(), gains, (corner, moved) -> {
            double[] whole = last.clone();
            for (int i = 0; i < whole.length; i++) {
                whole[i] += moved[i];
            }
            double model = solved.standard(slope(point, whole, corner, here));
            return Math.sqrt(model * model + scatter * scatter);
        });
    }

    /** One round: what the beliefs and the first heights have to change by. */
    private LeastSquares step(double[] point) {
        int unknowns = point.length;
        int rows = unknowns + Car.CORNERS * seen.size();
        double[][] design = new double[rows][unknowns];
        double[] observed = new double[rows];
        double[] sigma = new double[rows];
        double[] widths = car.deviations();
        for (int k = 0; k < unknowns; k++) {
            design[k][k] = 1;
            observed[k] = k < Car.BELIEFS ? -point[k] : 0;
            sigma[k] = k < Car.BELIEFS ? Math.max(HELD, widths[k]) : WIDE;
        }
        double each = Math.sqrt(tape * tape + scatter * scatter);
        int row = unknowns;
        for (int j = 0; j < seen.size(); j++) {
            double[] fitted = heights(point, moves.get(j), states.get(j));
            for (int c = 0; c < Car.CORNERS; c++) {
                design[row] = slope(point, moves.get(j), c, states.get(j));
                observed[row] = seen.get(j)[c] - fitted[c];
                sigma[row++] = each;
            }
        }
        return LeastSquares.solve(design, observed, sigma);
    }

    private double[] heights(double[] point, double[] moved, int state) {
        double[][] does = car.response(Arrays.copyOf(point, Car.BELIEFS), read).heights();
        double[] heights = Arrays.copyOfRange(point, first(state), first(state) + Car.CORNERS);
        for (int c = 0; c < Car.CORNERS; c++) {
            for (int i = 0; i < Car.CORNERS; i++) {
                heights[c] += does[c][i] * moved[i];
            }
        }
        return heights;
    }

    private double[] slope(double[] point, double[] moved, int corner, int state) {
        double[] slope = new double[point.length];
        double[] widths = car.deviations();
        for (int k = 0; k < Car.BELIEFS; k++) {
            if (widths[k] > 0) {
                double[] up = point.clone();
                double[] down = point.clone();
                up[k] += NUDGE;
                down[k] -= NUDGE;
                slope[k] = (heights(up, moved, state)[corner] - heights(down, moved, state)[corner]) / (2 * NUDGE);
            }
        }
        slope[first(state) + corner] = 1;
        return slope;
    }
}
