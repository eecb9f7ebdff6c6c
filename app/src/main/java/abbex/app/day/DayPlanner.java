package abbex.app.day;

import abbex.app.people.Person;
import abbex.core.day.Day;
import abbex.core.day.DayPlan;
import abbex.core.day.DayRun;
import abbex.core.day.DaySolver;
import abbex.core.day.LeftOver;
import abbex.core.day.Span;
import abbex.core.day.WorkHours;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Plans a day and keeps it: the public act of the station. */
@Service
class DayPlanner {
    /** So long the search may take: a best plan is mostly known to be one much sooner. */
    private static final double SECONDS = 2;

    private final Drafts drafts;
    private final DayStore store;
    private final Wishes wishes;
    private final TransactionTemplate once;
    private final Clock clock;

    DayPlanner(Drafts drafts, DayStore store, Wishes wishes, TransactionTemplate once, Clock clock) {
        this.once = once;
        this.drafts = drafts;
        this.store = store;
        this.wishes = wishes;
        this.clock = clock;
    }

    /** The day again as things stand now. */
    boolean again(Person by, ShopHours hours, LocalDate day) {
        Planned before = store.of(by.shop(), day);
        return keep(
                by,
                day,
                before,
                made(by, hours, day, wishes.of(by.shop(), day), before, false),
                Optional.empty(),
                Optional.empty());
    }

    /**
     * Something is set by hand, and the day planned round it; what that costs is what the same day is without it.
     *
     * @param edition the plan that was on the page
     * @return false, and nothing kept, where the day was planned by somebody else since
     */
    boolean set(Person by, ShopHours hours, LocalDate day, UUID job, Wishes.Wish wish, Optional<Integer> edition) {
        Planned before = store.of(by.shop(), day);
        if (edition.isPresent() && edition.get() != before.version()) {
            return false;
        }
        Map<UUID, Wishes.Wish> now = new HashMap<>(wishes.of(by.shop(), day));
        boolean put = wish.what() == Wishes.What.PUT;
        now.remove(job);
        Optional<Made> without = put ? Optional.of(made(by, hours, day, now, before, false)) : Optional.empty();
        if (wish.what() != Wishes.What.FREE) {
            now.put(job, wish);
        }
        // Put back it is planned as if it had never been put, not from where it was put to.
        Made with = made(by, hours, day, now, before, wish.what() == Wishes.What.FREE);
        return Boolean.TRUE.equals(once.execute(status -> {
            boolean kept = keep(by, day, before, with, put ? Optional.of(job) : Optional.empty(), without);
            if (kept) {
                wishes.set(by, day, job, wish);
            }
            return kept;
        }));
    }

    private record Made(Draft draft, DayPlan plan) {}

    private Made made(
            Person by, ShopHours hours, LocalDate day, Map<UUID, Wishes.Wish> wishes, Planned before, boolean afresh) {
        Draft draft = drafts.of(by.shop(), hours, day, clock.instant(), wishes, before);
        return new Made(draft, DaySolver.plan(draft.day(), SECONDS, afresh ? Optional.empty() : like(draft, before)));
    }

    /** The plan that stood, for the search to begin with. */
    private static Optional<DayPlan> like(Draft draft, Planned before) {
        WorkHours hours = draft.hours();
        List<DayPlan.Placed> placed = new ArrayList<>();
        for (Planned.Entry entry : before.jobs()) {
            if (!entry.left()
                    && entry.lead().isPresent()
                    && draft.item(entry.job()).isPresent()) {
                placed.add(new DayPlan.Placed(
                        entry.job().toString(),
                        entry.bay(),
                        entry.lead().get().toString(),
                        entry.stints().stream()
                                .map(s -> new DayPlan.At(
                                        hours.span(s.starts(), s.ends()),
                                        s.helper().map(UUID::toString)))
                                .toList()));
            }
        }
        return placed.isEmpty()
                ? Optional.empty()
                : Optional.of(new DayPlan(placed, List.of(), 0, OptionalDouble.empty(), 0));
    }

    private boolean keep(
            Person by, LocalDate day, Planned before, Made made, Optional<UUID> put, Optional<Made> without) {
        Map<String, DayRun.Ready> expected = DayRun.expected(made.draft().day(), made.plan());
        List<Planned.Entry> entries = new ArrayList<>();
        for (Draft.Item item : made.draft().items()) {
            entries.add(entry(item, made, expected, without));
        }
        return store.save(
                by,
                day,
                new Planned(
                        before.version(),
                        Optional.of(clock.instant()),
                        by.initials(),
                        made.plan().cost(),
                        made.plan().bound(),
                        made.plan().unit(),
                        put,
                        entries));
    }

    private static Planned.Entry entry(
            Draft.Item item, Made made, Map<String, DayRun.Ready> expected, Optional<Made> without) {
        WorkHours hours = made.draft().hours();
        String key = item.plan().key();
        Optional<DayPlan.Placed> placed = made.plan().of(key);
        Optional<LeftOver> left =
                made.plan().left().stream().filter(l -> l.job().equals(key)).findFirst();
        Optional<DayRun.Ready> ready = Optional.ofNullable(expected.get(key));
        Optional<DayPlan.Placed> was = without.flatMap(m -> m.plan().of(key));
        return new Planned.Entry(
                item.job().id(),
                item.job().vehicle().plate(),
                item.job().vehicle().name(),
                item.work(),
                placed.map(DayPlan.Placed::bay).orElse(""),
                placed.map(p -> UUID.fromString(p.lead())),
                item.plan().begun().isPresent(),
                item.put(),
                item.typical(),
                item.promised(),
                ready.map(r -> ends(hours, r.least())),
                ready.map(r -> ends(hours, r.most())),
                ready.map(DayRun.Ready::kept).orElse(0.0),
                left.map(LeftOver::why),
                left.map(LeftOver::need).orElse(item.whole()),
                left.map(LeftOver::have).orElse(item.whole() > 0 ? item.plan().minutes() : 0),
                was.map(p -> hours.ends(p.end())),
                without.isPresent() && was.isEmpty(),
                placed.stream()
                        .flatMap(p -> p.stints().stream())
                        .map(s -> stint(hours, s))
                        .toList());
    }

    private static Planned.Stint stint(WorkHours hours, DayPlan.At at) {
        Span span = at.span();
        return new Planned.Stint(
                hours.begins(span.from()), hours.ends(span.to()), at.helper().map(UUID::fromString));
    }

    private static Instant ends(WorkHours hours, double minute) {
        return hours.ends(Day.GRID * (int) Math.round(minute / Day.GRID));
    }
}
