package abbex.app.settle;

import abbex.app.arrive.Job;
import abbex.app.kit.KitField;
import abbex.app.kit.Kits;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.Sheets;
import abbex.app.memory.Memory;
import abbex.app.memory.Remembered;
import abbex.app.set.Settings;
import abbex.app.state.VehicleStates;
import abbex.app.store.Reads;
import abbex.core.figure.Place;
import abbex.core.heights.Stage;
import abbex.core.settling.Bins;
import abbex.core.settling.Odometer;
import abbex.core.settling.Settling;
import abbex.core.settling.SettlingFinding;
import abbex.core.settling.Watch;
import abbex.core.state.PartsFitted;
import abbex.core.state.VehicleState;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Whole;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** How a stay's vehicle settles, and what is to be said of it: the public service of the package. */
@Service
public class Returns {
    /** How a set-down falls, a corner, mm (common practice, from memory). */
    private static final double SCATTER = 0.5;

    /** How well one stay tells what its kit sinks, mm (ours): tape, set-down and how far it was driven. */
    private static final double EACH = 0.8;

    /** Less than a tape shows, mm: a 32nd of an inch. */
    private static final double SEEN = 0.8;

    private final Sheets sheets;
    private final Settings settings;
    private final WatchList watched;
    private final Memory memory;
    private final Kits kits;
    private final VehicleStates states;
    private final Reads reads;

    Returns(
            Sheets sheets,
            Settings settings,
            WatchList watched,
            Memory memory,
            Kits kits,
            VehicleStates states,
            Reads reads) {
        this.states = states;
        this.memory = memory;
        this.kits = kits;
        this.sheets = sheets;
        this.settings = settings;
        this.watched = watched;
        this.reads = reads;
    }

    /**
     * What a stay tells.
     *
     * @param course how it settles; empty for a single track and where no method was read at all corners
     * @param back the sheet that was opened when it was back; empty before that
     * @param findings what is to be said
     */
    public record Told(Optional<Course> course, Optional<UUID> back, List<SettlingFinding> findings) {}

    public Told of(Job job) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(Returns.class, job.shop(), job.id()),
                () -> told(job, sheets.of(job.shop(), job.id())));
    }

    private Told told(Job job, JobSheets all) {
        List<SettlingFinding> findings = new ArrayList<>();
        Optional<SheetData> back = all.newest().filter(sheet -> sheet.stage() == Stage.SETTLED);
        Optional<Course> course = course(job, all, findings);
        course.ifPresent(c -> findings.addAll(says(c)));
        boolean setDown =
                all.sheets().stream().anyMatch(sheet -> sheet.stage().lowered() && sheet.stage() != Stage.SETTLED);
        if (back.isPresent() && !setDown) {
            findings.add(new SettlingFinding.ReturnBeforeFitting());
        }
        back.ifPresent(sheet -> findings.addAll(watch(job, sheet.row().id())));
        return new Told(course, back.map(sheet -> sheet.row().id()), List.copyOf(findings));
    }

    /** What is looked at when the vehicle is back: what was fitted, not one list for all. */
    public List<Watch> watch(Job job) {
        VehicleState state = states.now(job);
        Set<String> fitted = new TreeSet<>();
        state.parts().stream().forEach(parts -> fitted.addAll(parts.fresh()));
        boolean adjusted = state.turned().stream().anyMatch(mm -> mm != 0);
        return Watch.of(job.vehicle().kind(), fitted, adjusted);
    }

    private List<SettlingFinding> watch(Job job, UUID sheet) {
        WatchList.Answered answered = watched.of(job, sheet);
        List<Watch> items = watch(job);
        List<SettlingFinding> found = new ArrayList<>();
        for (Watch item : items) {
            answered.of(item.name())
                    .filter(given -> given.answer() == Watch.Answer.SEEN)
                    .ifPresent(given -> found.add(new SettlingFinding.SeenOnReturn(Whole.VEHICLE, item)));
        }
        int open = (int) items.stream()
                .filter(item -> answered.of(item.name()).isEmpty())
                .count();
        if (open > 0) {
            found.add(new SettlingFinding.NotLookedAt(open));
        }
        return found;
    }

    /** From the set-down on; where something was turned later, from there on. What is turned on the return was read before it. */
    private Optional<Course> course(Job job, JobSheets all, List<SettlingFinding> findings) {
        List<SheetData> lowered =
                all.sheets().stream().filter(sheet -> sheet.stage().lowered()).toList();
        // What was turned on the only sheet was read again there.
        List<Settings.Turned> turned = lowered.size() < 2 ? List.of() : settings.turned(job);
        int first = 0;
        for (int i = 1; i < lowered.size(); i++) {
            boolean back = i == lowered.size() - 1 && lowered.get(i).stage() == Stage.SETTLED;
            first = !back && turnedOn(turned, lowered.get(i)).isPresent() ? i : first;
        }
        List<SheetData> since = lowered.subList(first, lowered.size());
        return since.isEmpty() || job.vehicle().kind().singleTrack()
                ? Optional.empty()
                : Looks.of(job, all, since, turned).map(looks -> course(job, looks, findings));
    }

    private static Optional<Settings.Turned> turnedOn(List<Settings.Turned> turned, SheetData sheet) {
        return turned.stream().filter(t -> t.sheet().equals(sheet.row().id())).findFirst();
    }

    private Course course(Job job, Looks of, List<SettlingFinding> findings) {
        Settling settling = new Settling(prior(job), of.tape(), SCATTER);
        boolean miles = !of.setDown().row().unit().metric();
        Optional<Odometer> start = odometer(of.setDown(), miles).or(() -> Odometer.parse(job.odometer(), miles));
        List<Course.Look> looks = new ArrayList<>();
        double driven = 0;
        for (Looks.Seen seen : of.seen()) {
            SheetData sheet = seen.sheet();
            boolean setDown = looks.isEmpty();
            Optional<Odometer> shows = setDown ? start : odometer(sheet, miles);
            OptionalDouble km = setDown ? OptionalDouble.of(0) : since(start, shows, driven, sheet.stage(), findings);
            if (km.isPresent()) {
                driven = km.getAsDouble();
                settling.add(new Settling.Sheet(driven, seen.heights()));
            }
            looks.add(
                    new Course.Look(sheet.row().id(), sheet.stage(), sheet.row().madeAt(), km, shows, seen.heights()));
        }
        double[] last = looks.get(looks.size() - 1).heights();
        double[] now = of.now();
        List<Double> trimmed = Stream.of(End.values())
                .map(end -> Course.mean(last, end) - Course.mean(now, end))
                .toList();
        VehicleState state = states.now(job);
        return new Course(
                of.way(),
                of.arrived(),
                trimmed,
                List.copyOf(looks),
                settling,
                PerEnd.of(end -> settles(state, end)),
                state.settled());
    }

    /** What carries an end is new; where nothing is known of what was fitted it may be. Air bags do not sink as springs do. */
    private static boolean settles(VehicleState state, End end) {
        boolean known = state.parts().stream().anyMatch(PartsFitted::changed);
        return !known || state.parts().get(end).fresh().stream().anyMatch(SINKS::contains);
    }

    private static final Set<String> SINKS = Set.of("spring", "helper", "isolator");

    /** What is usual, by what the shop's other stays with the kit sank. */
    private Settling.Prior prior(Job job) {
        Memory.Kit kit =
                new Memory.Kit(Memory.key(kit(job, kits)), job.vehicle().kind());
        if (kit.key().isEmpty()) {
            return Settling.Prior.USUAL;
        }
        Bins seen = memory.of(job.shop(), kit).getOrDefault(Remembered.SANK.name(), Bins.NONE);
        Double own = memory.struck(job.shop(), job.id()).isPresent()
                ? null
                : memory.told(job.shop(), job.id()).get(Remembered.SANK.name());
        Bins others = own == null ? seen : seen.without(own);
        return Settling.Prior.USUAL.learned(others.count(), others.mean(), EACH);
    }

    /** What a stay's kit is called: by its figures, else as it was received. */
    public static String kit(Job job, Kits kits) {
        String named = kits.of(job).chosen().values().raw(null, KitField.NAME);
        return named.isBlank() ? job.kit() : named;
    }

    private static Optional<Odometer> odometer(SheetData sheet, boolean miles) {
        return sheet.odometer().flatMap(text -> Odometer.parse(text, miles));
    }

    /** Empty, and said why, where the odometers do not tell it. */
    private static OptionalDouble since(
            Optional<Odometer> start,
            Optional<Odometer> shows,
            double before,
            Stage stage,
            List<SettlingFinding> findings) {
        if (start.isEmpty() || shows.isEmpty()) {
            if (stage == Stage.SETTLED && findings.stream().noneMatch(SettlingFinding.NotDriven.class::isInstance)) {
                findings.add(new SettlingFinding.NotDriven());
            }
            return OptionalDouble.empty();
        }
        Odometer was = start.get();
        Odometer is = shows.get();
        double km = is.since(was);
        if (is.unitsMixed(was) || is.tooFar(was)) {
            findings.add(new SettlingFinding.OdometerUnits(was.distance(), is.distance()));
            return OptionalDouble.empty();
        }
        if (km < before) {
            findings.add(new SettlingFinding.OdometerBack(was.distance(), is.distance()));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(km);
    }

    private static List<SettlingFinding> says(Course course) {
        List<SettlingFinding> says = new ArrayList<>();
        if (!course.driven()) {
            return says;
        }
        course.settling().apart().ifPresent(apart -> {
            Place place = place(apart.where());
            Length by = Length.ofRoundedMm(Math.abs(apart.by()));
            says.add(
                    apart.by() < 0 ? new SettlingFinding.SankMore(place, by) : new SettlingFinding.SankLess(place, by));
        });
        double now = course.last().driven().orElseThrow();
        End most = End.FRONT;
        double left = 0;
        for (End end : End.values()) {
            double more = course.sinks(end, Double.POSITIVE_INFINITY).mean()
                    - course.sinks(end, now).mean();
            if (more > left) {
                left = more;
                most = end;
            }
        }
        if (course.settled() || !course.settles().front() && !course.settles().rear()) {
            says.add(new SettlingFinding.Settled());
            return says;
        }
        says.add(
                left > SEEN
                        ? new SettlingFinding.StillSinks(most, Length.ofRoundedMm(left))
                        : new SettlingFinding.Settled());
        return says;
    }

    private static Place place(Settling.Where where) {
        return switch (where) {
            case FRONT -> End.FRONT;
            case REAR -> End.REAR;
            default -> Corner.valueOf(where.name());
        };
    }
}
