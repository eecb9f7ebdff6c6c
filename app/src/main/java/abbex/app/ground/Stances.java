package abbex.app.ground;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts.Measure;
import abbex.app.drawing.Outline;
import abbex.app.drawing.ProfileDrawing;
import abbex.app.drawing.StanceDrawing;
import abbex.app.facts.Fact;
import abbex.app.fitment.Fitments;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.Sheets;
import abbex.app.measure.Standing;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.prove.Clearances;
import abbex.app.store.Reads;
import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.figure.Reason;
import abbex.core.ground.Crossing;
import abbex.core.ground.GroundFinding;
import abbex.core.ground.Lamps;
import abbex.core.ground.Passage;
import abbex.core.ground.Profile;
import abbex.core.ground.Stance;
import abbex.core.ground.Underbody;
import abbex.core.heights.Contribution;
import abbex.core.heights.HeightFormula;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Stage;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** How vehicles stand over the ground: the public service of the station. */
@Service
public class Stances {
    private final Reads reads;
    private final LowPoints points;
    private final Sheets sheets;
    private final Fitments fitments;
    private final Clearances clearances;
    private final Words words;

    Stances(LowPoints points, Sheets sheets, Fitments fitments, Clearances clearances, Words words, Reads reads) {
        this.reads = reads;
        this.points = points;
        this.sheets = sheets;
        this.fitments = fitments;
        this.clearances = clearances;
        this.words = words;
    }

    /**
     * All that is reckoned of a vehicle over its grounds, once while nothing of it is written.
     *
     * @param ways by the ground's key
     */
    private record Reckoned(Stance stance, List<Finding> lamps, Map<String, Going> ways) {}

    /**
     * A ground and the way over it.
     *
     * @param own its id when it is the vehicle's own
     */
    private record Going(String name, String own, Passage way) {}

    /** The tyre's diameter of an end before a load is on it, mm. */
    private OptionalDouble diameter(Job job, End end) {
        return fitments.intended(job, end)
                .map(f -> f.tyre().overallDiameter().mm())
                .or(() -> job.vehicle()
                        .measure(end == End.FRONT ? Measure.TYRE_FRONT : Measure.TYRE_REAR)
                        .map(Length::mm))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }

    /** What somebody called it, else what it is. */
    String name(LowPoint point) {
        return point.name().isEmpty() ? words.say("low." + point.kind()) : point.name();
    }

    private Optional<Reckoned> reckoned(Job job) {
        return job.vehicle()
                .measure(Measure.WHEELBASE)
                .flatMap(wheelbase -> reads.ofVehicle(
                        job.shop(),
                        job.vehicle().id(),
                        List.of(Stances.class, job.shop(), job.id()),
                        () -> reckon(job, wheelbase.mm())));
    }

    private Optional<Reckoned> reckon(Job job, double wheelbase) {
        JobSheets all = sheets.of(job.shop(), job.id());
        List<LowPoint> low = points.of(job.shop(), job.vehicle().id());
        Standing standing = clearances.standing(job);
        Stance.Told told = told(job, all, standing);
        List<Underbody.Point> under = low.stream()
                .filter(p -> p.kind() == LowPoint.Kind.UNDERSIDE)
                .map(p -> new Underbody.Point(name(p), p.along().mm(), p.height(standing, wheelbase)))
                .toList();
        double lift = low.stream()
                .filter(p -> p.kind() == LowPoint.Kind.NOSE_LIFT)
                .mapToDouble(p -> p.height().mm())
                .max()
                .orElse(0);
        List<Finding> lamps = new ArrayList<>();
        low.forEach(p -> p.kind()
                .code()
                .ifPresent(code -> lamps.add(Lamps.check(code, Length.ofRoundedMm(p.height(standing, wheelbase))))));
        // What a plan will turn is set once the springs are in: the beam of a vehicle as it arrived is where it was.
        if (all.newest().filter(sheet -> sheet.stage() != Stage.AS_ARRIVED).isPresent()) {
            Stance.beam(told, wheelbase).ifPresent(lamps::add);
        }
        lamps.sort(Finding.WORST_FIRST);
        return Stance.of(wheelbase, PerEnd.of(end -> diameter(job, end)), told, under, lift)
                .map(stance -> new Reckoned(stance, List.copyOf(lamps), ways(job, stance)));
    }

    private Stance.Told told(Job job, JobSheets all, Standing standing) {
        return new Stance.Told(
                all.sheets().stream().map(SheetData::heights).toList(), standing.heights(), drops(job, all));
    }

    /**
     * The vehicle from its side as it was and is, for who has to be shown; by usual proportions where its wheelbase or tyres are
     * not known. Empty while it is not known how far both ends came down.
     */
    public Optional<SideView> sideView(Job job) {
        Outline shape = shape(job);
        Stance.Told told = told(job, sheets.of(job.shop(), job.id()), clearances.standing(job));
        double wheelbase =
                job.vehicle().measure(Measure.WHEELBASE).map(Length::mm).orElse(shape.wheelbase());
        return Stance.of(wheelbase, PerEnd.of(end -> usualDiameter(job, end)), told, List.of(), 0)
                .map(stance -> StanceDrawing.level(shape, stance))
                .map(drawing -> new SideView(
                        shape.lines(),
                        drawing,
                        drawing.bodies().stream()
                                .filter(body -> !body.style().equals("planned"))
                                .toList()))
                .filter(view -> view.bodies().size() > 1);
    }

    /**
     * The vehicle from its side as it stood on the first sheet of a stay, and lowered from there by so many mm; by usual
     * proportions where its wheelbase or tyres are not known.
     */
    public Optional<SideView> sideView(Job job, PerEnd<Double> drops) {
        Outline shape = shape(job);
        JobSheets all = sheets.of(job.shop(), job.id());
        Standing standing = clearances.standing(job);
        List<Contribution> parts = new ArrayList<>();
        drops.forEach((end, drop) -> {
            Estimate lower = new Estimate(Length.ofRoundedMm(standing.now(end) + drop), Uncertainty.NONE);
            parts.add(new Contribution("", end, lower, Reason.of(HeightFormula.PLANNED, lower)));
        });
        Stance.Told told = new Stance.Told(
                all.before().map(SheetData::heights).stream().toList(),
                standing.planning(parts).heights(),
                PerEnd.of(end -> Optional.empty()));
        double wheelbase =
                job.vehicle().measure(Measure.WHEELBASE).map(Length::mm).orElse(shape.wheelbase());
        return Stance.of(wheelbase, PerEnd.of(end -> usualDiameter(job, end)), told, List.of(), 0)
                .map(stance -> StanceDrawing.level(shape, stance))
                .map(drawing -> new SideView(shape.lines(), drawing, drawing.bodies()));
    }

    /**
     * A vehicle from its side.
     *
     * @param outline its lines
     * @param bodies as it was, as it is
     */
    public record SideView(List<String> outline, StanceDrawing drawing, List<StanceDrawing.Body> bodies) {}

    /**
     * A point of the shop's own that a sheet holds.
     *
     * @param raw its height as it was typed
     */
    public record Measured(String name, String raw) {}

    /** The shop's own points over the floor on the newest sheet that are not among the low points yet: nobody types them again. */
    List<Measured> measured(Job job) {
        List<String> known = points.of(job.shop(), job.vehicle().id()).stream()
                .map(LowPoint::name)
                .toList();
        return sheets.of(job.shop(), job.id()).newest().stream()
                .flatMap(sheet -> sheet.heights().points().entrySet().stream())
                .filter(point -> point.getKey().way() instanceof PointMethod way && way.named() && way.floorInIt())
                .map(point -> new Measured(
                        name(point.getKey()),
                        point.getValue().readings().get(0).tape().raw()))
                .filter(point -> !known.contains(point.name()))
                .toList();
    }

    /** The point, and where it is where that is not one place alone. */
    private static String name(MeasuringPoint spot) {
        PointMethod way = (PointMethod) spot.way();
        return way.places().size() == 1
                ? way.name()
                : way.name() + ", " + spot.place().code();
    }

    private static Outline shape(Job job) {
        return Outline.of(job.vehicle().shape().name().toLowerCase(Locale.ROOT));
    }

    private OptionalDouble usualDiameter(Job job, End end) {
        OptionalDouble known = diameter(job, end);
        return known.isPresent()
                ? known
                : OptionalDouble.of(job.vehicle().kind().cabAndBed() ? USUAL_TRUCK : USUAL_TYRE);
    }

    /** Tyres of a drawing whose own are not known, mm (ours). */
    private static final double USUAL_TYRE = 634;

    private static final double USUAL_TRUCK = 790;

    private Map<String, Going> ways(Job job, Stance stance) {
        Map<String, Going> ways = new LinkedHashMap<>();
        points.grounds(job.shop(), job.vehicle().id())
                .forEach(g -> ways.put(
                        g.id().toString(),
                        new Going(g.name(), g.id().toString(), Passage.of(stance.lifted(), g.profile()))));
        for (Profile.Usual usual : Profile.Usual.values()) {
            ways.put(
                    usual.name(),
                    new Going(words.say("ground." + usual), "", Passage.of(stance.lifted(), usual.profile())));
        }
        return ways;
    }

    /**
     * The page of a stay.
     *
     * @param key the ground that is chosen; null for level ground
     * @param along where the front axle is to be drawn; empty for where least air is
     */
    public GroundPage of(Job job, @Nullable String key, OptionalDouble along, Reader reader) {
        Outline shape = shape(job);
        Optional<Reckoned> found = reckoned(job);
        if (found.isEmpty()) {
            String missing = words.say(
                    job.vehicle().measure(Measure.WHEELBASE).isEmpty()
                            ? "ground.missing.wheelbase"
                            : "ground.missing.wheels");
            return new GroundPage(missing, shape.lines(), null, List.of(), List.of(), null, List.of());
        }
        Stance stance = found.get().stance();
        List<GroundPage.Way> ways = new ArrayList<>();
        found.get()
                .ways()
                .forEach((name, going) ->
                        going.way().least().ifPresent(least -> ways.add(way(name, going, least, reader))));
        GroundPage.Chosen shown = null;
        StanceDrawing drawing = StanceDrawing.level(shape, stance);
        Going chosen = key == null ? null : found.get().ways().get(key);
        if (key != null && chosen != null) {
            Passage.Here here = along.isPresent()
                    ? chosen.way().at(along.getAsDouble())
                    : chosen.way().tightest();
            shown = chosen(key, chosen, here, reader);
            drawing = StanceDrawing.on(shape, stance, chosen.way(), here);
        }
        return new GroundPage(
                "",
                shape.lines(),
                drawing,
                figures(stance, reader),
                ways,
                shown,
                words.findings(found.get().lamps(), reader));
    }

    /** What lamps and bumpers have to say, and where the vehicle scrapes on a ground of its own. */
    public List<Finding> findings(Job job) {
        List<Finding> findings = new ArrayList<>();
        reckoned(job).ifPresent(known -> {
            findings.addAll(known.lamps());
            known.ways().values().stream()
                    .filter(going -> !going.own().isEmpty())
                    .forEach(going -> going.way()
                            .least()
                            .flatMap(least -> Stance.own(going.name(), least))
                            .ifPresent(findings::add));
            if (sheets.of(job.shop(), job.id())
                    .newest()
                    .filter(sheet -> sheet.stage() != Stage.AS_ARRIVED)
                    .isPresent()) {
                findings.addAll(usual(known));
            }
        });
        findings.sort(Finding.WORST_FIRST);
        return List.copyOf(findings);
    }

    /** Usual driveways on which it scrapes; where it passes all that was looked at, the place that comes nearest. */
    private static List<Finding> usual(Reckoned known) {
        List<String> scraped = new ArrayList<>();
        double most = 0;
        Crossing.Least tightest = null;
        boolean own = false;
        for (Going going : known.ways().values()) {
            Optional<Crossing.Least> least = going.way().least();
            if (least.isPresent() && (tightest == null || least.get().air() < tightest.air())) {
                tightest = least.get();
            }
            if (least.isPresent() && least.get().air() <= 0) {
                own |= !going.own().isEmpty();
                if (going.own().isEmpty()) {
                    scraped.add(going.name());
                    most = Math.max(most, -least.get().air());
                }
            }
        }
        if (!scraped.isEmpty()) {
            return List.of(new GroundFinding.UsualScrapes(List.copyOf(scraped), Length.ofRoundedMm(most)));
        }
        return tightest == null || own
                ? List.of()
                : List.of(new GroundFinding.Passes(tightest.name(), Length.ofRoundedMm(tightest.air())));
    }

    private GroundPage.Way way(String key, Going going, Crossing.Least least, Reader reader) {
        Words.Said said = words.finding(least.finding(), reader);
        return new GroundPage.Way(
                key,
                going.own(),
                going.name(),
                said.mark(),
                said.title(),
                length(least.air(), reader),
                least.name(),
                ProfileDrawing.of(going.way().ground().points()));
    }

    private GroundPage.Chosen chosen(String key, Going going, Passage.Here here, Reader reader) {
        return new GroundPage.Chosen(
                key,
                going.name(),
                Math.round(going.way().first()),
                Math.round(going.way().last()),
                Math.round(here.pose().along()),
                here.least().map(at -> here(at, reader)).orElse(""));
    }

    private String here(Crossing.Least at, Reader reader) {
        return Numerals.html(words.say(
                at.air() <= 0 ? "ground.here.into" : "ground.here",
                reader,
                "point",
                at.name(),
                "air",
                Length.ofRoundedMm(Math.abs(at.air()))));
    }

    private static String length(double mm, Reader reader) {
        return Numerals.html(Numerals.text(Length.ofRoundedMm(mm), reader));
    }

    /** Of the lifted nose wherever there is a lift, which is said before any of them. */
    private List<GroundPage.Line> figures(Stance stance, Reader reader) {
        Underbody under = stance.lifted();
        List<GroundPage.Line> lines = new ArrayList<>();
        if (stance.noseLift() > 0) {
            lines.add(new GroundPage.Line(words.say("ground.lifted"), length(stance.noseLift(), reader), List.of()));
        }
        line(lines, "ground.approach", under.approach(), reader);
        line(lines, "ground.breakover", under.breakover(), reader);
        line(lines, "ground.departure", under.departure(), reader);
        under.points().stream()
                .min(java.util.Comparator.comparingDouble(Underbody.Point::height))
                .ifPresent(p -> lines.add(new GroundPage.Line(
                        words.say("ground.lowest") + " (" + p.name() + ")", length(p.height(), reader), List.of())));
        return lines;
    }

    private void line(List<GroundPage.Line> lines, String key, Optional<Figure<Angle>> figure, Reader reader) {
        figure.ifPresent(f -> lines.add(new GroundPage.Line(
                words.say(key),
                String.format(Locale.ROOT, "%.1f°", f.value().degrees()),
                words.reason(f.reason(), reader).stream().map(Numerals::html).toList())));
    }

    /** How far each end has come down since the vehicle arrived, where that is known. */
    private static PerEnd<Optional<Length>> drops(Job job, JobSheets all) {
        return all.now().isEmpty()
                ? PerEnd.of(end -> Optional.empty())
                : all.judge(job)
                        .drops()
                        .ends()
                        .map(end -> end.drop().map(f -> f.value().value()));
    }

    /** Every measure that goes into it. */
    public List<Fact> facts(Job job) {
        List<Fact> facts = new ArrayList<>();
        for (LowPoint p : points.of(job.shop(), job.vehicle().id())) {
            facts.add(Fact.of(
                    Fact.Kind.LOW_POINT,
                    List.of(p.kind().name(), p.name(), Fact.line(p.alongRaw()), p.from()),
                    Fact.line(p.heightRaw())));
        }
        for (OwnGround g : points.grounds(job.shop(), job.vehicle().id())) {
            facts.add(Fact.of(Fact.Kind.GROUND, List.of(g.name()), OwnGround.text(g.profile())));
        }
        return facts;
    }
}
