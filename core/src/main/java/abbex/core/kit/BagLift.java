package abbex.core.kit;

import abbex.core.figure.Reason;
import abbex.core.truck.HelperBags;
import abbex.core.units.Force;
import abbex.core.units.Pressure;
import abbex.core.units.Rate;

/**
 * Helper bags with nothing on them lift: their pressure may not go to nothing.
 *
 * @param pressure as it is left
 * @param area of one bag, mm²
 * @param wheelRate N/mm
 */
public record BagLift(Pressure pressure, double area, Told wheelRate) implements Part {
    /** A bag's area at its height is not known better, as a part of it (common practice). */
    private static final double AREA = 0.08;

    /** In proportion: force and lift of one bag, N. */
    private double force() {
        return HelperBags.pair(area).load(pressure.kPa()) / 2;
    }

    @Override
    public double move() {
        return -force() / wheelRate.value();
    }

    @Override
    public double standard() {
        return Math.abs(move()) * Math.hypot(AREA, wheelRate.standard() / wheelRate.value());
    }

    @Override
    public boolean atWheel() {
        return true;
    }

    @Override
    public Row row() {
        return Row.BAGS;
    }

    @Override
    public Reason reason() {
        return Reason.of(KitFormula.BAGS, pressure, new Force(force()), new Rate(wheelRate.value()));
    }
}
