package abbex.core.workcard;

import abbex.core.figure.Place;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The steps of one vehicle in the order in which they are walked.
 *
 * @param steps each after all that come before it
 * @param before keys of the steps that come before each, by its key
 * @param lifts how often the vehicle goes up, never more than any order needs
 */
public record Card(List<CardStep> steps, Map<String, Set<String>> before, int lifts) {
    /** Steps that wait for each other in a ring, in its order. */
    public static final class Ring extends IllegalArgumentException {
        private static final long serialVersionUID = 1;
        private final List<String> keys;

        Ring(List<String> keys) {
            super("steps wait for each other: " + String.join(", ", keys));
            this.keys = List.copyOf(keys);
        }

        public List<String> keys() {
            return keys;
        }
    }

    public Card {
        steps = List.copyOf(steps);
        Map<String, Set<String>> all = new HashMap<>();
        before.forEach((key, of) -> all.put(key, Set.copyOf(of)));
        before = Map.copyOf(all);
    }

    /**
     * The card of a job, one round after the other.
     *
     * @throws Ring where steps wait for each other
     */
    public static Card of(List<Chapter> book, Wanted wanted) {
        List<CardStep> walked = new ArrayList<>();
        Map<String, Set<String>> before = new HashMap<>();
        int lifts = 0;
        Set<String> down = Set.of();
        for (int round = 1; round <= wanted.rounds().size(); round++) {
            Card one = of(book, wanted.in(round), round);
            one.before.forEach((key, of) -> before.put(key, new LinkedHashSet<>(of)));
            for (CardStep step : one.steps) {
                if (before.computeIfAbsent(step.key(), k -> new LinkedHashSet<>())
                        .isEmpty()) {
                    before.get(step.key()).addAll(down);
                }
            }
            walked.addAll(one.steps);
            lifts += one.lifts;
            down = one.steps.stream()
                    .filter(s ->
                            s.step().role().filter(r -> r == Step.Role.LOWER).isPresent())
                    .reduce((first, last) -> last)
                    .map(s -> Set.of(s.key()))
                    .orElse(down);
        }
        return new Card(walked, before, lifts);
    }

    private static Card of(List<Chapter> book, Wanted wanted, int round) {
        List<CardStep> steps = new ArrayList<>();
        List<Step> turns = new ArrayList<>();
        for (Chapter chapter : book) {
            for (Step step : chapter.steps()) {
                if (step.role().filter(Step.Role::turns).isPresent()) {
                    if (chapter.whole(wanted.kind()) && fits(step, wanted, Optional.empty())) {
                        turns.add(step);
                    }
                } else {
                    place(steps, chapter, step, wanted, round);
                }
            }
        }
        int[][] before = arrows(steps);
        Card near = ordered(steps, turns, before, round, false);
        Card gathered = wanted.facts().contains(Wanted.HELPER) ? ordered(steps, turns, before, round, true) : near;
        // Each goes on to what is nearest; now and then that gathers better than gathering does.
        return gathered.calls() <= near.calls() ? gathered : near;
    }

    private static Card ordered(List<CardStep> steps, List<Step> turns, int[][] before, int round, boolean gather) {
        Walk.Order order = Walk.order(steps, before, gather);
        Map<String, Set<String>> keys = new HashMap<>();
        for (int i = 0; i < steps.size(); i++) {
            Set<String> all = new LinkedHashSet<>();
            for (int j : before[i]) {
                all.add(steps.get(j).key());
            }
            keys.put(steps.get(i).key(), all);
        }
        return new Card(turned(steps, order.indices(), turns, keys, round), keys, order.lifts());
    }

    private static void place(List<CardStep> steps, Chapter chapter, Step step, Wanted wanted, int round) {
        List<End> ends = new ArrayList<>();
        for (End end : End.values()) {
            boolean whole = chapter.whole(wanted.kind());
            boolean own = chapter.of(wanted.kind(), wanted.architecture().get(end))
                    && !wanted.supplied().get(end).isEmpty();
            if (wanted.touches(end, round) && (whole || own)) {
                ends.add(end);
            }
        }
        if (step.span() == Step.Span.WHOLE) {
            if (!ends.isEmpty() && fits(step, wanted, Optional.empty())) {
                steps.add(CardStep.of(step, Whole.VEHICLE, round));
            }
            return;
        }
        for (End end : ends) {
            if (fits(step, wanted, Optional.of(end))) {
                List<Place> places =
                        step.span() == Step.Span.END || wanted.kind().singleTrack()
                                ? List.of(end)
                                : List.of(end.left(), end.right());
                places.forEach(place -> steps.add(CardStep.of(step, place, round)));
            }
        }
    }

    private static boolean fits(Step step, Wanted wanted, Optional<End> end) {
        for (String condition : step.when()) {
            boolean not = condition.startsWith("!");
            boolean is = Stream.of((not ? condition.substring(1) : condition).split("[|]"))
                    .anyMatch(one -> wanted.is(one, end));
            if (is == not) {
                return false;
            }
        }
        return true;
    }

    /** For each step the indices of those before it. */
    private static int[][] arrows(List<CardStep> steps) {
        int[][] before = new int[steps.size()][];
        for (int i = 0; i < steps.size(); i++) {
            BitSet all = new BitSet();
            for (int j = 0; j < steps.size(); j++) {
                if (i != j && comes(steps.get(j), steps.get(i)) && steps.get(i).meets(steps.get(j))) {
                    all.set(j);
                }
            }
            before[i] = all.stream().toArray();
        }
        return before;
    }

    private static boolean comes(CardStep first, CardStep then) {
        return then.step().after().contains(first.step().id())
                || first.step().precedes(then.step().id());
    }

    /** With the steps in between that bring it up and down: each waits for all before it, and all after it wait for it. */
    private static List<CardStep> turned(
            List<CardStep> steps, int[] order, List<Step> turns, Map<String, Set<String>> before, int round) {
        List<CardStep> walked = new ArrayList<>();
        Turner turner = new Turner(walked, turns, before, round);
        for (int i : order) {
            turner.to(steps.get(i).step().footing() != Step.Footing.WHEELS);
            before.getOrDefault(steps.get(i).key(), Set.of()).addAll(turner.last);
            walked.add(steps.get(i));
        }
        turner.to(false);
        return walked;
    }

    private static final class Turner {
        private final List<CardStep> walked;
        private final List<Step> turns;
        private final Map<String, Set<String>> before;
        private Set<String> last = Set.of();
        private boolean up;
        private int times;
        private int since;

        private final int round;

        Turner(List<CardStep> walked, List<Step> turns, Map<String, Set<String>> before, int round) {
            this.round = round;
            this.walked = walked;
            this.turns = turns;
            this.before = before;
        }

        void to(boolean over) {
            if (over == up) {
                return;
            }
            up = over;
            times += over ? 1 : 0;
            Set<String> all = new LinkedHashSet<>(last);
            walked.subList(since, walked.size()).forEach(step -> all.add(step.key()));
            Step.Role role = over ? Step.Role.RAISE : Step.Role.LOWER;
            for (Step step : turns) {
                if (step.role().filter(r -> r == role).isPresent()) {
                    CardStep turn =
                            new CardStep(step.id() + "@" + times + CardStep.mark(round), step, Whole.VEHICLE, round);
                    before.put(turn.key(), new LinkedHashSet<>(all));
                    all.add(turn.key());
                    walked.add(turn);
                    last = Set.of(turn.key());
                }
            }
            since = walked.size();
        }
    }

    public Optional<CardStep> find(String key) {
        return steps.stream().filter(step -> step.key().equals(key)).findFirst();
    }

    /** How often a second pair of hands is called for: rows of steps that need two. */
    public int calls() {
        int calls = 0;
        boolean there = false;
        for (CardStep step : steps) {
            boolean two = step.step().hands() > 1;
            calls += two && !there ? 1 : 0;
            there = two;
        }
        return calls;
    }

    /** Which it is, counted from 1; 0 where it is none. */
    public int number(String key) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).key().equals(key)) {
                return i + 1;
            }
        }
        return 0;
    }
}
