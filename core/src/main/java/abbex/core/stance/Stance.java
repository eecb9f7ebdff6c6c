package abbex.core.stance;

import abbex.core.adjust.Symmetric;

/**
 * A stiff body on four springs, each in series with its tyre, with an anti-roll bar at each end between hubs and body. Linear
 * statics: what a moved perch or a floor that is not level does to the heights, with the load unchanged. A ladder frame twists.
 *
 * <p>Axes by ISO 8855: x forward, y left, z up. Corners in the order LF, RF, RR, LR. Lengths in mm, rates in N/mm at the
 * wheel, loads in N. Source: statics of a rigid body, solved for heave, pitch and roll.
 */
public final class Stance {
    /** Wheel rate of a corner until a better one is known (common practice). */
    public static final double USUAL_WHEEL_RATE = 30;
    /** Vertical rate of a tyre until a better one is known (common practice). */
    public static final double USUAL_TYRE_RATE = 220;

    private static final int CORNERS = 4;

    private final double[] x;
    private final double[] y;
    private final double[] springs;
    private final double[] tyres;
    private final double frontBar;
    private final double rearBar;
    private final double twist;

    /** Of vehicles whose own nobody measured, mm (ours): they only share out what one corner does to the others. */
    public static final double USUAL_WHEELBASE = 2650;

    public static final double USUAL_TRACK = 1520;

    /** A body that does not twist. */
    public Stance(double[] x, double[] y, double[] springs, double[] tyres, double frontBar, double rearBar) {
        this(x, y, springs, tyres, frontBar, rearBar, Double.POSITIVE_INFINITY);
    }

    /**
     * @param x position of each wheel, forward positive
     * @param y position of each wheel, left positive
     * @param springs wheel rates, more than 0
     * @param tyres vertical rates, more than 0; infinite for a rigid tyre
     * @param frontBar rate at one wheel for a unit of difference of the two suspension deflections, 0 without a bar
     * @param rearBar the same in the rear
     * @param twist moment between the front and the rear half of the body, in N·mm for a radian of difference of their roll;
     *     infinite for a body that does not twist
     */
    public Stance(
            double[] x, double[] y, double[] springs, double[] tyres, double frontBar, double rearBar, double twist) {
        this.twist = twist;
        this.x = x.clone();
        this.y = y.clone();
        this.springs = springs.clone();
        this.tyres = tyres.clone();
        this.frontBar = frontBar;
        this.rearBar = rearBar;
    }

    /** A car of usual rates with equal tracks and no bars. */
    public static Stance usual(double wheelbase, double track) {
        return new Stance(
                new double[] {wheelbase / 2, wheelbase / 2, -wheelbase / 2, -wheelbase / 2},
                new double[] {track / 2, -track / 2, -track / 2, track / 2},
                new double[] {USUAL_WHEEL_RATE, USUAL_WHEEL_RATE, USUAL_WHEEL_RATE, USUAL_WHEEL_RATE},
                new double[] {USUAL_TYRE_RATE, USUAL_TYRE_RATE, USUAL_TYRE_RATE, USUAL_TYRE_RATE},
                0,
                0);
    }

    /**
     * What happened.
     *
     * @param ground change of each corner's height over the floor under its wheel
     * @param hub change of each corner's height over its hub
     * @param load change of each wheel's load
     */
    public record Response(double[] ground, double[] hub, double[] load) {}

    /**
     * The answer to moved perches and floors.
     *
     * @param perch each corner's adjuster move at the wheel, up positive
     * @param floor each wheel pad's rise
     */
    public Response move(double[] perch, double[] floor) {
        double[][] suspension = suspension();
        double[][] soft = Symmetric.inverse(suspension);
        // A perch moves the spring's end only: with a bar, part of the move is taken back through it.
        double[] pushed = new double[CORNERS];
        for (int i = 0; i < CORNERS; i++) {
            pushed[i] = springs[i] * perch[i];
        }
        double[] lift = Symmetric.times(soft, pushed);
        for (int i = 0; i < CORNERS; i++) {
            soft[i][i] += 1 / tyres[i];
            lift[i] += floor[i];
        }
        double[][] stiff = Symmetric.inverse(soft);
        double[] body = body(stiff, lift);
        double[] gap = new double[CORNERS];
        for (int i = 0; i < CORNERS; i++) {
            gap[i] = lift[i] - body[i];
        }
        double[] load = Symmetric.times(stiff, gap);
        double[] ground = new double[CORNERS];
        double[] hub = new double[CORNERS];
        for (int i = 0; i < CORNERS; i++) {
            ground[i] = body[i] - floor[i];
            hub[i] = ground[i] + load[i] / tyres[i];
        }
        return new Response(ground, hub, load);
    }

    private double[][] suspension() {
        double[][] rate = new double[CORNERS][CORNERS];
        for (int i = 0; i < CORNERS; i++) {
            rate[i][i] = springs[i] + (i < 2 ? frontBar : rearBar);
        }
        rate[0][1] = rate[1][0] = -frontBar;
        rate[2][3] = rate[3][2] = -rearBar;
        return rate;
    }

    /** Heave, pitch, roll, and half of the twist either way: the front rolls with it and the rear against it. */
    private double[][] freedoms() {
        double[] ones = {1, 1, 1, 1};
        return Double.isInfinite(twist)
                ? new double[][] {ones, x, y}
                : new double[][] {ones, x, y, {y[0] / 2, y[1] / 2, -y[2] / 2, -y[3] / 2}};
    }

    /** Rise of the body over each wheel: for which the load as a whole has not changed. */
    private double[] body(double[][] stiff, double[] lift) {
        double[][] freedoms = freedoms();
        int n = freedoms.length;
        double[][] normal = new double[n][n];
        double[] right = new double[n];
        double[] force = Symmetric.times(stiff, lift);
        if (n > 3) {
            normal[3][3] = twist;
        }
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double[] column = Symmetric.times(stiff, freedoms[j]);
                for (int c = 0; c < CORNERS; c++) {
                    normal[i][j] += freedoms[i][c] * column[c];
                }
            }
            for (int c = 0; c < CORNERS; c++) {
                right[i] += freedoms[i][c] * force[c];
            }
        }
        double[] pose = Symmetric.times(Symmetric.inverse(normal), right);
        double[] body = new double[CORNERS];
        for (int c = 0; c < CORNERS; c++) {
            for (int i = 0; i < n; i++) {
                body[c] += pose[i] * freedoms[i][c];
            }
        }
        return body;
    }

    /** A drop of the body at a distance behind the front axle, from the drops over both axles: the body is stiff. */
    public static double dropAt(double front, double rear, double wheelbase, double behindFront) {
        return front + (rear - front) * behindFront / wheelbase;
    }
}
