package abbex.core.units;

/**
 * A length with its uncertainty. The value stays exact; the uncertainty is in millimetres.
 *
 * @param value best value
 * @param uncertainty standard uncertainty in millimetres
 */
public record Estimate(Length value, Uncertainty uncertainty) {
    public Estimate minus(Estimate other) {
        return new Estimate(value.minus(other.value), uncertainty.and(other.uncertainty));
    }

    public Estimate plus(Estimate other) {
        return new Estimate(value.plus(other.value), uncertainty.and(other.uncertainty));
    }

    public Estimate negate() {
        return new Estimate(value.negate(), uncertainty);
    }

    /** The same times an exact factor, its value rounded to the nanometre. */
    public Estimate times(double factor) {
        return new Estimate(Length.ofRoundedMm(value.mm() * factor), uncertainty.times(Math.abs(factor)));
    }

    /** The mean of two independent estimates, its value rounded half to even to the nanometre. */
    public static Estimate mean(Estimate a, Estimate b) {
        return new Estimate(
                a.value.plus(b.value).dividedBy(2),
                a.uncertainty.and(b.uncertainty).times(0.5));
    }

    /** Expanded uncertainty, k = 2 or Student's t at 95 %. */
    public Length expanded() {
        return Length.ofRoundedMm(uncertainty.expanded());
    }

    /** True when the value is further from nought than its expanded uncertainty and a further allowance together. */
    public boolean differsFromZero(Length allowance) {
        return value.abs().mm() > uncertainty.expanded() + allowance.mm();
    }

    /**
     * The same where so many are judged at once: what is said of none of them is true of all together (Bonferroni).
     *
     * @param among how many, at least 1
     * @param sure of all together, such as 0.95
     */
    public boolean differsFromZero(Length allowance, int among, double sure) {
        double factor = uncertainty.coverageFactor(1 - (1 - sure) / among);
        return value.abs().mm() > factor * uncertainty.standard() + allowance.mm();
    }

    public boolean differsFromZero() {
        return differsFromZero(Length.ZERO);
    }
}
