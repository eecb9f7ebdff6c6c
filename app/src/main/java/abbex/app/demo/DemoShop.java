package abbex.app.demo;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.StayValues;
import abbex.app.arrive.VehicleFacts;
import abbex.app.day.ShownDay;
import abbex.app.fitment.Fitments;
import abbex.app.fitment.WheelSets;
import abbex.app.ground.LowPoints;
import abbex.app.handover.HandOver;
import abbex.app.kit.KitText;
import abbex.app.kit.Kits;
import abbex.app.measure.JobSheets;
import abbex.app.measure.RideHeights;
import abbex.app.measure.SheetRow;
import abbex.app.measure.Sheets;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Pins;
import abbex.app.people.Role;
import abbex.app.prove.MeasuredGaps;
import abbex.app.prove.RoadTests;
import abbex.app.rules.Rules;
import abbex.app.rules.Typed;
import abbex.app.set.Settings;
import abbex.app.settle.Returns;
import abbex.app.settle.WatchList;
import abbex.app.store.FirstShop;
import abbex.app.store.Ids;
import abbex.app.workcard.WorkedCard;
import abbex.core.clearance.GapReading;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Stage;
import abbex.core.settling.Watch;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.Seat;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** An invented shop to look at: three technicians, a lead, a desk, twelve stays; and a second shop that must stay apart. */
@Component
class DemoShop implements FirstShop {
    private static final String SHOWN = "orla";
    /** So long after its arrival a vehicle is back. */
    private static final Duration BACK = Duration.ofDays(18);

    private final People people;
    private final Pins pins;
    private final Jobs jobs;
    private final Sheets sheets;
    private final Rules rules;
    private final WheelSets wheels;
    private final Fitments fitments;
    private final MeasuredGaps probes;
    private final RoadTests roads;
    private final LowPoints lows;
    private final Kits kits;
    private final WorkedCard worked;
    private final Settings settings;
    private final RideHeights heights;
    private final HandOver handOver;
    private final WatchList watched;
    private final Returns returns;
    private final StayValues values;
    private final ShownDay days;
    private final Clock clock;

    DemoShop(
            People people,
            Pins pins,
            Jobs jobs,
            Sheets sheets,
            WheelSets wheels,
            Fitments fitments,
            MeasuredGaps probes,
            RoadTests roads,
            LowPoints lows,
            Kits kits,
            WorkedCard worked,
            Settings settings,
            RideHeights heights,
            Rules rules,
            HandOver handOver,
            WatchList watched,
            Returns returns,
            StayValues values,
            ShownDay days,
            Clock clock) {
        this.days = days;
        this.values = values;
        this.watched = watched;
        this.returns = returns;
        this.wheels = wheels;
        this.fitments = fitments;
        this.probes = probes;
        this.roads = roads;
        this.lows = lows;
        this.kits = kits;
        this.worked = worked;
        this.settings = settings;
        this.heights = heights;
        this.rules = rules;
        this.people = people;
        this.pins = pins;
        this.jobs = jobs;
        this.sheets = sheets;
        this.handOver = handOver;
        this.clock = clock;
    }

    @Override
    public String name() {
        return "demo";
    }

    @Override
    @Transactional
    public String signIn(String before) {
        if (people.nobodyYet()) {
            String password = "floor-line-" + (1000 + new SecureRandom().nextInt(9000));
            fill(password);
            return SHOWN + " / " + password;
        }
        String[] line = before.split(" / ", 2);
        boolean still = line.length == 2 && people.passwordIs(line[0], line[1]);
        return still ? before : SHOWN + " / (as set)";
    }

    private void fill(String password) {
        UUID shop = people.addShop("Lowline Works");
        Map<String, UUID> staff = new LinkedHashMap<>();
        add(staff, shop, "orla", "Orla Vint", "OV", Role.TECHNICIAN, password, LengthUnit.INCH);
        add(staff, shop, "jorun", "Jorun Balk", "JB", Role.TECHNICIAN, password, LengthUnit.INCH);
        add(staff, shop, "milo", "Milo Aster", "MA", Role.TECHNICIAN, password, LengthUnit.INCH);
        add(staff, shop, "tamsin", "Tamsin Roe", "TR", Role.LEAD, password, LengthUnit.INCH);
        add(staff, shop, "pell", "Pell Ivers", "PI", Role.DESK, password, LengthUnit.MILLIMETRE);
        DemoStories.all().forEach(story -> tell(story, shop, staff));
        rules.bays(person(staff, "tamsin"), List.of("Bay 1", "Bay 2", "Bay 3, lift", "Bay 4", "Bay 5", "Bay 6, lift"));
        day(shop, person(staff, "tamsin"), person(staff, "jorun"));
        survey(person(staff, "tamsin"), "Bay 2", "0", "3 mm", "5 mm", "1 mm");
        UUID other = people.addShop("Second Yard");
        Map<String, UUID> elsewhere = new LinkedHashMap<>();
        add(elsewhere, other, "nils", "Nils Ferro", "NF", Role.LEAD, password, LengthUnit.MILLIMETRE);
        DemoJob there = new DemoJob("KT 4-207", "Van, 2012", VehicleFacts.Shape.HATCH);
        there.holder = "nils";
        tell(there, other, elsewhere);
    }

    /** The shop's next day: two promises, of which one hangs by a thread, and somebody away in the afternoon. */
    private void day(UUID shop, Person lead, Person away) {
        LocalDate day = days.next(lead);
        for (Job job : jobs.onTheFloor(shop)) {
            if (job.vehicle().plate().equals("PX 7-340")) {
                days.promise(lead, job, day, LocalTime.of(12, 30));
            } else if (job.vehicle().plate().equals("HM 6-663")) {
                days.promise(lead, job, day, LocalTime.of(16, 0));
            }
        }
        days.away(lead, away, day);
        days.plan(lead, day);
    }

    private void add(
            Map<String, UUID> staff,
            UUID shop,
            String name,
            String display,
            String initials,
            Role role,
            String password,
            LengthUnit unit) {
        Person.Likes likes = new Person.Likes(unit, Graduation.usual(unit), ZoneId.systemDefault(), "auto", true);
        UUID id = people.add(shop, people.signInName(shop, name), display, initials, role, password, false, likes);
        // The PIN of the whole demo: the digits that its password ends in.
        pins.set(id, password.substring(password.lastIndexOf('-') + 1));
        staff.put(name, id);
    }

    private Person person(Map<String, UUID> staff, String name) {
        return people.byId(Objects.requireNonNull(staff.get(name))).orElseThrow();
    }

    private void tell(DemoJob story, UUID shop, Map<String, UUID> staff) {
        Person by = person(staff, story.holder);
        Instant arrived =
                clock.instant().minus(Duration.ofDays(story.arrivedDaysAgo)).minus(Duration.ofHours(3));
        Map<VehicleFacts.Measure, VehicleFacts.Measured> measures = new EnumMap<>(VehicleFacts.Measure.class);
        story.measures.forEach((name, raw) -> measures.put(name, new VehicleFacts.Measured(raw, length(raw))));
        VehicleFacts vehicle = new VehicleFacts(
                Ids.fresh(),
                story.plate,
                story.kind(),
                story.shape,
                story.name,
                story.archFront,
                story.archRear,
                story.tyre,
                story.tyre,
                new VehicleFacts.FramePoints(story.frameFront, story.frameRear),
                new VehicleFacts.Build(story.headAngle, story.dualRear),
                measures);
        Job job = new Job(
                Ids.fresh(),
                shop,
                vehicle,
                story.customer,
                "",
                story.wish,
                "",
                story.odometer,
                story.worn,
                story.changed,
                story.kit,
                promises(story),
                new Job.Where(story.place, story.bay),
                by.id(),
                by.initials(),
                null,
                arrived,
                Job.Edition.FIRST);
        jobs.receive(job, by);
        story.sets.forEach(set -> wheels.save(by, vehicle.id(), set));
        read(by, job, story.before, story.stateBefore, arrived.plus(Duration.ofMinutes(20)));
        Optional<UUID> arrivedOn = heights.of(job).newest();
        story.probes.forEach(p -> fitments.now(job, p.corner().end())
                .ifPresent(now -> probes.add(
                        by,
                        vehicle.id(),
                        p.corner(),
                        new GapReading(p.place(), p.clock(), p.face(), length(p.gap()), Length.ZERO),
                        p.gap(),
                        now,
                        arrivedOn)));
        // What was driven after the hand-over was not known then.
        boolean later = story.handedOver && story.drive != null;
        if (!later) {
            underneath(by, job, story);
        }
        plan(by, job, story);
        if (!story.after.isEmpty()) {
            sheets.open(by, job.id(), Stage.FIRST_SET_DOWN, arrived.plus(Duration.ofMinutes(140)));
            read(by, job, story.after, story.stateAfter, arrived.plus(Duration.ofMinutes(142)));
        }
        if (!story.driven.isEmpty()) {
            sheets.open(by, job.id(), Stage.AFTER_SHORT_DRIVE, arrived.plus(Duration.ofMinutes(200)));
            read(by, job, story.driven, story.stateDriven, arrived.plus(Duration.ofMinutes(203)));
        }
        if (!story.aligned.isEmpty()) {
            values.tell(by, job, StayValues.Station.ALIGN, story.aligned, Optional.empty());
        }
        if (story.handedOver) {
            handOver.told(by, job, arrived.plus(Duration.ofMinutes(170)));
            LocalDate due = jobs.today(by.likes().zone()).plusDays(Objects.requireNonNull(story.dueInDays));
            Job.Place place = story.dueInDays == 0 ? Job.Place.GONE : Job.Place.OUT;
            jobs.move(shop, job.id(), new Job.Where(place, ""), by.id(), due, Optional.empty());
        }
        if (later) {
            underneath(by, job, story);
        }
        if (!story.settled.isEmpty()) {
            back(by, job, story, arrived.plus(BACK));
        }
    }

    /** Measured settled, looked through, handed over for the last time. */
    private void back(Person by, Job job, DemoJob story, Instant at) {
        UUID sheet = sheets.open(by, job.id(), Stage.SETTLED, at);
        read(by, job, story.settled, story.stateSettled, at.plus(Duration.ofMinutes(5)));
        Map<String, WatchList.Given> seen = new LinkedHashMap<>();
        returns.watch(job).forEach(item -> seen.put(item.name(), new WatchList.Given(Watch.Answer.GOOD, "")));
        watched.answer(by, job, sheet, seen, Optional.empty());
        handOver.told(by, job, at.plus(Duration.ofMinutes(40)));
    }

    private void plan(Person by, Job job, DemoJob story) {
        UUID first = null;
        for (Map<String, String> told : story.kits) {
            UUID id = first == null ? null : kits.another(by, job, Objects.requireNonNull(told.get("NAME")));
            Kits.Kit standing =
                    kits.of(job).find(id == null ? "" : id.toString()).orElseThrow();
            UUID saved = kits.tell(by, job, id, standing.values().with(KitText.read(told)), Optional.empty())
                    .orElseThrow();
            first = first == null ? saved : first;
        }
        if (!story.setup.isEmpty()) {
            settings.tell(by, job, story.setup, Optional.empty());
        }
        if (story.carded > 0) {
            worked.begin(by, job, Set.of("lift"), story.carded);
        }
        if (story.kits.size() > 1) {
            kits.choose(by, job, Objects.requireNonNull(first), "sits right for the track days, dampers included");
        }
    }

    /** What is planned further, what was driven, what lies low. */
    private void underneath(Person by, Job job, DemoJob story) {
        story.goes.forEach((end, measured) -> roads.sweep(by, job, end, measured));
        story.further.forEach((end, mm) -> roads.lower(by, job, end, mm));
        if (story.drive != null) {
            roads.drove(by, job, story.drive);
        }
        story.marks.forEach(m -> roads.marked(by, job, m.corner(), m.place(), m.clock(), m.face(), m.gap()));
        story.low.forEach(
                p -> lows.add(by, job, p.get(0), p.get(1), p.get(2), "", length(p.get(2)), p.get(3), length(p.get(3))));
        story.grounds.forEach((name, profile) -> lows.ground(by, job.vehicle().id(), name, profile));
    }

    private void survey(Person by, String bay, String... walk) {
        Map<Corner, Typed> pads = new EnumMap<>(Corner.class);
        for (Corner corner : Corner.values()) {
            String raw = walk[corner.ordinal()];
            pads.put(corner, new Typed(raw, length(raw)));
        }
        rules.survey(by, bay, null, pads);
    }

    private void read(Person by, Job job, Map<String, String> readings, Map<String, String> state, Instant from) {
        JobSheets all = sheets.of(by.shop(), job.id());
        SheetRow sheet = all.newest().orElseThrow().row();
        sheets.say(by, sheet, state, Map.of(), from);
        int minute = 0;
        for (Map.Entry<String, String> reading : readings.entrySet()) {
            String[] spot = reading.getKey().split(" ");
            sheets.take(
                    by,
                    sheet,
                    MeasuringPoint.of(
                            Places.of(spot[0]).orElseThrow(),
                            rules.ways(by.shop()).of(spot[1]).orElseThrow()),
                    reading.getValue(),
                    Ids.fresh(),
                    from.plusSeconds(20L * minute++));
        }
    }

    private static Map<Place, Job.Promise> promises(DemoJob story) {
        Map<Place, Job.Promise> promises = new LinkedHashMap<>();
        for (Place end : List.of(End.FRONT, Seat.SEAT, End.REAR)) {
            String text = end == End.FRONT ? story.front : end == End.REAR ? story.rear : story.seat;
            if (!text.isEmpty()) {
                String[] range = text.split(" to ");
                String least = range[0];
                String most = range[range.length - 1];
                promises.put(end, new Job.Promise(least, most, new Advertised.Range(length(least), length(most))));
            }
        }
        return promises;
    }

    private static Length length(String raw) {
        return TapeText.parse(
                        raw,
                        LengthUnit.INCH,
                        Graduation.SIXTEENTH_INCH,
                        TapeText.Allowed.ANY,
                        Length.ofInches(480, 0, 1))
                .asReading()
                .orElseThrow(() -> new IllegalStateException(raw))
                .value();
    }
}
