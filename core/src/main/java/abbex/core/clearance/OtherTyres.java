package abbex.core.clearance;

import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.TyreSizes;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;

/** Tyres that exist, fit the same rim and are narrower or lower than what is planned. */
final class OtherTyres {
    private OtherTyres() {}

    /** The steps-th narrower one, of the aspect nearest to today's diameter; the last where there are fewer. */
    static TyreSize narrower(Fitment planned, int steps) {
        TyreSize is = planned.tyre();
        List<TyreSize> all = fitting(planned, size -> size.width().compareTo(is.width()) < 0).stream()
                .sorted(Comparator.comparing(TyreSize::width)
                        .reversed()
                        .thenComparing(size -> size.overallDiameter()
                                .minus(is.overallDiameter())
                                .abs()))
                .toList();
        List<TyreSize> one = all.stream()
                .filter(size -> all.stream()
                        .filter(other -> other.width().compareTo(size.width()) == 0)
                        .findFirst()
                        .filter(size::equals)
                        .isPresent())
                .toList();
        return at(one, steps, is);
    }

    /** The steps-th of the same width and a lower aspect; the last where there are fewer. */
    static TyreSize lower(Fitment planned, int steps) {
        TyreSize is = planned.tyre();
        List<TyreSize> all = fitting(
                        planned,
                        size -> size.width().compareTo(is.width()) == 0
                                && size.aspect().compareTo(is.aspect()) < 0)
                .stream()
                .sorted(Comparator.comparing(TyreSize::aspect).reversed())
                .toList();
        return at(all, steps, is);
    }

    private static List<TyreSize> fitting(Fitment planned, Predicate<TyreSize> which) {
        return TyreSizes.like(planned.tyre()).stream()
                .filter(which)
                .filter(size -> takes(size, planned.wheel().width()))
                .toList();
    }

    private static TyreSize at(List<TyreSize> all, int steps, TyreSize is) {
        return steps < 1 || all.isEmpty() ? is : all.get(Math.min(steps, all.size()) - 1);
    }

    private static boolean takes(TyreSize size, BigDecimal rim) {
        List<BigDecimal> approved = size.approvedRims();
        return rim.compareTo(approved.get(0)) >= 0 && rim.compareTo(approved.get(1)) <= 0;
    }
}
