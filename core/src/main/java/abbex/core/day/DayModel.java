package abbex.core.day;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A day as the solver reads it, in slots of the grid: every job is a row of stints, in one bay from its begin to its end, with one
 * person who has it. That person does nothing else as long as a stint lasts and has no other job before it ends; between two stints
 * they may be the second at another vehicle.
 */
final class DayModel {
    private final Day day;
    private final CpModel model = new CpModel();
    private final int horizon;
    private final List<Job> jobs = new ArrayList<>();
    private final Map<String, List<IntervalVar>> bays = new HashMap<>();
    /** The same with what stands begun: that goes on whether or not its bay was to be shut. */
    private final Map<String, List<IntervalVar>> stood = new HashMap<>();
    /** Whole jobs of who has them. */
    private final Map<String, List<IntervalVar>> leads = new HashMap<>();
    /** What a person's hands are at. */
    private final Map<String, List<IntervalVar>> hands = new HashMap<>();

    private final Set<Integer> hinted = new HashSet<>();

    private record Job(
            DayJob job,
            BoolVar in,
            List<IntVar> starts,
            IntVar end,
            Map<String, BoolVar> bays,
            Map<String, BoolVar> leads,
            List<Map<String, BoolVar>> helpers) {}

    private DayModel(Day day) {
        this.day = day;
        int over = day.jobs().stream()
                .filter(j -> j.begun().isPresent())
                .mapToInt(DayJob::minutes)
                .sum();
        horizon = (Math.max(day.length(), day.now()) + over) / Day.GRID;
    }

    static DayModel of(Day day) {
        DayModel made = new DayModel(day);
        day.bays().forEach(bay -> made.bays.put(bay.name(), made.fixed(bay.shut(), bay.name())));
        day.people().forEach(person -> {
            made.leads.put(person.key(), new ArrayList<>());
            made.hands.put(person.key(), made.fixed(person.away(), person.key()));
        });
        day.jobs().forEach(made::add);
        made.bays.values().forEach(made.model::addNoOverlap);
        made.stood.values().forEach(made.model::addNoOverlap);
        made.leads.values().forEach(made.model::addNoOverlap);
        made.hands.values().forEach(made.model::addNoOverlap);
        made.together();
        made.cost();
        return made;
    }

    CpModel model() {
        return model;
    }

    private List<IntervalVar> fixed(List<Span> spans, String name) {
        List<IntervalVar> fixed = new ArrayList<>();
        // Spans that overlap are one.
        for (int at = 0; at < horizon; at++) {
            int from = at;
            while (at < horizon && taken(spans, at)) {
                at++;
            }
            if (at > from) {
                fixed.add(model.newFixedInterval(from, at - from, name + from));
            }
        }
        return fixed;
    }

    private static boolean taken(List<Span> spans, int slot) {
        Span at = new Span(slot * Day.GRID, (slot + 1) * Day.GRID);
        return spans.stream().anyMatch(at::meets);
    }

    private static List<IntervalVar> of(Map<String, List<IntervalVar>> rows, String key) {
        return rows.computeIfAbsent(key, none -> new ArrayList<>());
    }

    private static int slot(int minute) {
        return minute / Day.GRID;
    }

    private void add(DayJob job) {
        boolean begun = job.begun().isPresent();
        int from = slot(Day.up(begun ? day.now() : Math.max(day.now(), job.from())));
        int to = begun ? horizon : Math.max(from, slot(day.length()));
        boolean can = from + slot(job.minutes()) <= to
                && !day.bays(job).isEmpty()
                && !day.leads(job).isEmpty()
                && (!job.two() || day.people().size() > 1);
        BoolVar in = model.newBoolVar("in " + job.key());
        if (!can) {
            model.addEquality(in, 0);
        }
        List<IntVar> starts = new ArrayList<>();
        List<Map<String, BoolVar>> helpers = new ArrayList<>();
        IntVar end = model.newIntVar(0, horizon, "end " + job.key());
        Job made = new Job(job, in, starts, end, new HashMap<>(), new HashMap<>(), helpers);
        if (can) {
            starts(made, from, to);
            places(made);
            people(made);
        }
        jobs.add(made);
    }

    private void starts(Job made, int from, int to) {
        DayJob job = made.job();
        int before = from;
        int after = slot(job.minutes());
        for (int s = 0; s < job.stints().size(); s++) {
            int slots = slot(job.stints().get(s).minutes());
            IntVar start = model.newIntVar(before, to - after, "start " + job.key() + s);
            if (s > 0) {
                model.addGreaterOrEqual(
                        start,
                        LinearExpr.affine(
                                made.starts().get(s - 1),
                                1,
                                slot(job.stints().get(s - 1).minutes())));
            }
            made.starts().add(start);
            before += slots;
            after -= slots;
        }
        int last = slot(job.stints().get(job.stints().size() - 1).minutes());
        model.addEquality(
                made.end(), LinearExpr.affine(made.starts().get(job.stints().size() - 1), 1, last));
        job.at()
                .ifPresent(
                        at -> model.addEquality(made.starts().get(0), slot(at)).onlyEnforceIf(made.in()));
    }

    /** What was begun takes its bay from now to its end, or to the end of the day where nobody can go on with it. */
    private void places(Job made) {
        DayJob job = made.job();
        if (job.begun().isPresent()) {
            String bay = job.bays().iterator().next();
            int now = slot(day.now());
            IntVar until = model.newIntVar(now, horizon, "until " + job.key());
            model.addEquality(until, made.end()).onlyEnforceIf(made.in());
            model.addEquality(until, horizon).onlyEnforceIf(made.in().not());
            IntVar size = model.newIntVar(0, horizon - now, "stands " + job.key());
            of(stood, bay).add(model.newIntervalVar(model.newConstant(now), size, until, "bay " + job.key()));
            made.bays().put(bay, made.in());
            return;
        }
        List<Literal> any = new ArrayList<>();
        for (Day.Bay bay : day.bays(job)) {
            BoolVar here = model.newBoolVar(job.key() + " in " + bay.name());
            IntervalVar whole = whole(made, here);
            of(bays, bay.name()).add(whole);
            of(stood, bay.name()).add(whole);
            made.bays().put(bay.name(), here);
            any.add(here);
        }
        one(any, made.in());
    }

    private void people(Job made) {
        DayJob job = made.job();
        List<Literal> any = new ArrayList<>();
        for (Day.Worker person : day.leads(job)) {
            BoolVar has = model.newBoolVar(person.key() + " has " + job.key());
            of(leads, person.key()).add(whole(made, has));
            for (int s = 0; s < job.stints().size(); s++) {
                of(hands, person.key()).add(stint(made, s, has));
            }
            made.leads().put(person.key(), has);
            any.add(has);
        }
        one(any, made.in());
        for (int s = 0; s < job.stints().size(); s++) {
            made.helpers().add(job.stints().get(s).hands() > 1 ? helpers(made, s) : Map.of());
        }
    }

    private Map<String, BoolVar> helpers(Job made, int s) {
        Optional<String> called = s == 0 ? made.job().begun().flatMap(DayJob.Begun::helper) : Optional.empty();
        Map<String, BoolVar> helpers = new HashMap<>();
        for (Day.Worker person : day.people()) {
            if (called.isPresent() && !called.get().equals(person.key())) {
                continue;
            }
            BoolVar helps =
                    model.newBoolVar(person.key() + " helps " + made.job().key() + s);
            of(hands, person.key()).add(stint(made, s, helps));
            helpers.put(person.key(), helps);
            if (made.leads().containsKey(person.key())) {
                model.addAtMostOne(List.of(helps, made.leads().get(person.key())));
            }
        }
        one(List.copyOf(helpers.values()), made.in());
        return helpers;
    }

    private void one(List<? extends Literal> any, BoolVar in) {
        model.addEquality(LinearExpr.sum(any.toArray(new Literal[0])), in);
    }

    private IntervalVar whole(Job made, BoolVar here) {
        int least = slot(made.job().minutes());
        IntVar size = model.newIntVar(least, horizon, "size");
        return model.newOptionalIntervalVar(made.starts().get(0), size, made.end(), here, "whole");
    }

    private IntervalVar stint(Job made, int s, BoolVar here) {
        return model.newOptionalFixedSizeIntervalVar(
                made.starts().get(s), slot(made.job().stints().get(s).minutes()), here, "stint");
    }

    /** All hands and all bays at once: it follows from the rest, and tells the solver sooner that a day is full. */
    private void together() {
        CumulativeConstraint people = model.addCumulative(day.people().size());
        for (Day.Worker person : day.people()) {
            fixed(person.away(), "away").forEach(away -> people.addDemand(away, 1));
        }
        for (Job made : jobs) {
            for (int s = 0; s < made.starts().size(); s++) {
                people.addDemand(
                        stint(made, s, made.in()), made.job().stints().get(s).hands());
            }
        }
    }

    private void cost() {
        LinearExprBuilder cost = LinearExpr.newBuilder();
        for (Job made : jobs) {
            DayJob job = made.job();
            long left = DayCost.left(day, job);
            cost.add(left);
            cost.addTerm(made.in(), -left);
            if (made.starts().isEmpty()) {
                continue;
            }
            IntVar ready = model.newIntVar(0, horizon, "ready " + job.key());
            model.addGreaterOrEqual(ready, made.end()).onlyEnforceIf(made.in());
            cost.addTerm(ready, Day.GRID);
            if (job.begun().isPresent()) {
                cost.addTerm(past(made, day.length()), (long) DayCost.LATE * Day.GRID);
            }
            job.promised().ifPresent(promised -> {
                BoolVar broken = model.newBoolVar("broken " + job.key());
                IntVar late = past(made, promised);
                model.addEquality(late, 0).onlyEnforceIf(broken.not());
                cost.addTerm(broken, DayCost.broken(day));
                cost.addTerm(late, (long) DayCost.LATE * Day.GRID);
            });
            job.stands()
                    .ifPresent(stands -> made.bays().forEach((bay, here) -> {
                        if (!bay.equals(stands)) {
                            cost.addTerm(here, DayCost.MOVED);
                        }
                    }));
        }
        model.minimize(cost);
    }

    /** Slots past a minute, none for what is left over. */
    private IntVar past(Job made, int minute) {
        IntVar late = model.newIntVar(0, horizon, "late " + made.job().key());
        model.addGreaterOrEqual(late, LinearExpr.affine(made.end(), 1, -slot(Day.down(minute))))
                .onlyEnforceIf(made.in());
        return late;
    }

    /** A plan to begin with: a hint, nothing more. */
    void begin(DayPlan like) {
        for (Job made : jobs) {
            Optional<DayPlan.Placed> before = like.of(made.job().key());
            hint(made.in(), before.isPresent() ? 1 : 0);
            if (before.isPresent() && !made.starts().isEmpty()) {
                hint(made, before.get());
            }
        }
    }

    private void hint(Job made, DayPlan.Placed before) {
        made.bays().forEach((bay, here) -> hint(here, bay.equals(before.bay()) ? 1 : 0));
        made.leads().forEach((person, has) -> hint(has, person.equals(before.lead()) ? 1 : 0));
        hint(made.end(), slot(before.end()));
        for (int s = 0; s < made.starts().size(); s++) {
            DayPlan.At at = before.stints().get(s);
            hint(made.starts().get(s), slot(at.span().from()));
            made.helpers()
                    .get(s)
                    .forEach((person, helps) -> hint(helps, at.helper().equals(Optional.of(person)) ? 1 : 0));
        }
    }

    /** The solver takes one hint of a variable, and some of ours are the same one. */
    private void hint(IntVar variable, long value) {
        if (hinted.add(variable.getIndex())) {
            model.addHint(variable, value);
        }
    }

    List<DayPlan.Placed> placed(CpSolver solver) {
        return jobs.stream()
                .filter(made -> solver.booleanValue(made.in()))
                .map(made -> placed(made, solver))
                .toList();
    }

    private static DayPlan.Placed placed(Job made, CpSolver solver) {
        List<DayPlan.At> stints = new ArrayList<>();
        for (int s = 0; s < made.starts().size(); s++) {
            int from = (int) solver.value(made.starts().get(s)) * Day.GRID;
            int minutes = made.job().stints().get(s).minutes();
            stints.add(new DayPlan.At(
                    new Span(from, from + minutes), chosen(made.helpers().get(s), solver)));
        }
        return new DayPlan.Placed(
                made.job().key(),
                chosen(made.bays(), solver).orElseThrow(),
                chosen(made.leads(), solver).orElseThrow(),
                stints);
    }

    private static Optional<String> chosen(Map<String, BoolVar> of, CpSolver solver) {
        return of.entrySet().stream()
                .filter(e -> solver.booleanValue(e.getValue()))
                .map(Map.Entry::getKey)
                .findFirst();
    }
}
