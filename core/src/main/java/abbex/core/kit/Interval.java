package abbex.core.kit;

/** A value with the two ends between which it lies in 95 of 100 cases; mm. */
public record Interval(double value, double low, double high) {
    /** Half of its width, mm. */
    public double half() {
        return (high - low) / 2;
    }

    /** What another value less this one lies between, each independent of the other; the other's half-width at the same 95 %. */
    public Interval from(double other, double half) {
        return new Interval(
                other - value,
                other - value - Math.hypot(high - value, half),
                other - value + Math.hypot(value - low, half));
    }

    public boolean holds(double truth) {
        return truth >= low && truth <= high;
    }

    Interval moved(double by) {
        return new Interval(value + by, low + by, high + by);
    }
}
