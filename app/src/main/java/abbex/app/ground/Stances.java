package abbex.app.ground;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts.Measure;
import abbex.app.drawing.Outline;
import abbex.app.drawing.StanceDrawing;
import abbex.app.drawing.StanceDrawing.Lips;
import abbex.app.facts.Fact;
import abbex.app.fitment.Fitments;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.Sheets;
import abbex.app.measure.Standing;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.prove.Proofs;
import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.ground.Crossing;
import abbex.core.ground.Lamps;
import abbex.core.ground.Profile;
import abbex.core.ground.Underbody;
import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Method;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** How a vehicle stands over the ground: the public service of the station. */
@Service
public class Stances {
    /** Drawn so far over the tyre while nobody has measured the lips. */
    private static final double USUAL_LIP = 60;

    private final LowPoints points;
    private final Sheets sheets;
    private final Fitments fitments;
    private final Proofs proofs;
    private final Words words;

    Stances(LowPoints points, Sheets sheets, Fitments fitments, Proofs proofs, Words words) {
        this.points = points;
        this.sheets = sheets;
        this.fitments = fitments;
        this.proofs = proofs;
        this.words = words;
    }

    /** A vehicle as it is to stand, with what was measured under it. */
    private record Stance(Underbody planned, Underbody lifted, List<LowPoint> points, Standing heights) {}

    /** Loaded radius of an end in mm: by its hub heights, else by its tyre; empty when neither is known. */
    private OptionalDouble radius(Job job, JobSheets all, End end) {
        Optional<HeightSheet> newest = all.newest().map(SheetData::heights);
        List<Double> hubs = Stream.of(end.left(), end.right())
                .flatMap(c -> newest.flatMap(s -> difference(s, c)).stream())
                .toList();
        Optional<Double> free = fitments.planned(job, end)
                .or(() -> fitments.now(job, end))
                .map(f -> f.tyre().overallDiameter().mm())
                .or(() -> job.vehicle()
                        .measure(end == End.FRONT ? Measure.TYRE_FRONT : Measure.TYRE_REAR)
                        .map(Length::mm));
        return Underbody.loadedRadius(hubs, free.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
    }

    private static Optional<Double> difference(HeightSheet sheet, Corner corner) {
        return height(sheet, corner, Method.GF)
                .flatMap(g -> height(sheet, corner, Method.HF).map(h -> g - h));
    }

    private static Optional<Double> height(HeightSheet sheet, Corner corner, Method method) {
        return sheet.at(corner, method).map(Height::value).map(Length::mm);
    }

    /** What somebody called it, else what it is. */
    String name(LowPoint point) {
        return point.name().isEmpty() ? words.say("low." + point.kind()) : point.name();
    }

    private Optional<Stance> standing(Job job, JobSheets all) {
        Optional<Length> wheelbase = job.vehicle().measure(Measure.WHEELBASE);
        OptionalDouble front = radius(job, all, End.FRONT);
        OptionalDouble rear = radius(job, all, End.REAR);
        if (wheelbase.isEmpty() || front.isEmpty() || rear.isEmpty()) {
            return Optional.empty();
        }
        List<LowPoint> low = points.of(job.shop(), job.vehicle().id());
        Standing heights = proofs.standing(job);
        double base = wheelbase.get().mm();
        Underbody planned = new Underbody(
                base,
                front.getAsDouble(),
                rear.getAsDouble(),
                low.stream()
                        .filter(p -> p.kind() == LowPoint.Kind.UNDERSIDE)
                        .map(p -> new Underbody.Point(name(p), p.along().mm(), p.height(heights, base)))
                        .toList());
        double lift = low.stream()
                .filter(p -> p.kind() == LowPoint.Kind.NOSE_LIFT)
                .mapToDouble(p -> p.height().mm())
                .max()
                .orElse(0);
        return Optional.of(new Stance(planned, planned.lowered(-lift, 0), low, heights));
    }

    /**
     * The page of a stay.
     *
     * @param key the ground that is chosen; null for level ground
     * @param along where the front axle is to be drawn; empty for where least air is
     */
    public GroundPage of(Job job, @Nullable String key, OptionalDouble along, Reader reader) {
        JobSheets all = sheets.of(job.shop(), job.id());
        Outline shape = Outline.of(job.vehicle().shape().name().toLowerCase(Locale.ROOT));
        Optional<Stance> found = standing(job, all);
        if (found.isEmpty()) {
            String missing = words.say(
                    job.vehicle().measure(Measure.WHEELBASE).isEmpty()
                            ? "ground.missing.wheelbase"
                            : "ground.missing.wheels");
            return new GroundPage(missing, shape.lines(), null, List.of(), List.of(), null, List.of());
        }
        Stance standing = found.get();
        Map<String, Named> grounds = grounds(job);
        Optional<Named> chosen = Optional.ofNullable(key).map(grounds::get);
        List<Finding> findings = new ArrayList<>(lamps(job, all, standing));
        List<GroundPage.Way> ways = new ArrayList<>();
        if (!standing.planned().points().isEmpty()) {
            grounds.forEach((name, ground) -> ways.add(way(name, ground, standing, reader)));
        }
        findings.sort(Finding.WORST_FIRST);
        GroundPage.Chosen shown = null;
        StanceDrawing drawing;
        if (key != null && chosen.isPresent()) {
            Profile profile = chosen.get().profile();
            double[] range = Crossing.way(whole(standing.lifted()), profile);
            double at = along.orElseGet(() -> standing.lifted().points().isEmpty()
                    ? profile.points().get(0).along()
                    : Crossing.run(standing.lifted(), profile).pose().along());
            double here = Math.max(range[0], Math.min(range[1], at));
            shown = chosen(key, chosen.get(), standing.lifted(), range, here, reader);
            drawing = StanceDrawing.of(
                    shape,
                    standing.lifted(),
                    profile,
                    here,
                    List.of(lips("planned", job, all, standing, true)),
                    standing.lifted().points().isEmpty()
                            ? Double.NaN
                            : Crossing.at(standing.lifted(), profile, here).station());
        } else {
            drawing = StanceDrawing.level(shape, standing.planned(), outlines(job, all, standing));
        }
        return new GroundPage(
                "", shape.lines(), drawing, figures(standing, reader), ways, shown, words.findings(findings, reader));
    }

    /** A vehicle without a point still goes somewhere. */
    private static Underbody whole(Underbody under) {
        return under.points().isEmpty()
                ? new Underbody(
                        under.wheelbase(),
                        under.frontRadius(),
                        under.rearRadius(),
                        List.of(new Underbody.Point("", under.frontRadius(), under.frontRadius())))
                : under;
    }

    private record Named(String name, Profile profile, String own) {}

    private Map<String, Named> grounds(Job job) {
        Map<String, Named> grounds = new LinkedHashMap<>();
        points.grounds(job.shop(), job.vehicle().id())
                .forEach(g -> grounds.put(g.id().toString(), new Named(g.name(), g.profile(), g.id().toString())));
        for (Profile.Usual usual : Profile.Usual.values()) {
            grounds.put(usual.name(), new Named(words.say("ground." + usual), usual.profile(), ""));
        }
        return grounds;
    }

    private GroundPage.Way way(String key, Named ground, Stance standing, Reader reader) {
        Crossing.Least least = Crossing.run(standing.lifted(), ground.profile());
        Words.Said said = words.finding(least.finding(), reader);
        return new GroundPage.Way(
                key, ground.own(), ground.name(), said.mark(), said.title(), length(least.air(), reader), least.name());
    }

    private GroundPage.Chosen chosen(
            String key, Named ground, Underbody under, double[] range, double along, Reader reader) {
        String here = under.points().isEmpty() ? "" : here(Crossing.at(under, ground.profile(), along), reader);
        return new GroundPage.Chosen(
                key, ground.name(), Math.round(range[0]), Math.round(range[1]), Math.round(along), here);
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

    private List<GroundPage.Line> figures(Stance standing, Reader reader) {
        List<GroundPage.Line> lines = new ArrayList<>();
        line(lines, "ground.approach", standing.lifted().approach(), reader);
        line(lines, "ground.breakover", standing.lifted().breakover(), reader);
        line(lines, "ground.departure", standing.lifted().departure(), reader);
        standing.lifted().points().stream()
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

    /** What codes say of lamps and bumpers at the planned stance, and where the beam went since the vehicle arrived. */
    private List<Finding> lamps(Job job, JobSheets all, Stance standing) {
        List<Finding> findings = new ArrayList<>();
        double wheelbase = standing.planned().wheelbase();
        for (LowPoint p : standing.points()) {
            p.kind()
                    .code()
                    .ifPresent(code -> findings.add(
                            Lamps.check(code, Length.ofRoundedMm(p.height(standing.heights(), wheelbase)))));
        }
        PerEnd<Optional<Length>> drops = drops(job, all);
        Length turned =
                Length.ofRoundedMm(further(standing.heights(), End.FRONT) - further(standing.heights(), End.REAR));
        if (drops.front().isPresent() && drops.rear().isPresent()) {
            turned = turned.plus(drops.front().get().minus(drops.rear().get()));
        }
        Lamps.turned(turned, Length.ofRoundedMm(wheelbase)).ifPresent(findings::add);
        return findings;
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

    /** How far an end is to come down from where it stands now, mm. */
    private static double further(Standing heights, End end) {
        return heights.planned(end) - heights.now(end);
    }

    private List<Lips> outlines(Job job, JobSheets all, Stance standing) {
        List<Lips> outlines = new ArrayList<>();
        Lips now = lips("is", job, all, standing, false);
        PerEnd<Optional<Length>> drops = drops(job, all);
        if (drops.front().isPresent() && drops.rear().isPresent()) {
            outlines.add(new Lips(
                    "was",
                    now.front() + drops.front().get().mm(),
                    now.rear() + drops.rear().get().mm()));
        }
        outlines.add(now);
        if (further(standing.heights(), End.FRONT) != 0 || further(standing.heights(), End.REAR) != 0) {
            outlines.add(lips("planned", job, all, standing, true));
        }
        return outlines;
    }

    private Lips lips(String style, Job job, JobSheets all, Stance standing, boolean planned) {
        double lift = planned
                ? standing.points().stream()
                        .filter(p -> p.kind() == LowPoint.Kind.NOSE_LIFT)
                        .mapToDouble(p -> p.height().mm())
                        .max()
                        .orElse(0)
                : 0;
        return new Lips(
                style,
                lip(all, End.FRONT, standing.planned().frontRadius())
                        - (planned ? further(standing.heights(), End.FRONT) : 0)
                        + lift,
                lip(all, End.REAR, standing.planned().rearRadius())
                        - (planned ? further(standing.heights(), End.REAR) : 0));
    }

    /** The lips' height over the floor on the newest sheet where they were measured. */
    private static double lip(JobSheets all, End end, double radius) {
        for (int i = all.sheets().size() - 1; i >= 0; i--) {
            HeightSheet sheet = all.sheets().get(i).heights();
            OptionalDouble lip = Stream.of(end.left(), end.right())
                    .flatMap(c ->
                            height(sheet, c, Method.GF)
                                    .or(() -> height(sheet, c, Method.HF).map(h -> h + radius))
                                    .stream())
                    .mapToDouble(Double::doubleValue)
                    .average();
            if (lip.isPresent()) {
                return lip.getAsDouble();
            }
        }
        return 2 * radius + USUAL_LIP;
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
