package abbex.core.units;

/** A torque, in newton metres. */
public record Torque(double newtonMetres) {
    public static Torque of(double torque, TorqueUnit unit) {
        return new Torque(unit.toNewtonMetres(torque));
    }

    public double in(TorqueUnit unit) {
        return unit.fromNewtonMetres(newtonMetres);
    }
}
