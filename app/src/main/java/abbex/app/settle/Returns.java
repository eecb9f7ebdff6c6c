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
import abbex.app.store.Reads;
import abbex.core.figure.Place;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Method;
import abbex.core.heights.Stage;
import abbex.core.settling.Bins;
import abbex.core.settling.Odometer;
import abbex.core.settling.Settling;
import abbex.core.settling.SettlingFinding;
import abbex.core.settling.Watch;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** How a stay's vehicle settles, and what is to be said of it: the public service of the package. */
@Service
public class Returns {
    /** The first of them that all corners have on every sheet: those without the tyre before the one with it. */
    private static final List<Method> WAYS = List.of(Method.HF, Method.RIM, Method.GF);

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
    private final Reads reads;

    Returns(Sheets sheets, Settings settings, WatchList watched, Memory memory, Kits kits, Reads reads) {
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

    private List<SettlingFinding> watch(Job job, UUID sheet) {
        WatchList.Answered answered = watched.of(job, sheet);
        List<Watch> items = Watch.of(job.vehicle().kind());
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
        return WAYS.stream()
                .filter(way -> !since.isEmpty() && since.get(0).heights().complete(way))
                .findFirst()
                .map(way -> course(
                        job,
                        all,
                        way,
                        since.stream()
                                .filter(sheet -> sheet.heights().complete(way))
                                .toList(),
                        turned,
                        findings));
    }

    private static Optional<Settings.Turned> turnedOn(List<Settings.Turned> turned, SheetData sheet) {
        return turned.stream().filter(t -> t.sheet().equals(sheet.row().id())).findFirst();
    }

    private Course course(
            Job job,
            JobSheets all,
            Method way,
            List<SheetData> since,
            List<Settings.Turned> turned,
            List<SettlingFinding> findings) {
        double tape = since.stream()
                .flatMap(sheet -> Corner.WALK.stream()
                        .map(corner -> sheet.heights().at(corner, way).orElseThrow()))
                .mapToDouble(height -> height.estimate().uncertainty().standard())
                .max()
                .orElseThrow();
        Settling settling = new Settling(prior(job), tape, SCATTER);
        boolean miles = !since.get(0).row().unit().metric();
        Optional<Odometer> start = odometer(since.get(0), miles).or(() -> Odometer.parse(job.odometer(), miles));
        List<Course.Look> looks = new ArrayList<>();
        double driven = 0;
        for (SheetData sheet : since) {
            boolean setDown = looks.isEmpty();
            Optional<Odometer> shows = setDown ? start : odometer(sheet, miles);
            OptionalDouble km = setDown ? OptionalDouble.of(0) : since(start, shows, driven, sheet.stage(), findings);
            Optional<double[]> untouched = setDown
                    ? Optional.empty()
                    : turnedOn(turned, sheet).filter(t -> t.method() == way).map(Settings.Turned::before);
            double[] heights = untouched.orElseGet(() -> heights(sheet.heights(), way));
            if (km.isPresent()) {
                driven = km.getAsDouble();
                settling.add(new Settling.Sheet(driven, heights));
            }
            looks.add(
                    new Course.Look(sheet.row().id(), sheet.stage(), sheet.row().madeAt(), km, shows, heights));
        }
        double[] last = looks.get(looks.size() - 1).heights();
        double[] now = heights(since.get(since.size() - 1).heights(), way);
        List<Double> trimmed = Stream.of(End.values())
                .map(end -> Course.mean(last, end) - Course.mean(now, end))
                .toList();
        return new Course(way, arrived(all, way, looks.get(0).heights()), trimmed, List.copyOf(looks), settling);
    }

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

    private static double[] heights(HeightSheet sheet, Method way) {
        double[] heights = new double[Corner.WALK.size()];
        Arrays.setAll(
                heights,
                c -> sheet.at(Corner.WALK.get(c), way).orElseThrow().value().mm());
        return heights;
    }

    private static List<OptionalDouble> arrived(JobSheets all, Method way, double[] setDown) {
        Optional<HeightSheet> before = all.before().map(SheetData::heights).filter(sheet -> sheet.complete(way));
        return Stream.of(End.values())
                .map(end -> before.map(sheet ->
                                OptionalDouble.of(Course.mean(heights(sheet, way), end) - Course.mean(setDown, end)))
                        .orElse(OptionalDouble.empty()))
                .toList();
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
