package abbex.core.units;

/** A spring's rate, in newtons per millimetre. */
public record Rate(double newtonsPerMm) {
    public double in(RateUnit unit) {
        return unit.fromNewtonsPerMm(newtonsPerMm);
    }
}
