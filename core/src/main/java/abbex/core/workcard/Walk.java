package abbex.core.workcard;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The order of steps that takes a vehicle up and down as seldom as any can, then moves its jack as seldom.
 *
 * <p>Exact: from where a vehicle stands, nothing is gained by leaving a step for later that can be done now, because whoever has
 * done more can do all that follows too. So an order is a row of footings, at each of which all is done that can be; the cheapest
 * row is found by Dijkstra's search over what is done. Within a footing the walk goes on where it is, then at the same end.
 */
final class Walk {
    private static final long LIFT = 1_000_000;
    private static final long JACK = 1_000;
    private static final String WHEELS = Step.Footing.WHEELS.name();

    private Walk() {}

    /** Indices in their order, and how often the vehicle goes up. */
    record Order(int[] indices, int lifts) {}

    private record Stand(
            BitSet done,
            String footing,
            long cost,
            int seq,
            @Nullable Stand from) {}

    /** Within a footing what needs one pair of hands goes first as far as it can where a helper is called for. */
    static Order order(List<CardStep> steps, int[][] before, boolean gather) {
        ring(steps, before);
        Map<String, BitSet> byFooting = new HashMap<>();
        Set<String> footings = new LinkedHashSet<>(List.of(WHEELS));
        for (int i = 0; i < steps.size(); i++) {
            footings.add(steps.get(i).footing());
            byFooting.computeIfAbsent(steps.get(i).footing(), f -> new BitSet()).set(i);
        }
        Stand end = search(steps.size(), before, byFooting, List.copyOf(footings));
        List<Stand> row = new ArrayList<>();
        for (@Nullable Stand at = end; at != null; at = at.from()) {
            row.add(0, at);
        }
        return new Order(walk(steps, before, row, gather), (int) (end.cost() / LIFT));
    }

    private static Stand search(int all, int[][] before, Map<String, BitSet> byFooting, List<String> footings) {
        PriorityQueue<Stand> open =
                new PriorityQueue<>(Comparator.comparingLong(Stand::cost).thenComparingInt(Stand::seq));
        Map<String, Set<BitSet>> closed = new HashMap<>();
        open.add(new Stand(closure(new BitSet(), WHEELS, before, byFooting), WHEELS, 0, 0, null));
        int seq = 1;
        while (true) {
            Stand at = open.remove();
            if (at.done().cardinality() == all) {
                return at;
            }
            if (!closed.computeIfAbsent(at.footing(), f -> new LinkedHashSet<>())
                    .add(at.done())) {
                continue;
            }
            for (String to : footings) {
                if (to.equals(at.footing())) {
                    continue;
                }
                BitSet done = closure(at.done(), to, before, byFooting);
                if (done.cardinality() > at.done().cardinality()) {
                    open.add(new Stand(done, to, at.cost() + cost(at.footing(), to), seq++, at));
                }
            }
        }
    }

    private static long cost(String from, String to) {
        return (from.equals(WHEELS) ? LIFT : 0) + (to.startsWith("C") ? JACK : 0) + 1;
    }

    private static BitSet closure(BitSet done, String footing, int[][] before, Map<String, BitSet> byFooting) {
        BitSet more = (BitSet) done.clone();
        BitSet here = byFooting.getOrDefault(footing, new BitSet());
        boolean again = true;
        while (again) {
            again = false;
            for (int i = here.nextSetBit(0); i >= 0; i = here.nextSetBit(i + 1)) {
                if (!more.get(i) && ready(more, before[i])) {
                    more.set(i);
                    again = true;
                }
            }
        }
        return more;
    }

    private static boolean ready(BitSet done, int[] before) {
        for (int i : before) {
            if (!done.get(i)) {
                return false;
            }
        }
        return true;
    }

    /** Within each footing on where one is, then at the same end, then as the book has it. */
    private static int[] walk(List<CardStep> steps, int[][] before, List<Stand> row, boolean gather) {
        int[] order = new int[steps.size()];
        BitSet done = new BitSet();
        int at = 0;
        @Nullable CardStep last = null;
        for (Stand stand : row) {
            BitSet left = (BitSet) stand.done().clone();
            left.andNot(done);
            while (!left.isEmpty()) {
                int next = next(steps, before, done, left, last, gather);
                last = steps.get(next);
                order[at++] = next;
                done.set(next);
                left.clear(next);
            }
        }
        return order;
    }

    private static int next(
            List<CardStep> steps, int[][] before, BitSet done, BitSet left, @Nullable CardStep last, boolean gather) {
        int best = -1;
        int near = Integer.MAX_VALUE;
        for (int i = left.nextSetBit(0); i >= 0; i = left.nextSetBit(i + 1)) {
            if (ready(done, before[i])) {
                int far = last == null ? 0 : far(last, steps.get(i));
                far += gather
                                && last != null
                                && last.step().hands() != steps.get(i).step().hands()
                        ? FAR
                        : 0;
                if (far < near) {
                    near = far;
                    best = i;
                }
            }
        }
        return best;
    }

    /** Farther than any place: hands come before ways. */
    private static final int FAR = 10;

    private static int far(CardStep from, CardStep to) {
        if (from.place().equals(to.place())) {
            return 0;
        }
        return to.end().isEmpty() ? 1 : from.end().equals(to.end()) ? 2 : 3;
    }

    /** Names the steps of a ring, where there is one. */
    private static void ring(List<CardStep> steps, int[][] before) {
        int[] seen = new int[steps.size()];
        for (int i = 0; i < steps.size(); i++) {
            List<Integer> path = new ArrayList<>();
            if (seen[i] == 0 && closes(i, before, seen, path)) {
                int first = path.indexOf(path.get(path.size() - 1));
                List<String> keys = new ArrayList<>();
                for (int k = path.size() - 1; k > first; k--) {
                    keys.add(steps.get(path.get(k)).key());
                }
                throw new Card.Ring(keys);
            }
        }
    }

    private static boolean closes(int i, int[][] before, int[] seen, List<Integer> path) {
        path.add(i);
        seen[i] = 1;
        for (int j : before[i]) {
            if (seen[j] == 1) {
                path.add(j);
                return true;
            }
            if (seen[j] == 0 && closes(j, before, seen, path)) {
                return true;
            }
        }
        seen[i] = 2;
        path.remove(path.size() - 1);
        return false;
    }
}
