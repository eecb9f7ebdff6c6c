package abbex.app.day;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.rules.Bays;
import abbex.app.rules.ShopRules;
import abbex.core.day.DayRun;
import abbex.core.day.WorkHours;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A day drawn by lift and bay, and below by the people: time runs to the right. */
final class DayDrawing {
    private static final int TOP = 26;
    private static final int BAY = 62;
    private static final int PERSON = 36;
    private static final int GAP = 14;

    private final LocalDate day;
    private final Planned plan;
    private final Map<UUID, Person> staff;
    private final List<Bays.Bay> bays;
    private final Reader reader;
    private final Words words;
    private final WorkHours hours;
    private final Instant left;
    private final Instant right;
    private final Instant now;

    DayDrawing(
            LocalDate day,
            WorkHours hours,
            Planned plan,
            Map<UUID, Person> staff,
            List<Bays.Bay> bays,
            Reader reader,
            Clock clock,
            Words words) {
        this.day = day;
        this.plan = plan;
        this.staff = staff;
        this.bays = bays;
        this.reader = reader;
        this.words = words;
        this.hours = hours;
        this.now = clock.instant();
        List<Planned.Entry> placed = plan.jobs().stream().filter(e -> !e.left()).toList();
        Instant first = placed.stream()
                .map(Planned.Entry::starts)
                .min(Comparator.naturalOrder())
                .orElseThrow();
        Instant last = placed.stream()
                .map(Planned.Entry::ends)
                .max(Comparator.naturalOrder())
                .orElseThrow();
        boolean open = !hours.stretches().isEmpty();
        Instant opens = open ? hours.stretches().get(0).from() : first;
        Instant closes =
                open ? hours.stretches().get(hours.stretches().size() - 1).to() : last;
        this.left = opens.isBefore(first) ? opens : first;
        this.right = closes.isAfter(last) ? closes : last;
    }

    private double x(Instant at) {
        double part = (double) Duration.between(left, at).toMillis()
                / Duration.between(left, right).toMillis();
        return Math.round(10 * (DayView.NAMES + part * (DayView.WIDTH - DayView.NAMES - DayView.MARGIN))) / 10.0;
    }

    private DayView.Bar bar(Instant from, Instant to) {
        double x = x(from);
        return new DayView.Bar(x, Math.round(10 * (x(to) - x)) / 10.0);
    }

    DayView.Drawing drawn() {
        List<DayView.Row> rows = new ArrayList<>();
        int y = TOP;
        for (Bays.Bay bay : bays) {
            List<DayView.Block> here = plan.jobs().stream()
                    .filter(e -> !e.left() && ShopRules.bayKey(e.bay()).equals(bay.key()))
                    .map(this::block)
                    .toList();
            rows.add(new DayView.Row(y, BAY, bay.name(), bay.lift(), here));
            y += BAY;
        }
        y += GAP;
        List<DayView.Row> people = new ArrayList<>();
        for (Person person : staff.values().stream()
                .sorted(Comparator.comparing(Person::displayName))
                .toList()) {
            List<DayView.Block> busy = busy(person.id());
            if (!busy.isEmpty()) {
                people.add(new DayView.Row(y, PERSON, person.initials(), false, busy));
                y += PERSON;
            }
        }
        ZonedDateTime opens = left.atZone(reader.zone());
        return new DayView.Drawing(
                y + 4,
                opens.getHour() * 60 + opens.getMinute(),
                (int) Duration.between(left, right).toMinutes(),
                ticks(),
                pauses(),
                shut(),
                now.isBefore(left) || now.isAfter(right) ? -1 : x(now),
                rows,
                people);
    }

    private List<DayView.Tick> ticks() {
        List<DayView.Tick> ticks = new ArrayList<>();
        ZonedDateTime hour = left.atZone(reader.zone()).truncatedTo(ChronoUnit.HOURS);
        for (; !hour.toInstant().isAfter(right); hour = hour.plusHours(1)) {
            if (!hour.toInstant().isBefore(left)) {
                ticks.add(new DayView.Tick(x(hour.toInstant()), reader.clock(hour.toInstant())));
            }
        }
        return ticks;
    }

    private List<DayView.Bar> pauses() {
        List<DayView.Bar> pauses = new ArrayList<>();
        for (int i = 1; i < hours.stretches().size(); i++) {
            pauses.add(bar(
                    hours.stretches().get(i - 1).to(), hours.stretches().get(i).from()));
        }
        return pauses;
    }

    /** What is drawn beyond the hours of the shop: work that runs over. */
    private List<DayView.Bar> shut() {
        List<WorkHours.Stretch> open = hours.stretches();
        List<DayView.Bar> shut = new ArrayList<>();
        if (!open.isEmpty() && left.isBefore(open.get(0).from())) {
            shut.add(bar(left, open.get(0).from()));
        }
        if (!open.isEmpty() && right.isAfter(open.get(open.size() - 1).to())) {
            shut.add(bar(open.get(open.size() - 1).to(), right));
        }
        return shut;
    }

    private String initials(Optional<UUID> id) {
        return id.map(staff::get).map(Person::initials).orElse("");
    }

    private DayView.Block block(Planned.Entry entry) {
        boolean promised = entry.promised()
                .filter(at ->
                        LocalDate.ofInstant(at, reader.zone()).equals(day) && !at.isAfter(right) && !at.isBefore(left))
                .isPresent();
        boolean look = entry.promised().isPresent() && entry.kept() < DayRun.SURE;
        return new DayView.Block(
                entry.job().toString(),
                bar(entry.starts(), entry.ends()),
                entry.plate(),
                initials(entry.lead()),
                entry.begun(),
                entry.put(),
                words.say(
                        "day.block",
                        reader,
                        "plate",
                        entry.plate(),
                        "bay",
                        entry.bay(),
                        "who",
                        initials(entry.lead()),
                        "from",
                        reader.clock(entry.starts()),
                        "to",
                        reader.clock(entry.ends())),
                entry.stints().stream()
                        .flatMap(s -> worked(s.starts(), s.ends()).stream())
                        .toList(),
                entry.stints().stream()
                        .filter(s -> s.helper().isPresent())
                        .map(s -> new DayView.Call(bar(s.starts(), s.ends()), initials(s.helper())))
                        .toList(),
                promised ? x(entry.promised().orElseThrow()) : -1,
                look ? "look" : "");
    }

    /** What a person's hands are at: their own vehicle, or as the second at another. */
    private List<DayView.Block> busy(UUID person) {
        List<DayView.Block> busy = new ArrayList<>();
        for (Planned.Entry entry : plan.jobs()) {
            boolean own = entry.lead().equals(Optional.of(person));
            for (Planned.Stint stint : entry.stints()) {
                boolean helps = stint.helper().equals(Optional.of(person));
                if (own || helps) {
                    worked(stint.starts(), stint.ends()).forEach(bar -> busy.add(busy(entry, bar, helps)));
                }
            }
        }
        return busy;
    }

    private static DayView.Block busy(Planned.Entry entry, DayView.Bar bar, boolean helps) {
        return new DayView.Block(
                entry.job().toString(), bar, entry.plate(), "", helps, false, "", List.of(), List.of(), -1, "");
    }

    /** From an instant to another, but for the breaks between: nobody works there. */
    private List<DayView.Bar> worked(Instant from, Instant to) {
        List<DayView.Bar> worked = new ArrayList<>();
        Instant begins = from;
        for (int i = 1; i < hours.stretches().size(); i++) {
            Instant stop = hours.stretches().get(i - 1).to();
            Instant again = hours.stretches().get(i).from();
            if (begins.isBefore(stop) && to.isAfter(again)) {
                worked.add(bar(begins, stop));
                begins = again;
            }
        }
        worked.add(bar(begins, to));
        return worked;
    }
}
