package abbex.core.workcard;

import abbex.core.figure.Place;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** Where every part of a job is: what steps say, and what somebody said. */
final class Bench {
    private final Card card;
    private final Wanted wanted;
    private final Predicate<String> done;
    private final Map<String, CardEvent.Placed> placed;

    /** @param done whether a step of that key is ticked */
    Bench(Card card, Wanted wanted, Predicate<String> done, Map<String, CardEvent.Placed> placed) {
        this.card = card;
        this.wanted = wanted;
        this.done = done;
        this.placed = placed;
    }

    private static Optional<End> end(Place place) {
        return place instanceof End end
                ? Optional.of(end)
                : place instanceof Corner corner ? Optional.of(corner.end()) : Optional.empty();
    }

    /** A part there is one that a step there asks about. */
    static boolean near(Place part, Place step) {
        return part.equals(step)
                || end(step).isEmpty()
                || (step instanceof End || part instanceof End) && end(part).equals(end(step));
    }

    /** In the order of the card. */
    List<BenchPart> parts() {
        Map<String, BenchPart> parts = new LinkedHashMap<>();
        for (CardStep step : card.steps()) {
            for (String kind : step.step().off()) {
                old(parts, step, kind);
            }
            for (String kind : step.step().on()) {
                on(parts, step, kind);
            }
        }
        for (End end : End.values()) {
            if (wanted.later(end)) {
                continue;
            }
            for (String kind : wanted.pieces(end).stream().sorted().toList()) {
                boolean known = parts.values().stream()
                        .anyMatch(p -> p.supplied()
                                && p.kind().equals(kind)
                                && end(p.place()).filter(end::equals).isPresent());
                if (!known) {
                    put(parts, key(kind, true, end, ""), kind, true, end, BenchPart.Fate.ON_BENCH, true);
                }
            }
        }
        return List.copyOf(parts.values());
    }

    private void old(Map<String, BenchPart> parts, CardStep step, String kind) {
        put(
                parts,
                key(step, kind, false),
                kind,
                false,
                step.place(),
                done.test(step.key()) ? BenchPart.Fate.ON_BENCH : BenchPart.Fate.ON_VEHICLE,
                false);
    }

    private void on(Map<String, BenchPart> parts, CardStep step, String kind) {
        boolean fresh = end(step.place())
                .filter(e -> wanted.supplied().get(e).contains(kind))
                .isPresent();
        if (fresh) {
            put(
                    parts,
                    key(step, kind, true),
                    kind,
                    true,
                    step.place(),
                    done.test(step.key()) ? BenchPart.Fate.FITTED : BenchPart.Fate.ON_BENCH,
                    false);
        } else if (done.test(step.key()) && parts.containsKey(key(step, kind, false))) {
            put(parts, key(step, kind, false), kind, false, step.place(), BenchPart.Fate.BACK, false);
        }
    }

    private static String key(CardStep step, String kind, boolean supplied) {
        return key(kind, supplied, step.place(), CardStep.mark(step.round()));
    }

    private static String key(String kind, boolean supplied, Place place, String mark) {
        return kind + (supplied ? "/new@" : "/old@") + place.code() + mark;
    }

    /** What somebody said of a part outranks what its steps say, but for one that was fitted since. */
    private void put(
            Map<String, BenchPart> parts,
            String key,
            String kind,
            boolean supplied,
            Place place,
            BenchPart.Fate fate,
            boolean stepless) {
        BenchPart.Fate is =
                !fate.settled() && placed.containsKey(key) ? placed.get(key).fate() : fate;
        parts.put(key, new BenchPart(key, kind, supplied, place, is, stepless));
    }
}
