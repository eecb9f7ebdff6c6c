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
     * The card of a job.
     *
     * @throws Ring where steps wait for each other
     */
    public static Card of(List<Chapter> book, Wanted wanted) {
        List<CardStep> steps = new ArrayList<>();
        List<Step> turns = new ArrayList<>();
        for (Chapter chapter : book) {
            for (Step step : chapter.steps()) {
                if (step.role().filter(r -> r != Step.Role.CLOSE).isPresent()) {
                    if (chapter.whole(wanted.kind()) && fits(step, wanted, Optional.empty())) {
                        turns.add(step);
                    }
                } else {
                    place(steps, chapter, step, wanted);
                }
            }
        }
        int[][] before = arrows(steps);
        Walk.Order order = Walk.order(steps, before);
        Map<String, Set<String>> keys = new HashMap<>();
        for (int i = 0; i < steps.size(); i++) {
            Set<String> all = new LinkedHashSet<>();
            for (int j : before[i]) {
                all.add(steps.get(j).key());
            }
            keys.put(steps.get(i).key(), all);
        }
        return new Card(turned(steps, order.indices(), turns, keys), keys, order.lifts());
    }

    private static void place(List<CardStep> steps, Chapter chapter, Step step, Wanted wanted) {
        if (step.span() == Step.Span.WHOLE) {
            boolean anywhere = chapter.whole(wanted.kind()) || anyEnd(chapter, wanted);
            if (anywhere && fits(step, wanted, Optional.empty())) {
                steps.add(CardStep.of(step, Whole.VEHICLE));
            }
            return;
        }
        for (End end : End.values()) {
            boolean touched = !wanted.supplied().get(end).isEmpty();
            boolean known = chapter.whole(wanted.kind())
                    || chapter.of(wanted.kind(), wanted.architecture().get(end));
            if (!touched || !known || !fits(step, wanted, Optional.of(end))) {
                continue;
            }
            List<Place> places = step.span() == Step.Span.END || wanted.kind().singleTrack()
                    ? List.of(end)
                    : List.of(end.left(), end.right());
            places.forEach(place -> steps.add(CardStep.of(step, place)));
        }
    }

    private static boolean anyEnd(Chapter chapter, Wanted wanted) {
        for (End end : End.values()) {
            if (!wanted.supplied().get(end).isEmpty()
                    && chapter.of(wanted.kind(), wanted.architecture().get(end))) {
                return true;
            }
        }
        return false;
    }

    private static boolean fits(Step step, Wanted wanted, Optional<End> end) {
        for (String condition : step.when()) {
            boolean not = condition.startsWith("!");
            String fact = not ? condition.substring(1) : condition;
            boolean is = wanted.facts().contains(fact)
                    || end.filter(e -> e.code().equals(fact)).isPresent()
                    || (end.isPresent()
                            ? wanted.supplied().get(end.get()).contains(fact)
                            : wanted.supplied().stream().anyMatch(s -> s.contains(fact)));
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
                if (i != j
                        && steps.get(i)
                                .step()
                                .after()
                                .contains(steps.get(j).step().id())
                        && steps.get(i).meets(steps.get(j))) {
                    all.set(j);
                }
            }
            before[i] = all.stream().toArray();
        }
        return before;
    }

    /** With the steps in between that bring it up and down: each waits for all before it, and all after it wait for it. */
    private static List<CardStep> turned(
            List<CardStep> steps, int[] order, List<Step> turns, Map<String, Set<String>> before) {
        List<CardStep> walked = new ArrayList<>();
        Turner turner = new Turner(walked, turns, before);
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

        Turner(List<CardStep> walked, List<Step> turns, Map<String, Set<String>> before) {
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
                    CardStep turn = new CardStep(step.id() + "@" + times, step, Whole.VEHICLE);
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
