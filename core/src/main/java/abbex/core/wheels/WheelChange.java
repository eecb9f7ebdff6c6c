package abbex.core.wheels;

import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.figure.Reason;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What other wheels do at an end: where edges and sidewalls go, how radius and gauges change, what is odd about them.
 *
 * @param outerEdge how far the rim's outer edge moves, positive outward
 * @param innerEdge how far its inner edge moves, positive inward
 * @param outerWall the same of the tyre's outer sidewall, positive outward
 * @param innerWall the same of its inner sidewall, positive inward
 * @param radius change of the free radius, positive larger
 * @param diameterPercent change of the diameter
 * @param speedometerPercent change of the speed shown at the same true speed, negative reads low
 * @param findings worst first
 */
public record WheelChange(
        Figure<Length> outerEdge,
        Figure<Length> innerEdge,
        Figure<Length> outerWall,
        Figure<Length> innerWall,
        Figure<Length> radius,
        double diameterPercent,
        Figure<Double> speedometerPercent,
        List<Finding> findings) {
    /**
     * Compares two fitments of an end.
     *
     * @param place the end that is spoken of
     * @param fromNew the tyre that was fitted from new, for load and speed; the present one stands in where nobody said
     */
    public static WheelChange between(Place place, Fitment now, Fitment planned, Optional<TyreSize> fromNew) {
        return between(place, now, planned, fromNew, false);
    }

    /**
     * The same.
     *
     * @param twin true where two wheels stand side by side, so that a tyre's second load index counts
     */
    public static WheelChange between(
            Place place, Fitment now, Fitment planned, Optional<TyreSize> fromNew, boolean twin) {
        Wheel a = now.wheel();
        Wheel b = planned.wheel();
        Length half = inches(b.width().subtract(a.width())).dividedBy(2);
        Length in = b.effectiveOffset().minus(a.effectiveOffset());
        Length widthA = now.tyre().sectionWidth(a.width());
        Length widthB = planned.tyre().sectionWidth(b.width());
        Length halfWall = widthB.minus(widthA).dividedBy(2);
        TyreChange tyres = TyreChange.between(place, now.tyre(), planned.tyre(), fromNew.orElse(now.tyre()), twin);
        return new WheelChange(
                new Figure<>(half.minus(in), Reason.of(WheelFormula.OUTER_EDGE, a.text(), b.text())),
                new Figure<>(half.plus(in), Reason.of(WheelFormula.INNER_EDGE, a.text(), b.text())),
                new Figure<>(halfWall.minus(in), Reason.of(WheelFormula.SIDEWALL, widthA, widthB)),
                new Figure<>(halfWall.plus(in), Reason.of(WheelFormula.SIDEWALL, widthA, widthB)),
                tyres.radius(),
                tyres.diameterPercent(),
                tyres.speedometerPercent(),
                findings(place, now, planned, tyres.findings()));
    }

    /** What can be said of a fitment by itself and against the tyre from new. */
    private static List<Finding> findings(Place place, Fitment now, Fitment planned, List<Finding> ofTyres) {
        List<Finding> found = new ArrayList<>(ofTyres);
        TyreSize tyre = planned.tyre();
        Wheel wheel = planned.wheel();
        if (tyre.rimCode().compareTo(wheel.rimCode()) != 0) {
            found.add(new WheelFinding.RimDiffers(place, tyre.text(), wheel.text()));
        }
        List<BigDecimal> rims = tyre.approvedRims();
        String width = plain(wheel.width());
        if (wheel.width().compareTo(rims.get(1)) > 0) {
            found.add(new WheelFinding.RimWide(place, tyre.text(), width, plain(rims.get(1))));
        } else if (wheel.width().compareTo(rims.get(0)) < 0) {
            found.add(new WheelFinding.RimNarrow(place, tyre.text(), width, plain(rims.get(0))));
        }
        widened(place, now.wheel(), wheel, found);
        found.sort(Finding.WORST_FIRST);
        return List.copyOf(found);
    }

    /** The same wheel made wider keeps its offset only when both sides grew alike: which did is asked. */
    private static void widened(Place place, Wheel now, Wheel wheel, List<Finding> found) {
        BigDecimal more = wheel.width().subtract(now.width());
        boolean same =
                wheel.rimCode().compareTo(now.rimCode()) == 0 && wheel.offset().equals(now.offset());
        if (same && more.signum() > 0) {
            Length half = inches(more).dividedBy(2);
            found.add(new WheelFinding.WidenedWhere(
                    place,
                    plain(more),
                    et(wheel.offset().minus(half)),
                    et(wheel.offset().plus(half))));
        }
    }

    private static String et(Length offset) {
        return "ET"
                + BigDecimal.valueOf(offset.mm())
                        .setScale(1, RoundingMode.HALF_EVEN)
                        .stripTrailingZeros()
                        .toPlainString();
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }

    private static Length inches(BigDecimal in) {
        return Length.of(in.multiply(Length.MM_PER_INCH), LengthUnit.MILLIMETRE);
    }
}
