package abbex.core.kit;

import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Which of the sizes there are make a stack. */
public final class Stacks {
    private Stacks() {}

    /** Pieces of one thickness: how many there are for one corner. */
    public record Size(Length thickness, int pieces) {
        public Size {
            if (thickness.sign() <= 0 || pieces < 0) {
                throw new IllegalArgumentException("size: " + pieces + " of " + thickness);
            }
        }
    }

    /**
     * A stack.
     *
     * @param pieces the thickest first
     */
    public record Stack(List<Length> pieces) {
        public Length height() {
            return pieces.stream().reduce(Length.ZERO, Length::plus);
        }
    }

    /**
     * The stack that comes nearest to a wish, exactly; of those as near the one of fewest pieces, then the lower one. No piece at
     * all is a stack too.
     */
    public static Stack nearest(List<Size> sizes, Length wish) {
        return made(sizes).entrySet().stream()
                .min(Comparator.<Map.Entry<Long, int[]>>comparingLong(e -> Math.abs(e.getKey() - wish.nm()))
                        .thenComparingInt(e -> Arrays.stream(e.getValue()).sum())
                        .thenComparingLong(Map.Entry::getKey))
                .map(e -> stack(sizes, e.getValue()))
                .orElseThrow();
    }

    /** The stack of a height; empty where it cannot be made of the sizes. */
    public static Optional<Stack> exactly(List<Size> sizes, Length height) {
        return Optional.ofNullable(made(sizes).get(height.nm())).map(counts -> stack(sizes, counts));
    }

    /** Every height that can be made, the lowest first, each of the fewest pieces; no piece at all is one. */
    public static List<Stack> all(List<Size> sizes) {
        return made(sizes).values().stream().map(counts -> stack(sizes, counts)).toList();
    }

    /** Every height that can be made, in nanometres, with the fewest pieces of each size that make it. */
    private static Map<Long, int[]> made(List<Size> sizes) {
        Map<Long, int[]> made = new TreeMap<>();
        made.put(0L, new int[sizes.size()]);
        for (int i = 0; i < sizes.size(); i++) {
            Map<Long, int[]> before = new TreeMap<>(made);
            for (int n = 1; n <= sizes.get(i).pieces(); n++) {
                long more = sizes.get(i).thickness().nm() * n;
                for (Map.Entry<Long, int[]> from : before.entrySet()) {
                    int[] counts = from.getValue().clone();
                    counts[i] = n;
                    made.merge(
                            from.getKey() + more,
                            counts,
                            (a, b) -> Arrays.stream(a).sum() <= Arrays.stream(b).sum() ? a : b);
                }
            }
        }
        return made;
    }

    private static Stack stack(List<Size> sizes, int[] counts) {
        List<Length> pieces = new ArrayList<>();
        for (int i = 0; i < counts.length; i++) {
            for (int n = 0; n < counts[i]; n++) {
                pieces.add(sizes.get(i).thickness());
            }
        }
        pieces.sort(Comparator.reverseOrder());
        return new Stack(List.copyOf(pieces));
    }
}
