package abbex.core.heights;

import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * How well the two points of a method are found: one standard uncertainty for each method in millimetres, the default or the
 * shop's own. Immutable.
 *
 * <p>A shop's own comes from two people's readings of the same spot: their variances pooled (JCGM 100:2008,
 * 4.2.4, from memory), less what the tape's marks bring, and shrunk towards the default as if that had ten degrees of freedom
 * (ours). Below ten pooled degrees of freedom the default stands.
 */
public final class Repeatability {
    /** So many degrees of freedom a shop's own readings need, and so many the default counts for. */
    public static final int ENOUGH = 10;
    /**
     * Two readings further apart, in standard deviations of their difference, are a mistake and no scatter: by the shop's own
     * scatter where that is wider than the usual one, else a rough shop's truth would count as its mistakes.
     */
    private static final double MISTAKE = 3.5;

    /** The median of differences of a normal distribution, in standard deviations of a difference (upper quartile). */
    private static final double MEDIAN = 0.6745;

    public static final Repeatability USUAL = new Repeatability(Map.of());

    /**
     * What the repeats of a method say.
     *
     * @param freedom pooled degrees of freedom
     * @param pooled the standard deviation of finding the points from them alone, in mm
     * @param leftOut spots that disagree so much that somebody misread
     * @param used the standard uncertainty that is reckoned with
     */
    public record Own(int freedom, double pooled, int leftOut, Uncertainty used) {
        public boolean enough() {
            return freedom >= ENOUGH;
        }
    }

    private final Map<Method, Own> own;

    private Repeatability(Map<Method, Own> own) {
        this.own = new EnumMap<>(Method.class);
        this.own.putAll(own);
    }

    /**
     * The shop's own.
     *
     * @param repeats each the readings of one spot of one sheet by two people or more
     */
    public static Repeatability pooled(Collection<List<Reading>> repeats) {
        Map<Method, Own> own = new EnumMap<>(Method.class);
        for (Method method : Method.values()) {
            List<List<Reading>> of = repeats.stream()
                    .filter(r -> r.size() > 1 && r.get(0).spot().way() == method)
                    .toList();
            if (!of.isEmpty()) {
                own.put(method, pool(method, of));
            }
        }
        return new Repeatability(own);
    }

    private static Own pool(Method method, List<List<Reading>> repeats) {
        int freedom = 0;
        int leftOut = 0;
        double squares = 0;
        double scatter = scatter(repeats);
        for (List<Reading> readings : repeats) {
            if (mistaken(readings, scatter)) {
                leftOut++;
                continue;
            }
            double mean =
                    readings.stream().mapToDouble(r -> r.value().mm()).average().orElseThrow();
            double scale = 0;
            for (Reading reading : readings) {
                double off = reading.value().mm() - mean;
                squares += off * off;
                scale += reading.tape().standardMm() * reading.tape().standardMm() / readings.size();
            }
            squares -= scale * (readings.size() - 1);
            freedom += readings.size() - 1;
        }
        double pooled = freedom == 0 ? 0 : Math.sqrt(Math.max(0, squares / freedom));
        Uncertainty used = Uncertainty.known(method.repeatability().mm());
        if (freedom >= ENOUGH) {
            double usual = method.repeatability().mm();
            double variance = (ENOUGH * usual * usual + freedom * pooled * pooled) / (ENOUGH + freedom);
            used = new Uncertainty(Math.sqrt(variance), ENOUGH + freedom);
        }
        return new Own(freedom, pooled, leftOut, used);
    }

    /** Standard deviation of one reading by the median of all differences: half of them may be mistakes. */
    private static double scatter(List<List<Reading>> repeats) {
        double[] apart = repeats.stream()
                .flatMapToDouble(readings -> IntStream.range(1, readings.size())
                        .boxed()
                        .flatMapToDouble(i -> IntStream.range(0, i)
                                .mapToDouble(j -> Math.abs(readings.get(i)
                                        .value()
                                        .minus(readings.get(j).value())
                                        .mm()))))
                .sorted()
                .toArray();
        return apart.length == 0 ? 0 : apart[apart.length / 2] / (MEDIAN * Math.sqrt(2));
    }

    private static boolean mistaken(List<Reading> readings, double scatter) {
        Length low = readings.get(0).value();
        Length high = low;
        double variance = scatter * scatter;
        for (Reading reading : readings) {
            low = reading.value().compareTo(low) < 0 ? reading.value() : low;
            high = reading.value().compareTo(high) > 0 ? reading.value() : high;
            double standard = reading.estimate().uncertainty().standard();
            variance = Math.max(variance, standard * standard);
        }
        return high.minus(low).mm() > MISTAKE * Math.sqrt(2 * variance);
    }

    /** The standard uncertainty of finding the points of a method, in mm. */
    public Uncertainty of(Way way) {
        Own mine = way instanceof Method method ? own.get(method) : null;
        return mine == null ? Uncertainty.known(way.repeatability().mm()) : mine.used();
    }

    /** What the shop's own repeats say of a method; nothing yet has no degrees of freedom. */
    public Own own(Method method) {
        Own mine = own.get(method);
        return mine == null ? new Own(0, 0, 0, of(method)) : mine;
    }
}
