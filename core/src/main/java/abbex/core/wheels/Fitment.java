package abbex.core.wheels;

/** A tyre on a wheel, as it stands on the hub. */
public record Fitment(Wheel wheel, TyreSize tyre) {}
