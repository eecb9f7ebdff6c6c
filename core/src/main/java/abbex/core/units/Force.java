package abbex.core.units;

/** A force, in newtons. */
public record Force(double newtons) {
    public double in(ForceUnit unit) {
        return unit.fromNewtons(newtons);
    }
}
