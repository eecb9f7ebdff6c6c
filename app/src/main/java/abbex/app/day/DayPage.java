package abbex.app.day;

import abbex.app.form.Form;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.rules.Bays;
import abbex.core.day.DayRun;
import abbex.core.day.WorkHours;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** A planned day as a page. */
@Component
class DayPage {
    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm", Locale.ROOT);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    private final DayStore store;
    private final Hours hours;
    private final Absences absences;
    private final Drafts drafts;
    private final Agreed agreed;
    private final Wishes wishes;
    private final People people;
    private final Bays bays;
    private final CalendarLinks links;
    private final Running running;
    private final Words words;
    private final Clock clock;

    DayPage(
            DayStore store,
            Hours hours,
            Absences absences,
            Drafts drafts,
            Agreed agreed,
            Wishes wishes,
            People people,
            Bays bays,
            CalendarLinks links,
            Running running,
            Words words,
            Clock clock) {
        this.store = store;
        this.hours = hours;
        this.absences = absences;
        this.drafts = drafts;
        this.agreed = agreed;
        this.wishes = wishes;
        this.people = people;
        this.bays = bays;
        this.links = links;
        this.running = running;
        this.words = words;
        this.clock = clock;
    }

    /** What a page is made from. */
    private record From(
            LocalDate day,
            ShopHours shop,
            WorkHours hours,
            Planned plan,
            Map<UUID, Person> staff,
            Map<UUID, Agreed.Said> agreed,
            Map<UUID, Wishes.Wish> wishes,
            Reader reader) {
        String who(Optional<UUID> id) {
            return id.map(staff::get).map(Person::initials).orElse("");
        }

        String name(Optional<UUID> id) {
            return id.map(staff::get).map(Person::displayName).orElse("");
        }
    }

    ModelAndView of(Person me, LocalDate day, Form form) {
        ShopHours shop = hours.of(me.shop(), me.likes().zone());
        List<Absences.Absence> away = absences.from(me.shop(), day);
        List<Person> staff = people.ofShop(me.shop());
        Reader reader = new Reader(form.reader().unit(), form.reader().shown(), shop.zone());
        Planned plan = store.of(me.shop(), day);
        From from = new From(
                day,
                shop,
                drafts.hours(shop, day, away),
                plan,
                staff.stream().collect(Collectors.toMap(Person::id, Function.identity())),
                agreed.of(
                        me.shop(), plan.jobs().stream().map(Planned.Entry::job).toList()),
                wishes.of(me.shop(), day),
                reader);
        ModelAndView page = form.on(new ModelAndView("day"));
        List<String> stood = from.plan().jobs().stream()
                .map(Planned.Entry::bay)
                .filter(bay -> !bay.isEmpty())
                .toList();
        List<Bays.Bay> known = bays.of(me.shop(), stood);
        page.addObject("view", view(me, from, known));
        page.addObject("bays", known);
        page.addObject("staff", staff);
        page.addObject(
                "hands", staff.stream().filter(p -> p.role() != Role.DESK).toList());
        page.addObject("shop", shop);
        page.addObject("standing", shop.texts());
        page.addObject("away", away.stream().map(a -> away(a, reader)).toList());
        page.addObject("links", links.of(me));
        page.addObject("fresh", "");
        page.addObject("edition", from.plan().version());
        return page;
    }

    /** Somebody who is away, in a line. */
    public record AwayLine(String id, String text) {}

    private AwayLine away(Absences.Absence away, Reader reader) {
        boolean one = away.first().equals(away.last());
        String days = one
                ? reader.date(away.first())
                : words.say(
                        "day.away.days", reader, "first", reader.date(away.first()), "last", reader.date(away.last()));
        String who = away.who().isEmpty() ? words.say("day.away.shop") : away.name();
        String times = away.from().isEmpty() || away.to().isEmpty()
                ? ""
                : words.say(
                        "day.away.times",
                        reader,
                        "from",
                        TIME.format(away.from().get()),
                        "to",
                        TIME.format(away.to().get()));
        return new AwayLine(away.id().toString(), (who + ": " + days + " " + times).strip());
    }

    private DayView view(Person me, From from, List<Bays.Bay> known) {
        Planned plan = from.plan();
        LocalDate today = LocalDate.ofInstant(clock.instant(), from.shop().zone());
        List<Words.Said> said = new ArrayList<>();
        if (from.day().equals(today)) {
            said.addAll(running.says(me.shop(), plan, from.hours(), from.reader()));
        }
        said.addAll(says(from));
        return new DayView(
                from.reader().date(from.day()),
                from.day().toString(),
                from.day().minusDays(1).toString(),
                from.day().plusDays(1).toString(),
                plan.version(),
                from.hours().length() == 0,
                from.day().equals(today),
                from.day().isBefore(today),
                sum(plan, from.reader()),
                plan.jobs().stream().allMatch(Planned.Entry::left)
                        ? null
                        : new DayDrawing(
                                        from.day(),
                                        from.hours(),
                                        plan,
                                        from.staff(),
                                        known,
                                        from.reader(),
                                        clock,
                                        words)
                                .drawn(),
                said,
                price(from),
                plan.put().map(UUID::toString).orElse(""),
                vehicles(from),
                out(me, from));
    }

    private List<DayView.Out> out(Person me, From from) {
        Map<UUID, String> plates = from.wishes().isEmpty() ? Map.of() : drafts.plates(me.shop());
        return from.wishes().entrySet().stream()
                .filter(e -> e.getValue().what() == Wishes.What.OUT && plates.containsKey(e.getKey()))
                .map(e -> new DayView.Out(e.getKey().toString(), plates.getOrDefault(e.getKey(), "")))
                .sorted(Comparator.comparing(DayView.Out::plate))
                .toList();
    }

    private String sum(Planned plan, Reader reader) {
        if (plan.at().isEmpty()) {
            return "";
        }
        String how = plan.best() ? words.say("day.sum.best") : gap(plan, reader);
        return words.say(
                "day.sum", reader, "by", plan.by(), "at", reader.day(plan.at().get()), "how", how);
    }

    /** Minutes a vehicle. */
    private static final double WORTH_TELLING = 60;

    /** What a longer search could still find: mostly minutes, where promises and what is left over are known to be the best. */
    private String gap(Planned plan, Reader reader) {
        double more = plan.cost() - plan.bound().orElse(0);
        long placed = plan.jobs().stream().filter(entry -> !entry.left()).count();
        // A bound that is so far off says nothing that anybody could wait for.
        if (more < plan.unit() && more > WORTH_TELLING * Math.max(1, placed)) {
            return words.say("day.sum.stopped");
        }
        return more < plan.unit()
                ? words.say("day.sum.sooner", reader, "sooner", hours((int) Math.round(more)))
                : words.say(
                        "day.sum.gap", reader, "gap", Long.toString(Math.max(1, Math.round(100 * more / plan.cost()))));
    }

    private static String mark(Planned.Entry entry) {
        boolean promised = entry.promised().isPresent();
        return promised && (entry.left() || entry.kept() < DayRun.SURE) || entry.left() && entry.begun() ? "look" : "";
    }

    /** What is to be seen to before the day begins. */
    private List<Words.Said> says(From from) {
        List<Words.Said> says = new ArrayList<>();
        for (Planned.Entry entry : from.plan().jobs()) {
            if (!mark(entry).isEmpty() || entry.left()) {
                String mark = mark(entry).isEmpty() ? "open" : "look";
                says.add(new Words.Said(
                        mark,
                        words.say("severity." + mark.toUpperCase(Locale.ROOT)),
                        entry.plate() + ": " + title(entry, from),
                        entry.left() ? why(entry, from.reader()) : promise(entry, from.reader()),
                        entry.job().toString()));
            }
        }
        says.sort(Comparator.comparing(said -> !said.mark().equals("look")));
        return says;
    }

    private String title(Planned.Entry entry, From from) {
        Reader reader = from.reader();
        if (entry.left()) {
            return words.say(entry.promised().isPresent() ? "day.left.promised" : "day.left");
        }
        boolean broken = entry.promised().filter(p -> entry.ends().isAfter(p)).isPresent();
        return words.say(
                broken ? "day.broken" : "day.tight",
                reader,
                "promised",
                reader.clock(entry.promised().orElseThrow()),
                "ready",
                reader.clock(entry.ends()));
    }

    private String why(Planned.Entry entry, Reader reader) {
        return words.say(
                "day.why." + entry.why().orElseThrow(),
                reader,
                "need",
                hours(entry.need()),
                "have",
                hours(entry.have()));
    }

    /** Minutes as hours and minutes. */
    static String hours(int minutes) {
        return minutes / 60 + ":" + String.format(Locale.ROOT, "%02d", minutes % 60) + " h";
    }

    private String promise(Planned.Entry entry, Reader reader) {
        return words.say(
                "day.kept",
                reader,
                "promised",
                reader.clock(entry.promised().orElseThrow()),
                "kept",
                Long.toString(Math.round(100 * entry.kept())));
    }

    /** What the last hand cost, vehicle by vehicle. */
    private List<String> price(From from) {
        Reader reader = from.reader();
        List<String> price = new ArrayList<>();
        if (from.plan().put().isEmpty()) {
            return price;
        }
        for (Planned.Entry entry : from.plan().jobs()) {
            if (entry.left() && !entry.wasLeft()) {
                price.add(words.say("day.price.left", reader, "plate", entry.plate()));
            } else if (!entry.left() && entry.wasLeft()) {
                price.add(words.say("day.price.in", reader, "plate", entry.plate()));
            } else if (!entry.left() && !entry.wasReady().equals(Optional.of(entry.ends()))) {
                Instant was = entry.wasReady().orElseThrow();
                long minutes = Duration.between(was, entry.ends()).toMinutes();
                price.add(words.say(
                        minutes > 0 ? "day.price.later" : "day.price.sooner",
                        reader,
                        "plate",
                        entry.plate(),
                        "minutes",
                        Long.toString(Math.abs(minutes)),
                        "ready",
                        reader.clock(entry.ends())));
            }
        }
        return price.isEmpty() ? List.of(words.say("day.price.none")) : price;
    }

    private List<DayView.Vehicle> vehicles(From from) {
        return from.plan().jobs().stream()
                .sorted(Comparator.comparing(Planned.Entry::left)
                        .thenComparing(e -> e.left() ? Instant.EPOCH : e.starts())
                        .thenComparing(Planned.Entry::plate))
                .map(entry -> vehicle(entry, from))
                .toList();
    }

    private DayView.Vehicle vehicle(Planned.Entry entry, From from) {
        Reader reader = from.reader();
        Agreed.Said said = from.agreed().getOrDefault(entry.job(), Agreed.Said.NOTHING);
        String mark = mark(entry);
        return new DayView.Vehicle(
                entry.job().toString(),
                entry.plate(),
                entry.vehicle(),
                mark,
                mark.isEmpty() ? "" : words.say("severity." + mark.toUpperCase(Locale.ROOT)),
                entry.left() ? words.say("day.left") : line(entry, from),
                entry.left() ? List.of(why(entry, reader)) : more(entry, from),
                entry.left(),
                entry.begun(),
                entry.put(),
                entry.bay(),
                entry.left() ? "" : TIME.format(entry.starts().atZone(reader.zone())),
                entry.lead().map(UUID::toString).orElse(""),
                said.comes().map(at -> LOCAL.format(at.atZone(reader.zone()))).orElse(""),
                said.ready().map(at -> LOCAL.format(at.atZone(reader.zone()))).orElse(""),
                said.edition());
    }

    private String line(Planned.Entry entry, From from) {
        Reader reader = from.reader();
        return words.say(
                entry.begun() ? "day.line.begun" : "day.line",
                reader,
                "bay",
                entry.bay(),
                "who",
                from.name(entry.lead()),
                "from",
                reader.clock(entry.starts()),
                "to",
                reader.clock(entry.ends()));
    }

    private List<String> more(Planned.Entry entry, From from) {
        Reader reader = from.reader();
        List<String> more = new ArrayList<>();
        more.add(words.say("day.work." + entry.work() + (entry.typical() ? ".typical" : "")));
        for (Planned.Stint stint : entry.stints()) {
            stint.helper()
                    .ifPresent(id -> more.add(words.say(
                            "day.helps",
                            reader,
                            "who",
                            from.name(Optional.of(id)),
                            "from",
                            reader.clock(stint.starts()),
                            "to",
                            reader.clock(stint.ends()))));
        }
        if (entry.goesOn()) {
            more.add(words.say(
                    "day.goes-on", reader, "today", hours(entry.have()), "rest", hours(entry.need() - entry.have())));
        }
        entry.least()
                .filter(least -> !entry.goesOn())
                .ifPresent(least -> more.add(words.say(
                        "day.ready",
                        reader,
                        "least",
                        reader.clock(least),
                        "most",
                        reader.clock(entry.most().orElse(least)))));
        if (entry.promised().isPresent()) {
            more.add(promise(entry, reader));
        }
        return more;
    }
}
