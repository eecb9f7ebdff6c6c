package abbex.core.workcard;

/**
 * How long a step took in a shop, on one kind of vehicle, as often as it was seen; what was set aside is not among it.
 *
 * @param count how often
 * @param sum of the minutes
 * @param squares sum of their squares
 */
public record StepTime(int count, double sum, double squares) {
    public static final StepTime UNSEEN = new StepTime(0, 0, 0);

    /** From so often on the shop's own counts alone (ours). */
    private static final int ENOUGH = 10;

    /** What ships is off by so much of itself, one standard deviation (ours, until a shop has seen its own). */
    private static final double SHIPPED = 0.4;

    /** Longer or shorter than so many times what ships, somebody was called away, or ticked afterwards (ours). */
    private static final double LONG = 5;

    private static final double SHORT = 0.1;

    /** No step is so short that a quarter of an hour is much. */
    private static final double LEAST_LONG = 15;

    /** One that took so long or so little tells nothing of the step. */
    public static boolean aside(double minutes, double shipped) {
        return minutes > Math.max(LEAST_LONG, LONG * shipped) || minutes < SHORT * shipped;
    }

    public StepTime plus(double minutes) {
        return new StepTime(count + 1, sum + minutes, squares + minutes * minutes);
    }

    private double own() {
        return Math.min(1, (double) count / ENOUGH);
    }

    /** Expected minutes: what ships, and the shop's own the more the oftener it was seen. */
    public double minutes(double shipped) {
        return count == 0 ? shipped : (1 - own()) * shipped + own() * sum / count;
    }

    /** One standard deviation of how long it takes the next time, minutes. */
    public double standard(double shipped) {
        if (count < 2) {
            return SHIPPED * minutes(shipped);
        }
        double mean = sum / count;
        double variance = Math.max(0, squares - count * mean * mean) / (count - 1) * (1 + 1.0 / count);
        double off = (1 - own()) * SHIPPED * shipped;
        return Math.sqrt(own() * variance + off * off);
    }
}
