package abbex.core.kit;

import java.util.function.ToDoubleFunction;

/**
 * A figure that follows from several told values: each is moved to either end of its own 95 %, and what that does adds in squares,
 * up and down apart. The widths themselves are known to a sixth (see {@link Spread#WIDER}).
 */
public final class Carried {
    /** So many standard deviations hold 95 % where a width is known to a sixth. */
    static final double REACH = 1.959963984540054 * Spread.WIDER;

    private Carried() {}

    /**
     * A figure with its interval.
     *
     * @param of the figure by the values, in their order
     */
    public static Interval of(ToDoubleFunction<double[]> of, Told... told) {
        double[] at = new double[told.length];
        for (int i = 0; i < at.length; i++) {
            at[i] = told[i].value();
        }
        double value = of.applyAsDouble(at);
        double below = 0;
        double above = 0;
        for (int i = 0; i < at.length; i++) {
            double reach = REACH * told[i].standard();
            if (reach == 0) {
                continue;
            }
            double was = at[i];
            at[i] = was + reach;
            double one = of.applyAsDouble(at) - value;
            at[i] = was - reach;
            double other = of.applyAsDouble(at) - value;
            at[i] = was;
            double down = Math.min(0, Math.min(one, other));
            double up = Math.max(0, Math.max(one, other));
            below += down * down;
            above += up * up;
        }
        return new Interval(value, value - Math.sqrt(below), value + Math.sqrt(above));
    }

    /** The same as a value with one standard deviation. */
    static Told told(ToDoubleFunction<double[]> of, Told... told) {
        return asTold(of(of, told));
    }

    /** One standard deviation of what lies in an interval. */
    static Told asTold(Interval interval) {
        return Told.measured(interval.value(), interval.half() / REACH);
    }
}
