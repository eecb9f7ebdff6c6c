package abbex.core.workcard;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.torque.Tightening;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** How a card stands by all that happened to it: what is done, what each step waits for, what lies on the bench. */
public final class CardState {
    private final Card card;
    private final Wanted wanted;
    private final Map<String, Set<Integer>> held = new HashMap<>();
    private final Map<String, Map<String, String>> captured = new HashMap<>();
    private final Set<String> ticked = new HashSet<>();
    private final Map<String, CardEvent.Otherwise> otherwise = new LinkedHashMap<>();
    private final Map<String, CardEvent.Placed> placed = new HashMap<>();
    private final Map<String, List<Tightening.Event>> fastened = new HashMap<>();

    private final List<CardEvent> events;

    private CardState(Card card, Wanted wanted, List<CardEvent> events) {
        this.card = card;
        this.wanted = wanted;
        this.events = List.copyOf(events);
    }

    /** By its events, the first first. What speaks of a step that the card has not is kept and counts nowhere. */
    public static CardState of(Card card, Wanted wanted, List<CardEvent> events) {
        CardState state = new CardState(card, wanted, events);
        events.forEach(state::take);
        return state;
    }

    private void take(CardEvent event) {
        if (event instanceof CardEvent.Held e) {
            held.computeIfAbsent(e.step(), k -> new HashSet<>()).add(e.hold());
        } else if (event instanceof CardEvent.Ticked e) {
            ticked.add(e.step());
            otherwise.remove(e.step());
        } else if (event instanceof CardEvent.Opened e) {
            ticked.remove(e.step());
            otherwise.remove(e.step());
            held.remove(e.step());
        } else if (event instanceof CardEvent.Otherwise e) {
            ticked.remove(e.step());
            otherwise.put(e.step(), e);
        } else if (event instanceof CardEvent.Captured e) {
            captured.computeIfAbsent(e.step(), k -> new HashMap<>()).put(e.capture(), e.text());
        } else if (event instanceof CardEvent.Placed e) {
            placed.put(e.part(), e);
        } else if (event instanceof CardEvent.Fastened e) {
            fastened.computeIfAbsent(e.fastener(), k -> new ArrayList<>()).add(e.event());
        }
    }

    /** Ticked. */
    public boolean done(String step) {
        return ticked.contains(step);
    }

    /** How it was done otherwise, or why it was put off. */
    public Optional<CardEvent.Otherwise> otherwise(String step) {
        return Optional.ofNullable(otherwise.get(step));
    }

    /** Nobody has to come back to it for now. */
    public boolean settled(String step) {
        return done(step) || otherwise.containsKey(step);
    }

    public boolean held(String step, int hold) {
        return held.getOrDefault(step, Set.of()).contains(hold);
    }

    public String captured(String step, String capture) {
        return captured.getOrDefault(step, Map.of()).getOrDefault(capture, "");
    }

    public Tightening tightening(String fastener) {
        return Tightening.of(fastened.getOrDefault(fastener, List.of()));
    }

    /** What keeps a step from being ticked, in the order in which it is seen to; empty where nothing does. */
    public List<Blocker> blockers(CardStep step) {
        return asks(step, this).stream().filter(ask -> !met(step, ask)).toList();
    }

    /** All that a step asks for, met or not, as it will be once all before it are done: what is gone through where nobody can be asked. */
    public List<Blocker> asks(CardStep step) {
        List<CardEvent> ahead = new ArrayList<>(events);
        card.steps().stream()
                .takeWhile(other -> !other.equals(step))
                .filter(other -> !settled(other.key()))
                .forEach(other -> ahead.add(new CardEvent.Ticked(other.key())));
        return asks(step, of(card, wanted, ahead));
    }

    private List<Blocker> asks(CardStep step, CardState bench) {
        List<Blocker> asks = new ArrayList<>();
        card.steps().stream()
                .filter(other ->
                        card.before().getOrDefault(step.key(), Set.of()).contains(other.key()))
                .forEach(other -> asks.add(new Blocker.Before(other)));
        for (int i = 0; i < step.step().holds().size(); i++) {
            asks.add(new Blocker.Hold(i, step.step().holds().get(i)));
        }
        step.step().captures().forEach(capture -> asks.add(new Blocker.Missing(capture)));
        for (Step.Fastener fastener : step.step().fasteners()) {
            String key = step.fastener(fastener);
            asks.add(new Blocker.Loose(key, fastener, tightening(key).state()));
        }
        if (step.step().role().filter(r -> r == Step.Role.CLOSE).isPresent()) {
            bench.parts().stream()
                    .filter(part -> part.open() && near(part.place(), step.place()))
                    .forEach(part -> asks.add(new Blocker.OnBench(part)));
        }
        return asks;
    }

    /** What a step asks for is so. */
    public boolean met(CardStep step, Blocker ask) {
        if (ask instanceof Blocker.Before before) {
            return settled(before.step().key());
        }
        if (ask instanceof Blocker.Hold hold) {
            return held(step.key(), hold.number());
        }
        if (ask instanceof Blocker.Missing missing) {
            return !captured(step.key(), missing.capture().id()).isEmpty();
        }
        return ask instanceof Blocker.Loose loose && loose.state() == Tightening.State.DONE;
    }

    private static Optional<End> end(Place place) {
        return place instanceof End end
                ? Optional.of(end)
                : place instanceof Corner corner ? Optional.of(corner.end()) : Optional.empty();
    }

    private static boolean near(Place part, Place step) {
        return part.equals(step)
                || end(step).isEmpty()
                || (step instanceof End || part instanceof End) && end(part).equals(end(step));
    }

    /** Every part that the kit brought or that came off, in the order of the card. */
    public List<BenchPart> parts() {
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
            for (String kind : wanted.supplied().get(end).stream().sorted().toList()) {
                boolean known = parts.values().stream()
                        .anyMatch(p -> p.supplied()
                                && p.kind().equals(kind)
                                && end(p.place()).filter(end::equals).isPresent());
                if (!known) {
                    put(parts, kind, true, end, BenchPart.Fate.ON_BENCH, true);
                }
            }
        }
        return List.copyOf(parts.values());
    }

    private void old(Map<String, BenchPart> parts, CardStep step, String kind) {
        put(
                parts,
                kind,
                false,
                step.place(),
                done(step.key()) ? BenchPart.Fate.ON_BENCH : BenchPart.Fate.ON_VEHICLE,
                false);
    }

    private void on(Map<String, BenchPart> parts, CardStep step, String kind) {
        boolean fresh = end(step.place())
                .filter(e -> wanted.supplied().get(e).contains(kind))
                .isPresent();
        if (fresh) {
            put(
                    parts,
                    kind,
                    true,
                    step.place(),
                    done(step.key()) ? BenchPart.Fate.FITTED : BenchPart.Fate.ON_BENCH,
                    false);
        } else if (done(step.key()) && parts.containsKey(key(kind, false, step.place()))) {
            put(parts, kind, false, step.place(), BenchPart.Fate.BACK, false);
        }
    }

    private static String key(String kind, boolean supplied, Place place) {
        return kind + (supplied ? "/new@" : "/old@") + place.code();
    }

    /** What somebody said of a part outranks what its steps say, but for one that was fitted since. */
    private void put(
            Map<String, BenchPart> parts,
            String kind,
            boolean supplied,
            Place place,
            BenchPart.Fate fate,
            boolean stepless) {
        String key = key(kind, supplied, place);
        BenchPart.Fate is =
                !fate.settled() && placed.containsKey(key) ? placed.get(key).fate() : fate;
        parts.put(key, new BenchPart(key, kind, supplied, place, is, stepless));
    }

    /** Why a part was left off; empty where nobody said. */
    public String reason(String part) {
        return Optional.ofNullable(placed.get(part))
                .map(CardEvent.Placed::reason)
                .orElse("");
    }

    /** A step that was ticked and whose fastener a better source has opened since. */
    public boolean reopened(CardStep step) {
        return done(step.key())
                && step.step().fasteners().stream()
                        .anyMatch(f -> tightening(step.fastener(f)).state() != Tightening.State.DONE);
    }

    /** What has to be looked at, and what is open. */
    public List<CardFinding> findings() {
        List<CardFinding> findings = new ArrayList<>();
        for (CardStep step : card.steps()) {
            for (Step.Fastener fastener : step.step().fasteners()) {
                Tightening is = tightening(step.fastener(fastener));
                switch (is.state()) {
                    case REOPENED -> findings.add(new CardFinding.TightenAgain(step.place(), fastener.name()));
                    case OFF -> findings.add(new CardFinding.TorqueOff(step.place(), fastener.name()));
                    case DONE ->
                        is.spec()
                                .filter(spec -> !spec.source().verified())
                                .ifPresent(spec ->
                                        findings.add(new CardFinding.Unverified(step.place(), fastener.name())));
                    default -> {}
                }
            }
            otherwise(step.key())
                    .ifPresent(o -> findings.add(new CardFinding.DoneOtherwise(
                            step.place(), step.step().title(), o.reason(), o.limit())));
        }
        if (!finished()) {
            findings.add(new CardFinding.CardOpen(
                    Whole.VEHICLE, new CardFinding.Steps(card.steps().size() - settled())));
        }
        findings.sort(Finding.WORST_FIRST);
        return List.copyOf(findings);
    }

    /** The step to go on with: the first that is not settled; empty at the end of the card. */
    public Optional<CardStep> next() {
        return card.steps().stream()
                .filter(step -> !settled(step.key()) || reopened(step))
                .findFirst();
    }

    /** Everything is settled, tight, marked and accounted for. */
    public boolean finished() {
        return card.steps().stream().allMatch(step -> settled(step.key()) && !reopened(step))
                && parts().stream().noneMatch(BenchPart::open);
    }

    public int settled() {
        return (int) card.steps().stream().filter(s -> settled(s.key())).count();
    }

    /** Minutes of the steps that are still to be done, by one person or by two who share what can be shared. */
    public int minutes(int people) {
        return Minutes.of(
                card, card.steps().stream().filter(s -> !settled(s.key())).toList(), people);
    }
}
