package abbex.core.alignment;

import java.util.Optional;

/**
 * How a wheel stands, in degrees; empty where that was not read. Source of the signs: ISO 8855 for camber (top inwards is
 * negative) and toe (in positive), caster positive when the axis leans back (common practice).
 */
public record WheelAngles(Optional<Double> camber, Optional<Double> toe, Optional<Double> caster) {
    public static final WheelAngles NOT_READ = new WheelAngles(Optional.empty(), Optional.empty(), Optional.empty());

    public boolean nothing() {
        return camber.isEmpty() && toe.isEmpty() && caster.isEmpty();
    }
}
