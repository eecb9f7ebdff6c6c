package abbex.app.align;

import abbex.app.arrive.Job;
import abbex.app.arrive.StayValues;
import abbex.app.facts.Fact;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Sheets;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.store.Reads;
import abbex.core.alignment.AlignFinding;
import abbex.core.alignment.Alignment;
import abbex.core.alignment.WheelAngles;
import abbex.core.electronics.Electronics;
import abbex.core.electronics.VehicleSystem;
import abbex.core.figure.Finding;
import abbex.core.heights.Method;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** A stay's alignment for every station that asks: the public service of the station. */
@Service
public class Alignments {
    private final StayValues values;
    private final Sheets sheets;
    private final Reads reads;
    private final Words words;

    Alignments(StayValues values, Sheets sheets, Reads reads, Words words) {
        this.values = values;
        this.sheets = sheets;
        this.reads = reads;
        this.words = words;
    }

    public Alignment of(Job job) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(Alignments.class, job.shop(), job.id()),
                () -> AlignForm.alignment(values.told(job, StayValues.Station.ALIGN)));
    }

    /** What has to be said; that it was not measured once the vehicle was lowered. */
    public List<Finding> findings(Job job) {
        Alignment alignment = of(job);
        List<Finding> found = new ArrayList<>(alignment.findings());
        boolean lowered = sheets.of(job.shop(), job.id())
                .now()
                .filter(sheet -> sheet.stage().lowered() && !sheet.heights().isEmpty())
                .isPresent();
        if (lowered && !alignment.measured() && !job.vehicle().kind().singleTrack()) {
            found.add(new AlignFinding.NotAligned());
        }
        if (lowered && !job.vehicle().kind().singleTrack()) {
            found.addAll(electronics(job).findings());
        }
        return found;
    }

    private Electronics electronics(Job job) {
        return SystemsForm.electronics(values.told(job, StayValues.Station.ALIGN));
    }

    /** A system that was seen to, and by what source. */
    public record Seen(String system, String how) {}

    /** Lamps and sensors that the vehicle has and what was done about them, for the sheet. */
    public List<Seen> systems(Job job, Reader reader) {
        List<Seen> seen = new ArrayList<>();
        electronics(job).systems().forEach((system, said) -> {
            if (said.has() == VehicleSystem.Has.YES) {
                String did = words.say("system.did." + said.did());
                seen.add(new Seen(
                        Words.capital(words.word(system, reader)),
                        said.source().isEmpty() ? did : did + ", " + said.source()));
            }
        });
        return seen;
    }

    /** What of it goes into the sheet. */
    public List<Fact> facts(Job job) {
        StayValues.Told told = values.told(job, StayValues.Station.ALIGN);
        List<Fact> facts = new ArrayList<>();
        for (Corner corner : Corner.WALK) {
            for (String name : AlignForm.angles(corner.end())) {
                String before = told.text(AlignForm.field(name, "Before", corner));
                String after = told.text(AlignForm.field(name, "After", corner));
                if (!before.isEmpty() || !after.isEmpty()) {
                    facts.add(new Fact(Fact.Kind.ALIGNMENT, List.of(corner.name(), name), List.of(before, after)));
                }
            }
        }
        for (VehicleSystem system : VehicleSystem.values()) {
            Electronics.Said said = electronics(job).systems().get(system);
            if (said != null && said.has() == VehicleSystem.Has.YES) {
                facts.add(new Fact(
                        Fact.Kind.SYSTEM,
                        List.of(system.name()),
                        List.of(said.did().name(), Fact.line(said.source()))));
            }
        }
        return facts;
    }

    /**
     * The heights that stand now, corner by corner, suspected readings held out: whoever aligns must not turn them away. Safe
     * for a page.
     */
    public List<String> hold(Job job, Reader reader) {
        JobSheets all = sheets.of(job.shop(), job.id());
        int newest = all.sheets().size() - 1;
        return all.now()
                .flatMap(sheet -> Stream.of(Method.HF, Method.RIM, Method.GF)
                        .filter(way -> sheet.heights().complete(way))
                        .findFirst())
                .flatMap(way -> all.judge(job).heights(newest, way))
                .map(stands -> Corner.WALK.stream()
                        .map(corner -> Numerals.html(words.say(
                                "align.hold.height",
                                reader,
                                "place",
                                corner.code(),
                                "height",
                                Length.ofRoundedMm(stands.mm()[corner.ordinal()]))))
                        .toList())
                .orElse(List.of());
    }

    /** A wheel's angles, before and as it left; texts for a page or a sheet. */
    public record Line(String wheel, String camber, String toe, String caster) {}

    /** What was measured, for the sheet; empty where nothing was. */
    public List<Line> lines(Job job, Reader reader) {
        Alignment alignment = of(job);
        if (!alignment.measured()) {
            return List.of();
        }
        List<Line> lines = new ArrayList<>();
        for (Corner corner : Corner.WALK) {
            WheelAngles was = alignment.before().get(corner);
            WheelAngles is = alignment.after().get(corner);
            lines.add(new Line(
                    Words.capital(words.word(corner, reader)),
                    AlignWords.both(
                            was.camber().map(AlignWords::degrees), is.camber().map(AlignWords::degrees)),
                    AlignWords.both(was.toe().map(t -> toe(t)), is.toe().map(t -> toe(t))),
                    AlignWords.both(
                            was.caster().map(AlignWords::degrees), is.caster().map(AlignWords::degrees))));
        }
        return lines;
    }

    private String toe(double degrees) {
        return AlignWords.toe(degrees, words);
    }
}
