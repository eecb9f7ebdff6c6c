package abbex.core.workcard;

import abbex.core.figure.Finding;
import abbex.core.state.OpenWork;
import abbex.core.torque.Tightening;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;
import java.util.ArrayList;
import java.util.Arrays;
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
    private final Map<String, CardEvent.Found> found = new LinkedHashMap<>();
    /** The last step of each fastener: what is loosened again on the way is tightened once. */
    private final Map<String, String> closes = new HashMap<>();

    private final List<CardEvent> events;

    private CardState(Card card, Wanted wanted, List<CardEvent> events) {
        this.card = card;
        this.wanted = wanted;
        this.events = List.copyOf(events);
        card.steps().forEach(step -> step.step().fasteners().forEach(f -> closes.put(step.fastener(f), step.key())));
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
        } else if (event instanceof CardEvent.Found e) {
            found.put(e.id(), e);
        } else if (event instanceof CardEvent.Answered e) {
            found.computeIfPresent(e.found(), (id, was) -> answered(was, e));
        } else if (event instanceof CardEvent.Fastened e) {
            fastened.computeIfAbsent(e.fastener(), k -> new ArrayList<>()).add(e.event());
        }
    }

    private static CardEvent.Found answered(CardEvent.Found was, CardEvent.Answered now) {
        return new CardEvent.Found(
                was.id(), was.step(), was.text(), now.price().isEmpty() ? was.price() : now.price(), now.answer());
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

    /** What may be written down by one tap: what is usual, else what was written of the same step at another place. */
    public Optional<String> offered(CardStep step, Step.Capture capture) {
        if (!capture.usual().isEmpty()) {
            return Optional.of(capture.usual());
        }
        return card.steps().stream()
                .filter(other -> other.step().id().equals(step.step().id()) && !other.equals(step))
                .filter(other -> capture.kind() != Step.Capture.Kind.PHOTO)
                .map(other -> captured(other.key(), capture.id()))
                .filter(text -> !text.isEmpty())
                .reduce((first, last) -> last);
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
        List<String> holds = step.step().allHolds();
        for (int i = 0; i < holds.size(); i++) {
            asks.add(new Blocker.Hold(i, holds.get(i)));
        }
        step.step().captures().forEach(capture -> asks.add(new Blocker.Missing(capture)));
        for (Step.Fastener fastener : fasteners(step)) {
            String key = step.fastener(fastener);
            asks.add(new Blocker.Loose(key, fastener, tightening(key).state()));
        }
        if (is(step, Step.Role.CLOSE)) {
            bench.parts().stream()
                    .filter(part -> part.open() && Bench.near(part.place(), step.place()))
                    .forEach(part -> asks.add(new Blocker.OnBench(part)));
            offers().stream()
                    .filter(offer -> card.find(offer.step())
                            .filter(at -> Bench.near(at.place(), step.place()))
                            .isPresent())
                    .forEach(offer -> asks.add(new Blocker.Offer(offer.id(), offer.text())));
        }
        if (is(step, Step.Role.ROLL)) {
            asks.addAll(unlocked(step.round()));
        }
        return asks;
    }

    private static boolean is(CardStep step, Step.Role role) {
        return step.step().role().filter(r -> r == role).isPresent();
    }

    /** Locks up to a round of which nobody has said that they are shut, of steps that are settled without. */
    private List<Blocker> unlocked(int round) {
        List<Blocker> open = new ArrayList<>();
        for (CardStep step : card.steps()) {
            int first = step.step().firstLock();
            for (int i = 0; i < step.step().locks().size(); i++) {
                if (step.round() <= round && settled(step.key()) && !held(step.key(), first + i)) {
                    open.add(new Blocker.Unlocked(step, step.step().locks().get(i)));
                }
            }
        }
        return open;
    }

    /** Fasteners that a step leaves tight: those that no later one loosens again. */
    public List<Step.Fastener> fasteners(CardStep step) {
        return step.step().fasteners().stream()
                .filter(f -> step.key().equals(closes.get(step.fastener(f))))
                .toList();
    }

    /** The press by which a step is done says it too: a check, a lock, what is offered, a bolt at its figure. */
    public boolean saidByDone(CardStep step, Blocker ask) {
        if (ask instanceof Blocker.Hold hold) {
            return step.step().after(hold.number());
        }
        if (ask instanceof Blocker.Missing missing) {
            return offered(step, missing.capture()).isPresent();
        }
        return ask instanceof Blocker.Loose loose
                && switch (loose.state()) {
                    case OPEN, UNMARKED, DONE -> true;
                    case UNKNOWN, REOPENED, OFF -> false;
                };
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

    /** Every part that the kit brought or that came off, in the order of the card. */
    public List<BenchPart> parts() {
        return new Bench(card, wanted, this::done, placed).parts();
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
                && fasteners(step).stream()
                        .anyMatch(f -> tightening(step.fastener(f)).state() != Tightening.State.DONE);
    }

    /** What was found and the customer has not answered. */
    public List<CardEvent.Found> offers() {
        return found.values().stream()
                .filter(offer -> offer.answer() == CardFinding.Answer.NOT_ASKED)
                .toList();
    }

    /** All that was found while it was open, answered or not, in the order in which it was found. */
    public List<CardEvent.Found> found() {
        return List.copyOf(found.values());
    }

    /** What has to be looked at, and what is open. */
    public List<CardFinding> findings() {
        List<CardFinding> findings = new ArrayList<>();
        for (CardStep step : card.steps()) {
            for (Step.Fastener fastener : fasteners(step)) {
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
        for (Blocker open : unlocked(wanted.rounds().size())) {
            Blocker.Unlocked lock = (Blocker.Unlocked) open;
            findings.add(new CardFinding.LockOpen(lock.step().place(), lock.text()));
        }
        for (End end : End.values()) {
            if (wanted.later(end)) {
                findings.add(new CardFinding.PutOff(end));
            }
        }
        openWork(findings);
        found.values()
                .forEach(f -> findings.add(new CardFinding.Offered(
                        f.id(),
                        card.find(f.step()).map(CardStep::place).orElse(Whole.VEHICLE),
                        new CardFinding.Offer(f.text(), f.price()),
                        f.answer())));
        findings.sort(Finding.WORST_FIRST);
        return List.copyOf(findings);
    }

    /** What holds the vehicle here, by name, and what was found while it was open. */
    private void openWork(List<CardFinding> findings) {
        OpenWork open = open();
        if (!open.wheelsOff().isEmpty()) {
            findings.add(new CardFinding.WheelOff(open.wheelsOff().get(0), open.wheelsOff()));
        }
        if (!open.toTighten().isEmpty()) {
            findings.add(new CardFinding.ToTighten(
                    open.toTighten().get(0).place(),
                    pieces(open.toTighten()),
                    new CardFinding.Bolts(open.toTighten())));
        }
        if (!open.toMark().isEmpty()) {
            findings.add(new CardFinding.ToMark(
                    open.toMark().get(0).place(), pieces(open.toMark()), new CardFinding.Bolts(open.toMark())));
        }
        open.hand()
                .ifPresent(hand -> findings.add(new CardFinding.CardOpen(
                        hand.number(),
                        open.steps(),
                        open.footing(),
                        new CardFinding.Steps(open.steps() - open.done()))));
        List<BenchPart> left = parts().stream()
                .filter(part -> part.open() && !part.kind().equals("wheel"))
                .toList();
        if (open.hand().isEmpty() && !left.isEmpty()) {
            findings.add(new CardFinding.PartsLeft(left.get(0).place(), left));
        }
    }

    private static CardFinding.Pieces pieces(List<OpenWork.Bolt> bolts) {
        return new CardFinding.Pieces(bolts.size());
    }

    /** What stands open on the vehicle. */
    public OpenWork open() {
        return new CardOpenWork(card, this, wanted.facts().contains("lift")).open();
    }

    /** The step to go on with: the first that is not settled; empty at the end of the card. */
    public Optional<CardStep> next() {
        return card.steps().stream()
                .filter(step -> !settled(step.key()) || reopened(step))
                .findFirst();
    }

    /** Every step of every round is settled, and all of it tight, marked, answered and accounted for. */
    private boolean through() {
        return card.steps().stream().allMatch(step -> settled(step.key()) && !reopened(step))
                && parts().stream().noneMatch(BenchPart::open)
                && offers().isEmpty();
    }

    /** The same, no lock open and no end put off. */
    public boolean finished() {
        return through()
                && unlocked(wanted.rounds().size()).isEmpty()
                && Arrays.stream(End.values()).noneMatch(wanted::later);
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
