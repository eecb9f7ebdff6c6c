package abbex.core.settling;

import java.util.Map;
import java.util.TreeMap;

/**
 * Lengths that were seen, counted in bins: what is known of many without each of them.
 *
 * @param counts how many, by the number of the bin; a bin's middle is its number times its width
 */
public record Bins(Map<Integer, Integer> counts) {
    /** How wide a bin is, mm (ours: half of what a tape shows). */
    public static final double WIDTH = 0.5;

    public static final Bins NONE = new Bins(Map.of());

    public int count() {
        return counts.values().stream().mapToInt(n -> n).sum();
    }

    /** Their mean, mm; 0 of none. */
    public double mean() {
        double sum = counts.entrySet().stream()
                .mapToDouble(e -> e.getKey() * WIDTH * e.getValue())
                .sum();
        return count() == 0 ? 0 : sum / count();
    }

    /** Their standard deviation, mm, of which the width of the bins is taken off; 0 of fewer than two. Source: Sheppard. */
    public double spread() {
        double mean = mean();
        double squares = counts.entrySet().stream()
                .mapToDouble(e -> (e.getKey() * WIDTH - mean) * (e.getKey() * WIDTH - mean) * e.getValue())
                .sum();
        return count() < 2 ? 0 : Math.sqrt(Math.max(0, squares / (count() - 1) - WIDTH * WIDTH / 12));
    }

    /** The same without one value. */
    public Bins without(double value) {
        int bin = (int) Math.round(value / WIDTH);
        Map<Integer, Integer> rest = new TreeMap<>(counts);
        rest.computeIfPresent(bin, (b, n) -> n > 1 ? n - 1 : null);
        return new Bins(rest);
    }
}
