package abbex.core.springs;

/**
 * A spring with its length.
 *
 * @param free length without a load, mm
 */
public record Spring(SpringLaw law, double free) {
    public Spring {
        if (!(free > law.solid())) {
            throw new IllegalArgumentException(
                    "spring: free length " + free + " mm; more than its travel of " + law.solid() + " mm");
        }
    }

    /** Length when every coil lies on the next, mm. */
    public double solidLength() {
        return free - law.solid();
    }

    /** How much longer the space between its seats is than the spring, mm; negative while it is held. */
    public double slack(double space) {
        return space - free;
    }
}
