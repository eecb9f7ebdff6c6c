package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Sheets;
import abbex.app.parts.PartsAwaited;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.rules.Bays;
import abbex.app.rules.ShopRules;
import abbex.app.workcard.CardWork;
import abbex.core.day.Day;
import abbex.core.day.DayJob;
import abbex.core.day.Span;
import abbex.core.day.Stints;
import abbex.core.day.WorkHours;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a day has to fit together, as cards, parts, promises and people have it now. */
@Component
class Drafts {
    /** A promise for the next day counts so many times what can wait (ours). */
    private static final int TOMORROW = 2;

    private final Jobs jobs;
    private final Sheets sheets;
    private final CardWork cards;
    private final PartsAwaited parts;
    private final People people;
    private final Bays bays;
    private final Absences absences;
    private final Agreed agreed;
    private final DayStore store;

    Drafts(
            Jobs jobs,
            Sheets sheets,
            CardWork cards,
            PartsAwaited parts,
            People people,
            Bays bays,
            Absences absences,
            Agreed agreed,
            DayStore store) {
        this.jobs = jobs;
        this.sheets = sheets;
        this.cards = cards;
        this.parts = parts;
        this.people = people;
        this.bays = bays;
        this.absences = absences;
        this.agreed = agreed;
        this.store = store;
    }

    /** What one draft is made from. */
    private record From(
            LocalDate day,
            Instant now,
            ShopHours shop,
            WorkHours hours,
            List<Person> staff,
            List<Bays.Bay> bays,
            Map<UUID, Agreed.Said> agreed,
            Map<UUID, Wishes.Wish> wishes,
            Planned before) {
        boolean today() {
            return day.equals(LocalDate.ofInstant(now, shop.zone()));
        }

        boolean lifts() {
            return bays.stream().anyMatch(Bays.Bay::lift);
        }

        /** The bay's name as the day knows it. */
        Optional<String> bay(String name) {
            return bays.stream()
                    .filter(b -> b.key().equals(ShopRules.bayKey(name)))
                    .map(Bays.Bay::name)
                    .findFirst();
        }
    }

    /** A vehicle whose card goes up on a lift is put into a bay that has none, though the shop has one elsewhere. */
    boolean liftMissing(UUID shop, Job job, String bay) {
        List<Bays.Bay> known = bays.of(shop, List.of());
        boolean none = known.stream().anyMatch(b -> b.key().equals(ShopRules.bayKey(bay)) && !b.lift());
        return none
                && known.stream().anyMatch(Bays.Bay::lift)
                && job.where().place() != Job.Place.OUT
                && !lowered(job)
                && cards.of(job, Instant.EPOCH).lift();
    }

    private boolean lowered(Job job) {
        return sheets.of(job.shop(), job.id()).sheets().stream()
                .anyMatch(sheet -> sheet.stage().lowered());
    }

    /** How the vehicles of the floor are called. */
    Map<UUID, String> plates(UUID shop) {
        return jobs.onTheFloor(shop).stream()
                .collect(Collectors.toMap(Job::id, job -> job.vehicle().plate()));
    }

    /** The shop's hours on a day: none where it is shut. */
    WorkHours hours(ShopHours shop, LocalDate day, List<Absences.Absence> away) {
        boolean shut = away.stream().anyMatch(a -> a.who().isEmpty() && a.on(day));
        return shut ? WorkHours.NONE : shop.on(day);
    }

    Draft of(UUID shop, ShopHours rules, LocalDate day, Instant now, Map<UUID, Wishes.Wish> wishes, Planned before) {
        List<Absences.Absence> away = absences.from(shop, day);
        WorkHours hours = hours(rules, day, away);
        List<Job> floor = jobs.onTheFloor(shop);
        List<Bays.Bay> known = bays.of(
                shop,
                floor.stream()
                        .filter(job -> job.where().place() == Job.Place.BAY)
                        .map(job -> job.where().bay())
                        .toList());
        From from = new From(
                day,
                now,
                rules,
                hours,
                hands(shop),
                known,
                agreed.of(shop, floor.stream().map(Job::id).toList()),
                wishes,
                before);
        Map<UUID, JobSheets> read = sheets.of(floor);
        Set<UUID> elsewhere = store.plannedBetween(shop, LocalDate.ofInstant(now, rules.zone()), day);
        List<Draft.Item> items = new ArrayList<>();
        List<Job> out = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (Job job : floor) {
            if (wishes.getOrDefault(job.id(), Wishes.Wish.FREE).what() == Wishes.What.OUT) {
                out.add(job);
            } else if (!elsewhere.contains(job.id())) {
                boolean lowered = read.getOrDefault(job.id(), JobSheets.NONE).sheets().stream()
                        .anyMatch(sheet -> sheet.stage().lowered());
                item(job, lowered, from, taken).ifPresent(items::add);
            }
        }
        return new Draft(day(from, away, items, floor, elsewhere), hours, items, out);
    }

    /** Who works on vehicles: whoever is at the desk is not called. */
    private List<Person> hands(UUID shop) {
        return people.ofShop(shop).stream().filter(p -> p.role() != Role.DESK).toList();
    }

    private Day day(
            From from, List<Absences.Absence> away, List<Draft.Item> items, List<Job> floor, Set<UUID> elsewhere) {
        WorkHours hours = from.hours();
        int length = hours.length();
        int now = Math.min(length, from.today() ? Day.up(hours.minute(from.now())) : 0);
        Set<String> shut = shut(from, items, floor, elsewhere);
        List<Span> all = List.of(new Span(0, length));
        return new Day(
                length,
                now,
                from.bays().stream()
                        .map(b -> new Day.Bay(b.name(), b.lift(), shut.contains(b.key()) ? all : List.of()))
                        .toList(),
                from.staff().stream()
                        .map(p -> new Day.Worker(p.id().toString(), away(p, away, from)))
                        .toList(),
                items.stream().map(Draft.Item::plan).toList());
    }

    /** What stands begun and does not go on that day cannot be rolled out of its bay. */
    private Set<String> shut(From from, List<Draft.Item> items, List<Job> floor, Set<UUID> elsewhere) {
        Set<UUID> goOn = items.stream()
                .filter(item -> item.plan().begun().isPresent())
                .map(item -> item.job().id())
                .collect(Collectors.toSet());
        return floor.stream()
                .filter(job -> job.where().place() == Job.Place.BAY)
                .filter(job -> !goOn.contains(job.id()) && !elsewhere.contains(job.id()))
                .filter(job -> {
                    CardWork.Left left = cards.of(job, from.now());
                    return left.begun() && !left.stints().isEmpty();
                })
                .map(job -> ShopRules.bayKey(job.where().bay()))
                .collect(Collectors.toSet());
    }

    private static List<Span> away(Person person, List<Absences.Absence> away, From from) {
        return away.stream()
                .filter(a -> a.who().equals(Optional.of(person.id())) && a.on(from.day()))
                .map(a -> a.from().isEmpty() || a.to().isEmpty()
                        ? new Span(0, from.hours().length())
                        : from.hours().span(at(from, a.from().get()), at(from, a.to().get())))
                .toList();
    }

    private static Instant at(From from, LocalTime time) {
        LocalDate day = time.isBefore(from.shop().opens())
                        && from.shop().closes().isBefore(from.shop().opens())
                ? from.day().plusDays(1)
                : from.day();
        return day.atTime(time).atZone(from.shop().zone()).toInstant();
    }

    private Optional<Draft.Item> item(Job job, boolean lowered, From from, Set<String> taken) {
        Agreed.Said said = from.agreed().getOrDefault(job.id(), Agreed.Said.NOTHING);
        if (job.where().place() == Job.Place.OUT) {
            boolean due = job.dueBack() != null && job.dueBack().equals(from.day());
            return due ? Optional.of(back(job, said, from)) : Optional.empty();
        }
        boolean later = said.comes()
                .filter(comes -> date(comes, from).isAfter(from.day()))
                .isPresent();
        CardWork.Left left = cards.of(job, from.now());
        boolean fitted = left.begun() && left.stints().isEmpty();
        if (later) {
            return Optional.empty();
        }
        if (fitted || lowered && !left.begun()) {
            DayJob plan = DayJob.of(job.id().toString(), Stints.FINISH, false);
            return Optional.of(placed(job, Draft.Work.FINISH, plan, false, said, from));
        }
        boolean typical = left.stints().isEmpty();
        DayJob plan = waits(
                job,
                DayJob.of(job.id().toString(), typical ? Stints.TYPICAL : left.stints(), left.lift() && from.lifts())
                        .spread(typical ? Stints.TYPICAL_SPREAD : left.spread()),
                from);
        Draft.Item item = share(placed(job, Draft.Work.FIT, plan, typical, said, from), left.begun(), from);
        boolean goesOn = left.begun() && plan.from() < from.hours().length();
        return Optional.of(goesOn ? begun(item, left, from, taken) : item);
    }

    private static Draft.Item share(Draft.Item item, boolean begun, From from) {
        int now = from.today() ? Day.up(from.hours().minute(from.now())) : 0;
        DayJob plan = item.plan().share(from.hours().length(), now, begun);
        int whole = item.plan().minutes();
        return plan.minutes() == whole
                ? item
                : new Draft.Item(item.job(), item.work(), plan, item.typical(), item.promised(), item.put(), whole);
    }

    private Draft.Item back(Job job, Agreed.Said said, From from) {
        DayJob plan = DayJob.of(job.id().toString(), Stints.BACK, false);
        return placed(job, Draft.Work.BACK, plan, false, said, from);
    }

    /** Not before its parts are in; what has no day, or one that is past, does not come today. */
    private DayJob waits(Job job, DayJob plan, From from) {
        PartsAwaited.Until until = parts.until(job);
        if (!until.awaited()) {
            return plan;
        }
        boolean today = until.last().filter(from.day()::equals).isPresent();
        boolean before = until.last()
                .filter(last -> last.isBefore(from.day()) && !last.isBefore(date(from.now(), from)))
                .isPresent();
        int in = Day.up(from.hours().minute(at(from, from.shop().delivery())));
        return before ? plan : plan.after(today ? in : from.hours().length());
    }

    private static LocalDate date(Instant at, From from) {
        return LocalDate.ofInstant(at, from.shop().zone());
    }

    /** With what was agreed, where it stands, and where somebody put it. */
    private static Draft.Item placed(
            Job job, Draft.Work work, DayJob of, boolean typical, Agreed.Said said, From from) {
        DayJob plan = of;
        WorkHours hours = from.hours();
        Optional<Instant> comes = said.comes().filter(at -> date(at, from).equals(from.day()));
        if (comes.isPresent()) {
            plan = plan.after(Math.max(plan.from(), Day.up(hours.minute(comes.get()))));
        }
        Optional<Instant> promised = said.ready().filter(at -> !date(at, from).isAfter(from.day()));
        if (promised.isPresent()) {
            plan = plan.promised(Day.down(hours.minute(promised.get())));
        } else if (said.ready()
                .filter(at -> date(at, from).equals(from.day().plusDays(1)))
                .isPresent()) {
            plan = plan.weighing(TOMORROW);
        }
        Optional<String> stands =
                job.where().place() == Job.Place.BAY ? from.bay(job.where().bay()) : Optional.empty();
        if (stands.isPresent()) {
            plan = plan.standing(stands.get());
        }
        Wishes.Wish wish = from.wishes().getOrDefault(job.id(), Wishes.Wish.FREE);
        boolean put = wish.what() == Wishes.What.PUT;
        return new Draft.Item(job, work, put ? put(plan, wish, from) : plan, typical, promised, put, 0);
    }

    /** A time that has passed meanwhile is as soon as it goes. */
    private static DayJob put(DayJob plan, Wishes.Wish wish, From from) {
        int now = from.today() ? Day.up(from.hours().minute(from.now())) : 0;
        OptionalInt at = wish.at().isEmpty()
                ? OptionalInt.empty()
                : OptionalInt.of(
                        Math.max(now, Day.down(from.hours().minute(wish.at().get()))));
        Optional<String> lead = wish.lead()
                .filter(id -> from.staff().stream().anyMatch(p -> p.id().equals(id)))
                .map(UUID::toString);
        return plan.put(
                from.bay(wish.bay()).map(Set::of).orElse(Set.of()),
                lead.map(Set::of).orElse(Set.of()),
                at);
    }

    /** What is under way stays in its bay, today with who has it; of two in one bay, or of one person, the first. */
    private Draft.Item begun(Draft.Item item, CardWork.Left left, From from, Set<String> taken) {
        Optional<String> bay = item.plan().stands();
        if (bay.isEmpty() || !taken.add("bay " + bay.get())) {
            return item;
        }
        // Overnight it may go on with somebody else.
        if (!from.today()) {
            DayJob plan = item.plan().begun(bay.get(), Set.of(), Optional.empty());
            return new Draft.Item(item.job(), item.work(), plan, item.typical(), item.promised(), false, item.whole());
        }
        Optional<String> lead = from.staff().stream()
                .filter(p -> p.id().equals(item.job().holder()))
                .findFirst()
                .or(() -> from.staff().stream()
                        .filter(p -> p.initials().equals(left.by()))
                        .findFirst())
                .map(p -> p.id().toString())
                .filter(id -> taken.add("lead " + id));
        Optional<String> helper = from.before()
                .helping(item.job().id(), from.now())
                .map(UUID::toString)
                .filter(id -> item.plan().stints().get(0).hands() > 1 && !lead.equals(Optional.of(id)))
                .filter(id ->
                        from.staff().stream().anyMatch(p -> p.id().toString().equals(id)));
        DayJob plan = item.plan().begun(bay.get(), lead.map(Set::of).orElse(Set.of()), helper);
        return new Draft.Item(item.job(), item.work(), plan, item.typical(), item.promised(), false, item.whole());
    }
}
