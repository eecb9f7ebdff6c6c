package abbex.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What no day may do, whoever made it: looked at without the solver. */
public final class DayRules {
    private DayRules() {}

    /**
     * Two things that cannot both be.
     *
     * @param job about which it is
     * @param with the other job, the person or the bay
     * @param at the minute
     */
    public record Clash(What what, String job, String with, int at) {}

    /** What is wrong. */
    public enum What {
        BAY_TWICE,
        BAY_SHUT,
        NO_LIFT,
        PERSON_TWICE,
        PERSON_AWAY,
        SECOND_MISSING,
        TOO_EARLY,
        TOO_LATE,
        OUT_OF_ORDER,
        MOVED_THOUGH_BEGUN,
        NOT_WHERE_PUT
    }

    public static List<Clash> clashes(Day day, List<DayPlan.Placed> plan) {
        List<Clash> found = new ArrayList<>();
        for (int i = 0; i < plan.size(); i++) {
            alone(day, plan.get(i), found);
            for (int k = i + 1; k < plan.size(); k++) {
                together(day, plan.get(i), plan.get(k), found);
            }
        }
        for (DayJob job : day.jobs()) {
            boolean blocks = job.begun().isPresent()
                    && plan.stream().noneMatch(at -> at.job().equals(job.key()));
            if (blocks) {
                plan.stream()
                        .filter(at -> job.bays().contains(at.bay()))
                        .forEach(at -> found.add(new Clash(What.BAY_TWICE, at.job(), job.key(), at.begin())));
            }
        }
        return found;
    }

    /** What was begun stands in its bay from now, whether or not anybody is at it. */
    private static Span taken(Day day, DayPlan.Placed at) {
        boolean begun = day.job(at.job()).begun().isPresent();
        return new Span(begun ? Math.min(day.now(), at.begin()) : at.begin(), at.end());
    }

    private static void alone(Day day, DayPlan.Placed at, List<Clash> found) {
        DayJob job = day.job(at.job());
        Day.Bay bay = day.bay(at.bay());
        if (day.bays(job).stream().noneMatch(bay::equals)) {
            found.add(new Clash(What.NO_LIFT, at.job(), at.bay(), at.begin()));
        }
        boolean begun = job.begun().isPresent();
        bay.shut().stream()
                .filter(shut -> !begun && shut.meets(at.span()))
                .forEach(shut -> found.add(new Clash(What.BAY_SHUT, at.job(), at.bay(), shut.from())));
        if (at.begin() < (begun ? day.now() : Math.max(day.now(), job.from()))) {
            found.add(new Clash(What.TOO_EARLY, at.job(), "", at.begin()));
        }
        if (at.end() > day.length() && !begun) {
            found.add(new Clash(What.TOO_LATE, at.job(), "", at.end()));
        }
        if (begun
                && !(job.bays().contains(at.bay())
                        && (job.leads().isEmpty() || job.leads().contains(at.lead())))) {
            found.add(new Clash(What.MOVED_THOUGH_BEGUN, at.job(), at.bay(), at.begin()));
        }
        boolean where = job.bays().isEmpty() || job.bays().contains(at.bay());
        boolean when = job.at().isEmpty() || job.at().getAsInt() == at.begin();
        boolean who = job.leads().isEmpty() || job.leads().contains(at.lead());
        if (!where || !when || !who) {
            found.add(new Clash(What.NOT_WHERE_PUT, at.job(), at.bay(), at.begin()));
        }
        stints(day, job, at, found);
    }

    private static void stints(Day day, DayJob job, DayPlan.Placed at, List<Clash> found) {
        int before = 0;
        for (int s = 0; s < at.stints().size(); s++) {
            DayPlan.At stint = at.stints().get(s);
            Stint wanted = job.stints().get(s);
            if (stint.span().minutes() != wanted.minutes() || stint.span().from() < before) {
                found.add(
                        new Clash(What.OUT_OF_ORDER, at.job(), "", stint.span().from()));
            }
            before = stint.span().to();
            boolean second = stint.helper().filter(h -> !h.equals(at.lead())).isPresent();
            if (second != (wanted.hands() > 1)) {
                found.add(new Clash(
                        What.SECOND_MISSING, at.job(), "", stint.span().from()));
            }
            Optional<String> helper = job.begun().flatMap(DayJob.Begun::helper);
            if (s == 0 && helper.isPresent() && !helper.equals(stint.helper())) {
                found.add(new Clash(
                        What.MOVED_THOUGH_BEGUN,
                        at.job(),
                        helper.get(),
                        stint.span().from()));
            }
            away(day, at.job(), at.lead(), stint.span(), found);
            stint.helper().ifPresent(h -> away(day, at.job(), h, stint.span(), found));
        }
        if (at.stints().size() != job.stints().size()) {
            found.add(new Clash(What.OUT_OF_ORDER, at.job(), "", at.end()));
        }
    }

    private static void away(Day day, String job, String person, Span span, List<Clash> found) {
        day.worker(person).away().stream()
                .filter(span::meets)
                .forEach(away -> found.add(new Clash(What.PERSON_AWAY, job, person, away.from())));
    }

    private static void together(Day day, DayPlan.Placed one, DayPlan.Placed other, List<Clash> found) {
        int at = Math.max(one.begin(), other.begin());
        if (one.bay().equals(other.bay()) && taken(day, one).meets(taken(day, other))) {
            found.add(new Clash(What.BAY_TWICE, one.job(), other.job(), at));
        }
        if (one.lead().equals(other.lead()) && one.span().meets(other.span())) {
            found.add(new Clash(What.PERSON_TWICE, one.job(), one.lead(), at));
            return;
        }
        for (DayPlan.At a : one.stints()) {
            for (DayPlan.At b : other.stints()) {
                if (a.span().meets(b.span())) {
                    people(one, a, other, b, found);
                }
            }
        }
    }

    private static void people(
            DayPlan.Placed one, DayPlan.At a, DayPlan.Placed other, DayPlan.At b, List<Clash> found) {
        for (String person : who(one, a)) {
            if (who(other, b).contains(person)) {
                int at = Math.max(a.span().from(), b.span().from());
                found.add(new Clash(What.PERSON_TWICE, one.job(), person, at));
            }
        }
    }

    private static List<String> who(DayPlan.Placed at, DayPlan.At stint) {
        return stint.helper().map(h -> List.of(at.lead(), h)).orElse(List.of(at.lead()));
    }
}
