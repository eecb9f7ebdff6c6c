package abbex.core.setting;

import abbex.core.stance.Stance;
import java.util.Arrays;

/**
 * What is believed of a car while it is set, and how far each belief may be off: a wrong one widens, and each try narrows it.
 *
 * @param x wheels' positions, forward positive, mm, LF RF RR LR
 * @param y the same, left positive
 * @param springs wheel rates, N/mm
 * @param tyre vertical rate, N/mm
 * @param frontBar N/mm at a wheel, 0 where there is none or it is apart
 * @param rearBar the same
 * @param twist N·mm a radian; infinite for a stiff body
 * @param widths one standard deviation of each belief
 * @param adjusters how far what each adjuster does may be off where that is not {@link Widths#adjuster}: LF RF RR LR
 */
public record Car(
        double[] x,
        double[] y,
        double[] springs,
        double tyre,
        double frontBar,
        double rearBar,
        double twist,
        Widths widths,
        double[] adjusters) {
    /** With adjusters that are all known as well. */
    public Car(
            double[] x,
            double[] y,
            double[] springs,
            double tyre,
            double frontBar,
            double rearBar,
            double twist,
            Widths widths) {
        this(x, y, springs, tyre, frontBar, rearBar, twist, widths, new double[CORNERS]);
        Arrays.fill(adjusters, widths.adjuster());
    }

    static final int CORNERS = 4;
    private static final int TYRE = 2 * CORNERS;
    private static final int FRONT_BAR = TYRE + 1;
    private static final int REAR_BAR = TYRE + 2;
    private static final int TWIST = TYRE + 3;
    /** Springs, what each adjuster does, tyre, two bars, twist. */
    static final int BELIEFS = TYRE + 4;

    /**
     * Relative widths, as standard deviations of logarithms (ours, until a shop's own figures say better).
     *
     * @param spring of each wheel rate
     * @param adjuster of what an adjuster does at the wheel: its motion ratio, its seat
     */
    public record Widths(double spring, double adjuster, double tyre, double bar, double twist) {
        public static final Widths USUAL = new Widths(0.1, 0.08, 0.2, 0.3, 0.4);
    }

    /** How heights are read. */
    public enum Read {
        /** From the hub or the rim to the lip. */
        HUB,
        /** From the ground to the lip. */
        GROUND
    }

    /** Rows corners, columns adjusters: what a move of 1 mm at each does to the heights as they are read. */
    public double[][] heights(Read read) {
        return response(new double[BELIEFS], read).heights();
    }

    /** The same of loads, N. */
    public double[][] loads() {
        return response(new double[BELIEFS], Read.HUB).loads();
    }

    record Response(double[][] heights, double[][] loads) {}

    /** With beliefs off by so many logarithms. */
    Response response(double[] off, Read read) {
        double[] rates = new double[CORNERS];
        double[] tyres = new double[CORNERS];
        for (int c = 0; c < CORNERS; c++) {
            rates[c] = springs[c] * Math.exp(off[c]);
            tyres[c] = tyre * Math.exp(off[TYRE]);
        }
        Stance stance = new Stance(
                x,
                y,
                rates,
                tyres,
                frontBar * Math.exp(off[FRONT_BAR]),
                rearBar * Math.exp(off[REAR_BAR]),
                twist * Math.exp(off[TWIST]));
        double[][] heights = new double[CORNERS][CORNERS];
        double[][] loads = new double[CORNERS][CORNERS];
        for (int i = 0; i < CORNERS; i++) {
            double[] perch = new double[CORNERS];
            perch[i] = Math.exp(off[CORNERS + i]);
            Stance.Response moved = stance.move(perch, new double[CORNERS]);
            for (int c = 0; c < CORNERS; c++) {
                heights[c][i] = read == Read.HUB ? moved.hub()[c] : moved.ground()[c];
                loads[c][i] = moved.load()[c];
            }
        }
        return new Response(heights, loads);
    }

    /** One standard deviation of each belief, in their order; what cannot be off is nought. */
    double[] deviations() {
        double[] each = new double[BELIEFS];
        for (int c = 0; c < CORNERS; c++) {
            each[c] = widths.spring();
            each[CORNERS + c] = adjusters[c];
        }
        each[TYRE] = widths.tyre();
        each[FRONT_BAR] = frontBar > 0 ? widths.bar() : 0;
        each[REAR_BAR] = rearBar > 0 ? widths.bar() : 0;
        each[TWIST] = Double.isInfinite(twist) ? 0 : widths.twist();
        return each;
    }
}
