package abbex.core.wheels;

import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.figure.Reason;
import abbex.core.units.Length;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;

/**
 * What another tyre does at an end, whatever wheel carries it: all that can be told while the wheel is not known.
 *
 * @param radius change of the free radius, positive larger
 * @param diameterPercent change of the diameter
 * @param speedometerPercent change of the speed shown at the same true speed, negative reads low
 * @param findings worst first
 */
public record TyreChange(
        Figure<Length> radius, double diameterPercent, Figure<Double> speedometerPercent, List<Finding> findings) {
    /** A diameter that changes by more than this moves gauges and gearing (common practice, no published source). */
    private static final double DIAMETER_OFF = 3;

    /**
     * Compares two tyres.
     *
     * @param fromNew the tyre that was fitted from new, for load and speed
     * @param twin true where two wheels stand side by side, so that a tyre's second load index counts
     */
    public static TyreChange between(Place place, TyreSize now, TyreSize planned, TyreSize fromNew, boolean twin) {
        Length was = now.overallDiameter();
        Length is = planned.overallDiameter();
        double percent = (is.mm() / was.mm() - 1) * 100;
        return new TyreChange(
                new Figure<>(Length.ofRoundedMm((is.mm() - was.mm()) / 2), Reason.of(WheelFormula.RADIUS, was, is)),
                percent,
                new Figure<>((was.mm() / is.mm() - 1) * 100, Reason.of(WheelFormula.SPEEDOMETER, was, is)),
                findings(place, planned, fromNew, percent, twin));
    }

    private static List<Finding> findings(Place place, TyreSize tyre, TyreSize fromNew, double diameter, boolean twin) {
        List<Finding> found = new ArrayList<>();
        serves(place, tyre, fromNew, twin, found);
        if (Math.abs(diameter) > DIAMETER_OFF) {
            found.add(new WheelFinding.DiameterOff(place, percent(Math.abs(diameter)), diameter > 0));
        }
        if (tyre.approximate()) {
            found.add(new WheelFinding.SizeApproximate(place, tyre.text()));
        }
        found.sort(Finding.WORST_FIRST);
        return List.copyOf(found);
    }

    /** The wheel that it needs is to be chosen by these widths. */
    public static WheelFinding wheelNeeded(Place place, TyreSize tyre) {
        List<BigDecimal> rims = tyre.approvedRims();
        return new WheelFinding.WheelUnknown(
                place, tyre.text(), plain(rims.get(0)), plain(rims.get(1)), plain(tyre.rimCode()));
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }

    private static void serves(Place place, TyreSize tyre, TyreSize fromNew, boolean twin, List<Finding> found) {
        if (tyre.service().isEmpty() || fromNew.service().isEmpty()) {
            TyreSize which = tyre.service().isEmpty() ? tyre : fromNew;
            found.add(new WheelFinding.ServiceUnknown(place, which.text()));
            return;
        }
        TyreSize.Service is = tyre.service().get();
        TyreSize.Service was = fromNew.service().get();
        double kg = tyre.loadKg(twin).orElseThrow();
        double needed = fromNew.loadKg(twin).orElseThrow();
        if (kg < needed) {
            found.add(new WheelFinding.LoadBelow(
                    place, is.loadIndex(), kilograms(kg), was.loadIndex(), kilograms(needed)));
        }
        if (is.speed().kmh() < was.speed().kmh()) {
            found.add(new WheelFinding.SpeedBelow(
                    place,
                    is.speed().name(),
                    is.speed().kmh(),
                    was.speed().name(),
                    was.speed().kmh()));
        }
        if (kg >= needed && is.speed().kmh() >= was.speed().kmh()) {
            found.add(new WheelFinding.Serves(place, is.text(), was.text()));
        }
    }

    private static String kilograms(double kg) {
        return BigDecimal.valueOf(kg).stripTrailingZeros().toPlainString() + " kg";
    }

    private static String percent(double percent) {
        return BigDecimal.valueOf(percent).setScale(1, RoundingMode.HALF_EVEN).toPlainString() + " %";
    }
}
