package abbex.core.clearance;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What leaves a least gap open.
 *
 * @param parts by cause, one standard deviation of the gap each, in mm
 * @param open those that a tape can still make smaller
 */
public record Doubt(Map<Of, Double> parts, Set<Of> open) {
    /** A cause, with what is left of it once it was measured as the page asks for: a part of what it is by eye. */
    public enum Of {
        /** Finding the place, reading the gap, the tyre's own size. */
        READ(1),
        HOUR(GapReading.Spot.TAPED / GapReading.Spot.EYE),
        ACROSS(0.2),
        AXIS(1.0 / 6),
        LOCK(0.25),
        BUMP(1),
        /** Camber that comes with bump. */
        CAMBER(0.3),
        /** Toe that comes with bump, and the hub's own way across and along. */
        PATH(1),
        /** Where another wheel's spokes stand. */
        SPOKES(0.05);

        private final double left;

        Of(double left) {
            this.left = left;
        }
    }

    public Doubt {
        parts = parts.isEmpty() ? Map.of() : new EnumMap<>(parts);
        open = Set.copyOf(open);
    }

    /** Of the reading alone. */
    public static Doubt ofReading(double standard) {
        return new Doubt(Map.of(Of.READ, standard), Set.of());
    }

    public double part(Of of) {
        return parts.getOrDefault(of, 0.0);
    }

    /** All together, one standard deviation in mm: they have nothing to do with each other. */
    public double standard() {
        return Math.sqrt(
                parts.values().stream().mapToDouble(part -> part * part).sum());
    }

    /**
     * How many standard deviations are exceeded one way by 5 in 100. How widely vehicles differ and eyes err is itself but
     * roughly known, to 35 % (ours), so that as many degrees of freedom stand behind each such part as GUM G.4.2 gives it; together
     * by Welch and Satterthwaite (JCGM 100:2008, G.4.1).
     */
    double sure() {
        double all = 0;
        double rough = 0;
        for (Map.Entry<Of, Double> part : parts.entrySet()) {
            double square = part.getValue() * part.getValue();
            all += square;
            rough += open.contains(part.getKey()) || part.getKey() == Of.PATH ? square * square / ROUGHLY : 0;
        }
        // As a part of one over the degrees of freedom, which the quantile nearly follows in proportion.
        double freedom = all == 0 ? 0 : rough / (all * all);
        double at = Math.min(1, freedom * ROUGHLY) * (QUANTILES.length - 1);
        int low = Math.min(QUANTILES.length - 2, (int) at);
        return QUANTILES[low] + (at - low) * (QUANTILES[low + 1] - QUANTILES[low]);
    }

    private static final double ROUGHLY = 1 / (2 * 0.35 * 0.35);

    /** Of 95 % one way, from no doubt of the widths to all of it, in even steps of one over the degrees of freedom. */
    private static final double[] QUANTILES = IntStream.rangeClosed(0, 20)
            .mapToDouble(i ->
                    i == 0 ? Verdict.SURE : TDistribution.of(ROUGHLY * 20 / i).inverseCumulativeProbability(0.95))
            .toArray();

    /** What would be left with all measured that is open. */
    private double least() {
        double left = 0;
        for (Map.Entry<Of, Double> part : parts.entrySet()) {
            double one = part.getValue() * (open.contains(part.getKey()) ? part.getKey().left : 1);
            left += one * one;
        }
        return Math.sqrt(left);
    }

    /**
     * What to measure first so that no more is left than may be: what is greatest of all that is open; empty when all of it
     * together would not do.
     *
     * @param most that may be left, mm
     */
    Optional<Of> toMeasure(double most) {
        if (!(least() <= most)) {
            return Optional.empty();
        }
        return open.stream().max(Comparator.comparingDouble(this::part).thenComparing(Comparator.reverseOrder()));
    }
}
