package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.facts.Fact;
import abbex.app.measure.Standing;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.clearance.ClearanceFinding;
import abbex.core.clearance.Eye;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Verdict;
import abbex.core.figure.Finding;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What clears at a stay's corners, for other stations: every corner where something is known. */
@Service
public class Clearances {
    private final MeasuredGaps probes;
    private final Drives drives;
    private final CornerCases cases;
    private final SweepPlans plans;
    private final ClearanceWords say;
    private final Words words;

    Clearances(
            MeasuredGaps probes, Drives drives, CornerCases cases, SweepPlans plans, ClearanceWords say, Words words) {
        this.plans = plans;
        this.probes = probes;
        this.drives = drives;
        this.cases = cases;
        this.say = say;
        this.words = words;
    }

    /**
     * A corner's places, worst first.
     *
     * @param taken remedies in the plan
     * @param driven how far a road test proves it; empty when there was none
     * @param eye what the eye sees there
     */
    public record Proof(
            String corner,
            List<CornerPage.Spot> places,
            List<CornerPage.InPlan> taken,
            String driven,
            List<CornerPage.Line> eye) {}

    /** Every corner where something was probed or left a mark, as it stands; as is planned before it was lowered. */
    public List<Proof> of(Job job, Reader reader) {
        List<Proof> proofs = new ArrayList<>();
        for (CornerCase planned : known(job)) {
            CornerCase corner = cases.asItStands(job, planned.corner()).orElse(planned);
            proofs.add(new Proof(
                    Words.capital(words.word(corner.corner(), reader)),
                    say.spots(corner, corner.judged(), reader),
                    say.inPlan(corner, reader),
                    say.driven(corner, reader),
                    say.eye(corner.eye(), reader)));
        }
        return proofs;
    }

    /** What does not clear, and what was not measured of it: each part that every such corner has, while any was. */
    public List<ClearanceFinding> findings(Job job) {
        List<CornerCase> known = known(job);
        if (known.isEmpty()) {
            return List.of(new ClearanceFinding.ClearanceUnknown());
        }
        List<ClearanceFinding> findings = new ArrayList<>();
        for (CornerCase corner : known) {
            findings.addAll(worst(job, corner));
            findings.addAll(planned(job, corner.corner()));
            if (corner.judged().stream().anyMatch(j -> j.verdict().word() == Verdict.Word.CLEAR_IF)) {
                findings.add(new ClearanceFinding.BumpGuessed(
                        corner.corner(), Length.ofRoundedMm(corner.plan().bump())));
            }
        }
        for (WheelPlace wheel : job.vehicle().kind().wheelPlaces()) {
            List<ProbePlace> missing = known.stream()
                    .filter(c -> c.corner() == wheel)
                    .findFirst()
                    .map(ClearanceWords::unlooked)
                    .orElse(ClearanceWords.ASKED);
            if (!missing.isEmpty()) {
                findings.add(new ClearanceFinding.NotProbed(wheel, missing));
            }
        }
        findings.sort(Finding.WORST_FIRST);
        return List.copyOf(findings);
    }

    /** Of each place the worse of what is planned for the wheel and what stands there: no plan makes a place clear. */
    private List<ClearanceFinding> worst(Job job, CornerCase corner) {
        Map<UUID, ClearanceFinding> worst = new LinkedHashMap<>();
        boolean there = cases.standsAsPlanned(job, corner.corner());
        judged(corner, there ? ClearanceFinding.Swept.BOTH : ClearanceFinding.Swept.PLANNED)
                .forEach(worst::put);
        cases.asItStands(job, corner.corner())
                .ifPresent(standing -> judged(standing, ClearanceFinding.Swept.STANDING)
                        .forEach((id, finding) -> worst.merge(id, finding, Clearances::worse)));
        return List.copyOf(worst.values());
    }

    private static Map<UUID, ClearanceFinding> judged(CornerCase corner, ClearanceFinding.Swept as) {
        Map<UUID, ClearanceFinding> found = new LinkedHashMap<>();
        corner.judged()
                .forEach(j -> j.verdict()
                        .finding(corner.corner(), j.known().probed().probe().clock(), as)
                        .ifPresent(f -> found.put(j.known().id(), f)));
        return found;
    }

    private static ClearanceFinding worse(ClearanceFinding planned, ClearanceFinding standing) {
        ClearanceFinding worse = Finding.WORST_FIRST.compare(planned, standing) <= 0 ? planned : standing;
        return planned instanceof ClearanceFinding.Touches one && standing instanceof ClearanceFinding.Touches other
                ? new ClearanceFinding.Touches(
                        one.place(),
                        one.into().value().compareTo(other.into().value()) >= 0 ? one.into() : other.into(),
                        ClearanceFinding.Swept.BOTH)
                : worse;
    }

    /** A gap was measured at a wheel, or a drive left a mark. */
    public boolean measured(Job job) {
        return !known(job).isEmpty();
    }

    /** Remedies that are planned and not on the vehicle. */
    public List<ClearanceFinding> planned(Job job) {
        return job.vehicle().kind().wheelPlaces().stream()
                .flatMap(wheel -> planned(job, wheel).stream())
                .toList();
    }

    private List<ClearanceFinding> planned(Job job, WheelPlace wheel) {
        return plans.taken(job.shop(), job.vehicle().id(), wheel).stream()
                .filter(t -> t.fitted().isEmpty())
                .<ClearanceFinding>map(t -> new ClearanceFinding.RemedyPlanned(
                        wheel, t.dose().remedy(), t.dose().steps()))
                .toList();
    }

    private List<CornerCase> known(Job job) {
        return job.vehicle().kind().wheelPlaces().stream()
                .flatMap(corner -> cases.of(job, corner).stream())
                .filter(c -> !c.known().isEmpty())
                .toList();
    }

    /** How low the vehicle stands by its sheets, and is planned. */
    public Standing standing(Job job) {
        return cases.intended(job);
    }

    /** How alike the gaps of front and rear look over the tyres, 0 to 100; empty until the lips of both were probed. */
    public String alike(Job job) {
        return Eye.alike(eyes(job, End.FRONT), eyes(job, End.REAR))
                .map(score -> score.toString())
                .orElse("");
    }

    private List<Eye> eyes(Job job, End end) {
        return known(job).stream()
                .filter(c -> c.corner().end() == end)
                .map(CornerCase::eye)
                .toList();
    }

    /** Every probe and mark as typed, the road test, the remedies in the plan. */
    public List<Fact> facts(Job job) {
        List<Fact> facts = new ArrayList<>();
        for (MeasuredGap p : probes.of(job.shop(), job.vehicle().id())) {
            facts.add(Fact.of(
                    Fact.Kind.PROBE,
                    at(p.corner(), p.probe().place(), p.probe().clock()),
                    Fact.line(p.raw()),
                    p.probe().face().name()));
        }
        drives.newest(job.shop(), job.vehicle().id()).ifPresent(drive -> facts.addAll(drive(drive)));
        for (WheelPlace corner : job.vehicle().kind().wheelPlaces()) {
            cases.of(job, corner).stream()
                    .forEach(c -> c.taken()
                            .forEach(t -> facts.add(Fact.of(
                                    t.fitted().isPresent() ? Fact.Kind.REMEDY_FITTED : Fact.Kind.REMEDY,
                                    List.of(corner.name(), t.dose().remedy().name()),
                                    ClearanceWords.amount(t.dose(), c.planned()),
                                    ClearanceWords.unit(t.dose())))));
        }
        return facts;
    }

    private static List<Fact> drive(Drive drive) {
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact(
                Fact.Kind.ROAD_TEST,
                List.of(),
                List.of(Boolean.toString(drive.locks()), Boolean.toString(drive.hung()), plain(drive.lean()))));
        drive.bump()
                .forEach((place, bump) -> facts.add(Fact.of(Fact.Kind.ROAD_BUMP, List.of(place.name()), plain(bump))));
        drive.marks()
                .forEach(m -> facts.add(Fact.of(
                        Fact.Kind.ROAD_MARK,
                        at(m.corner(), m.place(), m.clock()),
                        m.face().name())));
        return facts;
    }

    private static List<String> at(WheelPlace corner, ProbePlace place, double clock) {
        return List.of(corner.name(), place.name(), plain(clock));
    }

    private static String plain(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }
}
