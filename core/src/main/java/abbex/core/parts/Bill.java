package abbex.core.parts;

import abbex.core.clearance.ClearanceFinding;
import abbex.core.clearance.Remedy;
import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.kit.KitFinding;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The parts of a job: what the kit brings, what was calculated to be wanted besides, fasteners that are renewed every time, and
 * what comes off and goes back. It follows from plan and card; only where each part is has to be said.
 */
public record Bill(List<BillLine> lines) {
    public Bill {
        lines = List.copyOf(lines);
    }

    /** What a job's bill follows from. */
    public record Job(Card card, Wanted wanted, CardState state, Collection<? extends Finding> planned) {}

    public static Bill of(Job job, List<PartEvent> events) {
        Map<String, BillLine> lines = new LinkedHashMap<>();
        supplied(job, lines);
        extra(job, lines);
        once(job, lines);
        events.forEach(event -> {
            if (event instanceof PartEvent.Added added) {
                BillLine.Why why = added.listed() ? BillLine.Why.LISTED : BillLine.Why.ADDED;
                put(lines, why, added.line(), added.name(), "", Whole.VEHICLE, added.count());
            }
        });
        reused(job, lines);
        events.forEach(event -> lines.computeIfPresent(event.line(), (key, line) -> said(line, event)));
        return new Bill(lines.values().stream()
                .sorted(Comparator.comparing(BillLine::why))
                .toList());
    }

    private static BillLine said(BillLine line, PartEvent event) {
        if (event instanceof PartEvent.Noted noted) {
            return line.with(noted.facts());
        }
        if (line.status() == BillLine.Status.FITTED || line.status() == BillLine.Status.ON_VEHICLE) {
            return line;
        }
        if (event instanceof PartEvent.Asked asked) {
            return line.with(BillLine.Status.AWAITED, asked.due());
        }
        if (event instanceof PartEvent.Arrived) {
            return line.with(BillLine.Status.HERE, Optional.empty());
        }
        return event instanceof PartEvent.NotNeeded
                ? line.with(BillLine.Status.NOT_NEEDED, Optional.empty())
                : line.with(BillLine.Status.OPEN, Optional.empty());
    }

    /** What the kit brings: a piece for each place where a step puts it on, else for each wheel of its end. */
    private static void supplied(Job job, Map<String, BillLine> lines) {
        for (End end : End.values()) {
            for (String kind : job.wanted().pieces(end).stream().sorted().toList()) {
                int places = job.card().steps().stream()
                        .filter(step -> at(step, end) && step.step().on().contains(kind))
                        .map(CardStep::place)
                        .distinct()
                        .mapToInt(place -> pieces(job, place))
                        .sum();
                int wheels = pieces(job, end);
                put(lines, BillLine.Why.SUPPLIED, kind + "@" + end.code(), kind, "", end, places > 0 ? places : wheels);
                if (fitted(job, part -> part.supplied() && part.kind().equals(kind) && at(part.place(), end))) {
                    lines.computeIfPresent(
                            kind + "@" + end.code(), (k, line) -> line.with(BillLine.Status.FITTED, Optional.empty()));
                }
            }
        }
    }

    /** A part of an end is one a wheel. */
    private static int pieces(Job job, Place place) {
        return place instanceof End && !job.wanted().kind().singleTrack() ? 2 : 1;
    }

    private static boolean fitted(Job job, Predicate<BenchPart> which) {
        List<BenchPart> parts = job.state().parts().stream().filter(which).toList();
        return !parts.isEmpty() && parts.stream().allMatch(part -> part.fate() == BenchPart.Fate.FITTED);
    }

    private static boolean at(CardStep step, End end) {
        return step.end().filter(end::equals).isPresent();
    }

    private static boolean at(Place place, End end) {
        return place == end || place instanceof Corner corner && corner.end() == end;
    }

    /** What was calculated asks for a part that no kit of the plan brings. */
    private static void extra(Job job, Map<String, BillLine> lines) {
        for (Finding finding : job.planned()) {
            wanted(finding).ifPresent(kind -> {
                String key = "extra:" + kind + "@" + finding.place().code();
                if (finding.place() instanceof End end
                        && job.wanted().supplied().get(end).contains(kind)) {
                    return;
                }
                lines.putIfAbsent(
                        key,
                        new BillLine(
                                key,
                                BillLine.Why.EXTRA,
                                kind,
                                "",
                                finding.place(),
                                EACH_WHEEL.contains(kind)
                                                && !(finding.place() instanceof Corner)
                                                && !job.wanted().kind().singleTrack()
                                        ? 2
                                        : 1,
                                Optional.of(finding),
                                BillLine.Status.OPEN,
                                Optional.empty(),
                                BillLine.Facts.NONE));
            });
        }
    }

    private static final List<String> EACH_WHEEL = List.of("stop", "damper", "wedge", "spacer", "tyre");

    /** What a remedy that is planned asks for; those that only work on the body ask for nothing. */
    private static Optional<String> planned(Remedy remedy) {
        return switch (remedy) {
            case LONGER_STOP -> Optional.of("stop");
            case OUTWARD -> Optional.of("spacer");
            case INWARD -> Optional.of("wheel");
            case NARROWER, LOWER_ASPECT -> Optional.of("tyre");
            case CAMBER -> Optional.of("camber");
            default -> Optional.empty();
        };
    }

    /** The kind of part that helps where one was found wanting. */
    private static Optional<String> wanted(Finding finding) {
        if (finding instanceof ClearanceFinding.RemedyPlanned planned) {
            return planned(planned.remedy());
        }
        if (finding instanceof KitFinding.OnStops
                || finding instanceof KitFinding.PerhapsOnStops
                || finding instanceof KitFinding.LittleTravelLeft) {
            return Optional.of("stop");
        }
        if (finding instanceof KitFinding.LooseAtDroop || finding instanceof KitFinding.MayBeLoose) {
            return Optional.of("damper");
        }
        if (finding instanceof KitFinding.AxleShifts) {
            return Optional.of("rod");
        }
        if (finding instanceof KitFinding.JointsUneven) {
            return Optional.of("wedge");
        }
        if (finding instanceof KitFinding.AxleNearFrame) {
            return Optional.of("notch");
        }
        return finding instanceof KitFinding.StandWillTopple ? Optional.of("stand") : Optional.empty();
    }

    /** Fasteners that are renewed: a piece for each place, the same name and thread at an end together. */
    private static void once(Job job, Map<String, BillLine> lines) {
        Map<String, Boolean> tight = new LinkedHashMap<>();
        for (CardStep step : job.card().steps()) {
            for (Step.Fastener fastener : step.step().fasteners()) {
                if (!fastener.once()) {
                    continue;
                }
                Place place = step.end().<Place>map(end -> end).orElse(step.place());
                String key = "once:" + fastener.id() + "@" + place.code();
                BillLine line = lines.get(key);
                put(
                        lines,
                        BillLine.Why.ONCE,
                        key,
                        fastener.name(),
                        fastener.thread(),
                        place,
                        line == null ? 1 : line.count() + 1);
                tight.merge(key, job.state().done(step.key()), Boolean::logicalAnd);
            }
        }
        tight.forEach((key, done) -> {
            if (done) {
                lines.computeIfPresent(key, (k, line) -> line.with(BillLine.Status.FITTED, Optional.empty()));
            }
        });
    }

    /** What a step takes off and another puts back, and no kit renews. */
    private static void reused(Job job, Map<String, BillLine> lines) {
        for (CardStep step : job.card().steps()) {
            for (String kind : step.step().on()) {
                boolean off = job.card().steps().stream()
                        .anyMatch(s ->
                                s.place().equals(step.place()) && s.step().off().contains(kind));
                if (!off
                        || step.end()
                                .filter(e -> job.wanted().supplied().get(e).contains(kind))
                                .isPresent()) {
                    continue;
                }
                Place place = step.end().<Place>map(end -> end).orElse(step.place());
                String key = "back:" + kind + "@" + place.code();
                BillLine line = lines.get(key);
                int pieces = pieces(job, step.place());
                put(lines, BillLine.Why.REUSED, key, kind, "", place, pieces + (line == null ? 0 : line.count()));
                lines.computeIfPresent(key, (k, one) -> one.with(BillLine.Status.ON_VEHICLE, Optional.empty()));
            }
        }
    }

    private static void put(
            Map<String, BillLine> lines,
            BillLine.Why why,
            String key,
            String kind,
            String thread,
            Place place,
            int count) {
        lines.put(
                key,
                new BillLine(
                        key,
                        why,
                        kind,
                        thread,
                        place,
                        count,
                        Optional.empty(),
                        BillLine.Status.OPEN,
                        Optional.empty(),
                        BillLine.Facts.NONE));
    }

    /** What stands between the job and its first lift. */
    public List<BillLine> missing() {
        return lines.stream().filter(BillLine::missing).toList();
    }

    /** What was asked for and is not here: the last to come last, what nobody named a day for after it. */
    public List<BillLine> awaited() {
        return lines.stream()
                .filter(line -> line.status() == BillLine.Status.AWAITED)
                .sorted(Comparator.comparing(line -> line.due().orElse(LocalDate.MAX)))
                .toList();
    }

    /** What the parts cost in the shop, each with its pieces and its freight; empty where nobody named a price. */
    public Optional<BigDecimal> landed() {
        return lines.stream().flatMap(line -> line.landed().stream()).reduce(BigDecimal::add);
    }

    /** Priced lines among those that a price can be named for. */
    public long priced() {
        return lines.stream().filter(line -> line.landed().isPresent()).count();
    }

    /** What a part that belongs to the job can be told of it. */
    public Optional<BillLine> find(String key) {
        return lines.stream().filter(line -> line.key().equals(key)).findFirst();
    }

    /** What was to be here before a day, and is not. */
    public List<BillLine> late(LocalDate today) {
        return lines.stream().filter(line -> line.late(today)).toList();
    }

    /**
     * What has to be looked at, whatever day it is.
     *
     * @param raised the vehicle was brought up by the card
     * @param pairs old parts beside new ones
     * @param below counted parts of this bill of which more was fitted than was there
     */
    public List<PartFinding> findings(boolean raised, List<OldNew> pairs, int below) {
        List<PartFinding> findings = new ArrayList<>();
        if (raised && !awaited().isEmpty()) {
            findings.add(new PartFinding.RaisedWithout(awaited().size()));
        }
        if (below > 0) {
            findings.add(new PartFinding.BelowShelf(below));
        }
        for (OldNew pair : pairs) {
            if (!pair.unlike().isEmpty()) {
                PartFinding.Unlike unlike = new PartFinding.Unlike(pair.kind(), pair.own(), pair.unlike());
                findings.add(
                        pair.because().isEmpty()
                                ? new PartFinding.NotAlike(pair.place(), unlike)
                                : new PartFinding.UnlikeAndMeant(pair.place(), unlike));
            }
        }
        return findings;
    }
}
